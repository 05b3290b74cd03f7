import * as v from 'valibot';
import type { Engine, Water } from '@/core/water';
import { SPECIES, speciesOf } from './species';

const between = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));

/** How the boat fishes. */
export const PRESENTATIONS = ['search', 'vertical', 'drift', 'troll'] as const;
export type Presentation = (typeof PRESENTATIONS)[number];

/** Boat speeds that go with a presentation until the user says otherwise, m/s. */
export const USUAL_SPEED_MPS: Record<Presentation, number> = {
  search: 1.5,
  vertical: 0,
  drift: 0.4,
  troll: 1,
};

/** What the user means to do: the sentence at the top of Plan. */
export const BriefSchema = v.pipe(
  v.object({
    speciesId: v.picklist(SPECIES.map((s) => s.id)),
    lengthM: v.pipe(
      v.tuple([between(0.03, 3), between(0.03, 3)]),
      v.check(([low, high]) => low <= high, 'the smaller length comes first'),
    ),
    /** Shallowest fish and deepest bed, m. */
    fromM: between(0.5, 300),
    toM: between(2, 300),
    temperatureC: between(0, 35),
    salinity: between(0, 40),
    thermoclineM: v.nullable(between(1, 100)),
    windMps: between(0, 20),
    presentation: v.picklist(PRESENTATIONS),
    speedMps: between(0, 5),
    /** A face's id, or null to let the setup choose. */
    faceId: v.nullable(v.pipe(v.string(), v.maxLength(40))),
  }),
  v.check((b) => b.toM >= b.fromM + 1, 'the bed must lie at least 1 m below the shallowest fish'),
);
export type Brief = v.InferOutput<typeof BriefSchema>;

/** The demo's brief, and the one a new user starts from. */
export const FIRST_BRIEF: Brief = {
  speciesId: 'perch',
  lengthM: [...speciesOf('perch').lengthM],
  fromM: 6,
  toM: 14,
  temperatureC: 17,
  salinity: 0,
  thermoclineM: 9,
  windMps: 3,
  presentation: 'search',
  speedMps: USUAL_SPEED_MPS.search,
  faceId: null,
};

export const waterOf = (brief: Brief): Water => ({
  temperatureC: brief.temperatureC,
  salinity: brief.salinity,
  thermoclineM: brief.thermoclineM,
  windMps: brief.windMps,
});

/** What the engine does meanwhile: a drifting boat and one on the spot are quiet, the rest are under way. */
export const engineOf = (brief: Pick<Brief, 'presentation' | 'speedMps'>): Engine =>
  brief.speedMps === 0 || brief.presentation === 'drift' ? 'off' : 'gear';
