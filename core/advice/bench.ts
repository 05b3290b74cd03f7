import { seededRandom } from '@/core/maths';
import type { Settings } from '@/core/picture';
import { faceOf, seenFrom, type Rig } from '@/core/rig';
import {
  firstPass,
  holdingStill,
  idlePass,
  layTrack,
  passDuration,
  planing,
  drift,
  type Leg,
} from '@/core/scene';
import type { SoundingRequest } from '@/core/sounder';
import { engineOf, targetOf, waterOf, type Brief } from './brief';

/** How the boat goes for a presentation: a drift with the engine off, vertical fishing on the spot, the rest under way. */
export const legsOf = (presentation: Brief['presentation'], speedMps: number, durationS: number): Leg[] =>
  speedMps === 0
    ? holdingStill(durationS)
    : presentation === 'drift' || presentation === 'deep-drop'
      ? drift(speedMps, durationS)
      : engineOf({ presentation, speedMps }) === 'planing'
        ? planing(speedMps, durationS)
        : idlePass(speedMps, durationS);

/** The pass the bench simulates for a brief: its water, its boat, its settings' beam, ping rate and range. */
export function benchPass(
  brief: Brief,
  rig: Rig,
  settings: Pick<Settings, 'faceId' | 'pingRate' | 'rangeM' | 'power'>,
  seed: number,
): SoundingRequest {
  const water = waterOf(brief);
  const plan = {
    fromM: brief.fromM,
    toM: brief.toM,
    lengthM: brief.lengthM,
    bladder: targetOf(brief).bladder,
    speedMps: brief.speedMps,
    water,
  };
  const scene = firstPass(plan, seed);
  const legs = legsOf(brief.presentation, brief.speedMps, passDuration(plan));
  const track = layTrack(
    { legs, pingRate: settings.pingRate, windMps: brief.windMps },
    seededRandom(seed).fork('waves'),
  );
  return {
    scene,
    track,
    rig: seenFrom(rig, settings.faceId),
    faces: [faceOf(rig, settings.faceId)],
    pingRate: settings.pingRate,
    farM: settings.rangeM,
    power: settings.power,
    seed,
  };
}
