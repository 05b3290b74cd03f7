import { placeFrom, type Position } from '@/core/maths';
import type { BedPatch, Finding } from '@/core/reading';
import type { Stretch } from '@/core/recording';
import type { BoatPlace } from '@/core/rig';
import type { BedPlace } from './day';
import type { KeptMark } from './entry';

/** Where a face was at a ping. @param antenna where the antenna, whose places are recorded, stands from the face */
function faceAt(
  { origin, navigation: { eastM, northM, headingRad } }: Pick<Stretch, 'origin' | 'navigation'>,
  ping: number,
  antenna: BoatPlace,
): Position {
  const ahead = Math.cos(headingRad[ping]!);
  const aside = Math.sin(headingRad[ping]!);
  return placeFrom(
    origin,
    eastM[ping]! - antenna.x * ahead + antenna.y * aside,
    northM[ping]! - antenna.x * aside - antenna.y * ahead,
  );
}

/** The bed a pass went over, a place a patch. @param antenna as for a mark */
export const bedPlaces = (
  hardness: readonly BedPatch[],
  stretch: Pick<Stretch, 'origin' | 'navigation'>,
  antenna: BoatPlace,
): BedPlace[] =>
  hardness.map(({ fromPing, toPing, hard }) => ({
    ...faceAt(stretch, (fromPing + toPing) >> 1, antenna),
    hard,
  }));

/**
 * A finding as the log keeps it: placed where the face was when the echo was nearest, which is where the echo is, not
 * where the boat is when it is seen. @param antenna where the antenna, whose places are recorded, stands from the face
 */
export function keptMark(
  finding: Finding,
  stretch: Pick<Stretch, 'origin' | 'navigation'>,
  antenna: BoatPlace,
): KeptMark {
  const { timeS } = stretch.navigation;
  let ping = finding.fromPing;
  while (ping < finding.toPing && timeS[ping]! < finding.timeS) ping++;
  return {
    kind: finding.kind,
    shape: finding.kind === 'fish' ? finding.shape : null,
    rangeM: finding.rangeM,
    heightM: finding.heightM,
    strengthDb: finding.kind === 'fish' ? finding.strengthDb : null,
    confidence: finding.confidence,
    timeS: finding.timeS,
    ...faceAt(stretch, ping, antenna),
  };
}
