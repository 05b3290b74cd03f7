import { fromDb, strongestMean } from '@/core/maths';

/** Strengths an echo may have, power over the mean noise; equally likely. */
const STRENGTHS = [3, 6, 12];

/** Natural logarithm of the modified Bessel function I₀ (Abramowitz and Stegun 1964, 9.8.1 and 9.8.2). @param z 0 or more */
export function logBesselI0(z: number): number {
  const t = (z / 3.75) ** 2;
  if (z < 3.75)
    return Math.log(
      1 +
        t *
          (3.5156229 + t * (3.0899424 + t * (1.2067492 + t * (0.2659732 + t * (0.0360768 + t * 0.0045813))))),
    );
  const u = 3.75 / z;
  const poly =
    0.39894228 +
    u *
      (0.01328592 +
        u *
          (0.00225319 +
            u *
              (-0.00157565 +
                u *
                  (0.00916281 + u * (-0.02057706 + u * (0.02635537 + u * (-0.01647633 + u * 0.00392377)))))));
  return z - 0.5 * Math.log(z) + Math.log(poly);
}

/** One sample alone speaks for no more: a burst or another sounder's pulse is loud in one ping. */
const MOST_NATS = 4;

/** Levels the table holds, dB over the background. */
const LEAST_DB = -12;
const MOST_DB = 24;
const PER_DB = 8;
/** Steps of power the echo's distribution is added up in, and how far. */
const POWER_STEP = 0.02;
const MOST_POWER = 60;

const tables = new Map<string, Float32Array>();

/**
 * What a level speaks for an echo, nats by eighths of a dB over the background from the least on: the likelihood ratio of a steady echo in
 * noise (Rice 1945) against noise alone (exponential in power), averaged over a few strengths, for the strongest of k samples of which the echo
 * fills one. @param cellsToOne of how many cells with noise of their own each sample is the strongest @param samples that are compared
 */
export function echoOdds(cellsToOne: number, samples: number): Float32Array {
  const k = cellsToOne * samples;
  const name = `${cellsToOne} ${samples}`;
  const there = tables.get(name);
  if (there) return there;
  const count = (MOST_DB - LEAST_DB) * PER_DB + 1;
  const nats = new Float32Array(count);
  const steps = Math.ceil(MOST_POWER / POWER_STEP);
  const below = STRENGTHS.map((s) => {
    const sum = new Float64Array(steps + 1);
    for (let i = 1; i <= steps; i++) {
      const x = (i - 0.5) * POWER_STEP;
      sum[i] = sum[i - 1]! + POWER_STEP * Math.exp(-x - s + logBesselI0(2 * Math.sqrt(s * x)));
    }
    return sum;
  });
  for (let n = 0; n < count; n++) {
    const x = strongestMean(cellsToOne) * fromDb(LEAST_DB + n / PER_DB);
    const noiseBelow = 1 - Math.exp(-x);
    const ratio =
      STRENGTHS.reduce((sum, s, i) => {
        const density = Math.exp(-s + logBesselI0(2 * Math.sqrt(s * x))) / k;
        const echoBelow = Math.min(1, below[i]![Math.min(steps, Math.round(x / POWER_STEP))]!);
        return sum + density + ((k - 1) / k) * (echoBelow / noiseBelow);
      }, 0) / STRENGTHS.length;
    nats[n] = Math.min(MOST_NATS, Math.log(ratio));
  }
  tables.set(name, nats);
  return nats;
}

/** Place of a level in the table; may lie outside of it. */
const placeInOdds = (overDb: number): number => ((overDb - LEAST_DB) * PER_DB + 0.5) | 0;

/** Nats a level speaks for an echo. */
export function oddsAt(nats: Float32Array, overDb: number): number {
  const n = placeInOdds(overDb);
  return nats[n < 0 ? 0 : n >= nats.length ? nats.length - 1 : n]!;
}
