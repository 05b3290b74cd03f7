import { FIRST_BRIEF, startSetup } from '@/core/advice';
import { soundingRequest, type PassSource } from '@/core/bench';
import type { Correction, Entry } from '@/core/logbook';
import { seededRandom } from '@/core/maths';
import { palettesFor } from '@/core/picture';
import { recordingOf } from '@/core/recording';
import { GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { NoRound, ownMarks, ownRound, planOwn } from '.';

const { settings } = startSetup(FIRST_BRIEF, GENERIC_RIG);
const source: Exclude<PassSource, { kind: 'recording' }> = {
  kind: 'brief',
  brief: FIRST_BRIEF,
  seed: 4,
  water: 2,
};
const entry = (corrections: Correction[], rig: Entry['rig'] = GENERIC_RIG): Entry => ({
  id: 'e1',
  keptAt: '2026-09-02T06:00:00.000Z',
  title: 'East shelf',
  call: '',
  note: '',
  source,
  rig,
  settings,
  marks: [],
  corrections,
});
const at = (timeS: number, rangeM = 8) => ({ timeS, rangeM });
const SAID: Correction[] = [
  { change: 'agreed', ...at(20), was: 'fish' },
  { change: 'renamed', ...at(40), was: 'fish', is: 'bubbles' },
  { change: 'added', ...at(60), is: 'weed' },
  { change: 'split', ...at(50), was: 'fish', parts: 2 },
];
const PALETTES = { cone: palettesFor('day', 'cone')[0]!, slice: palettesFor('day', 'slice')[0]! };

describe('marks of one’s own passes', () => {
  it('are those of which was said what they are, on a boat that is known', () => {
    expect(ownMarks([entry(SAID)]).map((m) => [m.kind, m.timeS])).toEqual([
      ['fish', 20],
      ['bubbles', 40],
      ['weed', 60],
    ]);
    expect(ownMarks([entry(SAID, null)])).toEqual([]);
  });

  it('are asked about once each, ten at the most', () => {
    const many = Array.from({ length: 15 }, (_, k): Correction => ({
      change: 'agreed',
      ...at(10 + k),
      was: k % 3 ? 'fish' : 'bait',
    }));
    const planned = planOwn([], ownMarks([entry(many)]), 0, seededRandom(3));
    expect(planned).toHaveLength(10);
    expect(new Set(planned.map((m) => m.timeS)).size).toBe(10);
    expect(new Set(planned.map((m) => m.kind))).toEqual(new Set(['fish', 'bait']));
    expect(planOwn([], ownMarks([entry(SAID)]), 0, seededRandom(3))).toHaveLength(3);
    expect(planOwn([], [], 0, seededRandom(3))).toEqual([]);
  });

  it('stand boxed in the middle of their pass, with one right answer among four', () => {
    const recording = recordingOf([simulate(soundingRequest(source, GENERIC_RIG, settings))]);
    const answers = new Set<number>();
    for (let seed = 1; seed <= 24; seed++)
      for (const own of ownMarks([entry(SAID)])) {
        const spec = { drill: 'yours' as const, kind: own.kind, level: 1 as const, seed, own };
        const round = ownRound(spec, recording, PALETTES);
        const [ring] = round.rings;
        expect(Math.abs(ring!.column - round.picture.columns / 2)).toBeLessThanOrEqual(1);
        // Eight metres down.
        expect((ring!.row + 0.5) * round.picture.rowM).toBeCloseTo(8, 0);
        expect(new Set(round.options.map((o) => o.code)).size).toBe(4);
        expect(round.options[round.answer]!.code).toBe(own.kind);
        answers.add(round.answer);
      }
    // The right one stands in every place.
    expect([...answers].sort()).toEqual([0, 1, 2, 3]);
    const [own] = ownMarks([entry([{ change: 'added', ...at(20, 300), is: 'fish' }])]);
    const spec = { drill: 'yours' as const, kind: own!.kind, level: 1 as const, seed: 1, own: own! };
    expect(() => ownRound(spec, recording, PALETTES)).toThrow(NoRound);
  });
});
