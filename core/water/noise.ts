import { sumDb } from '@/core/maths';

/** What limits a small boat, over thermal noise, until the user has measured their own (dB). */
export const DEFAULT_EXCESS_NOISE_DB = 47.5;

/** How much the engine in gear adds to a small boat's own noise (dB); a stated default, measured by nobody for you. */
export const ENGINE_NOISE_DB = 8;

/** Thermal noise, dB re 1 µPa²/Hz (Mellen 1952). @param frequencyHz above 0 @throws RangeError otherwise */
export function thermalNoise(frequencyHz: number): number {
  if (!(frequencyHz > 0))
    throw new RangeError(`thermal noise: frequency must be above 0, got ${frequencyHz} Hz`);
  return -15 + 20 * Math.log10(frequencyHz / 1000);
}

/**
 * Wind noise of the open sea, dB re 1 µPa²/Hz (Wenz 1962, fit of Coates 1990).
 * @param frequencyHz above 0 @param windMps 0 or more
 */
export function windNoise(frequencyHz: number, windMps: number): number {
  if (!(windMps >= 0)) throw new RangeError(`wind noise: wind must be 0 or more, got ${windMps} m/s`);
  const f = frequencyHz / 1000;
  return 50 + 7.5 * Math.sqrt(windMps) + 20 * Math.log10(f) - 40 * Math.log10(f + 0.4);
}

/**
 * Noise spectrum level at the receiver, dB re 1 µPa²/Hz: thermal, wind, and the excess of own boat and receiver
 * over thermal, which is what rules on a small boat.
 */
export function noiseSpectrum(
  frequencyHz: number,
  {
    excessDb = DEFAULT_EXCESS_NOISE_DB,
    windMps = 0,
    engine = false,
  }: { excessDb?: number; windMps?: number; engine?: boolean } = {},
): number {
  const thermal = thermalNoise(frequencyHz);
  return sumDb([
    thermal,
    windNoise(frequencyHz, windMps),
    thermal + excessDb + (engine ? ENGINE_NOISE_DB : 0),
  ]);
}
