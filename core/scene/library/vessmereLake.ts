import { seededRandom } from '@/core/maths';
import { bell, step, swells, WATERS } from './waters';

/** Where x = y = 0 of the lake lies. */
export const VESSMERE_ORIGIN = WATERS.Vessmere.origin;
/** Its sunk timber crib, m east and north of there. */
export const VESSMERE_CRIB = [34, 18] as const;

const rough = swells(seededRandom(34).fork('lake'), 0.7, 60);

/** Depth of the invented lake at a place east and north of its middle, m: a shelf in the east, a channel with a ledge, a shell bar, a soft basin. */
export function vessmereDepth(x: number, y: number): number {
  const basin = 26 - 15 * step(x, -60, 150) - 6 * step(Math.abs(y), 120, 160);
  const channel = 5 * bell((y + 0.25 * x + 30) / 16);
  const bar = 5.5 * bell((x - 70) / 26) * bell((y - 60) / 30);
  return Math.min(34, Math.max(1.5, basin + channel - bar + rough(x, y)));
}
