import { fromDb, toDb } from '@/core/maths';

/**
 * What a fish carries of a swim bladder; it makes most of its echo.
 * open = with a duct (herrings, trouts), closed = without (perches, basses, cods), small = little or none (mackerels, sculpins).
 */
export type Bladder = 'open' | 'closed' | 'small';

/** Level of a kind against the all-fish fit, dB (Foote 1987: open lies 4.5 dB under closed; without one 10 dB lower, Foote 1980). */
const BLADDER_DB: Record<Bladder, number> = { closed: 0, open: -4.5, small: -10 };

/** Slope of level on the logarithm of length (Love 1977). */
const LENGTH_SLOPE = 19.1;

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

/** Half width of a fish's lobe in tilt, rad: narrower for a long fish at a high frequency, never under 7° (a real bladder is no plane). */
const LOBE_RAD = [(7 * Math.PI) / 180, (25 * Math.PI) / 180] as const;
/** Share of the body length that the bladder's upper face takes. */
const BLADDER_SHARE = 0.25;
/** Parts of a fish that answer: along the body in body lengths from its middle, power share, and phase in turns. The bladder leads. */
export const FISH_HIGHLIGHTS = [
  { along: 0.02, share: 0.66, turns: 0 },
  { along: 0.3, share: 0.2, turns: 0.33 },
  { along: -0.25, share: 0.14, turns: 0.66 },
] as const;

/** Most an echo loses by tilt, dB: the body answers from every side. */
const MOST_TILT_LOSS_DB = 12;
/** Spread of the tilt of fish that swim as they please, rad (about 8°, Foote 1980). */
const USUAL_TILT_RAD = (8 * Math.PI) / 180;

/** Loss against a fish seen square from above, dB, 0 or more. */
export function tiltLoss(lengthM: number, wavelengthM: number, tiltRad: number): number {
  const half = Math.asin(Math.min(0.99, (0.443 * wavelengthM) / (BLADDER_SHARE * lengthM)));
  const lobe = half < LOBE_RAD[0] ? LOBE_RAD[0] : half > LOBE_RAD[1] ? LOBE_RAD[1] : half;
  const loss = 3 * (tiltRad / lobe) ** 2;
  return loss < MOST_TILT_LOSS_DB ? loss : MOST_TILT_LOSS_DB;
}

/**
 * Level of one ping against the mean of fishTargetStrength for a fish seen `tiltRad` off square-on, dB: a parabolic
 * lobe after Nakken & Olsen (1977), its width that of a line of a quarter of the body, scaled so that the mean power
 * over the usual spread of tilt is 0 dB.
 * @param lengthM above 0 @param wavelengthM above 0 @param tiltRad −π/2…π/2, head up or down against the beam
 */
export function tiltEffect(lengthM: number, wavelengthM: number, tiltRad: number): number {
  return squareOnGain(lengthM, wavelengthM) - tiltLoss(lengthM, wavelengthM, tiltRad);
}

/** How far a fish seen square from above stands over its mean, dB. */
export function squareOnGain(lengthM: number, wavelengthM: number): number {
  let power = 0;
  let weight = 0;
  for (let k = -20; k <= 20; k++) {
    const w = Math.exp(-0.5 * (k / 8) ** 2);
    power += w * fromDb(-tiltLoss(lengthM, wavelengthM, (k / 8) * USUAL_TILT_RAD));
    weight += w;
  }
  return -toDb(power / weight);
}

/** Factor by which a length is unsure when its echo is unsure by `errorDb`. */
export const lengthFactorOf = (errorDb: number): number => Math.pow(10, errorDb / LENGTH_SLOPE);

/** What a lure is made of, as far as an echo is concerned. */
export type LureKind = 'metal' | 'hard' | 'soft';

/** Level against a rigid sphere of the same volume, dB: a hollow plug answers like a sphere, a soft bait hardly. */
const LURE_DB: Record<LureKind, number> = { metal: 0, hard: 0, soft: -15 };

/** Thickness of a lure over its length. */
const LURE_SLENDERNESS = 0.22;

/**
 * Target strength of a lure seen from the side, dB re 1 m²: a rigid sphere of its volume (rough at ka 2–4), less for
 * soft plastic, whose impedance is close to that of water.
 * @param lengthM above 0 @throws RangeError otherwise
 */
export function lureTargetStrength(lengthM: number, kind: LureKind): number {
  if (!(lengthM > 0)) throw new RangeError(`target strength: length must be above 0, got ${lengthM} m`);
  const thick = LURE_SLENDERNESS * lengthM;
  const radius = Math.cbrt(((lengthM * thick * thick) / 4) * (3 / 4));
  return toDb((radius / 2) ** 2) + LURE_DB[kind];
}

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
