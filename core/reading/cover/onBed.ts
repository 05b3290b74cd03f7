import { clamp, fromDb, isGap, median, medianInPlace, powerOf } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { overAt, type Excess } from '../levels/background';
import type { BedLine } from '../bed/bedLine';
import { medianOfFive } from '../levels/medianOfFive';
import { strengthAt } from '../marks/strengthAt';

/** A sample counts when it stands this far over the water, dB: noise does so once in five hundred. */
const ON_BED_DB = 8;
/**
 * A thin growth stands out in few samples alone: it counts where the mean power of some pings and samples about, at one height over
 * the bed, stands so far over the water, dB. At 4 to 5 dB the foot of rough ground did so too, as beds of weed 20 m long.
 */
const FAINT_DB = 5.5;
const MEAN_PINGS = 2;
const MEAN_SAMPLES = 1;
/** It is told by its length alone, m and pings: what is shorter may be a fish close to the bed. */
const FAINT_LEAST_M = 2.5;
const FAINT_LEAST_PINGS = 16;
/** Water this high may lie between the parts of one thing, m, or so many pulses. */
const GAP_M = 0.25;
const GAP_PULSES = 1.2;
/** Lower than this it is the roughness of the bed, m, or so many pulses. */
const LEAST_HEIGHT_M = 0.28;
/** Way that may lie between two parts of it, m, and fewest pings of it. */
const GAP_WAY_M = 0.5;
const LEAST_PINGS = 4;

/** The ground under and beside a thing may rise or fall by this, m, or this share of its height. */
const STEP_M = 1.5;
const STEP_SHARE = 0.8;

/** A beam draws what stands in it over this share of its footprint at the least: what is narrower is noise or life over the bed. */
const LEAST_FOOTPRINT = 0.3;

/** Less of it standing out is noise over the bed, or a fish close to it. */
const LEAST_FILL = 0.42;

/** Something joined to the bed, by ping, and what it measures. */
export interface OnBedOutline {
  fromPing: number;
  toPing: number;
  /** Height over the bed line, m, a row of fromPing…toPing. */
  heightM: Float32Array;
  /** Tallest (nine tenths of its pings are lower), m. */
  tallM: number;
  /** How far it reaches along the way, what the beam's own width adds taken off, m. */
  lengthM: number;
  /** How unsure that is, standard deviation of its logarithm: what a beam adds is known only so well. */
  lengthSpread: number;
  /** Mean height against the tallest, 0…1. */
  fullness: number;
  /** Share of samples under its outline that stand out, 0…1. */
  fill: number;
  /** How its top jumps from ping to ping, as a share of the tallest. */
  jag: number;
  /** Share of its height by which the bed line itself rises: rock is bed. */
  solid: number;
  /** Strongest echo in it against the bed's own, and mean level in it against its strongest, dB, both medians of pings. */
  underBedDb: number;
  meanUnderPeakDb: number;
  /** Level over the water around it, dB. */
  overDb: number;
  /** Whether it stands out only by the mean of many samples. */
  faint: boolean;
  /** Nearest range of it, m, and how strong its loudest parts are (of nine tenths of its pings the loudest is weaker), dB as of a mark. */
  nearestM: number;
  strongDb: number;
}

/** The bed is taken to run level under what is narrower than this and the beam's footprint together, m. */
const UNDER_WAY_M = 7;
/** A median over so much way changes little from ping to ping: it is taken anew after so many. */
const MEDIAN_EVERY = 3;

/**
 * A rise of the bed line itself is a thing on it from so many times what four fifths of the line stray by: waves and swells of the
 * ground rise as far again and again.
 */
const STRAY_SHARE = 0.8;
const OVER_STRAY = 2.2;
/** Share of its height from which a thing is made of the bed line. */
const SOLID = 0.5;

/**
 * The bed line as it runs under what stands on it, by ping, m: the median over some way, since a strong thing on the bed is
 * itself the first echo; and how far the line strays from that as a rule, m, by the ground's own shape or by waves.
 */
