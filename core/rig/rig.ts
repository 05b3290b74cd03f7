import type { Face } from './transducer';
import type { Unit } from './unit';

/** Places on the boat, m: x forward of the transducer (the first, where there are several), y to port. */
export interface BoatPlace {
  x: number;
  y: number;
}

/** How the transducer sits. */
export interface Mount {
  /** Face turned forward by bow-up (+) and to port by starboard-down (+), rad, against the water at rest. */
  alongRad: number;
  athwartRad: number;
  /** Rms shake of a loose bracket, ping by ping, rad. */
  looseRad: number;
  /** Air churned under the face, 0 clean … 1 as bad as it gets. */
  churn: number;
}

/** The user's boat and sounder, as far as the physics needs it. */
export interface Rig {
  name: string;
  faces: readonly Face[];
  /** The boat's units, the one it is looked at through first; at least one. */
  units: readonly Unit[];
  /** Noise of own boat and receiver over thermal noise, dB. */
  excessNoiseDb: number;
  mount: Mount;
  positions: {
    antenna: BoatPlace;
    /** Where a lure is let down. */
    rod: BoatPlace;
    /** Middle of the stern. */
    stern: BoatPlace;
  };
  /** Of the hull, m. */
  lengthM: number;
  /** Faces whose angle the user does not know. */
  unsureCones: readonly string[];
  /** Where faces hang that do not hang with the first transducer, by face. */
  hangs: Readonly<Record<string, BoatPlace>>;
}

export const LEVEL_MOUNT: Mount = { alongRad: 0, athwartRad: 0, looseRad: 0, churn: 0 };

/** The face of an id. @throws RangeError when the rig has none such */
export function faceOf(rig: Rig, id: string): Face {
  const face = rig.faces.find((f) => f.id === id);
  if (!face) throw new RangeError(`rig: no face named ${id}`);
  return face;
}

/** The places of a rig when its first transducer is moved on the boat, and all else stays where it is: counted from its new place. */
export function firstTransducerAt(
  { positions, hangs }: Pick<Rig, 'positions' | 'hangs'>,
  { x, y }: BoatPlace,
): Pick<Rig, 'positions' | 'hangs'> {
  const from = (place: BoatPlace): BoatPlace => ({ x: place.x - x, y: place.y - y });
  return {
    positions: { antenna: from(positions.antenna), rod: from(positions.rod), stern: from(positions.stern) },
    hangs: Object.fromEntries(Object.entries(hangs).map(([id, place]) => [id, from(place)])),
  };
}

const WITH_THE_FIRST: BoatPlace = { x: 0, y: 0 };

/** Where a face hangs, m from the first transducer: 0, 0 for one that hangs with it. Throws nothing. */
export const placeOfFace = (rig: Pick<Rig, 'hangs'>, faceId: string): BoatPlace =>
  rig.hangs[faceId] ?? WITH_THE_FIRST;

/** A place on the boat, m from the first transducer, as a face sees it: m forward of that face, and to port. */
export function placeFromFace(rig: Pick<Rig, 'hangs'>, faceId: string, place: BoatPlace): BoatPlace {
  const own = placeOfFace(rig, faceId);
  return { x: place.x - own.x, y: place.y - own.y };
}

/** The rig with all places counted from one of its faces: for water that lies under that one. */
export function seenFrom(rig: Rig, faceId: string): Rig {
  const { positions } = firstTransducerAt(rig, placeOfFace(rig, faceId));
  const hangs = rig.faces.map(({ id }) => [id, placeFromFace(rig, faceId, placeOfFace(rig, id))] as const);
  return { ...rig, positions, hangs: Object.fromEntries(hangs) };
}

/** Two-way loss in churned water, dB: up to 30 when air covers the face. */
export const churnLoss = (mount: Mount): number => 30 * mount.churn;
