import * as v from 'valibot';
import {
  BED_MATERIALS,
  CLARITIES,
  HOURS,
  SEASONS,
  type BedMaterial,
  type Engine,
  type Season,
  type Water,
} from '@/core/water';
import { OwnSpeciesSchema, SPECIES, speciesOf, type Species } from './species';

export { CLARITIES, HOURS, SEASONS, type Clarity, type Hour, type Season } from '@/core/water';

const between = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));

/** How the boat fishes. */
export const PRESENTATIONS = ['search', 'vertical', 'drift', 'troll', 'deep-drop', 'run'] as const;
export type Presentation = (typeof PRESENTATIONS)[number];

/** Boat speeds that go with a presentation until the user says otherwise, m/s. */
export const USUAL_SPEED_MPS: Record<Presentation, number> = {
  search: 1.5,
  vertical: 0,
  drift: 0.4,
  troll: 1,
  'deep-drop': 0.4,
  run: 6,
};

/** What lies below, as far as it is known. */
export const BRIEF_BEDS = ['unknown', ...BED_MATERIALS] as const;

/** Sea water under a fresh layer, practical salinity. */
const SEA = 35;

/** What the user means to do: the sentence at the top of Plan. */
export const BriefSchema = v.pipe(
  v.object({
    speciesId: v.pipe(v.string(), v.maxLength(40)),
    /** The kind itself where it is one of the user's own. */
    ownSpecies: v.optional(v.nullable(OwnSpeciesSchema), null),
    lengthM: v.pipe(
      v.tuple([between(0.03, 3), between(0.03, 3)]),
      v.check(([low, high]) => low <= high, 'the smaller length comes first'),
    ),
    /** Shallowest fish and deepest bed, m. */
    fromM: between(0.5, 300),
    toM: between(2, 300),
    /** Deepest fish, m, where they keep well over the bed; null where they may lie down to it. */
    fishToM: v.optional(v.nullable(between(1, 300)), null),
    temperatureC: between(0, 35),
    salinity: between(0, 40),
    thermoclineM: v.nullable(between(1, 100)),
    /** Depth of salt water under a fresh layer, m; null where there is none. */
    saltUnderM: v.optional(v.nullable(between(0.5, 100)), null),
    clarity: v.optional(v.picklist(CLARITIES), 'stained'),
    bed: v.optional(v.picklist(BRIEF_BEDS), 'unknown'),
    /** Other sounders within earshot. */
    othersNear: v.optional(v.boolean(), false),
    windMps: between(0, 20),
    hour: v.optional(v.picklist(HOURS), 'day'),
    season: v.optional(v.nullable(v.picklist(SEASONS)), null),
    presentation: v.picklist(PRESENTATIONS),
    speedMps: between(0, 15),
    /** What hangs on the line; null where nobody said. Dressed: soft bait, feathers or a skirt about the metal. */
    lure: v.optional(v.nullable(v.object({ massKg: between(0.0005, 5), dressed: v.boolean() })), null),
    /** A face's id, or null to let the setup choose. */
    faceId: v.nullable(v.pipe(v.string(), v.maxLength(40))),
  }),
  v.check((b) => b.toM >= b.fromM + 1, 'the bed must lie at least 1 m below the shallowest fish'),
  v.check(
    (b) => b.fishToM === null || b.fishToM >= b.fromM,
    'the deepest fish must lie below the shallowest',
  ),
  v.check((b) => b.fishToM === null || b.fishToM <= b.toM, 'the fish cannot lie below the bed'),
  v.check(
    (b) => b.ownSpecies?.id === b.speciesId || SPECIES.some((s) => s.id === b.speciesId),
    'there is no such kind of fish',
  ),
);
export type Brief = v.InferOutput<typeof BriefSchema>;

/** The demo's brief, and the one a new user starts from. */
export const FIRST_BRIEF: Brief = {
  speciesId: 'perch',
  ownSpecies: null,
  lengthM: [...speciesOf('perch').lengthM],
  fromM: 6,
  toM: 14,
  fishToM: null,
  temperatureC: 17,
  salinity: 0,
  thermoclineM: 9,
  saltUnderM: null,
  clarity: 'stained',
  bed: 'unknown',
  othersNear: false,
  windMps: 3,
  hour: 'day',
  season: null,
  presentation: 'search',
  speedMps: USUAL_SPEED_MPS.search,
  lure: null,
  faceId: null,
};

