import { toDb } from '@/core/maths';
import { beamPattern, DETECTION_DB, echoMargin } from '@/core/rig';
import type { Prediction } from './prediction';

/** Farther off the axis nothing is promised, rad. */
const FARTHEST_RAD = 1.05;
/** How finely a beam is walked through, as a share of its half width, and how often the last step is then halved. */
const WALK = 0.1;
const HALVED = 6;

/**
 * How far fore and aft of the nearest point a fish keeps a level, m: where twice the pattern's loss, and the longer way, have eaten
 * the margin, side lobes and all. 0 when it is lost even at its nearest.
 * @param asideM how far to the side of the boat's line it lies @param strengthFromDb its strength from so far off the vertical, dB
 * @param firstColourDb strength under which nothing is drawn, dB @param gapM a null of the beam no longer than this is bridged
 */
export function heldWay(
  p: Prediction,
  depthM: number,
  {
    asideM = 0,
    strengthFromDb = (_: number): number => p.targetStrengthDb,
    needDb = DETECTION_DB,
    firstColourDb = -Infinity,
    gapM = 0,
  } = {},
): number {
  const held = (x: number): boolean => {
    const range = Math.hypot(depthM, asideM, x);
    const lossDb = toDb(beamPattern(p.face.beam, x / range, asideM / range) + 1e-9);
    const strengthDb = strengthFromDb(Math.acos(Math.min(1, depthM / range)));
    return (
      strengthDb + 2 * lossDb >= firstColourDb && echoMargin(p.budget, range, strengthDb, lossDb) >= needDb
    );
  };
  if (!held(0)) return 0;
  const step = WALK * depthM * Math.tan(p.face.beam.alongRad / 2);
  const farthest = depthM * Math.tan(FARTHEST_RAD);
  let way = 0;
  for (let x = step; x <= farthest && x - way < Math.max(gapM, step) + 0.5 * step; x += step)
    if (held(x)) way = x;
  let part = step;
  for (let k = 0; k < HALVED; k++) {
    part /= 2;
    if (held(way + part)) way += part;
  }
  return way;
}
