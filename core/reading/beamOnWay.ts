import { median } from '@/core/maths';
import type { Navigation } from '@/core/recording';
import { STILL_MPS, type Beam } from '@/core/rig';

/** Way over which the boat's course is taken, m: longer than a place is unsure by. */
const COURSE_M = 3;
/** A place that is unsure turns a course by so much; less is no turn of the beam, rad. */
const LEAST_TURN_RAD = 0.1;

/** How far the boat's bow points off the way it goes, folded into a quarter turn, rad: a boat adrift goes abeam. 0 where it is not known. */
function offTheWay({ eastM, northM, headingRad }: Navigation): number {
  // A recording without a compass has north, or nothing, all along.
  if (headingRad.every((h) => !(Math.abs(h) > 0))) return 0;
  const turns: number[] = [];
  for (let from = 0, to = 1; to < eastM.length; to++) {
    const east = eastM[to]! - eastM[from]!;
    const north = northM[to]! - northM[from]!;
    if (!(Math.hypot(east, north) > COURSE_M)) continue;
    const off = headingRad[(from + to) >> 1]! - Math.atan2(north, east);
    turns.push(Math.atan2(Math.abs(Math.sin(off)), Math.abs(Math.cos(off))));
    from = to;
  }
  const known = turns.filter((turn) => turn >= 0);
  return known.length > 0 ? median(known) : 0;
}

/** Full width of a beam across a direction, rad, by the ellipse of its half power. */
const widthAt = ({ alongRad, athwartRad }: Beam, turnRad: number): number =>
  1 / Math.hypot(Math.cos(turnRad) / alongRad, Math.sin(turnRad) / athwartRad);

/**
 * A beam as it goes over the ground: its width along the way is not that fore and aft when the boat drifts abeam. By the middle of how far
 * the bow pointed off the course; the same beam where that is little, or the boat kept still, or carried no compass. Widths in rad.
 */
export function beamOnWay(beam: Beam, navigation: Navigation, speedMps: number): Beam {
  if (beam.alongRad === beam.athwartRad || speedMps < STILL_MPS) return beam;
  const turn = offTheWay(navigation);
  if (turn < LEAST_TURN_RAD) return beam;
  return { ...beam, alongRad: widthAt(beam, turn), athwartRad: widthAt(beam, turn + Math.PI / 2) };
}
