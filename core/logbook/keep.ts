import { placeFrom } from '@/core/maths';
import type { Finding } from '@/core/reading';
import type { Recording } from '@/core/recording';
import type { KeptMark } from './entry';

/**
 * A finding as the log keeps it: placed where the boat was when the echo was nearest, which is where the echo is, not
 * where the boat is when it is seen.
 */
export function keptMark(finding: Finding, recording: Pick<Recording, 'origin' | 'navigation'>): KeptMark {
  const { timeS, eastM, northM } = recording.navigation;
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
    ...placeFrom(recording.origin, eastM[ping]!, northM[ping]!),
  };
}
