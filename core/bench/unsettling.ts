import type { Settings } from '@/core/picture';

/** Settings whose turn unsettles gain and colours: the echoes these were set for are then drawn stronger or weaker. */
export const UNSETTLING = [
  'power',
  'tvg',
  'gainMode',
  'faceId',
] as const satisfies readonly (keyof Settings)[];
export type Unsettling = (typeof UNSETTLING)[number];

/** Dials that set it right again. */
export const SETTLING = ['gain', 'firstColour', 'colourSpread'] as const;

/** The setting of a change that unsettles gain and colours, unless it sets them itself; null where none does. */
export const unsettlingOf = (change: Partial<Settings>): Unsettling | null =>
  'gainDb' in change ? null : (UNSETTLING.find((name) => name in change) ?? null);

/** Whether a change sets gain or colours. */
export const settles = (change: Partial<Settings>): boolean =>
  'gainDb' in change || 'firstColourDb' in change || 'colourSpreadDb' in change;
