import { heldOn, type Brief, type Pinnable, isPinnable } from '@/core/advice';
import { biteRates, rateOf, type Rate } from './biteRates';
import { isTake, type Day } from './day';
import type { FishedDay } from './fishedHours';

/** Something of tomorrow's card, and the day it comes from. */
export interface From<T> {
  value: T;
  day: Pick<Day, 'id' | 'name'>;
}

/** Tomorrow on a known water, as the days there suggest it. */
export interface EveningCard {
  waterName: string;
  /** The plan of the day that brought most an hour there. */
  brief: From<Brief>;
  perHour: number | null;
  /** Where bites came, m, from the day with most of them; null for fewer than three with a depth. */
  bitesAt: From<readonly [number, number]> | null;
  /** Two hours with most takes an hour over all days there; null where none stands out. */
  bestHour: { fromHour: number; perHour: number; takes: number } | null;
  /** The lure that took most against what refused it. */
  lure: From<string> | null;
  /** Lines held, each from the newest day that held it. */
  held: From<{ control: Pinnable; value: number }>[];
  /** Surface temperature of the newest day there, °C. */
  temperatureC: From<number> | null;
  days: number;
}

const LEAST_BITES = 3;

/** Waters fished so far, the newest first. */
export const watersOf = (days: readonly Pick<Day, 'waterName' | 'startedAt' | 'plan'>[]): string[] => [
  ...new Set(
    [...days]
      .filter((d) => d.waterName !== '' && d.plan !== null)
      .sort((a, b) => (a.startedAt < b.startedAt ? 1 : -1))
      .map((d) => d.waterName),
  ),
];

/** Tomorrow's card for a water; null where no day there had a plan. @param unitId the unit whose lines count */
export function eveningCard(
  all: readonly FishedDay[],
  waterName: string,
  unitId: string,
): EveningCard | null {
  const days = all
    .filter(({ day }) => day.waterName === waterName && day.plan !== null)
    .sort((a, b) => (a.day.startedAt < b.day.startedAt ? 1 : -1));
  const [newest] = days;
  if (!newest) return null;
  const from = <T>({ day: { id, name } }: FishedDay, value: T): From<T> => ({ value, day: { id, name } });
  const takesOf = (d: FishedDay): number => d.answered.filter(isTake).length;
  const rateOfDay = (d: FishedDay): Rate | null =>
    rateOf(
      takesOf(d),
      d.fished.reduce((sum, f) => sum + f.hours, 0),
    );
  // By what is likely at least: a lucky half hour is not the best day.
  const best = days.reduce((a, b) => ((rateOfDay(b)?.low ?? -1) > (rateOfDay(a)?.low ?? -1) ? b : a));
  const depthsOf = (d: FishedDay): number[] =>
    d.answered.filter((a) => isTake(a) && a.depthM !== null).map((a) => a.depthM!);
  const deepest = days.reduce((a, b) => (depthsOf(b).length > depthsOf(a).length ? b : a));
  const depths = depthsOf(deepest);
  const [lure] = biteRates(days, 'lure')
    .filter((l) => l.takes > 0)
    .sort((a, b) => b.low - a.low);
  const lureDay = lure && days.find((d) => d.answered.some((a) => isTake(a) && a.lure === lure.key));
  const hours = biteRates(days, 'hour').filter((h) => h.rate !== null && h.takes > 0);
  const bestHour = hours.length > 1 ? hours.reduce((a, b) => (b.rate!.low > a.rate!.low ? b : a)) : null;
  const held = new Map<Pinnable, From<{ control: Pinnable; value: number }>>();
  for (const d of days)
    for (const [control, value] of Object.entries(heldOn(d.day.plan!.holds, unitId).cone))
      if (typeof value === 'number' && isPinnable(control as Pinnable) && !held.has(control as Pinnable))
        held.set(control as Pinnable, from(d, { control: control as Pinnable, value }));
  const warm = newest.fished.filter((f) => f.temperatureC !== null);
  const warmHours = warm.reduce((sum, f) => sum + f.hours, 0);
  return {
    waterName,
    brief: from(best, best.day.plan!.brief),
    perHour: rateOfDay(best)?.perHour ?? null,
    bitesAt:
      depths.length >= LEAST_BITES
        ? from(deepest, [Math.min(...depths), Math.max(...depths)] as const)
        : null,
    bestHour: bestHour && {
      fromHour: bestHour.key as number,
      perHour: bestHour.rate!.perHour,
      takes: bestHour.takes,
    },
    lure: lure && lureDay ? from(lureDay, String(lure.key)) : null,
    held: [...held.values()],
    temperatureC:
      warmHours > 0
        ? from(newest, warm.reduce((sum, f) => sum + f.hours * f.temperatureC!, 0) / warmHours)
        : null,
    days: days.length,
  };
}

/** The brief of a card with what changed since: temperature, layer, and water higher or lower by so much, m. */
export function briefWithChanges(
  brief: Brief,
  {
    temperatureC,
    thermoclineM,
    levelM,
  }: { temperatureC: number; thermoclineM: number | null; levelM: number },
): Brief {
  const deeper = (m: number): number => Math.min(300, m + levelM);
  const toM = Math.max(2, deeper(brief.toM));
  const fromM = Math.min(Math.max(0.5, deeper(brief.fromM)), toM - 1);
  return {
    ...brief,
    temperatureC,
    thermoclineM,
    fromM,
    toM,
    fishToM: brief.fishToM === null ? null : Math.min(toM, Math.max(fromM, deeper(brief.fishToM))),
  };
}
