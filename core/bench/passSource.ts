import * as v from 'valibot';
import { BriefSchema, type Brief } from '@/core/advice';
import type { Rig } from '@/core/rig';

/** Where the seeds of simulated water lie. */
export const SeedSchema = v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(4294967295));

/** How a brief's water is made: 1 always lays the east shelf, 2 lays what the brief says. Old passes keep their water. */
export const BRIEF_WATERS = [1, 2] as const;
export type BriefWater = (typeof BRIEF_WATERS)[number];

/** Where a pass comes from: a brief's water or a named scene, simulated, or a recording file. */
export const PassSourceSchema = v.variant('kind', [
  v.object({
    kind: v.literal('brief'),
    brief: BriefSchema,
    seed: SeedSchema,
    water: v.optional(v.picklist(BRIEF_WATERS), 1),
  }),
  v.object({
    kind: v.literal('scene'),
    sceneId: v.pipe(v.string(), v.minLength(1), v.maxLength(60)),
    seed: SeedSchema,
  }),
  v.object({
    kind: v.literal('recording'),
    /** The file's name, and a fingerprint that tells it from another of that name. */
    name: v.pipe(v.string(), v.minLength(1), v.maxLength(200)),
    fingerprint: v.pipe(v.string(), v.maxLength(64)),
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

/** One pass and no other: the same text for the same pass. */
export const passKey = ({ source, rig }: PassSpec): string =>
  JSON.stringify(source.kind === 'recording' ? source : [source, rig]);
