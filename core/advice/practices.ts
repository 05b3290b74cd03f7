import * as v from 'valibot';

/**
 * Where good practitioners disagree: the ways each control may be set, the first being this setup's own. Each is a rule with a
 * number of its own in setup.ts; which one the user keeps to is their habit.
 */
export const PRACTICES = {
  /** Bed and a margin; the least that shows the bed; one range for all waters; a window about the fish; the unit's auto. */
  range: ['margin', 'least', 'one-for-all', 'around-fish', 'auto'],
  /** Wide to search and narrow to fish straight down; or always the one that shows most. */
  beam: ['by-task', 'strongest'],
  /** By hand to the first specks; the unit's auto with an offset; by hand to what stays clean under way; big fish only; until the lure shows. */
  gain: ['specks', 'auto-offset', 'under-way', 'big-only', 'show-lure'],
  noiseRejection: ['none', 'least-that-does-it'],
  topWater: ['above-fish', 'off'],
  /** Lone fish alike at every depth; water full of life alike; none, made up for with gain. */
  tvg: ['fish-alike', 'water-alike', 'none'],
  /** Filtered over a near bed and full elsewhere; always full; always filtered. */
  power: ['by-depth', 'full', 'filtered'],
  /** True to shape; by the rule of thumb for the speed; drawn out. */
  chartSpeed: ['true-to-shape', 'by-rule', 'drawn-out'],
  /** Imaging confirms what the cone finds; it shows more, being wider; it shows fewer, and is for cover. */
  imaging: ['confirms', 'shows-more', 'shows-fewer'],
  /** A sweep wherever there is one; a single frequency in the shallows. */
  pulse: ['swept', 'single-in-shallows'],
  /** By the mark's height; by its strongest colour; by the brightness of the imaging dot; only bait or game fish. */
  size: ['strength', 'height', 'dot', 'bait-or-game'],
} as const;

export type Debated = keyof typeof PRACTICES;
export type Practice<C extends Debated = Debated> = (typeof PRACTICES)[C][number];

/** The practice a user keeps to, by control; what is left out is the first. */
export type Habits = { readonly [C in Debated]?: Practice<C> | undefined };

/** Habits from storage or a file. */
export const HabitsSchema: v.GenericSchema<unknown, Habits> = v.object({
  range: v.optional(v.picklist(PRACTICES.range)),
  beam: v.optional(v.picklist(PRACTICES.beam)),
  gain: v.optional(v.picklist(PRACTICES.gain)),
  noiseRejection: v.optional(v.picklist(PRACTICES.noiseRejection)),
  topWater: v.optional(v.picklist(PRACTICES.topWater)),
  tvg: v.optional(v.picklist(PRACTICES.tvg)),
  power: v.optional(v.picklist(PRACTICES.power)),
  chartSpeed: v.optional(v.picklist(PRACTICES.chartSpeed)),
  imaging: v.optional(v.picklist(PRACTICES.imaging)),
  pulse: v.optional(v.picklist(PRACTICES.pulse)),
  size: v.optional(v.picklist(PRACTICES.size)),
});
