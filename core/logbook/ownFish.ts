import * as v from 'valibot';
import { FISH_GROUPS } from '@/core/reading/finding';

const finite = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));

/** The mark of a fish that was caught: what its echo was like. */
export const OwnFishSchema = v.object({
  id: v.pipe(v.string(), v.minLength(1), v.maxLength(64)),
  /** When that was said, ISO 8601 in UTC. */
  at: v.pipe(v.string(), v.isoTimestamp()),
  kind: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(60)),
  lengthM: v.nullable(finite(0.01, 5)),
  /** The beam's frequency, and whether levels are relative, as of a picture of a screen. */
  frequencyHz: finite(20e3, 1.3e6),
  relative: v.boolean(),
  /** What most of its mark was drawn from, low and high, dB as a strength; and the gain it was seen at. */
  levelDb: v.tuple([finite(-300, 300), finite(-300, 300)]),
  gainDb: finite(-100, 100),
  /** How thick it was drawn where it was nearest, and its range, m. */
  thicknessM: finite(0, 100),
  depthM: finite(0, 2000),
  /** How it stood with others; null where that is not known. */
  group: v.optional(v.nullable(v.picklist(FISH_GROUPS)), null),
});
export type OwnFish = v.InferOutput<typeof OwnFishSchema>;

/** Most that are kept. */
export const MOST_OWN_FISH = 2000;
