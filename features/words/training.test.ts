import { KINDS, type Drill, type Round } from '@/core/training/drill';
import { unitsIn } from '../units';
import { DRILL_WORDS, kindWords, optionWords, outcomeWords, questionWords, whyWords } from './training';

const FACTS = {
  firstM: 0.4,
  secondM: 0.25,
  overDb: 5.4,
  asideM: 2.1,
  agoS: 12,
  speedMps: 1.5,
  farM: 18,
  lateS: 12,
  aheadM: 2,
  backS: 160,
};
const MOST_WORDS = 20;

it('every round is asked and explained in short plain sentences', () => {
  for (const system of ['metric', 'feet'] as const) {
    const units = unitsIn(system);
    for (const drill of Object.keys(KINDS) as Drill[])
      for (const kind of KINDS[drill]) {
        const round = {
          drill,
          kind,
          facts: FACTS,
          beside: null,
          options: [
            { code: kind, value: null },
            { code: 'off-by', value: 18 },
          ],
          answer: 0,
        } as unknown as Round;
        const said = [
          DRILL_WORDS[drill].about,
          kindWords(drill, kind),
          questionWords(round, units),
          whyWords(round, units),
          outcomeWords(round, false, units),
          ...round.options.map((o) => optionWords(round, o, units)),
        ];
        for (const text of said) {
          expect(text).not.toMatch(/undefined|NaN|null|\[object/);
          expect(text.length).toBeGreaterThan(1);
          for (const sentence of text.split(/(?<=[.?!])\s/))
            expect([sentence, sentence.split(/\s+/).length <= MOST_WORDS]).toEqual([sentence, true]);
        }
      }
  }
});
