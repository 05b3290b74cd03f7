import type { Finding } from '../finding';

/** The same leg missing from most marks of a pass: the beam is tilted, fish do not agree on where to turn. */
export interface MissingLeg {
  /** The leg that is missing: the one before the nearest point (the beam looks astern) or after it (it looks ahead). */
  leg: 'before' | 'after';
  /** Marks that lack it, of those that lack one. */
  count: number;
  of: number;
  /** Chance of so one-sided a pass if either leg went missing as easily (two-sided sign test). */
  chance: number;
}

/** A leg this much shorter than the other, as rises to the nearest point, is missing; a mark this low has none, m. */
const SHORT = 0.42;
const LEAST_LEG_M = 0.15;
/** Fewer marks with one leg say nothing. */
const LEAST_HALVES = 5;
/** Less likely than this by chance it is worth a level check. */
const CHANCE = 0.07;

/** Whether one leg is missing more often than chance has it. */
export function findMissingLeg(findings: readonly Finding[]): MissingLeg | null {
  let before = 0;
  let after = 0;
  for (const f of findings) {
    if (f.kind !== 'fish') continue;
    const lesser = Math.min(f.legsM.before, f.legsM.after);
    const greater = Math.max(f.legsM.before, f.legsM.after);
    if (greater < LEAST_LEG_M || lesser > SHORT * greater) continue;
    if (f.legsM.before < f.legsM.after) before++;
    else after++;
  }
  const of = before + after;
  if (of < LEAST_HALVES) return null;
  const count = Math.max(before, after);
  let tail = 0;
  let ways = 1;
  for (let k = 0; k <= of - count; k++) {
    tail += ways;
    ways = (ways * (of - k)) / (k + 1);
  }
  const chance = Math.min(1, (2 * tail) / 2 ** of);
  return chance < CHANCE ? { leg: before > after ? 'before' : 'after', count, of, chance } : null;
}
