import type { CoverClass } from '../finding';

/** Mean and standard deviation of what is measured of each class. */
export interface Habit {
  /** Of ln height and ln length, m. */
  tall: readonly [number, number];
  length: readonly [number, number];
  /** Strongest echo under the bed's own, dB. */
  underBedDb: readonly [number, number];
  /** Share of its height the bed line itself rises by. */
  solid: readonly [number, number];
  /** Share of samples under its outline that stand out: a rock has no gaps. */
  fill: readonly [number, number];
}

/**
 * Wide on purpose: a heap of branches is a metre or two high and drawn some metres long, a standing tree high and narrow,
 * a weed bed long and even, a rock low, strong and part of the bed line. Chosen on
 * simulated cover of every class (`npm run accuracy`, on the bed), not fitted.
 */
export const HABITS: Record<CoverClass, Habit> = {
  weed: { tall: [0, 0.5], length: [2.6, 0.55], underBedDb: [28, 10], solid: [0, 0.08], fill: [0.8, 0.1] },
  brush: {
    tall: [0.25, 0.4],
    length: [1.65, 0.45],
    underBedDb: [39, 9],
    solid: [0, 0.08],
    fill: [0.85, 0.1],
  },
  timber: { tall: [1.35, 0.4], length: [1, 0.8], underBedDb: [43, 10], solid: [0, 0.08], fill: [0.68, 0.12] },
  boulder: {
    tall: [-0.3, 0.45],
    length: [1.3, 0.8],
    underBedDb: [19, 8],
    solid: [0.35, 0.22],
    fill: [0.96, 0.05],
  },
};

/** What speaks for a rise of the bed being a thing that stands on it, in log odds; chosen on the same passes. */
export const COVER_WEIGHTS = {
  /** A decibel over the water, from where it is as likely as not. */
  perDb: 0.12,
  evenDb: 20,
  /** Share of its outline that stands out. */
  perFill: 6,
  evenFill: 0.5,
  /** A ping more than four, up to the most that say more. */
  perPing: 0.3,
  evenPings: 4,
  mostPings: 12,
  /** A factor e over the roughness of the bed, up to the most that says more. */
  perTall: 6,
  mostTall: 0.3,
  /** A factor e lower than this, m: twelve of twelve rises of under 0.35 m were the bed's own or a burst's, on painted passes. */
  perLow: 10,
  lowM: 0.45,
  /** A thing that is as likely a fish close to the bed: what that takes, and the least solid it may be. */
  fishLike: 5,
  fishLikeSolid: 0.15,
} as const;
