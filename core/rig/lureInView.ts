import type { BoatPlace, Mount } from './rig';
import type { Face } from './transducer';

/** Deepest a lure is followed, m, and how finely. */
const DEEPEST_M = 200;
const STEP_M = 0.05;

/**
 * From what depth a lure let straight down at a place is inside a face's −3 dB beam, m, and to what depth when a tilted beam
 * loses it again (null = all the way); null when it never is. For a level cone: k / tan(half the angle).
 */
export function lureInView(
  face: Face,
  mount: Mount,
  place: BoatPlace,
): { fromM: number; toM: number | null } | null {
  const inside = (depthM: number): boolean => {
    // Angles off the tilted axis, fore and aft and athwart.
    const along = Math.atan2(place.x, depthM) - mount.alongRad;
    const athwart = Math.atan2(place.y, depthM) - mount.athwartRad;
    return face.beam.shape === 'cone'
      ? Math.hypot(along, athwart) <= face.beam.alongRad / 2
      : Math.abs(along) <= face.beam.alongRad / 2 && Math.abs(athwart) <= face.beam.athwartRad / 2;
  };
  let from: number | null = null;
  const steps = Math.round(DEEPEST_M / STEP_M);
  for (let k = 1; k <= steps; k++) {
    const depth = k * STEP_M;
    if (from === null) {
      if (inside(depth)) from = k === 1 ? 0 : depth;
    } else if (!inside(depth)) return { fromM: from, toM: depth };
  }
  return from === null ? null : { fromM: from, toM: null };
}
