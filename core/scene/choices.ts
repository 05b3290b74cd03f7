/** What a boat can be told to do from a moment on. */
export const WAYS = ['idle', 'drift', 'hold', 'plane', 'back'] as const;
export type Way = (typeof WAYS)[number];

export interface SteeringCommand {
  /** When, s into the pass. */
  atS: number;
  way: Way;
  /** Way made under `idle` and `back`, m/s. */
  speedMps: number;
}

/** How the ground of a brief's water can lie. */
export const GROUNDS = ['shelf', 'basin', 'hump', 'ledge', 'channel'] as const;
export type Ground = (typeof GROUNDS)[number];

/** Cover and bait that can be put into a brief's water. */
export const EXTRA_COVERS = ['none', 'brush', 'crib', 'timber', 'weed'] as const;
export type ExtraCover = (typeof EXTRA_COVERS)[number];
export const EXTRA_BAIT = ['none', 'calm', 'hunted'] as const;
export type ExtraBait = (typeof EXTRA_BAIT)[number];

/** What is in a water besides what its brief says; what is left out stays as it is. */
export interface WaterExtras {
  ground?: Ground | undefined;
  cover?: ExtraCover | undefined;
  coverAgeYears?: number | undefined;
  bait?: ExtraBait | undefined;
  /** Small life through all the water, dB re 1 m⁻¹. */
  planktonDb?: number | undefined;
  /** Leaves and grass adrift: pieces along the way. */
  drifting?: number | undefined;
  /** Gas rising from the bed. */
  upwelling?: boolean | undefined;
  /** Something electrical on board. */
  electrical?: boolean | undefined;
  /** So many times as many fish as usual. */
  crowd?: number | undefined;
}
