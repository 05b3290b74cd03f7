import type { Bite, Call, Day } from './day';

/** Calls that were proved: how many, and how many of them were right. */
export interface Tally {
  right: number;
  of: number;
}

export interface CallRecord {
  all: Tally;
  byWhat: { what: Call['what']; tally: Tally }[];
  /** By how sure they were said to be, least sure first: whether 80 % is 8 of 10. */
  bySure: { sure: number; tally: Tally }[];
  /** By depth of the water, the band's shallower end in m, and by the beam it was called from. */
  byDepth: { fromM: number; tally: Tally }[];
  byBeam: { beam: string; tally: Tally }[];
  /** Not proved, only borne out by the other picture; and not proved at all. */
  supported: number;
  open: number;
  /** Mean square of what was said against what was, 0 best; 0.25 is a coin's. Null for none proved (Brier 1950). */
  brier: number | null;
}

/** Width of a band of depth, m. */
export const CALL_BAND_M = 5;

const proved = ({ proof }: Call): boolean => proof !== null && proof !== 'supported';
const right = ({ proof }: Call): boolean => proof === 'caught' || proof === 'camera';

const tallyOf = (calls: readonly Call[]): Tally => ({ right: calls.filter(right).length, of: calls.length });

/** How often calls were right, over days: the user's own, or the reader's. Only what was proved counts, for or against. */
export function callRecord(days: readonly Pick<Day, 'calls'>[], by: Call['by'] = 'user'): CallRecord {
  const calls = days.flatMap((d) => d.calls).filter((c) => c.by === by);
  const known = calls.filter(proved);
  const kinds = [...new Set(known.map((c) => c.what))];
  const bandOf = (c: Call): number | null =>
    c.depthM === null ? null : CALL_BAND_M * Math.floor(c.depthM / CALL_BAND_M);
  const bands = [...new Set(known.flatMap((c) => bandOf(c) ?? []))].sort((a, b) => a - b);
  const beams = [...new Set(known.flatMap((c) => (c.beam === '' ? [] : [c.beam])))];
  const sures = [...new Set(known.map((c) => c.sure))].sort((a, b) => a - b);
  return {
    all: tallyOf(known),
    byWhat: kinds
      .map((what) => ({ what, tally: tallyOf(known.filter((c) => c.what === what)) }))
      .sort((a, b) => b.tally.of - a.tally.of),
    bySure: sures.map((sure) => ({ sure, tally: tallyOf(known.filter((c) => c.sure === sure)) })),
    byDepth: bands.map((fromM) => ({ fromM, tally: tallyOf(known.filter((c) => bandOf(c) === fromM)) })),
    byBeam: beams
      .map((beam) => ({ beam, tally: tallyOf(known.filter((c) => c.beam === beam)) }))
      .sort((a, b) => b.tally.of - a.tally.of),
    supported: calls.filter((c) => c.proof === 'supported').length,
    open: calls.filter((c) => c.proof === null).length,
    brier:
      known.length > 0
        ? known.reduce((sum, c) => sum + (c.sure - (right(c) ? 1 : 0)) ** 2, 0) / known.length
        : null,
  };
}

/** What fish did to a lure. */
export interface LureRecord {
  lure: string;
  takes: number;
  refusals: number;
  follows: number;
}

/** Takes, refusals and follows by lure, the most tried first; answers to no named lure are left out. */
export function lureRecord(days: readonly Pick<Day, 'bites'>[]): LureRecord[] {
  const byLure = new Map<string, LureRecord>();
  const counted: Record<Bite['answer'], 'takes' | 'refusals' | 'follows'> = {
    bite: 'takes',
    catch: 'takes',
    refusal: 'refusals',
    follow: 'follows',
  };
  for (const { lure, answer } of days.flatMap((d) => d.bites)) {
    if (lure === '') continue;
    const record = byLure.get(lure) ?? { lure, takes: 0, refusals: 0, follows: 0 };
    record[counted[answer]]++;
    byLure.set(lure, record);
  }
  const tried = (r: LureRecord): number => r.takes + r.refusals + r.follows;
  return [...byLure.values()].sort((a, b) => tried(b) - tried(a));
}