function groundLine(
  channel: Channel,
  { rangeM }: BedLine,
  pingsPerM: number,
): { ground: Float32Array; strayM: number } {
  const pings = channel.pingCount;
  const ground = new Float32Array(pings);
  const off: number[] = [];
  const middle = median(Array.from(rangeM).filter((r) => !isGap(r)));
  const widthM = UNDER_WAY_M + footprintOf(channel, middle);
  const half = Math.max(8, Math.round((widthM / 2) * pingsPerM));
  const stride = Math.max(1, Math.floor(half / 24));
  const values = new Float32Array(2 * Math.ceil(half / stride) + 3);
  let middleM = 0;
  for (let p = 0; p < pings; p++) {
    if (p % MEDIAN_EVERY === 0) {
      let count = 0;
      // As far to either side: so a slope leaves the median where it is.
      const reach = Math.min(half, p, pings - 1 - p);
      for (let q = p - reach; q <= p + reach; q += stride)
        if (!isGap(rangeM[q]!)) values[count++] = rangeM[q]!;
      middleM = medianInPlace(values, count);
    }
    if (!isGap(rangeM[p]!)) off.push(Math.abs(rangeM[p]! - middleM));
    ground[p] = Math.max(middleM, !isGap(rangeM[p]!) ? rangeM[p]! : 0);
  }
  off.sort((a, b) => a - b);
  return { ground, strayM: off[Math.floor(STRAY_SHARE * (off.length - 1))] ?? 0 };
}

/** Way the beam covers at a range, m. */
export const footprintOf = ({ beam }: Channel, rangeM: number): number =>
  2 * rangeM * Math.tan(clamp(beam.alongRad / 2, 0, 1.2));

/** Whether a sample counts as standing out. */
type StandsOut = (ping: number, sample: number) => boolean;

/** By itself. */
const alone =
  (excess: Excess): StandsOut =>
  (p, j) =>
    overAt(excess, p, j) >= ON_BED_DB;

/** Together with its neighbours at the same height over the bed. */
function withOthers({ pingCount, sampleStepM }: Channel, { rangeM }: BedLine, excess: Excess): StandsOut {
  const least = fromDb(FAINT_DB);
  return (p, j) => {
    let sum = 0;
    let count = 0;
    for (let q = Math.max(0, p - MEAN_PINGS); q <= Math.min(pingCount - 1, p + MEAN_PINGS); q++) {
      const shift = Math.round((rangeM[q]! - rangeM[p]!) / sampleStepM);
      if (isGap(shift)) continue;
      for (let k = j + shift - MEAN_SAMPLES; k <= j + shift + MEAN_SAMPLES; k++)
        if (k >= 0 && k < excess.end[q]!) {
          sum += powerOf(overAt(excess, q, k));
          count++;
        }
    }
    return sum >= least * Math.max(1, count);
  };
}

/** Height over the ground line of what joins the bed upward, by ping, m. */
function heights(channel: Channel, bed: BedLine, ground: Float32Array, standsOut: StandsOut): Float32Array {
  const { pingCount, sampleStepM: step, resolutionM } = channel;
  const gap = Math.max(1, Math.round(Math.max(GAP_M, GAP_PULSES * resolutionM) / step));
  const out = new Float32Array(pingCount);
  for (let p = 0; p < pingCount; p++) {
    const range = bed.rangeM[p]!;
    if (isGap(range)) {
      out[p] = NaN;
      continue;
    }
    const foot = Math.floor((range - channel.firstRangeM) / step) - 1;
    let top = foot;
    let empty = 0;
    for (let j = foot; j > 0 && empty <= gap; j--) {
      if (standsOut(p, j)) {
        top = j;
        empty = 0;
      } else empty++;
    }
    out[p] = (ground[p]! > range ? ground[p]! : range) - (channel.firstRangeM + top * step);
  }
  return out;
}

