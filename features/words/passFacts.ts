import { PALETTE_STEPS, pingAt } from '@/core/picture';
import type { PassReading } from '@/stores';
import { decimal } from '@/ui/decimal';
import { clock, type Units } from '../units';

interface Place {
  timeS: number;
  rangeM: number;
}

/** Strength of an echo out of ten, as a share of the palette. */
export const OUT_OF = 10;

/** A step of the palette as a strength: 0 is not drawn. */
export const strengthWords = (step: number): string =>
  step === 0
    ? 'nothing drawn'
    : `strength ${Math.max(1, Math.round((OUT_OF * step) / PALETTE_STEPS))} of ${OUT_OF}`;

/** Way of the boat at a time, m. */
const wayAt = ({ timeS, wayM }: Pick<PassReading, 'timeS' | 'wayM'>, t: number): number =>
  wayM[Math.max(0, pingAt(timeS, t))] ?? 0;

/** Shorter than this a way is none, m: the boat kept its place. */
const NO_WAY_M = 0.2;

/** How far astern a place of the pass lies at its end; null for a boat that kept its place. */
function asternWords(place: Place, reading: PassReading, { show }: Units): string | null {
  const behindM = (reading.wayM[reading.wayM.length - 1] ?? 0) - wayAt(reading, place.timeS);
  return behindM < NO_WAY_M ? null : `${show('depth', behindM, 0)} astern`;
}

/** What is pointed at: how deep, how strong, when, and how far astern. */
export const pointedWords = (place: Place, step: number | null, reading: PassReading, units: Units): string =>
  [
    units.show('depth', place.rangeM, 1),
    step === null ? null : strengthWords(step),
    `at ${clock(place.timeS)}`,
    asternWords(place, reading, units),
  ]
    .filter((words) => words !== null)
    .join(' · ');

/** What lies between two ends of the ruler: height, way, time, and how far astern the second is. */
export function ruledWords(a: Place, b: Place, reading: PassReading, units: Units): string {
  const wayM = Math.abs(wayAt(reading, b.timeS) - wayAt(reading, a.timeS));
  return [
    `${units.height(Math.abs(b.rangeM - a.rangeM))} high`,
    wayM < NO_WAY_M ? null : `${units.show('depth', wayM)} along`,
    `${decimal(Math.abs(b.timeS - a.timeS), 1)} s`,
    asternWords(b, reading, units),
  ]
    .filter((words) => words !== null)
    .join(' · ');
}
