import { placeFrom } from '@/core/maths';
import type { Finding } from '@/core/reading';
import type { Stretch } from '@/core/recording';
import type { BoatPlace } from '@/core/rig';
import type { KeptMark } from './entry';

/**
 * A finding as the log keeps it: placed where the face was when the echo was nearest, which is where the echo is, not
 * where the boat is when it is seen. @param antenna where the antenna, whose places are recorded, stands from the face
 */
export function keptMark(
  finding: Finding,
  stretch: Pick<Stretch, 'origin' | 'navigation'>,
  antenna: BoatPlace,
): KeptMark {
  const { timeS, eastM, northM, headingRad } = stretch.navigation;
  let ping = finding.fromPing;
  while (ping < finding.toPing && timeS[ping]! < finding.timeS) ping++;
  const ahead = Math.cos(headingRad[ping]!);
  const aside = Math.sin(headingRad[ping]!);
  return {
    kind: finding.kind,
    shape: finding.kind === 'fish' ? finding.shape : null,
    rangeM: finding.rangeM,
    heightM: finding.heightM,
    strengthDb: finding.kind === 'fish' ? finding.strengthDb : null,
    confidence: finding.confidence,
    timeS: finding.timeS,
    ...placeFrom(
      stretch.origin,
      eastM[ping]! - antenna.x * ahead + antenna.y * aside,
      northM[ping]! - antenna.x * aside - antenna.y * ahead,
    ),
  };
}
