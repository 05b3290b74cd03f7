import { fromDb, toDb } from '@/core/maths';
/**
 * Noise power over its mean that the strongest of `cells` draws exceeds with chance `share`, dB. Noise power is
 * exponential: P(> x) = e^−x, and 1 − (1 − e^−x)^cells = share.
 */
export const speckLevel = (share: number, cells: number): number =>
  toDb(-Math.log(1 - Math.pow(1 - share, 1 / cells)));

/** The share of cells in which the strongest of `cells` noise draws lies over `db` above the mean; inverse of speckLevel. */
export const speckShare = (db: number, cells: number): number =>
  1 - Math.pow(1 - Math.exp(-fromDb(db)), cells);
