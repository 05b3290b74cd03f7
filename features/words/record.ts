import type { ReaderRecord } from '@/core/logbook';
import { wilson } from '@/core/maths';

const per = (share: number): number => Math.round(100 * share);

/** Fewer judged than this and a share of them says nothing. */
const FEWEST = 3;

const countWords = (name: string, { judged, right }: ReaderRecord): string | null =>
  judged === 0 ? null : `${name} ${right} of ${judged}`;

/** How often the reader was right by the user's own word: counts, and what they are worth (95 %, Wilson). */
export function recordWords(all: ReaderRecord, fish: ReaderRecord, bait: ReaderRecord): string[] {
  const { judged, right, missed } = all;
  if (judged + missed === 0) return [];
  const [low, high] = wilson(right, judged);
  const kinds = [countWords('fish', fish), countWords('bait', bait)].filter((words) => words !== null);
  return [
    `You judged ${judged} of the reader’s marks: ${right} right${kinds.length > 0 ? ` (${kinds.join(', ')})` : ''}.`,
    judged < FEWEST
      ? 'Judge more of them, and the log can say how far to trust it.'
      : `So on your water it is likely right in ${per(low)} to ${per(high)}\u00a0% of marks.`,
    ...(missed > 0 ? [`It missed ${missed} that you saw.`] : []),
  ];
}
