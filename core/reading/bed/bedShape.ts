import { clamp, isGap } from '@/core/maths';
import { wayOf, type Channel, type Navigation } from '@/core/recording';
import { deadZone } from '@/core/rig';
import type { BedLine } from './bedLine';

/** What the first echo says of the bed below, by ping; NaN where there is no bed. */
export interface BedShape {
  /** Slope of the drawn line along the way, rad, down ahead positive. */
  slopeRad: Float32Array;
  /** True depth straight below lies between these, m. */
  depthLowM: Float32Array;
  depthHighM: Float32Array;
  /** Height over the bed in which a fish at half the beam's width is hidden, m. */
  deadZoneM: Float32Array;
}

/** Way over which the slope is taken, m. */
const WAY_M = 4;
/** Slopes across the way are not seen; they are taken for no steeper than this, rad (about 8°), or than the one along it. */
const ACROSS_RAD = 0.14;

/** Steepest slope that is reckoned with, rad. */
const STEEPEST_RAD = 1.1;

/**
 * Slope along the way from how fast the first echo's range changes: by sin s a metre where the beam, `half` to either side, reaches the
 * foot of the perpendicular, and by sin s / cos(s − half) where it does not.
 */
function slopeOf(perM: number, half: number): number {
  let slope = Math.asin(clamp(perM, -0.9, 0.9));
  for (let k = 0; k < 2; k++) slope = Math.asin(clamp(perM * Math.cos(beyondBeam(slope, half)), -0.9, 0.9));
  return slope;
}

/** How far the foot of the perpendicular to a slope lies outside a beam of this half width, rad. */
export const beyondBeam = (slopeRad: number, half: number): number => Math.max(0, Math.abs(slopeRad) - half);

/**
 * Slope, true depth and dead zone from the first echo's range. Over a plane of slope s the first echo comes from d·cos s, or from
 * d·cos s / cos(s − h) where a beam of half width h does not reach so far. Its skirt reaches farther than its half power, and the slope
 * across is not seen, so the depth is an interval.
 */
export function bedShape(
  channel: Channel,
  { rangeM }: BedLine,
  { eastM, northM, pitchRad }: Navigation,
): BedShape {
  const pings = channel.pingCount;
  const blank = (): Float32Array => new Float32Array(pings).fill(NaN);
  const shape: BedShape = { slopeRad: blank(), depthLowM: blank(), depthHighM: blank(), deadZoneM: blank() };
  const way = wayOf({ eastM, northM });
  const half = Math.max(channel.beam.alongRad, channel.beam.athwartRad) / 2;
  let a = 0;
  let b = 0;
  let from = 0;
  let to = 0;
  for (let p = 0; p < pings; p++) {
    const range = rangeM[p]!;
    if (!(range > 0)) continue;
    while (a < p && way[p]! - way[a]! > WAY_M / 2) a++;
    if (b < p) b = p;
    while (b < pings - 1 && way[b + 1]! - way[p]! <= WAY_M / 2) b++;
    const rise = rangeM[b]! - rangeM[a]!;
    const over = way[b]! - way[a]!;
    const along = over > 0.5 && !isGap(rise) ? slopeOf(rise / over, channel.beam.alongRad / 2) : 0;
    shape.slopeRad[p] = along;
    const across = Math.min(half, Math.max(ACROSS_RAD, Math.abs(along)));
    // A beam that looks ahead or astern sees the bed by its nearer edge: no deeper than what is drawn there.
    const looked = Math.cos(Math.min(half, Math.abs(pitchRad[p]!)));
    // At a step no plane goes on: no deeper than what is drawn within the beam's reach.
    const reachM = WAY_M / 2 + range * Math.tan(Math.min(STEEPEST_RAD, half));
    while (from < p && way[p]! - way[from]! > reachM) from++;
    if (to < p) to = p;
    while (to < pings - 1 && way[to + 1]! - way[p]! <= reachM) to++;
    let deepest = range;
    for (let q = from; q <= to; q++) if (rangeM[q]! > deepest) deepest = rangeM[q]!;
    deepest /= Math.cos(Math.min(half, across));
    const low = (looked * range * Math.cos(beyondBeam(along, half))) / Math.cos(along);
    shape.depthLowM[p] = Math.min(deepest, low);
    const high = range / Math.cos(Math.min(STEEPEST_RAD, Math.hypot(along, across)));
    shape.depthHighM[p] = Math.min(deepest, high);
    shape.deadZoneM[p] = shape.depthHighM[p]! - range + deadZone(range, half / 2, channel.resolutionM);
  }
  return shape;
}
