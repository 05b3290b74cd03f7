import { FEW_OWN_FISH, type besideOwn, type OwnKind } from '@/core/logbook/ownKinds';
import type { Units } from '../units';

/** Steps of the legend: one, or from and to. */
export const stepWords = ([low, high]: readonly [number, number]): string =>
  low === high ? `step ${low}` : `steps ${low}–${high}`;

/** What one's own fish of a kind were drawn like, with how many there were. */
export const ownKindWords = ({ kind, count, steps, thicknessM, depthM }: OwnKind, units: Units): string =>
  `Your ${kind}, ${count} caught: mostly ${stepWords(steps)} at this gain, ${units.band('small', ...thicknessM, 0)} thick, at ${units.band('depth', ...depthM)}.`;

/** How a mark stands to them, and how little that says. */
export const BESIDE_WORDS: Record<ReturnType<typeof besideOwn>, string> = {
  few: `Fewer than ${FEW_OWN_FISH} are too few to go by.`,
  alike: 'This mark is drawn like yours. Other fish can be drawn like that too.',
  weaker: 'This mark is weaker than yours have been.',
  stronger: 'This mark is stronger than yours have been.',
};
