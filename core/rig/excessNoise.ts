import { bisectFalling } from '@/core/maths';
import { weightTargetStrength, type Engine, type Water } from '@/core/water';
import { DETECTION_DB, echoMargin, faceBudget } from './echoBudget';
import type { Rig } from './rig';
import type { Face } from './transducer';

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
