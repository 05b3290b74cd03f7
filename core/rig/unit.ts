import * as v from 'valibot';

/** How a user's own unit words and counts one control, as the user has told. */
export const UnitScaleSchema = v.pipe(
  v.object({
    /** The unit's own word for it. */
    word: v.pipe(v.string(), v.minLength(1), v.maxLength(30)),
    lowest: v.pipe(v.number(), v.finite()),
    highest: v.pipe(v.number(), v.finite()),
    step: v.pipe(v.number(), v.finite(), v.gtValue(0)),
    /** Whether a higher number does more of it, or less. */
    direction: v.picklist(['more', 'less']),
  }),
  v.check((s) => s.highest > s.lowest, 'the highest must be above the lowest'),
  v.check((s) => s.step <= s.highest - s.lowest, 'one step must fit between lowest and highest'),
);
export type UnitScale = v.InferOutput<typeof UnitScaleSchema>;

/** A number on the user's unit, and the seconds a mark then took across the whole screen. */
const ChartTimingSchema = v.object({
  shown: v.pipe(v.number(), v.finite()),
  acrossS: v.pipe(v.number(), v.finite(), v.gtValue(0)),
});
export type ChartTiming = v.InferOutput<typeof ChartTimingSchema>;

const pixels = v.pipe(v.number(), v.finite(), v.integer(), v.minValue(100), v.maxValue(2000));
const Name = v.pipe(v.string(), v.minLength(1), v.maxLength(40));

/** Where on the boat a unit stands. */
export const STATIONS = ['stern', 'bow'] as const;
export type Station = (typeof STATIONS)[number];

/** Height of a usual unit's picture (a screen of 18 cm across its corners), and how far off a person stands, m. */
const USUAL_HEIGHT_M = 0.09;
const USUAL_DISTANCE_M = 0.65;

/** Fastest a usual unit pings, 1/s. */
const USUAL_PING_RATE = 20;

/** One of the boat's units: a screen, how it counts, and the beams that feed it. */
export const UnitSchema = v.object({
  id: Name,
  name: Name,
  station: v.optional(v.picklist(STATIONS), 'stern'),
  /** Echo picture of the unit, pixels. */
  screen: v.object({ rows: pixels, columns: pixels }),
  /** Height of that picture, and how far from it the eye is, m. */
  pictureHeightM: v.optional(v.pipe(v.number(), v.finite(), v.minValue(0.03), v.maxValue(1)), USUAL_HEIGHT_M),
  viewedFromM: v.optional(v.pipe(v.number(), v.finite(), v.minValue(0.2), v.maxValue(5)), USUAL_DISTANCE_M),
  /** Fastest the unit pings, 1/s. */
  fastestPingRate: v.optional(v.pipe(v.number(), v.finite(), v.minValue(1), v.maxValue(60)), USUAL_PING_RATE),
  /** Faces shown on it, by id; null for all. */
  faceIds: v.optional(v.nullable(v.pipe(v.array(Name), v.maxLength(8))), null),
  /** How it counts controls, by control, as far as the user has told; none ships. */
  scales: v.optional(v.record(v.pipe(v.string(), v.maxLength(40)), UnitScaleSchema), () => ({})),
  /** Two timings of one mark across its screen; null until they are taken. */
  chart: v.optional(v.nullable(v.tuple([ChartTimingSchema, ChartTimingSchema])), null),
});
export type Unit = v.InferOutput<typeof UnitSchema>;

/** Most units a boat has. */
export const MOST_UNITS = 4;

interface WithUnits {
  units: readonly Unit[];
}

/** The unit a rig is looked at through: its first. */
export const unitOf = ({ units }: WithUnits): Unit => units[0]!;

/** Rows and columns of the unit a rig is looked at through. */
export const screenOf = (rig: WithUnits): Unit['screen'] => unitOf(rig).screen;

/** Whether a unit shows a face. */
export const showsFace = ({ faceIds }: Pick<Unit, 'faceIds'>, faceId: string): boolean =>
  faceIds === null || faceIds.includes(faceId);

/**
 * The rig as one of its units has it: that unit first, and the faces that feed it. A unit that none of the rig's faces
 * feeds has them all; an id the rig lacks stands for its first unit. Throws nothing.
 */
export function seenOnUnit<Rig extends WithUnits & { faces: readonly { id: string }[] }>(
  rig: Rig,
  unitId: string | null,
): Rig {
  const unit = rig.units.find((u) => u.id === unitId) ?? unitOf(rig);
  const fed = rig.faces.filter((face) => showsFace(unit, face.id));
  const units = [unit, ...rig.units.filter((u) => u !== unit)];
  return { ...rig, units, faces: fed.length > 0 ? fed : rig.faces };
}

/** What a rig had in place of units before a boat could have several, and in place of a mount before it could shake. */
const OldRig = v.looseObject({
  screen: v.unknown(),
  fastestPingRate: v.unknown(),
  tilt: v.optional(v.looseObject({})),
  feeds: v.optional(v.record(v.string(), v.string()), () => ({})),
  faces: v.array(v.looseObject({ id: v.string() })),
});

/**
 * A rig of any age as today's: the one screen it had becomes its unit; where beams were shown at the bow or at the stern
 * only, a unit at either place, fed by its own. What is no such rig is left as it is, for the schema to judge.
 */
export function withUnits(data: unknown): unknown {
  if (typeof data !== 'object' || data === null || 'units' in data) return data;
  const old = v.safeParse(OldRig, data);
  if (!old.success) return data;
  const { screen, fastestPingRate, feeds, tilt, ...rest } = old.output;
  const rig = tilt ? { mount: tilt, ...rest } : rest;
  const usual = { id: 'unit-1', name: 'Unit', screen, fastestPingRate };
  if (!Object.values(feeds).includes('bow')) return { ...rig, units: [usual] };
  const fedAt = (station: Station): string[] =>
    rig.faces.map((f) => f.id).filter((id) => (feeds[id] ?? 'both') === 'both' || feeds[id] === station);
  return {
    ...rig,
    units: [
      { ...usual, name: 'Stern unit', station: 'stern', faceIds: fedAt('stern') },
      { ...usual, id: 'unit-2', name: 'Bow unit', station: 'bow', faceIds: fedAt('bow') },
    ],
  };
}
