/** Holds readings of made passes against what was truly there. */
import { isGap, powerOf } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { bedDepthAt, bedMaterialAt, truthOf } from '@/core/scene';
import { STILL_MPS } from '@/core/rig';
import {
  LONG_PINGS,
  readChannel,
  type CloudFinding,
  type FishFinding,
  type MarkShape,
  type Reading,
} from '@/core/reading';
import { simulate, type VisibleFish } from '@/core/sounder';
import { BED_MATERIALS } from '@/core/water';
import { withFishBeside, type CoverPass } from './coverPasses';
import { BESIDE_RAD, type MadePass } from './passes';
import { seenFish } from './seenFish';
import { count, countGround, newTally, note, type Tally } from './tally';

/** Over the noise an echo counts as one there to be read, dB; what lies under it counts neither way. */
const MARGIN_DB = 10;
/** Weaker fish are counted at these margins, each within so much, dB. */
const WEAK_DB = [6, 3, 0];
const WEAK_WITHIN_DB = 1.5;
/** A bed line farther off than this share is wrong. */
const BED_OFF = 0.03;
/** Four pings over the noise make a mark; less is a chance sight. */
const LEAST_PINGS = 4;

/** Between these shares of what two words are told apart by, either is a matter of taste. */
const TASTE = [0.55, 1.2] as const;
const ofTaste = (share: number): boolean => share > TASTE[0] && share < TASTE[1];

/** What a fish is drawn by: a boat that keeps still draws its own way, and a slice that passes it has no edge to clip. */
export interface DrawnBy {
  still: boolean;
  slice: boolean;
}

/**
 * The shape the noise-free mark has: both legs, one, or none that rises by a pulse; drawn for long under a boat that keeps still, a thread
 * that wanders by a pulse or a line. Null where it lies within a third of either, and the word is a matter of taste.
 */
export function trueShape(
  fish: Pick<VisibleFish, 'pings' | 'rangeM' | 'nearestRangeM'>,
  pulseM: number,
  { still, slice }: DrawnBy = { still: false, slice: false },
): MarkShape | null {
  const at = fish.rangeM.indexOf(Math.min(...fish.rangeM));
  const pulse = Math.max(pulseM, 0.08);
  const before = Math.max(0, ...fish.rangeM.slice(0, at).map((r) => r - fish.nearestRangeM)) / pulse;
  const after = Math.max(0, ...fish.rangeM.slice(at + 1).map((r) => r - fish.nearestRangeM)) / pulse;
  if (still && ofTaste(fish.pings.length / LONG_PINGS)) return null;
  if (still && fish.pings.length > LONG_PINGS) {
    const mean = fish.rangeM.reduce((a, b) => a + b, 0) / fish.rangeM.length;
    const wander = Math.sqrt(fish.rangeM.reduce((sum, r) => sum + (r - mean) ** 2, 0) / fish.rangeM.length);
    return ofTaste(wander / pulse) ? null : wander > pulse ? 'thread' : 'line';
  }
  if ([before, after].some(ofTaste)) return null;
  if (before > 1 && after > 1) return 'arch';
  if (before > 1 || after > 1) return 'half';
  return fish.pings.length <= LEAST_PINGS || slice ? 'dash' : 'clip';
}

