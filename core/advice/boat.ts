import { bisectFalling } from '@/core/maths';
import {
  DETECTION_DB,
  deadZone,
  echoMargin,
  faceBudget,
  facePulse,
  firstBedRange,
  footprintWidth,
  rangeResolution,
  type BoatPlace,
  type Face,
  type Mount,
  type Rig,
} from '@/core/rig';
import { weightTargetStrength, type Engine, type Water } from '@/core/water';

/** What a beam covers at a depth, m. */
export interface Footprint {
  /** Fore and aft, and side to side. */
  alongM: number;
  athwartM: number;
  /** How far off the boat's line something at that depth can be and still be drawn. */
  offLineM: number;
}

/** Footprint of a face at a depth. @throws RangeError for a negative depth */
export const footprintAt = (face: Face, depthM: number): Footprint => ({
  alongM: footprintWidth(depthM, face.beam.alongRad),
  athwartM: footprintWidth(depthM, face.beam.athwartRad),
  offLineM: footprintWidth(depthM, face.beam.athwartRad) / 2,
});

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

/**
 * Height over the bed straight below in which nothing is told from it, m: what lies deeper than the first touch of the slope, and
 * the length of the pulse. @param slopeRad 0 or more, under π/2
 */
export const blindHeight = (face: Face, depthM: number, slopeRad: number, soundSpeedMps: number): number =>
  depthM -
  firstBedRange(depthM, slopeRad, face.beam.athwartRad / 2) +
  deadZone(depthM, 0, rangeResolution(facePulse(face), soundSpeedMps));

/** A late bed echo drawn in the water. */
export interface FalseBed {
  /** Which bed echo it is, and how many pings late. */
  bedEcho: number;
  pingsLate: number;
  rangeM: number;
}

/**
 * Where bed echoes that come too late for their own ping are drawn over the bed: at m·d − n·c/2f, for the first `bedEchoes`.
 * @throws RangeError unless depth and ping rate are above 0
 */
export function falseBeds(
  depthM: number,
  pingRate: number,
  soundSpeedMps: number,
  bedEchoes = 3,
): FalseBed[] {
  if (!(depthM > 0 && pingRate > 0))
    throw new RangeError(`false beds: depth and ping rate must be above 0, got ${depthM} m, ${pingRate}`);
  const period = soundSpeedMps / (2 * pingRate);
  const out: FalseBed[] = [];
  for (let m = 1; m <= bedEchoes; m++) {
    const late = Math.floor((m * depthM) / period);
    const rangeM = m * depthM - late * period;
    if (late > 0 && rangeM < depthM) out.push({ bedEcho: m, pingsLate: late, rangeM });
  }
  return out;
}

/** Most noise a rig is believed to make over thermal noise, dB. */
const NOISIEST_DB = 100;

/**
 * The rig's own noise over thermal noise, dB, from the depth at which a small weight under the beam is just lost: the noise at
 * which the sonar equation leaves it the detection level there. Held to 0…100.
 * @param massKg of lead, above 0 @param lostAtM above 0 @throws RangeError otherwise
 */
export function excessNoiseFromWeight(
  rig: Rig,
  face: Face,
  water: Water,
  { massKg, lostAtM, engine = 'off' }: { massKg: number; lostAtM: number; engine?: Engine },
): number {
  if (!(lostAtM > 0)) throw new RangeError(`noise check: depth must be above 0, got ${lostAtM} m`);
  const target = weightTargetStrength(massKg);
  const over = (excessNoiseDb: number): number =>
    echoMargin(faceBudget({ ...rig, excessNoiseDb }, face, water, { engine }), lostAtM, target) -
    DETECTION_DB;
  if (over(0) <= 0) return 0;
  if (over(NOISIEST_DB) >= 0) return NOISIEST_DB;
  return bisectFalling(over, 0, NOISIEST_DB, 0.05);
}
