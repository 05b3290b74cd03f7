import { wilson } from '@/core/maths';
import type { Sitting } from './answer';
import { chanceOf, DRILLS, type Drill } from './drill';

/** Right answers of a kind, with a 95 % interval (Wilson 1927). */
export interface Share {
  right: number;
  of: number;
  low: number;
  high: number;
}

export interface DrillProgress {
  drill: Drill;
  all: Share;
  /** What an answer given blindly comes to; 0 where dials are turned. */
  chance: number;
  /** By kind, the weakest first. */
  byKind: { kind: string; share: Share }[];
  /** Sitting by sitting, the oldest first: share of right answers, and the mean level asked at. */
  overTime: { startedAt: string; share: number; level: number; of: number }[];
  /** Mean square of what was said against what was, 0 best; null where nothing was said (Brier 1950). */
  brier: number | null;
  /** What was said against what came out, least sure first. */
  bySure: { sure: number; share: Share }[];
}

const shareOf = (right: number, of: number): Share => {
  const [low, high] = wilson(right, of);
  return { right, of, low, high };
};

/** What the sittings of each drill came to; drills never sat for are left out. */
export function trainingProgress(sittings: readonly Sitting[]): DrillProgress[] {
  return DRILLS.flatMap((drill): DrillProgress[] => {
    const own = sittings
      .filter((s) => s.drill === drill && s.answers.length > 0)
      .sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));
    const answers = own.flatMap((s) => s.answers);
    if (answers.length === 0) return [];
    const tally = (list: readonly { right: boolean }[]): Share =>
      shareOf(list.filter((a) => a.right).length, list.length);
    const said = answers.filter((a) => a.sure !== null);
    const kinds = [...new Set(answers.map((a) => a.kind))];
    const sures = [...new Set(said.map((a) => a.sure!))].sort((a, b) => a - b);
    return [
      {
        drill,
        all: tally(answers),
        chance: chanceOf(drill),
        byKind: kinds
          .map((kind) => ({ kind, share: tally(answers.filter((a) => a.kind === kind)) }))
          .sort((a, b) => a.share.right / a.share.of - b.share.right / b.share.of || b.share.of - a.share.of),
        overTime: own.map((s) => ({
          startedAt: s.startedAt,
          share: s.answers.filter((a) => a.right).length / s.answers.length,
          level: s.answers.reduce((sum, a) => sum + a.level, 0) / s.answers.length,
          of: s.answers.length,
        })),
        brier:
          said.length > 0
            ? said.reduce((sum, a) => sum + (a.sure! - (a.right ? 1 : 0)) ** 2, 0) / said.length
            : null,
        bySure: sures.map((sure) => ({ sure, share: tally(said.filter((a) => a.sure === sure)) })),
      },
    ];
  });
}
