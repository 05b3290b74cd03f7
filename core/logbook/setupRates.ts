import { heldOn, type Presentation } from '@/core/advice';
import { isTake, rateOf, type Rate } from './biteRates';
import type { FishedDay } from './fishedHours';

/** Which days count; what is left out counts all. */
export interface DayFilter {
  waterName?: string | undefined;
  /** Months of the year, 1…12. */
  months?: readonly number[] | undefined;
  clarity?: string | undefined;
  phase?: Presentation | undefined;
}

/** A line held at a value, and what came of it against all other values of it. */
export interface SetupRate {
  control: string;
  value: number;
  days: number;
  hours: number;
  takes: number;
  rate: Rate | null;
  /** The same at other values of the line, the start setup's own included. */
  others: { hours: number; takes: number; rate: Rate | null };
}

/** The days a filter lets through. */
export const daysOf = (days: readonly FishedDay[], { waterName, months, clarity }: DayFilter): FishedDay[] =>
  days.filter(
    ({ day }) =>
      (waterName === undefined || day.waterName === waterName) &&
      (months === undefined || months.includes(Number(day.startedAt.slice(5, 7)))) &&
      (clarity === undefined || day.plan?.brief.clarity === clarity),
  );

/** Held lines that were fished with, those with most time first. @param unitId the unit whose lines count */
export function setupRates(days: readonly FishedDay[], filter: DayFilter, unitId: string): SetupRate[] {
  const rows = new Map<
    string,
    { control: string; value: number; days: number; hours: number; takes: number }
  >();
  const planned = daysOf(days, filter).filter(({ day }) => day.plan !== null);
  const amount = ({ fished, answered }: FishedDay): { hours: number; takes: number } => {
    const of = <T extends { phase: Presentation | null }>(list: readonly T[]): T[] =>
      filter.phase === undefined ? [...list] : list.filter((x) => x.phase === filter.phase);
    return {
      hours: of(fished).reduce((sum, f) => sum + f.hours, 0),
      takes: of(answered).filter(isTake).length,
    };
  };
  const total = { hours: 0, takes: 0 };
  for (const one of planned) {
    const { hours, takes } = amount(one);
    total.hours += hours;
    total.takes += takes;
    for (const [control, value] of Object.entries(heldOn(one.day.plan!.holds, unitId).cone)) {
      if (typeof value !== 'number') continue;
      const key = `${control} ${value}`;
      const row = rows.get(key) ?? { control, value, days: 0, hours: 0, takes: 0 };
      rows.set(key, { ...row, days: row.days + 1, hours: row.hours + hours, takes: row.takes + takes });
    }
  }
  return [...rows.values()]
    .map((row): SetupRate => {
      const others = { hours: total.hours - row.hours, takes: total.takes - row.takes };
      return {
        ...row,
        rate: rateOf(row.takes, row.hours),
        others: { ...others, rate: rateOf(others.takes, others.hours) },
      };
    })
    .sort((a, b) => b.hours - a.hours || (a.control < b.control ? -1 : 1));
}
