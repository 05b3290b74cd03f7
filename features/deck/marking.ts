import { fixAt, placeOfMark, type Fix, type PlacedMark } from '@/core/marks';
import { footprintWidth, placeFromFace, pointingAt, type Face, type Rig } from '@/core/rig';
import type { BoatNow } from './useBoatNow';

/** A thumb on the bar is good to this share of the time shown; a tap at once to this, s. */
const BAR_SHARE = 0.02;
const TAP_S = 1;
/** How well a compass and a course tell where the bow points, rad; a course of a boat that hardly moves tells little. */
const COMPASS_RAD = 0.09;
const COURSE_RAD = 0.17;
const SLOW_MPS = 0.5;
const SLOW_RAD = 1;

/** The place of an echo that was drawn `lagS` ago. Null where the boat's place is not known. */
export function placedNow(
  boat: BoatNow,
  fixes: readonly Fix[],
  rig: Rig,
  face: Face,
  lagS: number,
): PlacedMark | null {
  if (!boat.fix) return null;
  const depthM = boat.depthM ?? 0;
  const antenna = placeFromFace(rig, face.id, rig.positions.antenna);
  const pointing = pointingAt(rig.mount, depthM);
  return placeOfMark(
    fixAt(fixes, boat.nowS - lagS),
    {
      face: { x: -antenna.x, y: -antenna.y },
      pointing: { x: pointing.forwardM, y: pointing.portM },
      halfBeamM: footprintWidth(depthM, face.beam.alongRad) / 2,
    },
    {
      accuracyM: boat.accuracyM,
      lagS: TAP_S + BAR_SHARE * lagS,
      speedMps: boat.speedMps ?? 0,
      headingRad: boat.compass ? COMPASS_RAD : (boat.speedMps ?? 0) > SLOW_MPS ? COURSE_RAD : SLOW_RAD,
    },
  );
}

/** Where the face stands from the antenna, m forward and to port. */
export function faceFromAntenna(rig: Rig, faceId: string): { x: number; y: number } {
  const antenna = placeFromFace(rig, faceId, rig.positions.antenna);
  return { x: -antenna.x, y: -antenna.y };
}
