import { offsetFrom, type Position } from '@/core/maths';
import { rateOf, type Rate } from './biteRates';
import { isTake } from './day';
import type { FishedDay } from './fishedHours';

/** A place that was marked, and what it brought for the time spent there. */
export interface SpotRate {
  place: Position;
  /** What its first mark was of, and its note. */
  kind: string;
  note: string;
  hours: number;
  takes: number;
  rate: Rate | null;
  /** Days it was fished on. */
  days: number;
}

/** Marks so near each other are one spot, and a boat so near is on it, m. */
const SPOT_M = 40;
/** Less time than this is passing by, h. */
const LEAST_HOURS = 0.05;
/** More cells than any day spans. */
const CELLS_ACROSS = 1e6;
const NONE: readonly number[] = [];
const MARKED = ['fish', 'bait', 'cover', 'reference', 'bed-change'];

/** Spots by what they brought an hour, the best first; those with too little time last. */
export function spotRates(days: readonly FishedDay[]): SpotRate[] {
  const spots: (SpotRate & { on: Set<string>; eastM: number; northM: number })[] = [];
  const cells = new Map<number, number[]>();
  const [start] = days.flatMap(({ day }) => day.marks);
  if (!start) return [];
  const cellOf = (m: number): number => Math.floor(m / SPOT_M);
  const near = ({ eastM, northM }: { eastM: number; northM: number }): (typeof spots)[number] | null => {
    const [cx, cy] = [cellOf(eastM), cellOf(northM)];
    let best: (typeof spots)[number] | null = null;
    let bestM = SPOT_M;
    for (let x = cx - 1; x <= cx + 1; x++)
      for (let y = cy - 1; y <= cy + 1; y++)
        for (const at of cells.get(x * CELLS_ACROSS + y) ?? NONE) {
          const m = Math.hypot(spots[at]!.eastM - eastM, spots[at]!.northM - northM);
          if (m <= bestM) [best, bestM] = [spots[at]!, m];
        }
    return best;
  };
  for (const { day } of days)
    for (const mark of day.marks) {
      if (!MARKED.includes(mark.kind)) continue;
      const at = offsetFrom(start, mark);
      if (near(at)) continue;
      const key = cellOf(at.eastM) * CELLS_ACROSS + cellOf(at.northM);
      cells.set(key, [...(cells.get(key) ?? NONE), spots.length]);
      spots.push({
        ...at,
        place: { latitudeDeg: mark.latitudeDeg, longitudeDeg: mark.longitudeDeg },
        kind: mark.kind,
        note: mark.note,
        hours: 0,
        takes: 0,
        rate: null,
        days: 0,
        on: new Set(),
      });
    }
  for (const { day, places, answered } of days) {
    for (const f of places) {
      const spot = near(offsetFrom(start, f.place));
      if (!spot) continue;
      spot.hours += f.hours;
      spot.on.add(day.id);
    }
    for (const a of answered) {
      const spot = a.place && isTake(a) ? near(offsetFrom(start, a.place)) : null;
      if (spot) spot.takes++;
    }
  }
  return spots
    .map(({ on, eastM: _east, northM: _north, ...spot }) => ({
      ...spot,
      days: on.size,
      rate: rateOf(spot.takes, spot.hours),
    }))
    .filter((spot) => spot.hours >= LEAST_HOURS || spot.takes > 0)
    .sort((a, b) => (b.rate?.perHour ?? -1) - (a.rate?.perHour ?? -1));
}