/** Finds what is joined to the bed, ping by ping: what stands out sample by sample, and of the rest what does over many. */
export function findOnBed(channel: Channel, bed: BedLine, excess: Excess, pingsPerM: number): OnBedOutline[] {
  const line = groundLine(channel, bed, pingsPerM);
  const clear = alone(excess);
  const height = medianOfFive(heights(channel, bed, line.ground, clear));
  const found = outlinesOf(channel, bed, excess, line, height, clear, pingsPerM, LEAST_PINGS);
  const faint = withOthers(channel, bed, excess);
  const rest = medianOfFive(heights(channel, bed, line.ground, faint));
  for (const { fromPing, toPing } of found) {
    const aside = Math.round(footprintOf(channel, line.ground[fromPing]!) * pingsPerM);
    rest.fill(0, Math.max(0, fromPing - aside), toPing + aside + 1);
  }
  const leastPings = Math.max(FAINT_LEAST_PINGS, FAINT_LEAST_M * pingsPerM);
  return [
    ...found,
    ...outlinesOf(channel, bed, excess, line, rest, faint, pingsPerM, leastPings)
      .filter(({ solid }) => solid < SOLID)
      .map((outline) => ({ ...outline, faint: true })),
  ];
}

/** Stretches of at least so many pings in which something is joined to the bed. */
function outlinesOf(
  channel: Channel,
  bed: BedLine,
  excess: Excess,
  { ground, strayM }: { ground: Float32Array; strayM: number },
  height: Float32Array,
  standsOut: StandsOut,
  pingsPerM: number,
  leastPings: number,
): OnBedOutline[] {
  const { pingCount, resolutionM } = channel;
  const least = Math.max(LEAST_HEIGHT_M, resolutionM);
  const gapPings = Math.max(2, Math.round(GAP_WAY_M * pingsPerM));
  const out: OnBedOutline[] = [];
  for (let p = 0; p < pingCount; p++) {
    if (!(height[p]! >= least)) continue;
    let to = p;
    for (let q = p + 1; q < pingCount && q - to <= gapPings; q++) if (height[q]! >= least) to = q;
    if (to - p + 1 >= leastPings) {
      const outline = measured(channel, bed, ground, excess, height, p, to, pingsPerM, standsOut);
      // Where the ground itself steps by as much, the edge of the step is no thing on it.
      let low = Infinity;
      let high = 0;
      const reach = Math.round(0.5 * footprintOf(channel, ground[p]!) * pingsPerM);
      for (let q = Math.max(0, p - reach); q <= Math.min(pingCount - 1, to + reach); q++) {
        if (ground[q]! < low) low = ground[q]!;
        if (ground[q]! > high) high = ground[q]!;
      }
      if (outline.solid > SOLID && outline.tallM < OVER_STRAY * strayM) {
        p = to;
        continue;
      }
      const narrow =
        outline.solid < SOLID &&
        (to - p + 1) / pingsPerM < LEAST_FOOTPRINT * footprintOf(channel, ground[p]!);
      if (!narrow && outline.fill >= LEAST_FILL && high - low < Math.max(STEP_M, STEP_SHARE * outline.tallM))
        out.push(outline);
    }
    p = to;
  }
  return out;
}

