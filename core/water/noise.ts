import { amplitudeToDb, sumDb } from '@/core/maths';

/** What limits a small boat, over thermal noise, until the user has measured their own (dB). */
export const DEFAULT_EXCESS_NOISE_DB = 47.5;

/** What the engine is doing. */
export type Engine = 'off' | 'gear' | 'planing';

/**
 * What the engine adds to own boat's excess at 200 kHz, dB, and how much more it adds a decade lower: propellers are
 * louder at low frequencies (Ross 1976, Mechanics of Underwater Noise, ch. 8). Stated defaults for a small outboard,
 * measured by nobody for you.
 */
const ENGINE_DB: Record<Engine, number> = { off: 0, gear: 3, planing: 14 };
const ENGINE_PER_DECADE_DB = 3;

/** Thermal noise, dB re 1 µPa²/Hz (Mellen 1952). @param frequencyHz above 0 @throws RangeError otherwise */
export function thermalNoise(frequencyHz: number): number {
  if (!(frequencyHz > 0))
    throw new RangeError(`thermal noise: frequency must be above 0, got ${frequencyHz} Hz`);
  return -15 + amplitudeToDb(frequencyHz / 1000);
}

/**
 * Wind and wave noise of the open sea, dB re 1 µPa²/Hz (Wenz 1962, fit of Coates 1990).
 * @param frequencyHz above 0 @param windMps 0 or more @throws RangeError for a negative wind
 */
export function windNoise(frequencyHz: number, windMps: number): number {
  if (!(windMps >= 0)) throw new RangeError(`wind noise: wind must be 0 or more, got ${windMps} m/s`);
  const f = frequencyHz / 1000;
  return 50 + 7.5 * Math.sqrt(windMps) + amplitudeToDb(f) - 40 * Math.log10(f + 0.4);
}

/** What the engine adds to own boat's excess noise at a frequency, dB, 0 or more. @param frequencyHz above 0 */
export const engineNoise = (frequencyHz: number, engine: Engine): number =>
  engine === 'off'
    ? 0
    : Math.max(0, ENGINE_DB[engine] - ENGINE_PER_DECADE_DB * Math.log10(frequencyHz / 200e3));

/**
 * Noise spectrum level at the receiver, dB re 1 µPa²/Hz: thermal, wind, the excess of own boat and receiver over
 * thermal, which is what rules on a small boat and grows with the engine.
 */
export function noiseSpectrum(
  frequencyHz: number,
  {
    excessDb = DEFAULT_EXCESS_NOISE_DB,
    windMps = 0,
    engine = 'off',
  }: { excessDb?: number; windMps?: number; engine?: Engine } = {},
): number {
  const thermal = thermalNoise(frequencyHz);
  return sumDb([
    thermal,
    windNoise(frequencyHz, windMps),
    thermal + excessDb + engineNoise(frequencyHz, engine),
  ]);
}
