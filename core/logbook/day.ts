import * as v from 'valibot';
import { BriefSchema, HoldsSchema, PRESENTATIONS, SETUP_CONTROLS } from '@/core/advice';
import { RigSchema } from '@/core/rig';

const finite = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));
const Id = v.pipe(v.string(), v.minLength(1), v.maxLength(64));
const Moment = v.pipe(v.string(), v.isoTimestamp());
const Words = (most: number) => v.pipe(v.string(), v.maxLength(most));
const Place = { latitudeDeg: finite(-90, 90), longitudeDeg: finite(-180, 180) };

/** What a mark may be of. */
export const MARK_KINDS = ['fish', 'bait', 'cover', 'bed-change', 'hazard', 'reference', 'other'] as const;
export type MarkKind = (typeof MARK_KINDS)[number];

export const DayMarkSchema = v.object({
  id: Id,
  /** When the echo was under the boat, ISO 8601 in UTC. */
  at: Moment,
  kind: v.picklist(MARK_KINDS),
  ...Place,
  /** Radius it lies in two times of three, m, and the largest part of that. */
  errorM: finite(0, 5000),
  cause: v.picklist(['position', 'moment', 'heading', 'beam']),
  /** Depth of the bed there, and how high what is marked stands on it. */
  depthM: v.optional(v.nullable(finite(0, 2000)), null),
  heightM: v.optional(v.nullable(finite(0, 500)), null),
  /** The first mark of the school it is another of; null for none. */
  schoolId: v.optional(v.nullable(Id), null),
  note: v.optional(Words(400), ''),
});
export type DayMark = v.InferOutput<typeof DayMarkSchema>;

/** What a fish did to a lure. */
export const ANSWERS = ['follow', 'refusal', 'bite', 'catch'] as const;
/** Side of the boat or the buoy. */
export const SIDES = ['left', 'right', 'ahead', 'astern'] as const;

/** Which way the lure was worked over the bed. */
export const ANGLES = ['down', 'uphill', 'downhill', 'along'] as const;

export const BiteSchema = v.object({
  id: Id,
  at: Moment,
  answer: v.picklist(ANSWERS),
  side: v.optional(v.nullable(v.picklist(SIDES)), null),
  angle: v.optional(v.nullable(v.picklist(ANGLES)), null),
  depthM: v.optional(v.nullable(finite(0, 2000)), null),
  lure: v.optional(Words(60), ''),
  /** Kind and length of a catch. */
  species: v.optional(Words(60), ''),
  lengthM: v.optional(v.nullable(finite(0.01, 5)), null),
});
export type Bite = v.InferOutput<typeof BiteSchema>;

/** Whether a fish took the lure, hooked or not. */
export const isTake = ({ answer }: Pick<Bite, 'answer'>): boolean => answer === 'bite' || answer === 'catch';

/** A bare weight let down until the picture lost it: what tells the boat's own noise. */
export const LostWeightSchema = v.object({
  id: Id,
  at: Moment,
  massKg: finite(0.0001, 5),
  depthM: finite(0.5, 300),
  /** The beam it was watched on. */
  faceId: v.pipe(v.string(), v.minLength(1), v.maxLength(40)),
});
export type LostWeight = v.InferOutput<typeof LostWeightSchema>;

/** What a mark may be called. */
export const CALLS = ['fish', 'bait', 'weed', 'cover', 'hard-bed', 'nothing'] as const;
/** How sure one may say to be, on the water and in training, 0…1. */
export const SURENESS = [0.6, 0.8, 0.95] as const;
/** How a call came out: caught, seen on a camera, or not so; or only borne out by the other picture. */
export const PROOFS = ['caught', 'camera', 'refuted', 'supported'] as const;

export const CallSchema = v.object({
  id: Id,
  at: Moment,
  what: v.picklist(CALLS),
  /** How sure, 0…1. */
  sure: finite(0, 1),
  by: v.picklist(['user', 'reader']),
  proof: v.optional(v.nullable(v.picklist(PROOFS)), null),
  /** Depth of the water it was called over, m, and the beam it was called from; nothing where nobody knew. */
  depthM: v.optional(v.nullable(finite(0, 2000)), null),
  beam: v.optional(Words(60), ''),
});
export type Call = v.InferOutput<typeof CallSchema>;

export const TrackPointSchema = v.object({
  at: Moment,
  ...Place,
  speedMps: v.nullable(finite(0, 60)),
  depthM: v.nullable(finite(0, 2000)),
  temperatureC: v.nullable(finite(-5, 50)),
  supplyV: v.optional(v.nullable(finite(0, 60)), null),
});
export type TrackPoint = v.InferOutput<typeof TrackPointSchema>;

