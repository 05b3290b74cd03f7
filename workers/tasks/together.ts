import { readRecording, readTogether, type Reading } from '@/core/reading';
import { channelOf, type Channel } from '@/core/recording';
import type { Settings } from '@/core/picture';
import type { Stage, TogetherTask } from '../protocol';
import type { Answer } from './answer';
import { passFor } from './passes';

/** Reads a pass on two beams and holds their marks against each other. */
export function together({ pass, settings, other }: TogetherTask, tell: (stage: Stage) => void): Answer {
  const readOn = (by: Settings): { channel: Channel; reading: Reading } => {
    const { recording } = passFor(pass, by, tell);
    tell('reading');
    const stretch = recording.stretches.find(({ channels }) => channels.some((c) => c.id === by.faceId));
    return {
      channel: channelOf(stretch ?? recording.stretches[0]!, by.faceId),
      reading: readRecording(recording, by.faceId),
    };
  };
  const own = readOn(settings);
  const ids = new Set(own.reading.findings);
  const marks = readTogether(own, readOn(other)).map(({ mark, verdict, asideM }) => ({
    id: ids.has(mark) ? mark.id : null,
    timeS: mark.timeS,
    rangeM: mark.rangeM,
    verdict,
    asideM,
  }));
  return { result: { kind: 'together', marks } };
}
