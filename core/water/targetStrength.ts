import { toDb } from '@/core/maths';

/**
 * What a fish carries of a swim bladder; it makes most of its echo.
 * open = with a duct (herrings, trouts), closed = without (perches, basses, cods), small = little or none (mackerels, sculpins).
 */
export type Bladder = 'open' | 'closed' | 'small';

/** Level of a kind against the all-fish fit, dB (Foote 1987: open lies 4.5 dB under closed; without one 10 dB lower, Foote 1980). */
const BLADDER_DB: Record<Bladder, number> = { closed: 0, open: -4.5, small: -10 };

/** Slope of level on the logarithm of length (Love 1977). */
const LENGTH_SLOPE = 19.1;

/** Standard deviation of one ping's echo about the mean from tilt and aspect, dB. */
export const SINGLE_PING_SPREAD_DB = 5.5;

/** Standard deviation of the mean echo of one pass about the fit, dB. */
export const PASS_SPREAD_DB = 2.5;

/**
 * Mean dorsal target strength, dB re 1 m² (Love 1977; good for lengths of 1 to 130 wavelengths).
 * @param lengthM above 0 @param frequencyHz above 0 @throws RangeError otherwise
 */
export function fishTargetStrength(
  lengthM: number,
  frequencyHz: number,
  bladder: Bladder = 'closed',
): number {
  if (!(lengthM > 0)) throw new RangeError(`target strength: length must be above 0, got ${lengthM} m`);
  if (!(frequencyHz > 0))
    throw new RangeError(`target strength: frequency must be above 0, got ${frequencyHz} Hz`);
  return (
    LENGTH_SLOPE * Math.log10(lengthM * 100) - 0.9 * Math.log10(frequencyHz / 1000) - 62 + BLADDER_DB[bladder]
  );
}

/** Length in metres of a fish whose mean dorsal target strength is `tsDb`: the inverse of fishTargetStrength. */
export function fishLengthOf(tsDb: number, frequencyHz: number, bladder: Bladder = 'closed'): number {
  if (!Number.isFinite(tsDb))
    throw new RangeError(`fish length: target strength must be a number, got ${tsDb}`);
  return (
    Math.pow(10, (tsDb - BLADDER_DB[bladder] + 62 + 0.9 * Math.log10(frequencyHz / 1000)) / LENGTH_SLOPE) /
    100
  );
}

/** Factor by which a length is unsure when its echo is unsure by `errorDb`. */
export const lengthFactorOf = (errorDb: number): number => Math.pow(10, errorDb / LENGTH_SLOPE);

/** Density of lead, kg/m³. */
const LEAD = 11340;

/**
 * Target strength of a small lead or tungsten weight as a rigid sphere, dB re 1 m² (TS = 20 log a/2; rough at ka 2–4).
 * @param massKg above 0 @throws RangeError otherwise
 */
export function weightTargetStrength(massKg: number, densityKgM3 = LEAD): number {
  if (!(massKg > 0)) throw new RangeError(`target strength: mass must be above 0, got ${massKg} kg`);
  const radius = Math.cbrt((3 * massKg) / (4 * Math.PI * densityKgM3));
  return toDb((radius / 2) ** 2);
}
