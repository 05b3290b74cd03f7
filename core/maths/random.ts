import { textHash } from './textHash';

/**
 * Seeded generator. Integer arithmetic only, so that a seed gives the same numbers on every engine.
 */
export interface Random {
  /** Next uniform number in [0, 1). */
  uniform(): number;
  /** Next integer in [0, count). */
  integer(count: number): number;
  /** Next uniform number in [low, high). */
  between(low: number, high: number): number;
  /** Next standard normal number (Box & Muller 1958). */
  normal(): number;
  /** A generator of its own for a named part, so that adding draws to one part leaves the others as they were. */
  fork(name: string): Random;
}

/**
 * mulberry32 by T. Ettinger (public domain): a 32-bit counter and three multiplications.
 * @param seed any finite integer; only its low 32 bits count
 * @throws RangeError when the seed is not finite
 */
export function seededRandom(seed: number): Random {
  if (!Number.isFinite(seed)) throw new RangeError(`random: the seed must be a finite number, got ${seed}`);
  let state = seed >>> 0;
  const uniform = (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    uniform,
    integer: (count) => Math.floor(uniform() * count),
    between: (low, high) => low + (high - low) * uniform(),
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
    fork: (name) => seededRandom(textHash(name, seed >>> 0)),
  };
}
