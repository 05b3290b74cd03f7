import { distanceM, type Position } from '@/core/maths';
import type { BoatPlace } from '@/core/rig';
import { bearingTo, placeOnBoat, turnTo } from './bearing';
import type { Fix } from './markPlace';

/** Speed a boat loses in neutral, as the way it still runs for each m/s: until its own is learned. */
export const USUAL_RUN_ON_S = 4;

export interface WayBack {
  bearingRad: number;
  distanceM: number;
  /** To starboard positive, from where the bow points. */
  steerRad: number;
  /** Way the boat still runs out of gear, m. */
  runOnM: number;
  /** The transducer, not the antenna, is within the mark's circle. */
  over: boolean;
}

/**
 * The way back to a place, told from the face and not from the antenna.
 * @param face where it stands from the antenna, m forward and to port
 * @param runOnS way still run out of gear for each m/s, s
 */
export function wayBack(
  now: Fix,
  face: BoatPlace,
  speedMps: number,
  mark: { place: Position; errorM: number },
  runOnS = USUAL_RUN_ON_S,
): WayBack {
  const faceAt = placeOnBoat(now.place, now.headingRad, face);
  const distance = distanceM(faceAt, mark.place);
  const bearingRad = bearingTo(faceAt, mark.place);
  return {
    bearingRad,
    distanceM: distance,
    steerRad: turnTo(now.headingRad, bearingRad),
    runOnM: runOnS * speedMps,
    over: distance <= Math.max(2, mark.errorM),
  };
}

/** How far a boat lies from its spot along and across its bow, m: ahead and to port positive. */
export function offSpot(now: Fix, face: BoatPlace, spot: Position): { aheadM: number; portM: number } {
  const faceAt = placeOnBoat(now.place, now.headingRad, face);
  const distance = distanceM(faceAt, spot);
  const turn = turnTo(now.headingRad, bearingTo(faceAt, spot));
  // The spot ahead means that the boat lies behind it.
  return { aheadM: distance * Math.cos(turn), portM: -distance * Math.sin(turn) };
}

/** How fast the boat must slow to count as out of gear, and the speeds between which its run-on is learned, m/s. */
const SLOWING = 0.06;
const LEAST_FROM_MPS = 0.9;

/**
 * Way run out of gear for each m/s, s, learned from a track: stretches in which the speed falls steadily to nothing. Null where there is none.
 * @param speeds by second
 */
export function learnedRunOn(speeds: readonly { atS: number; speedMps: number }[]): number | null {
  const found: number[] = [];
  for (let i = 0; i + 1 < speeds.length; i++) {
    const from = speeds[i]!.speedMps;
    if (from < LEAST_FROM_MPS) continue;
    let k = i;
    let way = 0;
    while (k + 1 < speeds.length && speeds[k + 1]!.speedMps < speeds[k]!.speedMps - SLOWING * 0.1) {
      const { atS, speedMps } = speeds[k]!;
      way += ((speedMps + speeds[k + 1]!.speedMps) / 2) * (speeds[k + 1]!.atS - atS);
      k++;
    }
    if (k - i >= 3 && speeds[k]!.speedMps < 0.25 * from) {
      found.push(way / from);
      i = k;
    }
  }
  if (found.length === 0) return null;
  found.sort((a, b) => a - b);
  return found[Math.floor(found.length / 2)]!;
}
