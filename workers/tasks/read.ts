import { keptMark } from '@/core/logbook';
import { readRecording } from '@/core/reading';
import { navigationOf, wayOf } from '@/core/recording';
import { placeFromFace } from '@/core/rig';
import type { ReadTask, Stage } from '../protocol';
import type { Answer } from './answer';
import { passFor } from './passes';

export function read({ pass, settings }: ReadTask, tell: (stage: Stage) => void): Answer {
  const { recording, facts } = passFor(pass, settings, tell);
  tell('reading');
  const reading = readRecording(recording, settings.faceId);
  const navigation = navigationOf(recording);
  const { origin } = recording.stretches[0]!;
  const antenna = placeFromFace(pass.rig, settings.faceId, pass.rig.positions.antenna);
  const marks = reading.findings.map((finding) => keptMark(finding, { origin, navigation }, antenna));
  const timeS = navigation.timeS.slice();
  const wayM = wayOf(navigation);
  return {
    result: { kind: 'read', reading, marks, facts, timeS, wayM },
    transfer: [timeS.buffer, wayM.buffer],
  };
}
