/** How large a cell of the picture is at the eye, minutes of arc. */
export interface Viewing {
  cellArcmin: number;
}

/** A picture so wide, looked at from so far. @throws RangeError unless all are above 0 */
export function viewing(widthMm: number, columns: number, distanceMm: number): Viewing {
  if (!(widthMm > 0 && columns > 0 && distanceMm > 0))
    throw new RangeError(
      `viewing: width, columns and distance must be above 0, got ${widthMm}, ${columns}, ${distanceMm}`,
    );
  return { cellArcmin: (Math.atan(widthMm / columns / distanceMm) * 180 * 60) / Math.PI };
}

/** Difference told at a glance, ΔE: twice the just noticeable 2.3 (Mahy et al. 1994). */
export const GLANCE = 4.6;
/**
 * Ricco's law: under this area contrast must rise as area falls, arcmin² (a disc of 10′, larger than in the fovea's middle since a
 * screen is searched, not stared at; Scholtes & Bouman 1977).
 */
export const RICCO_ARCMIN2 = 80;
/** Least difference between a palette's first colour and its ground, ΔE. */
const FIRST_COLOUR = 25;

/**
 * Area at the eye from which a mark in the first colour is told at a glance, arcmin²: under it contrast and area make up for each
 * other (Ricco's law).
 */
export const LEAST_MARK_ARCMIN2 = (RICCO_ARCMIN2 * GLANCE) / FIRST_COLOUR;

/** Specks that halve what the water is worth, per hundred by hundred cells. */
export const HALVING_SPECKS = 7;