/** A line of the setup as it was set on the unit, in the control's own unit and as the unit shows it. */
export const UsedLineSchema = v.object({
  at: Moment,
  phase: v.picklist(PRESENTATIONS),
  picture: v.picklist(['cone', 'slice']),
  control: v.picklist(SETUP_CONTROLS),
  value: finite(-1e9, 1e9),
  shown: Words(60),
});
export type UsedLine = v.InferOutput<typeof UsedLineSchema>;

/** Bed a pass went over, and how likely it is hard, 0…1. */
export const BedPlaceSchema = v.object({ ...Place, hard: finite(0, 1) });
export type BedPlace = v.InferOutput<typeof BedPlaceSchema>;

/** Lanes laid over a piece of water. */
export const LaidLanesSchema = v.object({
  ...Place,
  headingRad: finite(-7, 7),
  lengthM: finite(1, 5000),
  count: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(500)),
  spacingM: finite(0.1, 2000),
  swathM: finite(0.1, 2000),
});

/** Most of each thing a day holds. */
export const MOST_MARKS = 1000;
export const MOST_TRACK = 4000;
export const MOST_SAID = 400;
export const MOST_BED = 2000;

/** A day on the water. */
export const DaySchema = v.object({
  id: Id,
  name: Words(60),
  startedAt: Moment,
  /** Whether its places are those of the simulated boat. */
  simulated: v.optional(v.boolean(), false),
  marks: v.optional(v.pipe(v.array(DayMarkSchema), v.maxLength(MOST_MARKS)), []),
  bites: v.optional(v.pipe(v.array(BiteSchema), v.maxLength(MOST_MARKS)), []),
  calls: v.optional(v.pipe(v.array(CallSchema), v.maxLength(MOST_MARKS)), []),
  /** Phases used, each from a moment on. */
  phases: v.optional(
    v.pipe(v.array(v.object({ at: Moment, phase: v.picklist(PRESENTATIONS) })), v.maxLength(400)),
    [],
  ),
  track: v.optional(v.pipe(v.array(TrackPointSchema), v.maxLength(MOST_TRACK)), []),
  /** In one line. */
  weather: v.optional(Words(120), ''),
  note: v.optional(Words(4000), ''),
  lost: v.optional(v.pipe(v.array(LostWeightSchema), v.maxLength(200)), []),
  /** What the water is called; nothing where nobody said. */
  waterName: v.optional(Words(60), ''),
  /** What was planned for it, and the lines the user held at values of their own. */
  plan: v.optional(v.nullable(v.object({ brief: BriefSchema, holds: HoldsSchema })), null),
  /** The boat it was fished from; null where nobody kept it. */
  rig: v.optional(v.nullable(RigSchema), null),
  /** Passes saved to the log on that day, pictures of a screen among them. */
  passes: v.optional(
    v.pipe(v.array(v.object({ at: Moment, entryId: Id, title: Words(120) })), v.maxLength(MOST_SAID)),
    [],
  ),
  /** Recordings and pictures of a screen opened on that day, by their file on the device. */
  files: v.optional(
    v.pipe(v.array(v.object({ at: Moment, fileId: Id, title: Words(120) })), v.maxLength(MOST_SAID)),
    [],
  ),
  /** Lines ticked off as they were set on the unit. */
  used: v.optional(v.pipe(v.array(UsedLineSchema), v.maxLength(MOST_SAID)), []),
  /** Lanes that are gone over; null where none are laid. */
  lanes: v.optional(v.nullable(LaidLanesSchema), null),
  /** Bed of the passes saved. */
  bed: v.optional(v.pipe(v.array(BedPlaceSchema), v.maxLength(MOST_BED)), []),
  /** What the coach said, in its words. */
  coached: v.optional(
    v.pipe(v.array(v.object({ at: Moment, words: Words(200) })), v.maxLength(MOST_SAID)),
    [],
  ),
});
export type Day = v.InferOutput<typeof DaySchema>;

/** A day on which nothing is but what is told. @throws ValiError for what is no day */
export const newDay = (told: v.InferInput<typeof DaySchema>): Day => v.parse(DaySchema, told);

/** The lines last set in each phase, each once; later ones take the place of earlier. */
export function lastUsed(used: readonly UsedLine[]): UsedLine[] {
  const byLine = new Map<string, UsedLine>();
  for (const line of used) byLine.set(`${line.phase} ${line.picture} ${line.control}`, line);
  return [...byLine.values()];
}

/** Every second point of the older half: a long day keeps its shape, its last hour whole. */
export function thinned(track: readonly TrackPoint[]): TrackPoint[] {
  if (track.length < MOST_TRACK) return [...track];
  const half = track.length >> 1;
  return track.filter((_, i) => i >= half || i % 2 === 0);
}
