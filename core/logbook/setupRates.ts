import { heldOn, isPinnable, type Presentation } from '@/core/advice';
import { rateOf, type Rate } from './biteRates';
import { isTake, lastUsed, type Day } from './day';
import type { FishedDay } from './fishedHours';

/** Which days count; what is left out counts all. */
export interface DayFilter {
  waterName?: string | undefined;
  /** Months of the year, 1…12. */
  months?: readonly number[] | undefined;
  clarity?: string | undefined;
  /** Shallower end of a band of depths of the bed, m. */
  bedFromM?: number | undefined;
  phase?: Presentation | undefined;
}

/** A line held or set at a value, and what came of it against all other values of it. */
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

/** Width of a band of depths of the bed, m. */
export const BED_BAND_M = 10;

/** The shallower end of the band the bed of a day's plan lies in, m; null on a day without a plan. */
export const bedBand = ({ plan }: Day): number | null =>
  plan && BED_BAND_M * Math.floor(plan.brief.toM / BED_BAND_M);

/** The days a filter lets through. */
export const daysOf = (
  days: readonly FishedDay[],
  { waterName, months, clarity, bedFromM }: DayFilter,
): FishedDay[] =>
  days.filter(
    ({ day }) =>
      (waterName === undefined || day.waterName === waterName) &&
      (months === undefined || months.includes(Number(day.startedAt.slice(5, 7)))) &&
      (clarity === undefined || day.plan?.brief.clarity === clarity) &&
      (bedFromM === undefined || bedBand(day) === bedFromM),
  );

/**
 * Lines that were fished with, those with most time first: held ones over the whole day, those ticked off as set over the phase they
 * were set in. What was never set to another value says nothing, unless it was held. @param unitId the unit whose held lines count
 */
export function setupRates(days: readonly FishedDay[], filter: DayFilter, unitId: string): SetupRate[] {
  const rows = new Map<
    string,
    { control: string; value: number; days: number; hours: number; takes: number }
  >();
  const planned = daysOf(days, filter).filter(({ day }) => day.plan !== null);
  const held = new Set<string>();
  const amount = (
    { fished, answered }: FishedDay,
    phase = filter.phase,
  ): { hours: number; takes: number } => {
    const of = <T extends { phase: Presentation | null }>(list: readonly T[]): T[] =>
      phase === undefined ? [...list] : list.filter((x) => x.phase === phase);
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
    const counted = new Set<string>();
    const count = (control: string, value: number, fished: { hours: number; takes: number }): void => {
      const key = `${control} ${value}`;
      const row = rows.get(key) ?? { control, value, days: 0, hours: 0, takes: 0 };
      const days = row.days + (counted.has(key) ? 0 : 1);
      counted.add(key);
      rows.set(key, { ...row, days, hours: row.hours + fished.hours, takes: row.takes + fished.takes });
    };
    // What was set in a phase counts there, whatever was held in the plan.
    const used = lastUsed(one.day.used).filter((u) => u.picture === 'cone' && isPinnable(u.control));
    for (const u of used)
      if (filter.phase === undefined || u.phase === filter.phase)
        count(u.control, u.value, amount(one, u.phase));
    for (const [control, value] of Object.entries(heldOn(one.day.plan!.holds, unitId).cone)) {
      if (typeof value !== 'number' || used.some((u) => u.control === control)) continue;
      held.add(control);
      count(control, value, { hours, takes });
    }
  }
  const values = (control: string): number =>
    [...rows.values()].filter((row) => row.control === control).length;
  return [...rows.values()]
    .filter((row) => held.has(row.control) || values(row.control) > 1)
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
