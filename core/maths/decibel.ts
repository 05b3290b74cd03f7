/** Power ratio → decibels. Zero or less gives −Infinity. */
export const toDb = (power: number): number => (power > 0 ? 10 * Math.log10(power) : -Infinity);

/** Decibels → power ratio. */
export const fromDb = (db: number): number => Math.pow(10, db / 10);

/** Sum of levels as powers, dB. An empty list gives −Infinity. */
export function sumDb(levels: readonly number[]): number {
  let power = 0;
  for (const level of levels) power += fromDb(level);
  return toDb(power);
}

/** Pressure ratio → decibels. Zero or less gives −Infinity. */
export const amplitudeToDb = (amplitude: number): number =>
  amplitude > 0 ? 20 * Math.log10(amplitude) : -Infinity;

/** Decibels → pressure ratio. */
export const amplitudeFromDb = (db: number): number => Math.pow(10, db / 20);
