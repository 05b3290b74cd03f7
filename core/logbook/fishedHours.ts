import type { Presentation } from '@/core/advice';
import type { Position } from '@/core/maths';
import type { Bite, Day } from './day';

/** Points of a track farther apart than this say nothing of the time between them, s. */
const LONGEST_GAP_S = 120;
/** Faster than this nobody fishes, m/s. */
const FISHING_MPS = 3;
/** A bite is where the boat was within this of it, s. */
const NEAR_S = 90;
/** Places within a cell of this size are one, degrees (about 20 m); cells there are round the earth. */
const CELL_DEG = 2e-4;
const CELLS_ROUND = 4e6;

/** Something a fish did, with what was known about it then. */
export interface Answered {
  answer: Bite['answer'];
  /** Hour of the day by the user's clock, 0…23. */
  hour: number;
  depthM: number | null;
  side: Bite['side'];
  lure: string;
  temperatureC: number | null;
  phase: Presentation | null;
  /** Whether over or under the layer of the day's plan; null where either is not known. */
  layer: 'over' | 'under' | null;
  place: Position | null;
}

/** Time fished under the same conditions: the hour of the day, the degree of warmth, the phase. */
export interface Fished {
  hours: number;
  hour: number;
  /** Mean of it, °C; null where nobody knew. */
  temperatureC: number | null;
  phase: Presentation | null;
}

/** Time fished at one place. */
export interface FishedAt {
  hours: number;
  place: Position;
}

/** A day as its statistics need it. */
export interface FishedDay {
  day: Day;
  answered: readonly Answered[];
  fished: readonly Fished[];
  places: readonly FishedAt[];
}

/** Two digits of a text as a number. */
const two = (text: string, at: number): number =>
  10 * (text.charCodeAt(at) - 48) + text.charCodeAt(at + 1) - 48;

/** Seconds since 1970 of a moment, ISO 8601 with seconds and a zone, without a clock. */
export function secondsOf(iso: string): number {
  const year = 100 * two(iso, 0) + two(iso, 2);
  const month = two(iso, 5);
  // Days from the civil calendar (Hinnant 2013).
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + two(iso, 8) - 1;
  const days =
    era * 146097 +
    yearOfEra * 365 +
    Math.floor(yearOfEra / 4) -
    Math.floor(yearOfEra / 100) +
    dayOfYear -
    719468;
  const part = iso[19] === '.' ? Number.parseFloat(iso.slice(19)) : 0;
  const zone = iso.endsWith('Z') ? null : /([+-])(\d\d):?(\d\d)?$/.exec(iso);
  const aheadS = zone ? (zone[1] === '-' ? -60 : 60) * (60 * Number(zone[2]) + Number(zone[3] ?? 0)) : 0;
  return days * 86400 + two(iso, 11) * 3600 + two(iso, 14) * 60 + two(iso, 17) + part - aheadS;
}

/**
 * What of a day counts: what fish did, and the time that was fished.
 * @param offsetMin the user's clock ahead of UTC, minutes
 */
export function fishedDay(day: Day, offsetMin: number): FishedDay {
  const hourOf = (s: number): number => Math.floor(((((s + 60 * offsetMin) % 86400) + 86400) % 86400) / 3600);
  const phases = day.phases.map(({ at, phase }) => ({ s: secondsOf(at), phase }));
  const phaseAt = (s: number): Presentation | null => {
    let now: Presentation | null = null;
    for (const p of phases) if (p.s <= s) now = p.phase;
    return now;
  };
  const times = Float64Array.from(day.track, (p) => secondsOf(p.at));
  const order = times.every((s, k) => k === 0 || times[k - 1]! <= s)
    ? null
    : [...times.keys()].sort((a, b) => times[a]! - times[b]!);
  const at = (k: number): number => (order ? order[k]! : k);
  const layerM = day.plan?.brief.thermoclineM ?? null;
  const conditions = new Map<string, Fished>();
  const places = new Map<number, FishedAt>();
  for (let k = 1; k < times.length; k++) {
    const s = times[at(k)]!;
    const gap = s - times[at(k - 1)]!;
    const { speedMps, temperatureC, latitudeDeg, longitudeDeg } = day.track[at(k)]!;
    if (!(gap > 0 && gap <= LONGEST_GAP_S) || (speedMps ?? 0) > FISHING_MPS) continue;
    const hours = gap / 3600;
    const hour = hourOf(s);
    const phase = phaseAt(s);
    const key = `${hour} ${temperatureC === null ? '' : Math.floor(temperatureC)} ${phase}`;
    const same = conditions.get(key);
    if (!same) conditions.set(key, { hours, hour, temperatureC, phase });
    else {
      same.hours += hours;
      if (temperatureC !== null)
        same.temperatureC! += (temperatureC - same.temperatureC!) * (hours / same.hours);
    }
    const cell = Math.round(latitudeDeg / CELL_DEG) * CELLS_ROUND + Math.round(longitudeDeg / CELL_DEG);
    const here = places.get(cell);
    if (here) here.hours += hours;
    else places.set(cell, { hours, place: { latitudeDeg, longitudeDeg } });
  }
  const answered = day.bites.map((bite): Answered => {
    const s = secondsOf(bite.at);
    let near: Day['track'][number] | null = null;
    let nearS = NEAR_S;
    for (let k = 0; k < times.length; k++) {
      const apart = Math.abs(times[k]! - s);
      if (apart < nearS || (near === null && apart <= nearS)) [near, nearS] = [day.track[k]!, apart];
    }
    return {
      answer: bite.answer,
      hour: hourOf(s),
      depthM: bite.depthM,
      side: bite.side,
      lure: bite.lure,
      temperatureC: near?.temperatureC ?? null,
      phase: phaseAt(s),
      layer: bite.depthM === null || layerM === null ? null : bite.depthM < layerM ? 'over' : 'under',
      place: near,
    };
  });
  return { day, answered, fished: [...conditions.values()], places: [...places.values()] };
}
