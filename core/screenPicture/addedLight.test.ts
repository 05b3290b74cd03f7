import type { Rgb } from '@/core/picture';
import { addedLight } from './addedLight';

const GROUND: Rgb = [12, 20, 40];
/** A lamp's blob of light. */
const lamp = (u: number, v: number): number =>
  80 * Math.exp(-(((u - 0.6) / 0.25) ** 2) - ((v - 0.3) / 0.3) ** 2);
const lit = ([r, g, b]: Rgb, light: number): Rgb => [r + light, g + light, b + light];

describe('light on the glass', () => {
  it('is found where the ground is brighter, and goes on over a bed that hides it', () => {
    const bed: Rgb = [200, 120, 60];
    const light = addedLight((u, v) => lit(v > 0.7 ? bed : GROUND, lamp(u, v)), GROUND);
    for (const [u, v] of [
      [0.6, 0.3],
      [0.45, 0.4],
      [0.75, 0.2],
      [0.1, 0.6],
    ] as const)
      expect(Math.abs(light(u, v) - lamp(u, v))).toBeLessThan(12);
  });
  it('is none on a plain screen, however grey and bright its bed', () => {
    const light = addedLight((u, v) => (v > 0.6 + 0.1 * u ? [190, 190, 190] : [2, 2, 2]), [2, 2, 2]);
    for (const [u, v] of [
      [0.2, 0.2],
      [0.5, 0.8],
      [0.9, 0.95],
    ] as const)
      expect(light(u, v)).toBe(0);
  });
});
