import { decimal } from '@/ui/decimal';

/** Levels and rates as they are written wherever they stand; levels only where the user asks for numbers. */
export const db = (x: number): string => `${x < 0 ? '−' : ''}${Math.abs(Math.round(x))}\u00a0dB`;
export const signedDb = (x: number): string => `${x > 0 ? '+' : ''}${db(x)}`;
export const perSecond = (x: number): string => `${decimal(x, 1)}\u00a0a second`;
export const frequencyWords = (hz: number): string => `${Number((hz / 1000).toFixed(0))}\u00a0kHz`;
/** What a lure weighs. */
export const grams = (kg: number): string => `${decimal(1000 * kg, kg < 0.01 ? 1 : 0)}\u00a0g`;
/** A share, to a half of ten: finer it is not known. */
export const outOfTen = (share: number): string => `${Math.round(10 * share)} of 10`;
