import { PLANING_MPS } from '@/core/advice/brief';
import { offsetFrom, type Position } from '@/core/maths';

/** Lanes laid on the water: parallel, side by side about a middle. */
export interface LaidLanes extends Position {
  /** The way they run, rad clockwise from north. */
  headingRad: number;
  lengthM: number;
  count: number;
  /** From one lane to the next, m; of a single lane the width it stands for. */
  spacingM: number;
  /** Width the beam covers under a track, m. */
  swathM: number;
}

/** A point of a boat's track. */
export interface TrackedPlace extends Position {
  timeS: number;
  /** Null where nobody knew. */
  speedMps: number | null;
}

/** A lane and what of it is left: stretches from its start, m. */
export interface LaneLeft {
  acrossM: number;
  left: readonly (readonly [fromM: number, toM: number])[];
}

/** A lane is looked at in pieces of this length, m, each in so many strips across; with one strip unseen it still counts as done. */
const PIECE_M = 2;
const STRIPS = 4;
const STRIPS_DONE = 3;
/** Points farther apart in time are not joined, s. */
const GAP_S = 60;

/**
 * What is left of each lane after a track: a piece is done when the beam's width about the track has covered three quarters of the
 * water it stands for. @throws RangeError unless length, spacing and swath are above 0 and there is a lane
 */
export function lanesLeft(lanes: LaidLanes, track: readonly TrackedPlace[]): LaneLeft[] {
  const { headingRad, lengthM, count, spacingM, swathM } = lanes;
  if (!(lengthM > 0 && spacingM > 0 && swathM > 0 && count >= 1))
    throw new RangeError('lanes: length, spacing and swath must be above 0, and one lane at least');
  const pieces = Math.max(1, Math.round(lengthM / PIECE_M));
  const pieceM = lengthM / pieces;
  const strips = count * STRIPS;
  const stripM = spacingM / STRIPS;
  const seen = new Uint8Array(pieces * strips);
  const [cos, sin] = [Math.cos(headingRad), Math.sin(headingRad)];
  const halfAcross = (count * spacingM) / 2;
  const inLanes = (place: Position): [along: number, across: number] => {
    const { eastM, northM } = offsetFrom(lanes, place);
    return [northM * cos + eastM * sin + lengthM / 2, eastM * cos - northM * sin + halfAcross];
  };
  const reach = swathM / 2;
  for (let k = 1; k < track.length; k++) {
    const [a, b] = [track[k - 1]!, track[k]!];
    const gap = b.timeS - a.timeS;
    if (!(gap >= 0 && gap <= GAP_S) || (b.speedMps ?? 0) > PLANING_MPS) continue;
    const [ax, ay] = inLanes(a);
    const [bx, by] = inLanes(b);
    const length2 = (bx - ax) ** 2 + (by - ay) ** 2;
    const first = Math.max(0, Math.floor((Math.min(ax, bx) - reach) / pieceM));
    const last = Math.min(pieces - 1, Math.floor((Math.max(ax, bx) + reach) / pieceM));
    const low = Math.max(0, Math.floor((Math.min(ay, by) - reach) / stripM));
    const high = Math.min(strips - 1, Math.floor((Math.max(ay, by) + reach) / stripM));
    for (let piece = first; piece <= last; piece++)
      for (let strip = low; strip <= high; strip++) {
        const x = (piece + 0.5) * pieceM;
        const y = (strip + 0.5) * stripM;
        const along = length2 > 0 ? ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / length2 : 0;
        const at = Math.min(1, Math.max(0, along));
        if (Math.hypot(x - ax - at * (bx - ax), y - ay - at * (by - ay)) <= reach)
          seen[strip * pieces + piece] = 1;
      }
  }
  return Array.from({ length: count }, (_, lane) => {
    const left: [number, number][] = [];
    let lastLeft = -2;
    for (let piece = 0; piece < pieces; piece++) {
      let done = 0;
      for (let strip = 0; strip < STRIPS; strip++) done += seen[(lane * STRIPS + strip) * pieces + piece]!;
      if (done >= STRIPS_DONE) continue;
      if (piece === lastLeft + 1 && left.length > 0) left[left.length - 1]![1] = (piece + 1) * pieceM;
      else left.push([piece * pieceM, (piece + 1) * pieceM]);
      lastLeft = piece;
    }
    return { acrossM: (lane + 0.5) * spacingM - halfAcross, left };
  });
}

/** Way left on lanes, m. */
export const lengthLeft = (lanes: readonly LaneLeft[]): number =>
  lanes.reduce((sum, { left }) => sum + left.reduce((way, [from, to]) => way + to - from, 0), 0);
