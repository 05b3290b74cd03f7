import { CALL_BAND_M, type CallRecord, type LureRecord, type Tally } from '@/core/logbook/callRecord';
import { wilson } from '@/core/maths';
import type { Units } from '../units';
import { CALL_WORDS } from './deck';

const per = (share: number): string => `${Math.round(100 * share)}`;

/** Counts, and what they are worth. */
export const tallyWords = ({ right, of }: Tally): string => {
  const [low, high] = wilson(right, of);
  return `${right} of ${of}, so ${per(low)}–${per(high)} %`;
};

/** How often the user's calls were right. */
export function callRecordWords({ all, supported, open, brier }: CallRecord): string[] {
  if (all.of === 0)
    return supported + open > 0 ? ['None of your calls is proved yet. A catch or a camera proves one.'] : [];
  return [
    `Right ${tallyWords(all)} in the long run (95 %, Wilson).`,
    ...(brier === null ? [] : [`Score ${brier.toFixed(2)}: 0 is best, a coin has 0.25.`]),
    ...(supported > 0 ? [`Borne out by the other picture alone: ${supported}.`] : []),
    ...(open > 0 ? [`Not proved yet: ${open}.`] : []),
  ];
}

/** How often the reader's calls were right on the water; null where it made none. */
export const readerCallWords = ({ all, open }: CallRecord): string | null =>
  all.of > 0
    ? `The reader’s calls: right ${tallyWords(all)}.`
    : open > 0
      ? `The reader’s calls not proved yet: ${open}.`
      : null;

/** One line a kind of call: how often "bait" was bait. */
export const kindLine = ({ what, tally }: CallRecord['byWhat'][number]): string =>
  `${CALL_WORDS[what]}: ${tallyWords(tally)}`;

/** One line a band of depth, and one a beam. */
export const callDepthLine = ({ fromM, tally }: CallRecord['byDepth'][number], { band }: Units): string =>
  `Over ${band('depth', fromM, fromM + CALL_BAND_M, 0)}: right ${tallyWords(tally)}`;

export const callBeamLine = ({ beam, tally }: CallRecord['byBeam'][number]): string =>
  `On the ${beam} beam: right ${tallyWords(tally)}`;

/** One line a way of being sure: said and right. */
export const sureLine = ({ sure, tally }: CallRecord['bySure'][number]): string =>
  `Said ${per(sure)} %: right ${tallyWords(tally)}`;

export const lureLine = ({ lure, takes, refusals, follows }: LureRecord): string =>
  `${lure}: ${takes} ${takes === 1 ? 'take' : 'takes'}, ${refusals} ${refusals === 1 ? 'refusal' : 'refusals'}, ${follows} ${follows === 1 ? 'follow' : 'follows'}`;
