import type { Bite, Call, Day, UsedLine } from '@/core/logbook/day';
import { isTake } from '@/core/logbook/day';
import type { Units } from '../units';
import { PHASE_WORDS } from './brief';
import { controlName } from './controls';
import { ANGLE_WORDS, ANSWER_WORDS, CALL_WORDS, PROOF_WORDS, SIDE_WORDS } from './deck';

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;

// Made once: making one takes longer than a whole row.
const DATE = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium' });
const TIME = new Intl.DateTimeFormat(undefined, { timeStyle: 'short' });

const MONTH = new Intl.DateTimeFormat(undefined, { month: 'long', timeZone: 'UTC' });

/** The name of a month, 1 to 12. */
export const monthWords = (month: number): string => MONTH.format(new Date(Date.UTC(2026, month - 1, 15)));

export const dateWords = (iso: string): string => DATE.format(new Date(iso));
export const timeWords = (iso: string): string => TIME.format(new Date(iso));

/** A day in a line: when, where, and what came of it. */
export const dayLine = (day: Day): string =>
  [
    dateWords(day.startedAt),
    ...(day.waterName !== '' && !day.name.startsWith(day.waterName) ? [day.waterName] : []),
    count(day.bites.filter(isTake).length, 'take', 'takes'),
    count(day.calls.length, 'call', 'calls'),
    count(day.marks.length, 'mark', 'marks'),
    ...(day.simulated ? ['simulated'] : []),
  ].join(' · ');

/** A bite: when, what, where and on what. */
export const biteWords = (
  { at, answer, side, angle, depthM, lure, species, lengthM }: Bite,
  { show }: Units,
): string =>
  [
    `${timeWords(at)} ${ANSWER_WORDS[answer].toLowerCase()}`,
    ...(species === '' ? [] : [species.toLowerCase()]),
    ...(lengthM === null ? [] : [show('small', lengthM, 0)]),
    ...(depthM === null ? [] : [show('depth', depthM)]),
    ...(side === null ? [] : [SIDE_WORDS[side].toLowerCase()]),
    ...(angle === null ? [] : [ANGLE_WORDS[angle].toLowerCase()]),
    ...(lure === '' ? [] : [lure]),
  ].join(', ');

/** A line set on the unit: when, in which phase, what and to what. */
export const usedWords = ({ at, phase, picture, control, shown }: UsedLine): string =>
  `${timeWords(at)} ${PHASE_WORDS[phase].toLowerCase()}, ${picture === 'slice' ? 'slice, ' : ''}${controlName(control, null).toLowerCase()}: ${shown}`;

/** A call, how sure, and how it came out. */
export const callWords = ({ at, what, sure, by, proof }: Call): string =>
  `${timeWords(at)} ${by === 'reader' ? 'the reader: ' : ''}${CALL_WORDS[what].toLowerCase()}, ${Math.round(100 * sure)} % sure: ${proof === null ? 'not proved' : PROOF_WORDS[proof].told}`;
