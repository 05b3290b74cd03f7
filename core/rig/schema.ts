import * as v from 'valibot';
import { NARROWEST_BEAM_RAD, WIDEST_BEAM_RAD } from './beam';
import { STATIONS, type Rig } from './rig';

const between = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));
const Width = between(NARROWEST_BEAM_RAD, WIDEST_BEAM_RAD);

const Place = v.object({ x: between(-30, 30), y: between(-30, 30) });

const Id = v.pipe(v.string(), v.minLength(1), v.maxLength(40));
const FaceSchema = v.object({
  id: Id,
  label: v.pipe(v.string(), v.maxLength(60)),
  frequencyHz: between(20e3, 1.3e6),
  beam: v.object({ shape: v.picklist(['cone', 'fan']), alongRad: Width, athwartRad: Width }),
  powerW: between(1, 5000),
  efficiency: between(0.01, 1),
  quality: between(1, 60),
  pulseS: between(1e-5, 5e-3),
  sweepHz: between(0, 300e3),
});

/** A rig from storage or a file. */
export const RigSchema: v.GenericSchema<unknown, Rig> = v.object({
  name: v.pipe(v.string(), v.maxLength(80)),
  faces: v.pipe(v.array(FaceSchema), v.minLength(1), v.maxLength(8)),
  screen: v.object({
    rows: v.pipe(between(100, 2000), v.integer()),
    columns: v.pipe(between(100, 2000), v.integer()),
  }),
  excessNoiseDb: between(0, 100),
  mount: v.object({
    alongRad: between(-0.6, 0.6),
    athwartRad: between(-0.6, 0.6),
    looseRad: between(0, 0.3),
    churn: between(0, 1),
  }),
  positions: v.object({ antenna: Place, rod: Place, stern: v.optional(Place, () => ({ x: 0.2, y: 0 })) }),
  lengthM: v.optional(between(2, 40), 6),
  unsureCones: v.optional(v.pipe(v.array(Id), v.maxLength(8)), () => []),
  feeds: v.optional(v.record(Id, v.picklist(STATIONS)), () => ({})),
  hangs: v.optional(v.record(Id, Place), () => ({})),
  fastestPingRate: between(1, 60),
});
