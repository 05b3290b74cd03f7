import type { Mount } from './rig';

/** Where a tilted face looks at a depth, and how far what it draws straight below is off, m. */
export interface Pointing {
  /** Middle of the footprint, forward and to port of straight below. */
  forwardM: number;
  portM: number;
  /** How much too deep the bed in the middle of the beam is drawn over level ground. */
  tooDeepM: number;
}

/** What a mount's tilt does at a depth: d·tan t, and d/cos t − d. */
export function pointingAt(mount: Mount, depthM: number): Pointing {
  const along = Math.tan(mount.alongRad);
  const athwart = Math.tan(mount.athwartRad);
  return {
    forwardM: depthM * along,
    portM: depthM * athwart,
    tooDeepM: depthM * (Math.hypot(1, along, athwart) - 1),
  };
}

/** Lean of a flat thing, rad: forward by bow-up, to port by starboard-down, as a mount's. */
export interface Lean {
  alongRad: number;
  athwartRad: number;
}

/**
 * How a transducer will look afloat from what a level says on the trailer: its lean against the deck there, carried over to the
 * deck's own lean afloat. Small angles add.
 */
export const leanAfloat = (deckAfloat: Lean, deckOnTrailer: Lean, faceOnTrailer: Lean): Lean => ({
  alongRad: faceOnTrailer.alongRad - deckOnTrailer.alongRad + deckAfloat.alongRad,
  athwartRad: faceOnTrailer.athwartRad - deckOnTrailer.athwartRad + deckAfloat.athwartRad,
});