function judgeBed(pass: MadePass, reading: Reading, tally: Tally): void {
  const { scene, track, face, recording } = pass;
  const channel = recording.channels[0]!;
  const truth = truthOf(scene, track, face.beam.alongRad / 2);
  const beside = truthOf(scene, track, Math.max(face.beam.alongRad / 2, BESIDE_RAD)).firstBedRangeM;
  const at = (p: number): number => bedMaterialAt(scene.bed, track.xM[p]!, track.yM[p]!);
  for (let p = 0; p < channel.pingCount; p++) {
    const off = reading.bed.rangeM[p]! - truth.firstBedRangeM[p]!;
    const near = Math.abs(off) <= 1;
    count(tally, 'bed within 1 m', near);
    const deepEnough = off >= -BED_OFF * truth.firstBedRangeM[p]!;
    const shallowEnough = off <= BED_OFF * truth.firstBedRangeM[p]!;
    count(tally, 'bed within 3 %', deepEnough && shallowEnough);
    count(tally, 'bed on its echo', shallowEnough && reading.bed.rangeM[p]! >= (1 - BED_OFF) * beside[p]!);
    if (near) note(tally, 'bed', off / Math.max(channel.sampleStepM, 0.005 * truth.firstBedRangeM[p]!));
  }
  for (const stretch of reading.hardness) {
    const material = at(stretch.fromPing);
    if (at(stretch.toPing) !== material) continue;
    const off = Math.abs(BED_MATERIALS.indexOf(stretch.likely) - material);
    count(tally, 'material', off === 0);
    count(tally, 'material or next', off <= 1);
    countGround(tally, stretch.hard, material < 4);
  }
  for (let p = 0; p < channel.pingCount; p += 20) {
    const below = bedDepthAt(scene.bed, track.xM[p]!, track.yM[p]!) - track.heaveM[p]!;
    const { depthLowM, depthHighM } = reading.bedShape;
    if (!(depthLowM[p]! > 0)) continue;
    // Half a sample and the line's own unsureness of half a hundredth belong to every range.
    const slack = channel.sampleStepM / 2 + 0.005 * below;
    count(tally, 'depth below', below > depthLowM[p]! - slack && below < depthHighM[p]! + slack);
  }
}

const fishOf = (reading: Reading): FishFinding[] =>
  reading.findings.filter((f): f is FishFinding => f.kind === 'fish');

/** Room about bait in which a mark may be one of its own, m. */
const ABOUT_BAIT_M = 0.6;

/** Whether a mark lies where members of bait are drawn: in it, or on their legs. */
function amongBait({ scene, track, face }: MadePass, mark: FishFinding): boolean {
  const ping = Math.round((mark.fromPing + mark.toPing) / 2);
  return scene.clouds.some((c) => {
    const time = track.timeS[ping]!;
    const along = Math.abs(track.xM[ping]! - c.x - c.vx * time);
    const [top, foot] = [c.z - c.radiusZM - ABOUT_BAIT_M, c.z + c.radiusZM + ABOUT_BAIT_M];
    const footprint = foot * Math.tan(face.beam.alongRad);
    return along < c.radiusXM + footprint && mark.rangeM > top && mark.rangeM < Math.hypot(foot, footprint);
  });
}

/** How a fish of a pass is drawn. */
function drawnBy({ track, face, recording }: MadePass, { pings }: VisibleFish): DrawnBy {
  const [from, to] = [pings[0]!, pings[pings.length - 1]!];
  const wayM = Math.hypot(track.xM[to]! - track.xM[from]!, track.yM[to]! - track.yM[from]!);
  const still = (wayM * recording.pingRate) / Math.max(1, to - from) < STILL_MPS;
  return { still, slice: !still && face.beam.alongRad < face.beam.athwartRad };
}

