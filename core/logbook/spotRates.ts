import { distanceM, offsetFrom, type Position } from '@/core/maths';
import { isTake, rateOf, type Rate } from './biteRates';
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
const MARKED = ['fish', 'bait', 'cover', 'reference', 'bed-change'];

/** Spots by what they brought an hour, the best first; those with too little time last. */
export function spotRates(days: readonly FishedDay[]): SpotRate[] {
  const spots: (SpotRate & { on: Set<string> })[] = [];
  const cells = new Map<string, number[]>();
  const [start] = days.flatMap(({ day }) => day.marks);
  if (!start) return [];
  const cellOf = (place: Position): [number, number] => {
    const { eastM, northM } = offsetFrom(start, place);
    return [Math.floor(eastM / SPOT_M), Math.floor(northM / SPOT_M)];
  };
  const near = (place: Position): (typeof spots)[number] | null => {
    const [cx, cy] = cellOf(place);
    let best: (typeof spots)[number] | null = null;
    let bestM = SPOT_M;
    for (let x = cx - 1; x <= cx + 1; x++)
      for (let y = cy - 1; y <= cy + 1; y++)
        for (const at of cells.get(`${x} ${y}`) ?? []) {
          const m = distanceM(spots[at]!.place, place);
          if (m <= bestM) [best, bestM] = [spots[at]!, m];
        }
    return best;
  };
  for (const { day } of days)
    for (const mark of day.marks) {
      if (!MARKED.includes(mark.kind) || near(mark)) continue;
      const key = cellOf(mark).join(' ');
      cells.set(key, [...(cells.get(key) ?? []), spots.length]);
      spots.push({
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
  for (const { day, fished, answered } of days) {
    for (const f of fished) {
      const spot = near(f.place);
      if (!spot) continue;
      spot.hours += f.hours;
      spot.on.add(day.id);
    }
    for (const a of answered) {
      const spot = a.place && isTake(a) ? near(a.place) : null;
      if (spot) spot.takes++;
    }
  }
  return spots
    .map(({ on, ...spot }) => ({ ...spot, days: on.size, rate: rateOf(spot.takes, spot.hours) }))
    .filter((spot) => spot.hours >= LEAST_HOURS || spot.takes > 0)
    .sort((a, b) => (b.rate?.perHour ?? -1) - (a.rate?.perHour ?? -1));
}
