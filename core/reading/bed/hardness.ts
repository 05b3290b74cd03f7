import { amplitudeToDb, fromDb, isGap, logistic, median, powerOf, softmax, toDb } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { beamPattern, rangeResolution } from '@/core/rig';
import { BED_MATERIALS, bedBackscatter, bedLoss, type BedMaterial } from '@/core/water';
import type { CoverFinding } from '../finding';
import type { BedLine } from './bedLine';
import { beyondBeam } from './bedShape';

/** What a patch of bed is likely made of. */
export interface BedPatch {
  fromPing: number;
  toPing: number;
  /** Probability of each of BED_MATERIALS, in their order from hard to soft. */
  probability: number[];
  likely: BedMaterial;
  /** Probability that it is hard (rock, gravel, shell or sand). */
  hard: number;
  /** Probability of a thin hard skin on soft ground: the first echo says hard and the second says soft. */
  skin: number;
  /** Height of weed on it, m; 0 where none was found. */
  growthM: number;
  /** First echo against a bed of gravel at this depth, dB; null when the levels are not calibrated. */
  firstOverGravelDb: number | null;
  /** Second echo against the first, dB, with depth and absorption made up for; null where none was heard. */
  secondUnderFirstDb: number | null;
  /** A second echo that was listened for and not heard lies more than this under the first, dB; null where it was heard or out of range. */
  secondUnheardDb: number | null;
}

/** Pings of one patch, and fewest that say anything. */
const PATCH = 48;
const FEWEST = 12;
/** How far the echoes of a patch scatter about the mean of their bed, dB: the first more on a slope, dB for each metre it falls in a metre. */
const FIRST_SPREAD_DB = 0.6;
const SLOPE_SPREAD_DB = 3;
const SECOND_SPREAD_DB = 0.5;
/** A second echo must stand this far over what lies before it, dB. */
const SECOND_OVER_DB = 4;
/** A second echo can be lost for more reasons than a soft bed (waves, bubbles): how far it is off then, dB, and how often it is lost anyhow. */
const UNHEARD_SPREAD_DB = 3;
const LOST_ANYHOW = 0.04;
/** Lost at the surface on the way back down, dB. */
const SURFACE_DB = 2;
const HARD: ReadonlySet<BedMaterial> = new Set(['rock', 'gravel', 'shell', 'sand']);

/** How far a bed may answer off the table of its kind, dB, and the share of beds that are taken to be as it says. */
const MOST_OFF_DB = 4;
const AS_TABLED = 0.5;
/** Of the rest, those that are off by roughness, slope of their facets, or a level that is not what the calibration says. */
const OFF_BY_LEVEL = 0.5;
const OFF_STEPS = 17;

/** One way a bed may be off its table: its first echo by so much, and the second under the first by as much less, dB. */
interface Off {
  firstDb: number;
  secondDb: number;
  logShare: number;
}

/** As the table says, off in level alone, and off in what it reflects, which both bounces meet. */
const OFF: readonly Off[] = [
  { firstDb: 0, secondDb: 0, logShare: Math.log(AS_TABLED) },
  ...Array.from({ length: OFF_STEPS }, (_, k) => MOST_OFF_DB * ((2 * k) / (OFF_STEPS - 1) - 1)).flatMap(
    (db): Off[] => [
      { firstDb: db, secondDb: 0, logShare: Math.log(((1 - AS_TABLED) * OFF_BY_LEVEL) / OFF_STEPS) },
      { firstDb: db, secondDb: db, logShare: Math.log(((1 - AS_TABLED) * (1 - OFF_BY_LEVEL)) / OFF_STEPS) },
    ],
  ),
];

/** What was heard of a patch, against the table of one kind, dB. */
interface Heard {
  /** First echo over the table's; null when the levels are not calibrated. */
  firstOverDb: number | null;
  firstSpreadDb: number;
  /** Loss of the second under the first over the table's; null where it was not heard. */
  secondOverDb: number | null;
  /** The same where it was not heard: at least so much; null where it was, or was out of range. */
  secondAtLeastDb: number | null;
}

