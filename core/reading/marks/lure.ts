import { isGap } from '@/core/maths';
import type { Finding, FishFinding } from '../finding';

/** How a fish answered: it kept under the lure, turned away from it, or its mark and the lure's became one and moved off. */
export type LureAnswer = 'followed' | 'refused' | 'took';

/** An own lure, and what answered it. */
export interface LureTrack {
  fromPing: number;
  toPing: number;
  /** Ping from which it hangs at its depth. */
  hangsFromPing: number;
  /** Range by ping, m, NaN where it was lost; a row of fromPing…toPing. */
  path: Float32Array;
  answers: { answer: LureAnswer; fish: FishFinding; timeS: number; nearestM: number }[];
}

/** Faster over the ground than this a lure does not stay in the beam, m/s. */
export const FASTEST_LURE_MPS = 0.6;
/** A lure sinks by at least this far, at one of these speeds, m and m/s, or hangs for this long at one depth, s. */
const LEAST_SINK_M = 1.5;
const SINK_MPS = [0.15, 2.5] as const;
/** It begins within this of the surface or of the surface clutter, m. */
const BEGINS_M = 3;
/** A fish that comes this near has seen it, m; one that leaves by this much has turned away, m. */
const NEAR_M = 1.2;
const AWAY_M = 1.2;
/** How long it must stay under the lure to have followed it, s. */
const FOLLOWS_S = 8;
/** How long turning away takes, s, and from how much farther off a fish must have come, m. */
const TURNS_S = 6;
const COMES_M = 0.4;

/** Something that goes up with the lure has left its depth within this, s. */
const GOES_UP_S = 8;
/** A mark seen so late in a recording would have gone on, s. */
const ENDS_S = 1;
/** A mark that leaps by more than this, m, and this for each second it was lost, m/s, is another fish's from there. */
const LEAPS_M = 0.8;
const LEAPS_MPS = 1.5;
/** A lure lost for up to this long, s, goes on where it hung, if it is seen there for this long, s. */
const LOST_S = 6;
const HANGS_S = 3;

const lastOf = (path: Float32Array): number => {
  for (let k = path.length - 1; k >= 0; k--) if (!isGap(path[k]!)) return path[k]!;
  return NaN;
};

/** The first time a path reaches its depth, as an index. */
function hangsAt(path: Float32Array): number {
  const deepest = path.reduce((a, b) => (b > a ? b : a), path[0]!);
  let at = 0;
  while (!(path[at]! > deepest - 0.3)) at++;
  return at;
}

/** Whether a mark sinks from the surface as a thing on a line does: steadily, and never faster than it first did. */
function sinksFromTop(f: FishFinding, timeS: Float64Array, clutterM: number): boolean {
  const first = f.path[0]!;
  if (first > clutterM + BEGINS_M) return false;
  const at = hangsAt(f.path);
  if (!(f.path[at]! - first > LEAST_SINK_M)) return false;
  const seconds = timeS[f.fromPing + at]! - timeS[f.fromPing]!;
  const speed = (f.path[at]! - first) / Math.max(seconds, 1e-3);
  if (!(speed > SINK_MPS[0] && speed < SINK_MPS[1])) return false;
  // A straight run: half way down at half the time, within a fifth.
  let half = 0;
  while (!(f.path[half]! > (first + f.path[at]!) / 2)) half++;
  return Math.abs(half / Math.max(1, at) - 0.5) < 0.2;
}

/**
 * Finds own lures among the marks of a boat that keeps its place, and how fish answered them. What is the lure's is taken out of
 * the marks.
 */
export function findLures(
  findings: readonly Finding[],
  timeS: Float64Array,
  speedMps: number,
  clutterM: number,
): { lures: LureTrack[]; rest: Finding[] } {
  if (speedMps > FASTEST_LURE_MPS) return { lures: [], rest: [...findings] };
  const marks = findings.filter((f): f is FishFinding => f.kind === 'fish');
  const started = marks.filter((f) => sinksFromTop(f, timeS, clutterM));
  const own = new Set<Finding>(started);
  const lures = started.map((f): LureTrack => ({
    fromPing: f.fromPing,
    toPing: f.toPing,
    hangsFromPing: f.fromPing + hangsAt(f.path),
    path: f.path,
    answers: [],
  }));
  for (const lure of lures) {
    // A lure lost for a while goes on where it hung.
    for (;;) {
      const end = lastOf(lure.path);
      const next = marks.find(
        (m) =>
          !own.has(m) &&
          m.fromPing > lure.toPing &&
          timeS[m.fromPing]! - timeS[lure.toPing]! < LOST_S &&
          Math.abs(m.path[0]! - end) < 0.4 &&
          timeS[m.toPing]! - timeS[m.fromPing]! > HANGS_S,
      );
      if (!next) break;
      own.add(next);
      const path = new Float32Array(next.toPing - lure.fromPing + 1).fill(NaN);
      path.set(lure.path);
      path.set(next.path, next.fromPing - lure.fromPing);
      lure.path = path;
      lure.toPing = next.toPing;
    }
    const visits: Visit[] = [];
    for (const fish of marks) {
      if (own.has(fish)) continue;
      visits.push(...answersOf(lure, fish, marks, timeS));
    }
    lure.answers = visits
      .map((visit): LureTrack['answers'][number] | null => {
        const { answer, fish, nearestM, timeS: nearestS, cameS, leftS } = visit;
        if (answer !== 'took') return { answer, fish, nearestM, timeS: nearestS };
        if (tookIt(visit, visits)) return { answer, fish, nearestM, timeS: leftS };
        return leftS - cameS > FOLLOWS_S ? { answer: 'followed', fish, nearestM, timeS: nearestS } : null;
      })
      .filter((answer) => answer !== null)
      .sort((a, b) => a.timeS - b.timeS);
  }
  return { lures, rest: findings.filter((f) => !own.has(f)) };
}