/** What was found of the fish of a pass, and what was found that is none. */
export function judgeFish(pass: MadePass, reading: Reading, tally: Tally, seed: number): void {
  const { scene, track, face, recording } = pass;
  const channel = recording.channels[0]!;
  const truth = truthOf(scene, track, face.beam.alongRad / 2);
  const weakest = Math.min(...WEAK_DB) - WEAK_WITHIN_DB;
  const seen = seenFish(pass);
  const strong = seen(MARGIN_DB);
  const any = seen(Math.min(MARGIN_DB, weakest));
  const marks = fishOf(reading);
  const used = new Set<number>();
  // Of two readings of one fish the longer is the right one, and the other is wrong.
  const pingsOf = (m: FishFinding): number => m.toPing - m.fromPing;
  const matched = (fish: VisibleFish): FishFinding | undefined =>
    marks
      .filter(
        (m) =>
          !used.has(m.id) &&
          m.fromPing <= fish.pings[fish.pings.length - 1]! + 3 &&
          m.toPing >= fish.pings[0]! - 3 &&
          Math.abs(m.rangeM - fish.nearestRangeM) < 0.4 + 0.02 * fish.nearestRangeM,
      )
      .sort((a, b) => pingsOf(b) - pingsOf(a))[0];
  strong.forEach((fish, i) => {
    const faint = any[i]!;
    const shown = fish.pings.length > 0 ? fish : faint;
    if (shown.pings.length === 0) return;
    const at = Math.min(
      channel.pingCount - 1,
      Math.max(0, Math.round(shown.nearestTimeS * recording.pingRate)),
    );
    const clear = truth.firstBedRangeM[at]! - shown.nearestRangeM > 1.5 * channel.resolutionM;
    const mine = matched(shown) ?? (faint.pings.length > 0 ? matched(faint) : undefined);
    if (mine) used.add(mine.id);
    if (!clear) return;
    for (const db of WEAK_DB)
      if (Math.abs(fish.peakDb - db) < WEAK_WITHIN_DB) count(tally, `found at ${db} dB`, mine !== undefined);
    if (fish.pings.length < LEAST_PINGS) return;
    count(tally, 'recall', mine !== undefined);
    if (!mine) {
      tally.notes.push(
        `seed ${seed}: missed at ${fish.nearestRangeM.toFixed(1)} m, ${fish.nearestTimeS.toFixed(0)} s, ${fish.peakDb.toFixed(0)} dB, ${fish.pings.length} pings`,
      );
      return;
    }
    count(tally, 'nearest range', Math.abs(mine.rangeM - fish.nearestRangeM) < 0.1);
    count(tally, 'depth', fish.depthM > mine.depthM[0] - 0.05 && fish.depthM < mine.depthM[1] + 0.05);
    const shape = trueShape(fish, channel.resolutionM, drawnBy(pass, fish));
    if (shape !== null) count(tally, 'shape', shape === mine.shape);
    if (mine.lengthM) {
      const [low, likely, high] = mine.lengthM;
      count(tally, 'length', fish.fish.lengthM >= low && fish.fish.lengthM <= high);
      note(tally, 'length factor', high / likely);
      note(tally, 'length ratio', likely / fish.fish.lengthM);
    }
  });
  for (const m of marks) {
    const right = used.has(m.id);
    if (!right && amongBait(pass, m)) continue;
    count(tally, 'precision', right);
    tally.claims.push(['fish', m.confidence, right]);
    if (!right)
      tally.notes.push(
        `seed ${seed}: false at ${m.rangeM.toFixed(1)} m, ${m.timeS.toFixed(0)} s, pings ${m.fromPing}–${m.toPing}, ${m.shape}, ${m.overBackgroundDb.toFixed(0)} dB, said ${m.confidence.toFixed(2)}`,
      );
  }
}

/** Pings and metres to either side an echo's speckle is averaged over before it is held against the background. */
const MEAN_PINGS = 3;
const MEAN_M = 0.15;

/** Of the background's power, and of the bed's. */
const OUTLINE_OVER = 4;

