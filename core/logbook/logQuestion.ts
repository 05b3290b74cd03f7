import { CLARITIES, PRESENTATIONS, type Presentation } from '@/core/advice';
import type { Rig } from '@/core/rig';
import { biteRates, type BiteRate, type SortedBy } from './biteRates';
import { callRecord, lureRecord, type CallRecord, type LureRecord } from './callRecord';
import { eveningCard, watersOf, type EveningCard } from './eveningCard';
import type { FishedDay } from './fishedHours';
import { learnedNoise, type LearnedNoise } from './learnedNoise';
import { bedBand, daysOf, setupRates, type DayFilter, type SetupRate } from './setupRates';
import { spotRates, type SpotRate } from './spotRates';

/** What the log is asked; the unit is the one whose held lines count, and no water named is all of them. */
export type LogQuestion =
  | { of: 'choices' }
  | { of: 'bites'; by: SortedBy; waterName?: string | undefined }
  | { of: 'spots'; waterName?: string | undefined }
  | { of: 'setups'; filter: DayFilter; unitId: string }
  | { of: 'calls' }
  /** The water fished last where none is named. */
  | { of: 'evening'; waterName: string | null; unitId: string }
  | { of: 'noise'; rig: Rig };

/** What days may be chosen by: only what there is among them. */
export interface DayChoices {
  /** Whether fish did anything on them. */
  answered: boolean;
  waters: readonly string[];
  phases: readonly Presentation[];
  clarities: readonly (typeof CLARITIES)[number][];
  /** Shallower ends of bands of depths of the bed, m. */
  bedsFromM: readonly number[];
  /** Months of the year, 1…12. */
  months: readonly number[];
}

export type LogAnswer =
  | ({ of: 'choices' } & DayChoices)
  | { of: 'bites'; by: SortedBy; bites: readonly BiteRate[] }
  | { of: 'spots'; spots: readonly SpotRate[] }
  | { of: 'setups'; setups: readonly SetupRate[] }
  | { of: 'calls'; calls: CallRecord; readers: CallRecord; lures: readonly LureRecord[] }
  | { of: 'evening'; waters: readonly string[]; card: EveningCard | null }
  | { of: 'noise'; noise: LearnedNoise | null };

export type LogAnswerTo<Q extends LogQuestion> = Extract<LogAnswer, { of: Q['of'] }>;

const rising = (numbers: Iterable<number>): number[] => [...new Set(numbers)].sort((a, b) => a - b);

const choicesOf = (days: readonly FishedDay[]): DayChoices => ({
  answered: days.some((d) => d.answered.length > 0),
  waters: watersOf(days.map((d) => d.day)),
  phases: PRESENTATIONS.filter((p) => days.some(({ day }) => day.phases.some((x) => x.phase === p))),
  clarities: CLARITIES.filter((c) => days.some(({ day }) => day.plan?.brief.clarity === c)),
  bedsFromM: rising(days.flatMap(({ day }) => bedBand(day) ?? [])),
  months: rising(days.map(({ day }) => Number(day.startedAt.slice(5, 7)))),
});

/** What days say to a question. */
export function answerLog(days: readonly FishedDay[], question: LogQuestion): LogAnswer {
  const all = days.map((d) => d.day);
  switch (question.of) {
    case 'choices':
      return { of: 'choices', ...choicesOf(days) };
    case 'bites': {
      const { by, waterName } = question;
      return { of: 'bites', by, bites: biteRates(daysOf(days, { waterName }), by) };
    }
    case 'spots':
      return { of: 'spots', spots: spotRates(daysOf(days, { waterName: question.waterName })) };
    case 'setups':
      return { of: 'setups', setups: setupRates(days, question.filter, question.unitId) };
    case 'calls':
      return {
        of: 'calls',
        calls: callRecord(all),
        readers: callRecord(all, 'reader'),
        lures: lureRecord(all),
      };
    case 'evening': {
      const waters = watersOf(all);
      const water = question.waterName ?? waters[0] ?? null;
      return {
        of: 'evening',
        waters,
        card: water === null ? null : eveningCard(days, water, question.unitId),
      };
    }
    case 'noise':
      return { of: 'noise', noise: learnedNoise(all, question.rig) };
  }
}