/** An answer, with when the fish came to the lure and when it was last seen by it, s. */
type Visit = LureTrack['answers'][number] & { cameS: number; leftS: number };

/** One fish takes a lure: of several whose marks run into the one that goes up, the last to come. */
const tookIt = (visit: Visit, all: readonly Visit[]): boolean =>
  !all.some(
    (o) =>
      o !== visit &&
      o.answer === 'took' &&
      Math.abs(o.leftS - visit.leftS) < GOES_UP_S + TURNS_S &&
      o.cameS > visit.cameS,
  );

/**
 * Whether something goes up from the lure's depth within a few seconds of a moment: the lure's own mark, or one that begins there.
 * Lure and hooked fish are one mark, and either may be the one that was followed.
 */
function goesUp(
  lure: LureTrack,
  lureM: number,
  marks: readonly FishFinding[],
  timeS: Float64Array,
  atS: number,
): boolean {
  const rises = (path: Float32Array, fromPing: number): boolean =>
    path.some((r, k) => r < lureM - AWAY_M && Math.abs(timeS[fromPing + k]! - atS) < GOES_UP_S);
  const ends = timeS[lure.toPing]!;
  if (ends > atS - TURNS_S && rises(lure.path, lure.fromPing)) return true;
  return marks.some(
    (m) =>
      Math.abs(timeS[m.fromPing]! - atS) < TURNS_S &&
      Math.abs(m.path[0]! - lureM) < NEAR_M &&
      rises(m.path, m.fromPing),
  );
}

/**
 * Each time a fish comes to the lure and what it then does: it goes off upward with it, turns down again, or stays under it. A mark
 * that ends at the lure as something goes up from there is a fish that took it. Where the lure itself is lost (a fish close under
 * it hides it) it is taken to hang where it was last seen.
 */
function answersOf(
  lure: LureTrack,
  fish: FishFinding,
  marks: readonly FishFinding[],
  timeS: Float64Array,
): Visit[] {
  const out: Visit[] = [];
  /** Depth of the lure, and of the fish when it was last seen and when. */
  let lureM = NaN;
  let lastM = NaN;
  let lastS = NaN;
  let near: { fromS: number; nearestM: number; atM: number; lureM: number; timeS: number } | null = null;
  let far = false;
  const close = (answer: LureAnswer | null): void => {
    if (near && answer)
      out.push({
        answer,
        fish,
        timeS: near.timeS,
        nearestM: near.nearestM,
        cameS: near.fromS,
        leftS: lastS,
      });
    near = null;
    far = false;
  };
  const ended = (): void => {
    if (!near) return;
    const { fromS, lureM: atM } = near as { fromS: number; lureM: number };
    const others = marks.filter((m) => m !== fish);
    // A mark that lasts to the end of the recording has not ended at the lure.
    const goesOn = lastS > timeS[timeS.length - 1]! - ENDS_S;
    if (!goesOn && lastM < atM + 2 * NEAR_M && goesUp(lure, atM, others, timeS, lastS)) close('took');
    else close(lastS - fromS > FOLLOWS_S ? 'followed' : null);
  };
  for (let p = fish.fromPing; p <= fish.toPing; p++) {
    const l = p >= lure.fromPing && p <= lure.toPing ? lure.path[p - lure.fromPing]! : NaN;
    // On its way down it passes fish; what they make of it shows once it hangs.
    if (!isGap(l) && p >= lure.hangsFromPing) lureM = l;
    const r = fish.path[p - fish.fromPing]!;
    if (isGap(r) || isGap(lureM)) continue;
    const t = timeS[p]!;
    // No fish is so far off in a moment: the mark has gone over to another.
    if (Math.abs(r - lastM) > LEAPS_M + LEAPS_MPS * (t - lastS)) ended();
    lastM = r;
    lastS = t;
    const apart = Math.abs(r - lureM);
    if (near === null) {
      // It must have come to the lure, not merely lain near it.
      if (apart > NEAR_M + COMES_M) far = true;
      else if (far && apart < NEAR_M) near = { fromS: t, nearestM: apart, atM: r, lureM, timeS: t };
      continue;
    }
    if (apart < near.nearestM) Object.assign(near, { nearestM: apart, atM: r, lureM, timeS: t });
    if (r < near.lureM - AWAY_M) close('took');
    // The fish must be the one that leaves: a lure that is taken up is no refusal.
    else if (r > near.atM + AWAY_M && apart > NEAR_M + AWAY_M)
      close(t - near.fromS > FOLLOWS_S + TURNS_S ? 'followed' : 'refused');
  }
  ended();
  return out;
}
