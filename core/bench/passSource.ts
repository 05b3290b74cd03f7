import * as v from 'valibot';
import { BriefSchema, type Brief } from '@/core/advice';
import type { Rig } from '@/core/rig';
import { EXTRA_BAIT, EXTRA_COVERS, GROUNDS, WAYS } from '@/core/scene/choices';

/** Where the seeds of simulated water lie. */
export const SeedSchema = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(4294967295));

/** How a brief's water is made: 1 always lays the east shelf, 2 lays what the brief says. Old passes keep their water. */
export const BRIEF_WATERS = [1, 2] as const;
export type BriefWater = (typeof BRIEF_WATERS)[number];

const between = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));

/** Most commands a boat is steered by in one pass, and latest moment of one, s. */
export const MOST_STEERING = 12;
export const LATEST_STEERING_S = 600;

const SteeringSchema = v.optional(
  v.pipe(
    v.array(
      v.object({ atS: between(0, LATEST_STEERING_S), way: v.picklist(WAYS), speedMps: between(0.1, 4) }),
    ),
    v.maxLength(MOST_STEERING),
  ),
);

/** What is in a brief's water besides what the brief says. Each may be left out: then it is as the brief has it. */
export const WaterExtrasSchema = v.object({
  ground: v.optional(v.picklist(GROUNDS)),
  cover: v.optional(v.picklist(EXTRA_COVERS)),
  coverAgeYears: v.optional(between(0, 20)),
  bait: v.optional(v.picklist(EXTRA_BAIT)),
  planktonDb: v.optional(between(-95, -60)),
  drifting: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(400))),
  upwelling: v.optional(v.boolean()),
  electrical: v.optional(v.boolean()),
});

/** Where a pass comes from: a brief's water or a named scene, simulated, or a recording file. */
export const PassSourceSchema = v.variant('kind', [
  v.object({
    kind: v.literal('brief'),
    brief: BriefSchema,
    seed: SeedSchema,
    water: v.optional(v.picklist(BRIEF_WATERS), 1),
    more: v.optional(WaterExtrasSchema),
    steering: SteeringSchema,
  }),
  v.object({
    kind: v.literal('scene'),
    sceneId: v.pipe(v.string(), v.minLength(1), v.maxLength(60)),
    seed: SeedSchema,
    steering: SteeringSchema,
  }),
  v.object({
    kind: v.literal('recording'),
    /** The file's name, and a fingerprint that tells it from another of that name. */
    name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
    fingerprint: v.pipe(v.string(), v.maxLength(64)),
    /** A picture of a screen: nobody knows where it was taken. */
    placeless: v.optional(v.boolean()),
  }),
]);
export type PassSource = v.InferOutput<typeof PassSourceSchema>;

/** A pass as it is asked for: its source, and the boat it is made on and read from. */
export interface PassSpec {
  source: PassSource;
  rig: Rig;
}

/** The pass over a brief's own water. */
export const briefPass = (brief: Brief, rig: Rig, seed: number): PassSpec => ({
  source: { kind: 'brief', brief, seed, water: 2 },
  rig,
});

/** A pass as it would go unsteered: what two passes share that differ in how the boat is steered only. */
export const unsteeredKey = ({ source, rig }: PassSpec): string =>
  passKey({ source: source.kind === 'recording' ? source : { ...source, steering: undefined }, rig });

/** One pass and no other: the same text for the same pass. */
export const passKey = ({ source, rig }: PassSpec): string =>
  JSON.stringify(source.kind === 'recording' ? source : [source, rig]);
