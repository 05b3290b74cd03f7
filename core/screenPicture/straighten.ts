import type { Point } from './calibration';

/** A place in a picture, px. */
export interface Pixel {
  x: number;
  y: number;
}

/**
 * From a unit square to a quadrangle: the projective map that a camera held askew makes of a flat screen (Heckbert 1989, §2.2.2).
 * @param corners top left, top right, bottom right, bottom left, in any unit
 * @returns the place of a share across and down, 0…1, in the unit of the corners; written into `into` where it is given
 * @throws RangeError for corners that lie on one line
 */
export function squareToQuad(
  corners: readonly [Point, Point, Point, Point],
): (u: number, v: number, into?: Pixel) => Pixel {
  const [p0, p1, p2, p3] = corners;
  const dx1 = p1.x - p2.x;
  const dx2 = p3.x - p2.x;
  const dy1 = p1.y - p2.y;
  const dy2 = p3.y - p2.y;
  const sx = p0.x - p1.x + p2.x - p3.x;
  const sy = p0.y - p1.y + p2.y - p3.y;
  const area = dx1 * dy2 - dx2 * dy1;
  if (Math.abs(area) < 1e-9) throw new RangeError('screen picture: its corners lie on one line');
  const g = (sx * dy2 - dx2 * sy) / area;
  const h = (dx1 * sy - sx * dy1) / area;
  const a = p1.x - p0.x + g * p1.x;
  const b = p3.x - p0.x + h * p3.x;
  const d = p1.y - p0.y + g * p1.y;
  const e = p3.y - p0.y + h * p3.y;
  return (u, v, into = { x: 0, y: 0 }) => {
    const w = g * u + h * v + 1;
    into.x = (a * u + b * v + p0.x) / w;
    into.y = (d * u + e * v + p0.y) / w;
    return into;
  };
}
