import type { Finding, FishFinding } from './findings';

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
const STILL_MPS = 0.4;
/** A lure sinks by at least this far, at one of these speeds, m and m/s, or hangs for this long at one depth, s. */
const LEAST_SINK_M = 1.5;
const SINK_MPS = [0.15, 2.5] as const;
/** It begins within this of the surface or of the top mess, m. */
const BEGINS_M = 3;
/** A fish that comes this near has seen it, m; one that leaves by this much has turned away, m. */
const NEAR_M = 1.2;
const AWAY_M = 1.2;
/** How long it must stay under the lure to have followed it, s. */
const FOLLOWS_S = 8;
/** How long turning away takes, s, and from how much farther off a fish must have come, m. */
const TURNS_S = 6;
const COMES_M = 0.4;

const lastOf = (path: Float32Array): number => {
  for (let k = path.length - 1; k >= 0; k--) if (path[k]! === path[k]!) return path[k]!;
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
function sinksFromTop(f: FishFinding, timeS: Float64Array, messM: number): boolean {
  const first = f.path[0]!;
  if (first > messM + BEGINS_M) return false;
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
  messM: number,
): { lures: LureTrack[]; rest: Finding[] } {
  if (speedMps > STILL_MPS) return { lures: [], rest: [...findings] };
  const marks = findings.filter((f): f is FishFinding => f.kind === 'fish');
  const started = marks.filter((f) => sinksFromTop(f, timeS, messM));
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
          timeS[m.fromPing]! - timeS[lure.toPing]! < 6 &&
          Math.abs(m.path[0]! - end) < 0.4 &&
          timeS[m.toPing]! - timeS[m.fromPing]! > FOLLOWS_S,
      );
      if (!next) break;
      own.add(next);
      const path = new Float32Array(next.toPing - lure.fromPing + 1).fill(NaN);
      path.set(lure.path);
      path.set(next.path, next.fromPing - lure.fromPing);
      lure.path = path;
      lure.toPing = next.toPing;
    }
    for (const fish of marks) {
      if (own.has(fish)) continue;
      lure.answers.push(...answersOf(lure, fish, timeS));
    }
    lure.answers.sort((a, b) => a.timeS - b.timeS);
  }
  return { lures, rest: findings.filter((f) => !own.has(f)) };
}

/**
 * Each time a fish comes to the lure and what it then does: it goes off upward with it, turns down again, or stays under it. Where
 * the lure itself is lost (a fish close under it hides it) it is taken to hang where it was last seen.
 */
function answersOf(lure: LureTrack, fish: FishFinding, timeS: Float64Array): LureTrack['answers'] {
  const out: LureTrack['answers'] = [];
  let lureM = NaN;
  let near: { fromS: number; nearestM: number; timeS: number } | null = null;
  let far = false;
  const close = (answer: LureAnswer | null): void => {
    if (near && answer) out.push({ answer, fish, timeS: near.timeS, nearestM: near.nearestM });
    near = null;
    far = false;
  };
  for (let p = fish.fromPing; p <= fish.toPing; p++) {
    const l = p >= lure.fromPing && p <= lure.toPing ? lure.path[p - lure.fromPing]! : NaN;
    // On its way down it passes fish; what they make of it shows once it hangs.
    if (l === l && p >= lure.hangsFromPing) lureM = l;
    const r = fish.path[p - fish.fromPing]!;
    if (r !== r || lureM !== lureM) continue;
    const apart = Math.abs(r - lureM);
    const t = timeS[p]!;
    if (near === null) {
      // It must have come to the lure, not merely lain near it.
      if (apart > NEAR_M + COMES_M) far = true;
      else if (far && apart < NEAR_M) near = { fromS: t, nearestM: apart, timeS: t };
      continue;
    }
    if (apart < near.nearestM) {
      near.nearestM = apart;
      near.timeS = t;
    }
    if (r < lureM - AWAY_M) close('took');
    else if (r > lureM + NEAR_M + AWAY_M)
      close(t - near.fromS > FOLLOWS_S + TURNS_S ? 'followed' : 'refused');
  }
  if (near) close(timeS[fish.toPing]! - (near as { fromS: number }).fromS > FOLLOWS_S ? 'followed' : null);
  return out;
}