/** Measures what stands on the bed in some pings. @param ground the bed line as it runs under it and @param height over that, m, by ping */
export function measured(
  channel: Channel,
  bed: BedLine,
  ground: Float32Array,
  excess: Excess,
  height: Float32Array,
  from: number,
  to: number,
  pingsPerM: number,
  standsOut = alone(excess),
): OnBedOutline {
  const { sampleCount: n, sampleStepM: step, firstRangeM, resolutionM, levelDb } = channel;
  const heightM = height.slice(from, to + 1);
  const sorted = Float32Array.from(heightM).sort();
  const tallM = sorted[Math.floor(0.9 * (sorted.length - 1))]!;
  const clear = Math.ceil(resolutionM / step);
  const reach = Math.ceil(1.5 / step);
  let inside = 0;
  let standing = 0;
  let mean = 0;
  let jag = 0;
  let solid = 0;
  const underBed: number[] = [];
  const underPeak: number[] = [];
  const overs: number[] = [];
  const strong: number[] = [];
  let nearestM = Infinity;
  for (let p = from; p <= to; p++) {
    const h = height[p]!;
    mean += Math.max(0, h) / heightM.length;
    if (p > from) jag += Math.abs(h - height[p - 1]!) / heightM.length;
    const under = Math.max(ground[p]!, bed.rangeM[p]!);
    solid += Math.max(0, under - bed.rangeM[p]!) / heightM.length;
    const foot = Math.floor((under - firstRangeM) / step);
    const top = Math.max(0, Math.floor((under - h - firstRangeM) / step));
    nearestM = Math.min(nearestM, under - h);
    const edge = Math.floor((bed.rangeM[p]! - firstRangeM) / step);
    let bedPeak = -Infinity;
    for (let j = edge; j < Math.min(n, foot + reach); j++) bedPeak = Math.max(bedPeak, levelDb[p * n + j]!);
    // What the bed line itself rises by is solid.
    inside += foot - edge;
    standing += foot - edge;
    let peak = -Infinity;
    let peakOver = 0;
    let strongest = -Infinity;
    let sum = 0;
    let count = 0;
    for (let j = top; j <= edge - clear; j++) {
      const x = levelDb[p * n + j]!;
      inside++;
      count++;
      sum += x;
      strongest = Math.max(strongest, strengthAt(channel, p, j));
      if (standsOut(p, j)) standing++;
      if (x > peak) {
        peak = x;
        peakOver = overAt(excess, p, j);
      }
    }
    if (count < 2) continue;
    strong.push(strongest);
    underBed.push(bedPeak - peak);
    underPeak.push(peak - sum / count);
    overs.push(peakOver);
  }
  const range = median(Array.from(bed.rangeM.subarray(from, to + 1)));
  const footprint = footprintOf(channel, range);
  const lengthM = Math.max(0.2, heightM.length / pingsPerM - BEAM_ADDS * footprint);
  return {
    fromPing: from,
    toPing: to,
    heightM,
    tallM,
    lengthM,
    lengthSpread: (BEAM_UNSURE * footprint) / lengthM,
    fullness: mean / Math.max(tallM, 1e-3),
    fill: standing / Math.max(1, inside),
    jag: jag / Math.max(tallM, 1e-3),
    solid: mean > 0 ? solid / mean : 0,
    underBedDb: underBed.length ? median(underBed) : 0,
    meanUnderPeakDb: underPeak.length ? median(underPeak) : 0,
    overDb: overs.length ? median(overs) : 0,
    faint: false,
    nearestM,
    strongDb: strong.sort((a, b) => a - b)[Math.floor(0.9 * (strong.length - 1))] ?? -Infinity,
  };
}

/** Share of the footprint by which a thing is drawn longer than it is. */
export const BEAM_ADDS = 0.6;
/** And what that share is off by from thing to thing. */
const BEAM_UNSURE = 0.3;

/** Takes what stands on the bed out of the excess, so that it is not taken for bait or fish. In place. */
export function blankOnBed(
  channel: Channel,
  bed: BedLine,
  { lid }: Excess,
  { fromPing, toPing, heightM }: OnBedOutline,
): void {
  const { pingCount, sampleStepM: step, firstRangeM, resolutionM } = channel;
  const margin = Math.max(2 * step, resolutionM);
  for (let p = Math.max(0, fromPing - BLANK_PINGS); p <= Math.min(pingCount - 1, toPing + BLANK_PINGS); p++) {
    const h = heightM[clamp(p - fromPing, 0, heightM.length - 1)]!;
    const range = bed.rangeM[p]!;
    if (isGap(range) || isGap(h)) continue;
    const top = Math.max(0, Math.floor((range - h - margin - firstRangeM) / step));
    if (top < lid[p]!) lid[p] = top;
  }
}

/** Pings to either side of a thing that its fading edges reach. */
const BLANK_PINGS = 3;
