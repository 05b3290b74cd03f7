import type { Entry } from '@/core/logbook';
import type { Random } from '@/core/maths';
import type { Sitting } from './answer';
import { shuffled } from './draft';
import { ROUNDS, type Kind, type OwnMark } from './drill';
import { planSitting } from './schedule';

/** Marks of saved passes of which the user said what they are: agreed with, named otherwise, or added. */
export const ownMarks = (entries: readonly Entry[]): OwnMark[] =>
  entries.flatMap(({ source, rig, settings, corrections }) =>
    rig === null
      ? []
      : corrections.flatMap((c): OwnMark[] => {
          if (c.change === 'split' || c.change === 'merged') return [];
          const { timeS, rangeM } = c;
          return [
            { kind: c.change === 'agreed' ? c.was : c.is, timeS, rangeM, pass: { source, rig }, settings },
          ];
        }),
  );

/** The marks a sitting asks about, none twice: kinds likeliest forgotten first. @param nowMs when it begins, ms since 1970 */
export function planOwn(
  sittings: readonly Sitting[],
  marks: readonly OwnMark[],
  nowMs: number,
  random: Random,
): OwnMark[] {
  const left = shuffled(marks, random);
  const kinds = [...new Set(left.map((m) => m.kind))] as readonly Kind[];
  const out: OwnMark[] = [];
  for (const { kind } of planSitting(sittings, 'yours', kinds, ROUNDS, nowMs, random)) {
    // Where a kind has no more marks, whichever is left.
    const at = left.findIndex((m) => m.kind === kind);
    const [mark] = left.splice(Math.max(0, at), 1);
    if (mark) out.push(mark);
  }
  return out;
}
