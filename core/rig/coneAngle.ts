/** Most and least a cone is believed to open, rad. */
const LEAST_RAD = (5 * Math.PI) / 180;
const MOST_RAD = (120 * Math.PI) / 180;

const held = (rad: number): number => Math.min(MOST_RAD, Math.max(LEAST_RAD, rad));

/** Full angle of a cone whose footprint is a share of the depth, rad: 2 atan(share / 2). @throws RangeError unless 0 < share ≤ 3 */
export function coneOfShare(share: number): number {
  if (!(share > 0 && share <= 3)) throw new RangeError(`cone: a share of the depth is 0 to 3, got ${share}`);
  return 2 * Math.atan(share / 2);
}

/**
 * Full angle of a cone from a weight that is just lost so far to the side at a depth, rad: 2 atan(side / depth).
 * @throws RangeError unless both are above 0
 */
export function coneFromWeight(sideM: number, depthM: number): number {
  if (!(sideM > 0 && depthM > 0))
    throw new RangeError('cone: depth and distance to the side must be above 0');
  return 2 * Math.atan(sideM / depthM);
}

/** What is quoted for one frequency runs from this share of a usual cone to that (8 to 20° where 12.5° is usual). */
const NARROWEST = 0.64;
const WIDEST = 1.6;

/** Widest and narrowest a cone of a kind may open when its angle is not known, rad. */
export const coneSpan = (usualRad: number): readonly [number, number] => [
  held(NARROWEST * usualRad),
  held(WIDEST * usualRad),
];