/** The normal's cumulative by the logistic of the same spread, within .01 (Bowling et al. 2009). */
const below = (x: number): number => logistic(1.702 * x);

/**
 * Log likelihood of what was heard, of one kind of bed, over every way it may be off its table. One that reflects so much more than its
 * kind does so in both bounces, so the two echoes are not two witnesses; one that is rougher is off in the first alone (Hamilton and
 * Bachman 1982: impedance keeps within about 5 % for a kind, while backscatter spreads over several dB, APL-UW TR 9407).
 */
function logLikelihood({ firstOverDb, firstSpreadDb, secondOverDb, secondAtLeastDb }: Heard): number {
  const logs = OFF.map(({ firstDb, secondDb, logShare }) => {
    let log = logShare;
    if (firstOverDb !== null) log -= 0.5 * ((firstOverDb - firstDb) / firstSpreadDb) ** 2;
    if (secondOverDb !== null) log -= 0.5 * ((secondOverDb + secondDb) / SECOND_SPREAD_DB) ** 2;
    if (secondAtLeastDb !== null)
      log += Math.log(
        LOST_ANYHOW + (1 - LOST_ANYHOW) * below(-(secondAtLeastDb + secondDb) / UNHEARD_SPREAD_DB),
      );
    return log;
  });
  const most = Math.max(...logs);
  return most + Math.log(logs.reduce((sum, log) => sum + Math.exp(log - most), 0));
}

const hardShare = (probability: readonly number[]): number =>
  probability.reduce((h, p, i) => h + (HARD.has(BED_MATERIALS[i]!) ? p : 0), 0);

/** Probability that the first echo alone tells hard ground and the second alone soft. */
function skinShare(heard: readonly Heard[]): number {
  const byFirst = softmax(heard.map((h) => logLikelihood({ ...h, secondOverDb: null })));
  const bySecond = softmax(heard.map((h) => logLikelihood({ ...h, firstOverDb: null })));
  return hardShare(byFirst) * (1 - hardShare(bySecond));
}

/** Length of a first echo whose energy is taken, m; what the bed line may lie off by is let in before it. */
const echoLength = (resolutionM: number): number => Math.max(4 * resolutionM, 0.3);
const edgeSlack = (resolutionM: number): number => Math.max(resolutionM, 0.1);

/** Directions round a ring that a pattern is averaged over, half of them: a fan and a slope are alike on two sides only. */
const SPOKES = 16;
const SPOKES_ON_SLOPE = 48;

/**
 * Energy of the first echo of a bed at a range (power over the source's times metres of range) as a level, dB, for each of
 * BED_MATERIALS: rings at range r under incidence i, weighed by σ(i)·b²·2π/r³ and gathered over one pulse (Urick 1983, scatter law), over
 * its first part, absorption left out. On a slope the rings lie about its perpendicular, which the beam may not reach. Energy, because a
 * bed line that is off by a sample does not change it.
 * @param slopeRad of the bed along the way, 0 or more
 */
