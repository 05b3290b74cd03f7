import { poissonInterval, wilson } from '@/core/maths';
import { isTake } from './day';
import type { Answered, Fished, FishedDay } from './fishedHours';

/** What bites are sorted by. */
export const SORTED_BY = ['depth', 'hour', 'temperature', 'layer', 'side', 'lure', 'phase'] as const;
export type SortedBy = (typeof SORTED_BY)[number];

/** How many takes an hour, with a 95 % interval; null where no time is known. */
export interface Rate {
  perHour: number;
  low: number;
  high: number;
}

export interface BiteRate {
  /** The group: a band's lower end in SI (m, h, °C), or a name. */
  key: number | string;
  /** Bites and catches, and all that fish did, with the 95 % interval of their share (Wilson 1927). */
  takes: number;
  of: number;
  low: number;
  high: number;
  /** Time fished, h; null where it cannot be sorted so. */
  hours: number | null;
  rate: Rate | null;
}

/** Widths of the bands. */
export const DEPTH_BAND_M = 2;
export const HOUR_BAND_H = 2;
export const TEMPERATURE_BAND_C = 1;
/** Less time than this makes no rate, h. */
const LEAST_HOURS = 0.1;

const band = (x: number | null, width: number): number | null =>
  x === null ? null : Math.floor(x / width) * width;

const KEYS: Record<
  SortedBy,
  {
    answered: (a: Answered) => number | string | null;
    fished: ((f: Fished) => number | string | null) | null;
  }
> = {
  depth: { answered: (a) => band(a.depthM, DEPTH_BAND_M), fished: null },
  hour: { answered: (a) => band(a.hour, HOUR_BAND_H), fished: (f) => band(f.hour, HOUR_BAND_H) },
  temperature: {
    answered: (a) => band(a.temperatureC, TEMPERATURE_BAND_C),
    fished: (f) => band(f.temperatureC, TEMPERATURE_BAND_C),
  },
  layer: { answered: (a) => a.layer, fished: null },
  side: { answered: (a) => a.side, fished: null },
  lure: { answered: (a) => (a.lure === '' ? null : a.lure), fished: null },
  phase: { answered: (a) => a.phase, fished: (f) => f.phase },
};

/** Takes in a time, a rate with its interval; null for too little time. */
export function rateOf(takes: number, hours: number): Rate | null {
  if (hours < LEAST_HOURS) return null;
  const [low, high] = poissonInterval(takes);
  return { perHour: takes / hours, low: low / hours, high: high / hours };
}

/** What fish did, group by group; groups in their own order where they are numbers, else the most takes first. */
export function biteRates(days: readonly FishedDay[], by: SortedBy): BiteRate[] {
  const { answered: keyOf, fished: fishedKey } = KEYS[by];
  const groups = new Map<number | string, { takes: number; of: number; hours: number }>();
  const groupOf = (key: number | string): { takes: number; of: number; hours: number } => {
    const group = groups.get(key) ?? { takes: 0, of: 0, hours: 0 };
    groups.set(key, group);
    return group;
  };
  for (const { answered, fished } of days) {
    for (const a of answered) {
      const key = keyOf(a);
      if (key === null) continue;
      const group = groupOf(key);
      group.of++;
      if (isTake(a)) group.takes++;
    }
    if (fishedKey)
      for (const f of fished) {
        const key = fishedKey(f);
        if (key !== null) groupOf(key).hours += f.hours;
      }
  }
  return [...groups]
    .filter(([, g]) => g.of > 0 || g.hours >= LEAST_HOURS)
    .map(([key, { takes, of, hours }]): BiteRate => {
      const [low, high] = wilson(takes, of);
      return {
        key,
        takes,
        of,
        low,
        high,
        hours: fishedKey ? hours : null,
        rate: fishedKey ? rateOf(takes, hours) : null,
      };
    })
    .sort((a, b) =>
      typeof a.key === 'number' && typeof b.key === 'number' ? a.key - b.key : b.takes - a.takes,
    );
}
