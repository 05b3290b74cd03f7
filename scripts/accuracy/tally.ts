import { wilson } from '@/core/maths';
import { groundOf } from '@/core/reading';

/** What a stated probability was about. */
export const CLAIMED = ['fish', 'bait', 'calm or hunted', 'on the bed', 'hard or soft'] as const;
export type Claimed = (typeof CLAIMED)[number];

/** What was counted over some passes; plain data, so that threads can hand it over. */
export interface Tally {
  /** Good and all, by name. */
  counts: Record<string, [good: number, all: number]>;
  lists: Record<string, number[]>;
  /** Stated probability and whether it was right. */
  claims: [about: Claimed, confidence: number, right: boolean][];
  notes: string[];
}

export const newTally = (): Tally => ({ counts: {}, lists: {}, claims: [], notes: [] });

export function count(tally: Tally, name: string, good: boolean): void {
  const pair = (tally.counts[name] ??= [0, 0]);
  if (good) pair[0]++;
  pair[1]++;
}

export function note(tally: Tally, name: string, value: number): void {
  (tally.lists[name] ??= []).push(value);
}

/** Counts a patch of bed: the likelier of hard and soft, and whether it is said outright and then right. @param probability of hard */
export function countGround(tally: Tally, probability: number, hard: boolean): void {
  const right = probability > 0.5 === hard;
  const said = groundOf(probability) !== 'unclear';
  count(tally, 'hard', right);
  count(tally, 'ground said', said);
  if (said) count(tally, 'ground said rightly', right);
  tally.claims.push(['hard or soft', Math.max(probability, 1 - probability), right]);
}

/** Adds one tally to another, in place. */
export function addTally(to: Tally, from: Tally): void {
  for (const [name, [good, all]] of Object.entries(from.counts)) {
    const pair = (to.counts[name] ??= [0, 0]);
    pair[0] += good;
    pair[1] += all;
  }
  // A bed has more values than a call takes arguments.
  for (const [name, list] of Object.entries(from.lists))
    for (const value of list) (to.lists[name] ??= []).push(value);
  for (const claim of from.claims) to.claims.push(claim);
  to.notes.push(...from.notes);
}

/** A share with its 95 % interval (Wilson 1927). */
export function share(tally: Tally, name: string): string {
  const [good, all] = tally.counts[name] ?? [0, 0];
  if (all === 0) return '–';
  const [low, high] = wilson(good, all);
  return `${(good / all).toFixed(3)} (${low.toFixed(3)}–${high.toFixed(3)}, n ${all})`;
}

export const quantile = (list: readonly number[], q: number): number =>
  [...list].sort((a, b) => a - b)[Math.floor(q * (list.length - 1))] ?? NaN;

/** Expected calibration error over ten bins, and the area under the curve of right against wrong. @param about one kind of claim only */
export function calibration({ claims: all }: Tally, about?: Claimed): string {
  const claims = all
    .filter(([kind]) => about === undefined || kind === about)
    .map(([, confidence, right]) => [confidence, right] as const);
  let error = 0;
  for (let bin = 0; bin < 10; bin++) {
    const mine = claims.filter(([c]) => Math.min(9, Math.floor(c * 10)) === bin);
    if (mine.length === 0) continue;
    const said = mine.reduce((sum, [c]) => sum + c, 0) / mine.length;
    const was = mine.filter(([, right]) => right).length / mine.length;
    error += (Math.abs(said - was) * mine.length) / claims.length;
  }
  const right = claims.filter(([, r]) => r).map(([c]) => c);
  const wrong = claims.filter(([, r]) => !r).map(([c]) => c);
  let above = 0;
  for (const a of right) for (const b of wrong) above += a > b ? 1 : a === b ? 0.5 : 0;
  const auroc = right.length * wrong.length > 0 ? (above / (right.length * wrong.length)).toFixed(3) : '–';
  return `calibration error ${error.toFixed(3)}, AUROC ${auroc} (n ${claims.length}, wrong ${wrong.length})`;
}

/** The same for each kind of claim that was made, a line each. */
export const calibrationByKind = (tally: Tally): string[] =>
  CLAIMED.filter((about) => tally.claims.some(([kind]) => kind === about)).map(
    (about) => `${about}: ${calibration(tally, about)}`,
  );
