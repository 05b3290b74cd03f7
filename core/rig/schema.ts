import * as v from 'valibot';
import { NARROWEST_BEAM_RAD, WIDEST_BEAM_RAD } from './beam';
import type { Rig } from './rig';
import { MOST_UNITS, UnitSchema, withUnits } from './unit';

const between = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));
const Width = between(NARROWEST_BEAM_RAD, WIDEST_BEAM_RAD);

const Place = v.object({ x: between(-30, 30), y: between(-30, 30) });

const Id = v.pipe(v.string(), v.minLength(1), v.maxLength(40));
export const FaceSchema = v.object({
  id: Id,
  label: v.pipe(v.string(), v.maxLength(60)),
  frequencyHz: between(20e3, 1.3e6),
  beam: v.object({ shape: v.picklist(['cone', 'fan']), alongRad: Width, athwartRad: Width }),
  powerW: between(1, 5000),
  efficiency: between(0.01, 1),
  quality: between(1, 60),
  pulseS: between(1e-5, 5e-3),
  sweepHz: v.optional(between(0, 300e3), 0),
});

const Shape = v.object({
  name: v.pipe(v.string(), v.maxLength(80)),
  faces: v.pipe(v.array(FaceSchema), v.minLength(1), v.maxLength(8)),
  units: v.pipe(v.array(UnitSchema), v.minLength(1), v.maxLength(MOST_UNITS)),
  excessNoiseDb: between(0, 100),
  mount: v.object({
    alongRad: between(-0.6, 0.6),
    athwartRad: between(-0.6, 0.6),
    looseRad: v.optional(between(0, 0.3), 0),
    churn: v.optional(between(0, 1), 0),
  }),
  positions: v.optional(
    v.object({
      antenna: v.optional(Place, () => ({ x: 0, y: 0 })),
      rod: v.optional(Place, () => ({ x: 0.6, y: -0.8 })),
      stern: v.optional(Place, () => ({ x: 0.2, y: 0 })),
    }),
    {},
  ),
  lengthM: v.optional(between(2, 40), 6),
  unsureCones: v.optional(v.pipe(v.array(Id), v.maxLength(8)), () => []),
  hangs: v.optional(v.record(Id, Place), () => ({})),
});

/** A rig from storage or a file, of any age. */
export const RigSchema: v.GenericSchema<unknown, Rig> = v.pipe(v.unknown(), v.transform(withUnits), Shape);
