import type { Presentation } from '@/core/advice';
import type { Position } from '@/core/maths';
import type { Bite, Day } from './day';

/** Points of a track farther apart than this say nothing of the time between them, s. */
const LONGEST_GAP_S = 120;
/** Faster than this nobody fishes, m/s. */
const FISHING_MPS = 3;
/** A bite is where the boat was within this of it, s. */
const NEAR_S = 90;

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

/** A stretch of time fished at one place. */
export interface Fished {
  hours: number;
  hour: number;
  temperatureC: number | null;
  phase: Presentation | null;
  place: Position;
  speedMps: number;
}

/** A day as its statistics need it. */
export interface FishedDay {
  day: Day;
  answered: readonly Answered[];
  fished: readonly Fished[];
}

/** Seconds since 1970 of a moment in UTC, without a clock. */
export function secondsOf(iso: string): number {
  const [year, month, day, hour, minute, second] = iso.split(/[-T:Z+]/).map(Number) as number[];
  // Days from the civil calendar (Hinnant 2013).
  const y = month! <= 2 ? year! - 1 : year!;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfYear = Math.floor((153 * (month! + (month! > 2 ? -3 : 9)) + 2) / 5) + day! - 1;
  const days =
    era * 146097 +
    yearOfEra * 365 +
    Math.floor(yearOfEra / 4) -
    Math.floor(yearOfEra / 100) +
    dayOfYear -
    719468;
  return days * 86400 + hour! * 3600 + minute! * 60 + second!;
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
  const track = day.track.map((p) => ({ ...p, s: secondsOf(p.at) })).sort((a, b) => a.s - b.s);
  const layerM = day.plan?.brief.thermoclineM ?? null;
  const fished: Fished[] = [];
  for (let k = 1; k < track.length; k++) {
    const [a, b] = [track[k - 1]!, track[k]!];
    const gap = b.s - a.s;
    const speedMps = b.speedMps ?? 0;
    if (!(gap > 0 && gap <= LONGEST_GAP_S) || speedMps > FISHING_MPS) continue;
    fished.push({
      hours: gap / 3600,
      hour: hourOf(b.s),
      temperatureC: b.temperatureC,
      phase: phaseAt(b.s),
      place: b,
      speedMps,
    });
  }
  const answered = day.bites.map((bite): Answered => {
    const s = secondsOf(bite.at);
    let near: (typeof track)[number] | null = null;
    for (const p of track)
      if (Math.abs(p.s - s) <= NEAR_S && (!near || Math.abs(p.s - s) < Math.abs(near.s - s))) near = p;
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
  return { day, answered, fished };
}