/** The kind a brief is after: the user's own, or one of the library's. */
export const targetOf = (brief: Brief): Species => brief.ownSpecies ?? speciesOf(brief.speciesId);

/** Deepest the fish of a brief swim, m. */
export const deepestFishOf = ({ fishToM, toM }: Pick<Brief, 'fishToM' | 'toM'>): number => fishToM ?? toM;

/** Bed and shallowest fish lie at least so far apart, m. */
const LEAST_APART_M = 1;

/** A brief with depths typed in any order: what was typed stands, and the others make room for it. */
export function withDepths(
  brief: Brief,
  change: Partial<Pick<Brief, 'fromM' | 'fishToM' | 'toM'>>,
): Pick<Brief, 'fromM' | 'fishToM' | 'toM'> {
  let { fromM, fishToM, toM } = { ...brief, ...change };
  if (change.toM !== undefined) {
    fromM = Math.min(fromM, toM - LEAST_APART_M);
    if (fishToM !== null) fishToM = Math.min(fishToM, toM);
  } else toM = Math.max(toM, fromM + LEAST_APART_M, fishToM ?? 0);
  if (fishToM !== null) {
    if (change.fishToM !== undefined && change.fishToM !== null) fromM = Math.min(fromM, fishToM);
    else fishToM = Math.max(fishToM, fromM);
  }
  return { fromM, fishToM, toM };
}

/** Surface, °C, and depth of the layer, m, as lakes and seas of the temperate belt usually have them. */
const SEASON_WATER: Record<Season, { lakeC: number; seaC: number; layerM: number | null }> = {
  spring: { lakeC: 8, seaC: 8, layerM: null },
  summer: { lakeC: 20, seaC: 16, layerM: 8 },
  autumn: { lakeC: 11, seaC: 13, layerM: null },
  winter: { lakeC: 3, seaC: 6, layerM: null },
};
/** Water this much deeper than a layer has one. */
const ROOM_UNDER_LAYER_M = 2;

/** A brief in a season: its temperature and layer are what that season usually brings, until measured. */
export function withSeason(
  brief: Pick<Brief, 'salinity' | 'toM'>,
  season: Season,
): Pick<Brief, 'season' | 'temperatureC' | 'thermoclineM'> {
  const { lakeC, seaC, layerM } = SEASON_WATER[season];
  return {
    season,
    temperatureC: brief.salinity < 1 ? lakeC : seaC,
    thermoclineM: layerM !== null && brief.toM > layerM + ROOM_UNDER_LAYER_M ? layerM : null,
  };
}

/** The middle of the water the fish of a brief keep to, m. */
export const midFishOf = (brief: Pick<Brief, 'fromM' | 'fishToM' | 'toM'>): number =>
  (brief.fromM + deepestFishOf(brief)) / 2;

/**
 * The water of a brief. Under a fresh layer the salt counts by its share of the way to the bed, since absorption adds up along
 * the way and grows about evenly with salinity.
 */
export const waterOf = (brief: Brief): Water => ({
  temperatureC: brief.temperatureC,
  salinity: brief.saltUnderM === null ? brief.salinity : SEA * Math.max(0, 1 - brief.saltUnderM / brief.toM),
  thermoclineM: brief.thermoclineM,
  windMps: brief.windMps,
});

/** The bed a brief is reckoned with: the one told, or the hardest there is, whose late echoes are the most. */
export const hardestBed = (brief: Brief): BedMaterial => (brief.bed === 'unknown' ? 'rock' : brief.bed);

/** Faster than this a boat planes, m/s. */
export const PLANING_MPS = 4;

/** What the engine does meanwhile: a drifting boat and one on the spot are quiet, the rest are under way. */
export const engineOf = (brief: Pick<Brief, 'presentation' | 'speedMps'>): Engine =>
  brief.speedMps === 0 || brief.presentation === 'drift' || brief.presentation === 'deep-drop'
    ? 'off'
    : brief.speedMps > PLANING_MPS
      ? 'planing'
      : 'gear';
