import { median } from '@/core/maths';
import type { BedShape } from './bedShape';

/** A stretch over which the bed falls or rises steeply along the way. */
export interface SteepSlope {
  fromPing: number;
  toPing: number;
  /** Median of it along the way, rad, down ahead positive. */
  slopeRad: number;
}

/** From this slope on what is drawn lies clearly over the true depth, rad (8°: 1 %); what is steeper than the second is a step (35°). */
const STEEP_RAD = 0.14;
const STEP_RAD = 0.61;
/** Shorter than this, m, it is a step or a hump, and what a few pings do may be waves. */
const LEAST_WAY_M = 8;
const LEAST_PINGS = 30;

/** The steepest stretch of a bed; null where none is steep. @param wayM of the boat by ping, m */
export function steepSlope(
  { slopeRad }: Pick<BedShape, 'slopeRad'>,
  wayM: ArrayLike<number>,
): SteepSlope | null {
  let steepest: SteepSlope | null = null;
  for (let from = 0, to = 0; from < slopeRad.length; from = to + 1) {
    const sign = Math.sign(slopeRad[from]!);
    to = from;
    if (!(Math.abs(slopeRad[from]!) >= STEEP_RAD)) continue;
    while (to + 1 < slopeRad.length && sign * slopeRad[to + 1]! >= STEEP_RAD) to++;
    if (to - from + 1 < LEAST_PINGS || wayM[to]! - wayM[from]! < LEAST_WAY_M) continue;
    const slope = median(Array.from(slopeRad.subarray(from, to + 1)));
    if (Math.abs(slope) < STEP_RAD && !(Math.abs(slope) <= Math.abs(steepest?.slopeRad ?? 0)))
      steepest = { fromPing: from, toPing: to, slopeRad: slope };
  }
  return steepest;
}
