import * as v from 'valibot';
import { DEFAULT_EXCESS_NOISE_DB } from '@/core/water';
import { transducerOf } from './library';
import { LEVEL_MOUNT, type Rig } from './rig';
import { UnitSchema } from './unit';

/** A small boat with two cones and a slice. */
export const GENERIC_RIG: Rig = {
  name: 'Small boat, stern mount',
  faces: [...transducerOf('twin-83-200').faces, transducerOf('imaging').faces[0]!],
  units: [v.parse(UnitSchema, { id: 'unit-1', name: 'Unit', screen: { rows: 480, columns: 640 } })],
  excessNoiseDb: DEFAULT_EXCESS_NOISE_DB,
  mount: LEVEL_MOUNT,
  positions: { antenna: { x: 0, y: 0 }, rod: { x: 0.6, y: -0.8 }, stern: { x: 0.2, y: 0 } },
  lengthM: 6,
  unsureCones: [],
  hangs: {},
};