/** Where noise-free clouds or cover, their speckle averaged out, stand 6 dB over the background: pings × samples. */
function trueOutline(
  { scene, track, face, recording, farM, rig }: MadePass,
  what: 'clouds' | 'covers',
): Uint8Array {
  const channel = recording.channels[0]!;
  const { sampleCount: n, pingCount, sampleStepM } = channel;
  const request = { track, faces: [face], pingRate: recording.pingRate, farM, seed: 1 };
  const bare = { ...scene, fish: [], otherSounders: [], layers: [], gear: [], covers: [], clouds: [] };
  const quiet = { ...rig, excessNoiseDb: -80 };
  const alone = simulate({ ...request, scene: { ...bare, [what]: scene[what] }, rig: quiet }).channels[0]!;
  const bedOnly = simulate({ ...request, scene: bare, rig: quiet }).channels[0]!;
  const empty = simulate({ ...request, scene: bare, rig }).channels[0]!;
  const truth = truthOf(scene, track, face.beam.alongRad / 2);
  const bed = Array.from(truth.firstBedRangeM, (r) =>
    Math.min(n, Math.floor((r - 2 * channel.resolutionM) / sampleStepM)),
  );
  const background = new Float64Array(n);
  const counted = new Int32Array(n);
  for (let p = 0; p < pingCount; p++)
    for (let j = 0; j < bed[p]!; j++) {
      background[j]! += powerOf(empty.levelDb[p * n + j]!);
      counted[j]!++;
    }
  const half = Math.max(1, Math.round(MEAN_M / sampleStepM));
  const mask = new Uint8Array(pingCount * n);
  const sum = new Float64Array(n + 1);
  const columnsOf = ({ levelDb }: Channel): Float64Array[] =>
    Array.from({ length: pingCount }, (_, p) => {
      for (let j = 0; j < n; j++) sum[j + 1] = sum[j]! + powerOf(levelDb[p * n + j]!);
      return Float64Array.from({ length: n }, (_x, j) => {
        const [from, to] = [Math.max(0, j - half), Math.min(n, j + half + 1)];
        return (sum[to]! - sum[from]!) / (to - from);
      });
    });
  const columns = columnsOf(alone);
  // A bed that is not even comes in before its nominal range.
  const bedColumns = columnsOf(bedOnly);
  const first = Math.ceil(1 / sampleStepM);
  for (let p = 0; p < pingCount; p++) {
    const [from, to] = [Math.max(0, p - MEAN_PINGS), Math.min(pingCount - 1, p + MEAN_PINGS)];
    for (let j = first; j < bed[p]!; j++) {
      let mean = 0;
      let bedMean = 0;
      for (let q = from; q <= to; q++) {
        mean += columns[q]![j]! / (to - from + 1);
        bedMean += bedColumns[q]![j]! / (to - from + 1);
      }
      const around = background[j]! / Math.max(1, counted[j]!);
      if (mean > OUTLINE_OVER * Math.max(around, bedMean)) mask[p * n + j] = 1;
    }
  }
  return mask;
}

/** What is drawn so high in so many pings is there to be found. */
const DRAWN_PULSES = 2;
const DRAWN_PINGS = 8;

function isDrawn(
  mask: Uint8Array,
  { pingCount, sampleCount: n, sampleStepM, resolutionM }: Channel,
): boolean {
  const least = (DRAWN_PULSES * resolutionM) / sampleStepM;
  let pings = 0;
  for (let p = 0; p < pingCount; p++) {
    let cells = 0;
    for (let j = p * n; j < (p + 1) * n; j++) cells += mask[j]!;
    if (cells >= least) pings++;
  }
  return pings >= DRAWN_PINGS;
}

/** Share of what either holds that both hold. */
function overlap(
  mask: Uint8Array,
  f: CloudFinding,
  { sampleCount: n, sampleStepM, pingCount }: Channel,
): number {
  let both = 0;
  let either = 0;
  for (let p = 0; p < pingCount; p++) {
    const k = p - f.fromPing;
    const inside = k >= 0 && k < f.top.length && !isGap(f.top[k]!);
    const top = inside ? Math.round(f.top[k]! / sampleStepM) : 1;
    const foot = inside ? Math.round(f.bottom[k]! / sampleStepM) : 0;
    for (let j = 0; j < n; j++) {
      const its = j >= top && j <= foot;
      const true_ = mask[p * n + j] === 1;
      if (its && true_) both++;
      if (its || true_) either++;
    }
  }
  return both / Math.max(1, either);
}

