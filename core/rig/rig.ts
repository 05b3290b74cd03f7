import { GENERIC_FACES, type Face } from './transducer';

/** The user's boat and sounder, as far as the physics needs it. */
export interface Rig {
  name: string;
  faces: readonly Face[];
  /** Echo picture of the unit, pixels. */
  screen: { rows: number; columns: number };
  /** Noise of own boat and receiver over thermal noise, dB. */
  excessNoiseDb: number;
  /** Face down by the bow (+) or stern (−) and to starboard (+), rad, against the water at rest. */
  tilt: { alongRad: number; athwartRad: number };
  /** Fastest the unit pings, 1/s. */
  fastestPingRate: number;
}

export const GENERIC_RIG: Rig = {
  name: 'Small boat, stern mount',
  faces: GENERIC_FACES,
  screen: { rows: 480, columns: 640 },
  excessNoiseDb: 47.5,
  tilt: { alongRad: 0, athwartRad: 0 },
  fastestPingRate: 20,
};

/** The face of an id. @throws RangeError when the rig has none such */
export function faceOf(rig: Rig, id: string): Face {
  const face = rig.faces.find((f) => f.id === id);
  if (!face) throw new RangeError(`rig: no face named ${id}`);
  return face;
}