export function firstEchoesDb(
  channel: Pick<Channel, 'beam' | 'pulse' | 'soundSpeedMps'>,
  rangeM: number,
  slopeRad = 0,
): number[] {
  const { beam } = channel;
  // The bed gathers over the pulse itself, however finely or coarsely it was sampled.
  const resolutionM = rangeResolution(channel.pulse, channel.soundSpeedMps);
  const parts = 24;
  const step = resolutionM / parts;
  const count = Math.ceil(echoLength(resolutionM) / step);
  const perpendicularM = rangeM * Math.cos(beyondBeam(slopeRad, beam.alongRad / 2));
  const [sinSlope, cosSlope] = [Math.sin(slopeRad), Math.cos(slopeRad)];
  const spokes = slopeRad > 0 ? SPOKES_ON_SLOPE : beam.shape === 'cone' ? 1 : SPOKES;
  const pattern = new Float64Array(count);
  const incidence = new Float64Array(count);
  for (let k = 0; k < count; k++) {
    incidence[k] = Math.acos(perpendicularM / (rangeM + (k + 0.5) * step));
    const [sin, cos] = [Math.sin(incidence[k]!), Math.cos(incidence[k]!)];
    for (let a = 0; a < spokes; a++) {
      const angle = (Math.PI * (a + 0.5)) / spokes;
      const along = sin * Math.cos(angle) * cosSlope - cos * sinSlope;
      pattern[k]! += beamPattern(beam, along, sin * Math.sin(angle)) ** 2 / spokes;
    }
  }
  return BED_MATERIALS.map((material) => {
    const density = pattern.map(
      (b, k) =>
        (bedBackscatter(material, incidence[k]!) * b * 2 * Math.PI * step) / (rangeM + (k + 0.5) * step) ** 3,
    );
    let energy = 0;
    let gathered = 0;
    for (let to = 1; to <= count; to++) {
      gathered += density[to - 1]! - (to > parts ? density[to - 1 - parts]! : 0);
      energy += gathered * step;
    }
    return toDb(energy);
  });
}

/** Mean power of some pings, each laid to its own bed line times `multiple`, from `beforeM` before it. */
function laidToBed(
  channel: Channel,
  bed: BedLine,
  from: number,
  to: number,
  multiple: number,
  beforeM: number,
  spanM: number,
): Float64Array | null {
  const { sampleCount: n, sampleStepM: step, firstRangeM, levelDb } = channel;
  const count = Math.ceil(spanM / step);
  const mean = new Float64Array(count);
  let pings = 0;
  for (let p = from; p <= to; p++) {
    const range = bed.rangeM[p]!;
    if (!(range > 0)) continue;
    const first = Math.round((multiple * range - beforeM - firstRangeM) / step);
    if (first < 0 || first + count > n) continue;
    pings++;
    for (let j = 0; j < count; j++) mean[j]! += powerOf(levelDb[p * n + first + j]!);
  }
  if (pings < FEWEST) return null;
  return mean.map((x) => x / pings);
}

/** Energy of a patch of mean power, dB. */
const energyDb = (power: Float64Array, stepM: number): number =>
  toDb(power.reduce((a, b) => a + b, 0) * stepM);

/** Tallest weed over some pings, m: of each bed of weed the median of its pings there. */
function growthOver(cover: readonly CoverFinding[], from: number, to: number): number {
  let most = 0;
  for (const c of cover) {
    if (c.cover !== 'weed' || c.toPing < from || c.fromPing > to) continue;
    const part = Array.from(
      c.height.subarray(Math.max(0, from - c.fromPing), Math.max(0, to - c.fromPing + 1)),
    ).filter((h) => h > 0);
    if (part.length > 0) most = Math.max(most, median(part));
  }
  return most;
}

/** Depths and slopes first echoes are worked out at: between depths, by this ratio, they are linear in log depth. */
const DEPTH_RATIO = 1.1;
const SLOPE_STEP_RAD = Math.PI / 90;

/** firstEchoesDb by depth and slope, worked out once for depths and slopes alike: they bend little. */
function firstEchoes(channel: Channel): (depthM: number, slopeRad: number) => number[] {
  const kept = new Map<string, number[]>();
  const at = (k: number, slope: number): number[] => {
    const key = `${k} ${slope}`;
    let echoes = kept.get(key);
    if (!echoes) {
      echoes = firstEchoesDb(channel, Math.pow(DEPTH_RATIO, k), slope * SLOPE_STEP_RAD);
      kept.set(key, echoes);
    }
    return echoes;
  };
  return (depthM, slopeRad) => {
    const place = Math.log(depthM) / Math.log(DEPTH_RATIO);
    const k = Math.floor(place);
    const slope = Math.round(slopeRad / SLOPE_STEP_RAD);
    const deeper = at(k + 1, slope);
    return at(k, slope).map((low, m) => low + (deeper[m]! - low) * (place - k));
  };
}

