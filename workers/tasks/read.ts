import { bedPlaces, keptMark, type KeptMark } from '@/core/logbook';
import type { BedPlace } from '@/core/logbook/day';
import { readRecording, type Reading } from '@/core/reading';
import { navigationOf, wayOf } from '@/core/recording';
import { placeFromFace } from '@/core/rig';
import type { Part, ReadTask, Stage } from '../protocol';
import type { Answer } from './answer';
import { passFor } from './passes';

/** What is known so far is told no more often than can be looked at. */
const TOLD_EVERY_MS = 700;

export function read(
  { pass, settings, given }: ReadTask,
  tell: (stage: Stage) => void,
  give: (part: Part) => void,
): Answer {
  const { recording, facts } = given ?? passFor(pass, settings, tell);
  tell('reading');
  const navigation = navigationOf(recording);
  const { origin } = recording.stretches[0]!;
  const antenna = placeFromFace(pass.rig, settings.faceId, pass.rig.positions.antenna);
  const marksOf = ({ findings }: Reading): KeptMark[] =>
    findings.map((finding) => keptMark(finding, { origin, navigation }, antenna));
  const bedOf = ({ hardness }: Reading): BedPlace[] => bedPlaces(hardness, { origin, navigation }, antenna);
  const timeS = navigation.timeS.slice();
  const wayM = wayOf(navigation);
  let toldMs = -Infinity;
  const reading = readRecording(recording, settings.faceId, (part, share) => {
    if (performance.now() - toldMs < TOLD_EVERY_MS) return;
    toldMs = performance.now();
    give({
      share,
      result: { kind: 'read', reading: part, marks: marksOf(part), bed: bedOf(part), facts, timeS, wayM },
    });
  });
  return {
    result: { kind: 'read', reading, marks: marksOf(reading), bed: bedOf(reading), facts, timeS, wayM },
    transfer: [timeS.buffer, wayM.buffer],
  };
}
