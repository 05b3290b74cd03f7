import { seededRandom } from '@/core/maths';
import type { Settings } from '@/core/picture';
import { faceOf, type Rig } from '@/core/rig';
import { firstPass, passDuration, straightPass } from '@/core/scene';
import type { SoundingRequest } from '@/core/sounder';
import { waterOf, type Brief } from './brief';
import { speciesOf } from './species';

/** The pass the bench simulates for a brief: its water, its boat, its settings' beam, ping rate and range. */
export function benchPass(
  brief: Brief,
  rig: Rig,
  settings: Pick<Settings, 'faceId' | 'pingRate' | 'rangeM'>,
  seed: number,
): SoundingRequest {
  const water = waterOf(brief);
  const plan = {
    fromM: brief.fromM,
    toM: brief.toM,
    lengthM: brief.lengthM,
    bladder: speciesOf(brief.speciesId).bladder,
    speedMps: brief.speedMps,
    water,
  };
  const scene = firstPass(plan, seed);
  const track = straightPass(
    {
      speedMps: brief.speedMps,
      durationS: passDuration(plan),
      pingRate: settings.pingRate,
      windMps: brief.windMps,
    },
    seededRandom(seed).fork('waves'),
  );
  return {
    scene,
    track,
    rig,
    faces: [faceOf(rig, settings.faceId)],
    pingRate: settings.pingRate,
    farM: settings.rangeM,
    seed,
  };
}