/**
 * What the bed is made of along the track: the strength of the first echo against what each material would give at this depth
 * and slope in this beam, and the second echo against the first, which is free of calibration.
 * @param slopeRad of the bed line along the way, by ping, rad
 */
export function bedHardness(
  channel: Channel,
  bed: BedLine,
  slopeRad: Float32Array,
  cover: readonly CoverFinding[] = [],
): BedPatch[] {
  const patches: BedPatch[] = [];
  const { calibration } = channel;
  const resolutionM = rangeResolution(channel.pulse, channel.soundSpeedMps);
  const firstEcho = firstEchoes(channel);
  for (let from = 0; from < channel.pingCount; from += PATCH) {
    const to = Math.min(channel.pingCount - 1, from + PATCH - 1);
    let depth = 0;
    let pings = 0;
    for (let p = from; p <= to; p++)
      if (bed.rangeM[p]! > 0) {
        depth += bed.rangeM[p]!;
        pings++;
      }
    if (pings < FEWEST) continue;
    depth /= pings;
    const alpha = calibration?.absorptionDbPerM ?? 0;
    const step = channel.sampleStepM;
    const slack = edgeSlack(resolutionM);
    const length = echoLength(resolutionM) + slack;
    const first = laidToBed(channel, bed, from, to, 1, slack, length);
    if (!first) continue;
    const firstDb = energyDb(first, step);
    // The second echo is stretched to twice the length; as energy it is the first's less a quarter for spreading and the bounce.
    const second = laidToBed(channel, bed, from, to, 2, 2 * slack, 2 * length);
    const before = laidToBed(channel, bed, from, to, 2, 2 * slack + 2 * length, 2 * length);
    let secondUnderFirstDb: number | null = null;
    let secondUnheardDb: number | null = null;
    if (second && before) {
      const quiet = energyDb(before, step);
      const echo = energyDb(second, step);
      const isHeard = echo > quiet + SECOND_OVER_DB;
      const clean = toDb(fromDb(isHeard ? echo : quiet + SECOND_OVER_DB) - fromDb(quiet));
      const underDb = firstDb - clean - amplitudeToDb(2) - 2 * alpha * depth;
      if (isHeard) secondUnderFirstDb = underDb;
      else secondUnheardDb = underDb;
    }
    const measured = calibration ? firstDb - calibration.sourceLevelDb + 2 * alpha * depth : null;
    const hardGivesOne =
      secondUnheardDb !== null && secondUnheardDb > bedLoss('sand') + SURFACE_DB + UNHEARD_SPREAD_DB;
    if (measured === null && secondUnderFirstDb === null && !hardGivesOne) continue;
    const slopes = slopeRad.subarray(from, to + 1).filter((s) => !isGap(s));
    const slope = Math.abs(median(Array.from(slopes)));
    const expected = firstEcho(depth, slope);
    const firstSpreadDb = Math.hypot(FIRST_SPREAD_DB, SLOPE_SPREAD_DB * Math.tan(slope));
    const heard = BED_MATERIALS.map((material, k): Heard => {
      const under = bedLoss(material) + SURFACE_DB;
      // Softer beds than the softest of the table send back less still.
      const softest = k === BED_MATERIALS.length - 1;
      return {
        firstOverDb: measured === null ? null : measured - expected[k]!,
        firstSpreadDb,
        secondOverDb: secondUnderFirstDb === null ? null : secondUnderFirstDb - under,
        secondAtLeastDb: secondUnheardDb === null || softest ? null : secondUnheardDb - under,
      };
    });
    const probability = softmax(heard.map(logLikelihood));
    patches.push({
      fromPing: from,
      toPing: to,
      probability,
      likely: BED_MATERIALS[probability.indexOf(Math.max(...probability))]!,
      hard: hardShare(probability),
      skin: measured === null || secondUnderFirstDb === null ? 0 : skinShare(heard),
      growthM: growthOver(cover, from, to),
      firstOverGravelDb: measured === null ? null : measured - expected[BED_MATERIALS.indexOf('gravel')]!,
      secondUnderFirstDb,
      secondUnheardDb,
    });
  }
  return patches;
}
