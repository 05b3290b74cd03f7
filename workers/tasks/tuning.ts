import { viewing, type Desk } from '@/core/picture';
import { newDesk } from '@/core/picture/drawing';
import { deepestOfBed, MOST_MOVES, nextMove, walk, type JudgedPass } from '@/core/bench';
import { readRecording, type Reading } from '@/core/reading';
import { screenOf, unitOf } from '@/core/rig';
import type { Part, TuningTask } from '../protocol';
import type { Answer } from './answer';
import { passFor } from './passes';

/** Readings kept: a picture is asked about many times over the same pings. */
const MOST_READINGS = 4;
const readings = new Map<string, { reading: Reading; beds: Desk['beds'] }>();

/** Finds the next move, or walks to a tuned picture and gives its moves as they are found; where the fish are is the reader's word. */
export function tuning(
  { kind, pass, settings, nowS, purpose, bandM, unsettled }: TuningTask,
  give: (part: Part) => void,
): Answer {
  const { key, recording, facts } = passFor(pass, settings, () => undefined);
  const readKey = `${settings.faceId} ${key}`;
  const { reading, beds } = readings.get(readKey) ?? {
    reading: readRecording(recording, settings.faceId),
    beds: newDesk().beds,
  };
  readings.set(readKey, { reading, beds });
  for (const oldest of readings.keys()) {
    if (readings.size <= MOST_READINGS) break;
    readings.delete(oldest);
  }
  const { pictureHeightM, viewedFromM } = unitOf(pass.rig);
  const screen = screenOf(pass.rig);
  const judged: JudgedPass = {
    recording,
    findings: reading.findings,
    lures: reading.lures,
    screen,
    nowS: nowS ?? facts.durationS,
    purpose,
    view: viewing(pictureHeightM, screen.rows, viewedFromM),
    bandM,
    // Filtered levels are as large as the recording and are let go.
    desk: { ...newDesk(), beds },
  };
  const face = pass.rig.faces.find((f) => f.id === settings.faceId);
  const over = { slice: face?.beam.shape === 'fan', deepestBedM: deepestOfBed(reading.bed.rangeM) };
  const found =
    kind === 'next-move'
      ? nextMove(judged, settings, over, unsettled)
      : walk(judged, settings, over, (soFar) =>
          give({ share: soFar.moves.length / MOST_MOVES, result: { kind, ...soFar } }),
        );
  return { result: { kind, ...found } };
}