function judgeClouds(pass: MadePass, reading: Reading, tally: Tally): void {
  const { scene, track, face, recording } = pass;
  const channel = recording.channels[0]!;
  const truth = truthOf(scene, track, face.beam.alongRad / 2);
  const read = reading.findings.filter((f): f is CloudFinding => f.kind === 'cloud');
  const mine = scene.clouds.map(
    (_, i) =>
      read
        .filter(
          (f) =>
            recording.navigation.timeS[f.fromPing]! < truth.clouds[i]!.timeS + 3 &&
            recording.navigation.timeS[f.toPing]! > truth.clouds[i]!.timeS - 3 &&
            f.rangeM < truth.clouds[i]!.bottomM + 1 &&
            f.rangeM + f.heightM > truth.clouds[i]!.topM - 1,
        )
        .sort((a, b) => b.top.length - a.top.length)[0],
  );
  const there = scene.clouds.length > 0 ? trueOutline(pass, 'clouds') : new Uint8Array();
  scene.clouds.forEach((cloud, i) => {
    const f = mine[i];
    if (!f && !isDrawn(there, channel)) return;
    count(tally, 'clouds found', f !== undefined);
    if (!f) return;
    tally.claims.push(
      ['bait', f.confidence, true],
      ['calm or hunted', f.moodProbability, f.mood === cloud.mood],
    );
    count(tally, 'mood', f.mood === cloud.mood);
    note(tally, 'outline', overlap(there, f, channel));
  });
  for (const f of read) {
    if (mine.includes(f)) continue;
    count(tally, 'false clouds', true);
    tally.claims.push(['bait', f.confidence, false]);
  }
}

/** Everything of one pass of singles and clouds. */
export function judgePass(pass: MadePass, seed: number): Tally {
  const tally = newTally();
  const reading = readChannel(pass.recording, pass.recording.channels[0]!);
  judgeBed(pass, reading, tally);
  judgeFish(pass, reading, tally, seed);
  judgeClouds(pass, reading, tally);
  return tally;
}

/** How far off a fish's own range and time its mark may lie, m and s. */
const OFF = { rangeM: 0.35, timeS: 1.5 } as const;

/** Whether the fish beside what stands on the bed is told from it. */
function isFound({ recording, fishBeside }: NonNullable<ReturnType<typeof withFishBeside>>): boolean {
  return readChannel(recording, recording.channels[0]!).findings.some(
    (f) =>
      f.kind === 'fish' &&
      Math.abs(f.rangeM - fishBeside.rangeM) < OFF.rangeM &&
      Math.abs(f.timeS - fishBeside.timeS) < OFF.timeS,
  );
}

/** What a pass over one thing on the bed, or one fish close over it, was read as. */
export function judgeCover(pass: CoverPass, seed: number): Tally {
  const tally = newTally();
  const reading = readChannel(pass.recording, pass.recording.channels[0]!);
  const t = pass.recording.navigation.timeS;
  const near = reading.findings.filter(
    (f) => t[f.toPing]! > pass.timeS - pass.halfS && t[f.fromPing]! < pass.timeS + pass.halfS,
  );
  const [best] = near
    .filter((f) => f.kind !== 'cloud')
    .sort((a, b) => b.confidence * (b.toPing - b.fromPing) - a.confidence * (a.toPing - a.fromPing));
  const said = best ? (best.kind === 'cover' ? best.cover : 'fish') : 'nothing';
  if (pass.kind === 'fish' || isDrawn(trueOutline(pass, 'covers'), pass.recording.channels[0]!))
    count(tally, `told: ${pass.kind}`, said === pass.kind);
  if (pass.kind !== 'fish')
    note(tally, `fish named: ${pass.kind}`, near.filter((f) => f.kind === 'fish').length);
  const beside = pass.kind === 'fish' ? null : withFishBeside(pass, seed);
  if (beside) count(tally, `fish beside: ${pass.kind}`, isFound(beside));
  if (best)
    tally.claims.push([best.kind === 'cover' ? 'on the bed' : 'fish', best.confidence, said === pass.kind]);
  if (said !== pass.kind) tally.notes.push(`seed ${seed}: ${pass.kind} read as ${said}`);
  return tally;
}
