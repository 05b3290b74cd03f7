import {
  DEPTH_BAND_M,
  HOUR_BAND_H,
  TEMPERATURE_BAND_C,
  type BiteRate,
  type Rate,
  type SortedBy,
} from '@/core/logbook/biteRates';
import type { EveningCard } from '@/core/logbook/eveningCard';
import type { SetupRate } from '@/core/logbook/setupRates';
import type { SpotRate } from '@/core/logbook/spotRates';
import type { ControlName } from '@/core/picture';
import type { Presentation } from '@/core/advice';
import { decimal } from '@/ui/decimal';
import type { Units } from '../units';
import { PHASE_WORDS } from './brief';
import { controlName, controlValue } from './controls';
import { MARK_WORDS } from './deck';
import type { OwnUnit } from './setupValues';

export const SORTED_WORDS: Record<SortedBy, string> = {
  depth: 'Depth',
  hour: 'Hour',
  temperature: 'Temperature',
  layer: 'Layer',
  side: 'Side',
  lure: 'Lure',
  phase: 'Phase',
};

/** The name of a group of bites. */
export function groupWords(by: SortedBy, key: number | string, { band }: Units): string {
  if (typeof key === 'number') {
    if (by === 'depth') return band('depth', key, key + DEPTH_BAND_M, 0);
    if (by === 'hour') return `${key}–${key + HOUR_BAND_H} h`;
    return band('temperature', key, key + TEMPERATURE_BAND_C, 0);
  }
  if (by === 'phase') return PHASE_WORDS[key as Presentation];
  if (by === 'layer') return key === 'over' ? 'Over the layer' : 'Under the layer';
  return key.replace(/^./, (c) => c.toUpperCase());
}

/** Takes an hour, with how far that can be trusted. */
export const rateWords = ({ perHour, low, high }: Rate): string =>
  `${decimal(perHour, 1)} an hour, likely ${decimal(low, 1)}–${decimal(high, 1)}`;

/** What fish did in a group, and in what time. */
export function biteLine({ takes, of, low, high, hours, rate }: BiteRate): string {
  const counted =
    of > 0
      ? `${takes} of ${of} answers were takes, likely ${Math.round(100 * low)}–${Math.round(100 * high)} %`
      : 'No answer';
  if (hours === null) return `${counted}.`;
  return rate ? `${counted}. In ${decimal(hours, 1)} h: ${rateWords(rate)}.` : `${counted}.`;
}

export const spotName = ({ kind, note }: SpotRate): string =>
  note !== '' ? note.replace(/^./, (c) => c.toUpperCase()) : MARK_WORDS[kind as keyof typeof MARK_WORDS];

/** What a spot brought for the time spent. */
export const spotLine = ({ takes, hours, rate, days }: SpotRate): string =>
  `${takes} ${takes === 1 ? 'take' : 'takes'} in ${decimal(hours, 1)} h on ${days} ${days === 1 ? 'day' : 'days'}${rate ? `: ${rateWords(rate)}` : ''}.`;

/** A held line, and what came of it against other values. */
export function setupLine(row: SetupRate, units: Units, own: OwnUnit): [name: string, words: string] {
  const control = row.control as ControlName;
  const name = `${controlName(control, own)} at ${controlValue(control, row.value, units)}`;
  const mine = row.rate ? rateWords(row.rate) : `${row.takes} in ${decimal(row.hours, 1)} h`;
  const others = row.others.rate ? ` At other values ${decimal(row.others.rate.perHour, 1)} an hour.` : '';
  return [name, `${row.days} ${row.days === 1 ? 'day' : 'days'}, ${mine}.${others}`];
}

/** The card's lines, each with the day it comes from. */
export function cardLines(
  card: EveningCard,
  units: Units,
  own: OwnUnit,
  briefLine: string,
): [words: string, day: string][] {
  const out: [string, string][] = [
    [
      card.perHour === null ? briefLine : `${briefLine}. ${decimal(card.perHour, 1)} takes an hour`,
      card.brief.day.name,
    ],
  ];
  if (card.bitesAt)
    out.push([`Bites came at ${units.band('depth', ...card.bitesAt.value)}`, card.bitesAt.day.name]);
  if (card.lure) out.push([`Lure that took best: ${card.lure.value}`, card.lure.day.name]);
  for (const { value, day } of card.held)
    out.push([
      `${controlName(value.control as ControlName, own)} held at ${controlValue(value.control as ControlName, value.value, units)}`,
      day.name,
    ]);
  if (card.bestHour)
    out.push([
      `Best hours ${card.bestHour.fromHour}–${card.bestHour.fromHour + HOUR_BAND_H} h: ${decimal(card.bestHour.perHour, 1)} takes an hour`,
      `all ${card.days} days`,
    ]);
  return out;
}
