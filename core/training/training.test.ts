import { FIRST_BRIEF } from '@/core/advice';
import { seededRandom } from '@/core/maths';
import { GENERIC_RIG } from '@/core/rig';
import * as v from 'valibot';
import { SittingSchema, type Answer, type Sitting } from './answer';
import { KINDS, type Level } from './drill';
import { compareAnswers, DrillSetSchema } from './drillSet';
import { trainingProgress } from './progress';
import { levelOf, planSitting } from './schedule';

const DAY_MS = 24 * 3600 * 1000;
const START = Date.UTC(2026, 10, 1);
const answer = (kind: string, right: boolean, level: Level = 1, sure: number | null = 0.8): Answer => ({
  kind,
  level,
  seed: 1,
  given: right ? kind : 'nothing',
  right,
  sure,
  turns: 0,
});
const sitting = (day: number, answers: Answer[], drill: Sitting['drill'] = 'name'): Sitting => ({
  id: `s${day}${drill}`,
  startedAt: new Date(START + day * DAY_MS).toISOString(),
  drill,
  answers,
  setBy: null,
});
const plan = (sittings: Sitting[], day: number, rounds = 10, seed = 1): string[] =>
  planSitting(sittings, 'name', KINDS.name, rounds, START + day * DAY_MS, seededRandom(seed)).map(
    (p) => p.kind,
  );

describe('what is asked next', () => {
  it('is first what was never asked, each once, and never the same twice in a row', () => {
    for (const seed of [1, 2, 3]) {
      const asked = plan([], 0, 10, seed);
      expect(new Set(asked).size).toBe(10);
    }
    const few = planSitting([], 'size', KINDS.size, 10, START, seededRandom(4)).map((p) => p.kind);
    expect(few).toHaveLength(10);
    few.forEach((kind, k) => k > 0 && expect(kind).not.toBe(few[k - 1]));
    for (const kind of KINDS.size) expect(few.filter((k) => k === kind).length).toBeGreaterThanOrEqual(3);
  });

  it('is sooner what was answered wrong', () => {
    const all = KINDS.name.map((kind) => answer(kind, kind !== 'weed' && kind !== 'layer'));
    const known = [sitting(0, all.slice(0, 10)), sitting(1, all.slice(10))];
    // After a day what was known is still known, and what was not comes again.
    const asked = plan(known, 2, 3);
    expect(asked).toEqual(expect.arrayContaining(['weed', 'layer']));
  });

  it('grows harder with right answers in a row and easier with wrong ones', () => {
    const of = (...rights: boolean[]): Level =>
      levelOf(
        [
          sitting(
            0,
            rights.map((right) => answer('fish', right)),
          ),
        ],
        'name',
        'fish',
      );
    expect(of()).toBe(1);
    expect(of(true)).toBe(1);
    expect(of(true, true)).toBe(2);
    expect(of(true, true, true, true)).toBe(3);
    expect(of(true, true, true, true, true, true, true)).toBe(3);
    expect(of(true, true, false, true)).toBe(2);
    expect(of(true, true, false, false)).toBe(1);
    expect(of(false, false, false)).toBe(1);
    expect(levelOf([sitting(0, [answer('fish', true), answer('fish', true)])], 'name', 'weed')).toBe(1);
  });
});

describe('how drills went', () => {
  it('agrees with counting by hand', () => {
    const days = [
      sitting(0, [answer('fish', true, 1, 0.95), answer('weed', false, 1, 0.6)]),
      sitting(3, [answer('fish', false, 2, 0.8), answer('weed', true, 1, 0.8), answer('weed', true, 1, 0.8)]),
      sitting(3, [answer('too-deep', true, 1, null)], 'dial'),
    ];
    const [name, dial] = trainingProgress(days.reverse());
    expect(name!.all).toMatchObject({ right: 3, of: 5 });
    // Wilson for 3 of 5 by its formula, worked out apart: 0.231 to 0.882.
    expect(name!.all.low).toBeCloseTo(0.231, 3);
    expect(name!.all.high).toBeCloseTo(0.882, 3);
    expect(name!.byKind.map((k) => [k.kind, k.share.right, k.share.of])).toEqual([
      ['fish', 1, 2],
      ['weed', 2, 3],
    ]);
    expect(name!.overTime.map((o) => [o.share, o.of])).toEqual([
      [0.5, 2],
      [2 / 3, 3],
    ]);
    expect(name!.brier).toBeCloseTo((0.05 ** 2 + 0.6 ** 2 + 0.8 ** 2 + 0.2 ** 2 + 0.2 ** 2) / 5, 10);
    expect(name!.bySure.map((s) => [s.sure, s.share.right, s.share.of])).toEqual([
      [0.6, 0, 1],
      [0.8, 2, 3],
      [0.95, 1, 1],
    ]);
    expect(dial).toMatchObject({ drill: 'dial', chance: 0, brier: null });
  });
});

describe('a drill given to another', () => {
  const answers = [answer('fish', true), { ...answer('weed', false), seed: 2 }];
  const set = {
    by: 'Coach',
    drill: 'name' as const,
    rounds: answers.map(({ kind, level, seed }) => ({ kind, level, seed })),
    brief: FIRST_BRIEF,
    rig: GENERIC_RIG,
    answers,
  };

  it('is believed only as far as it fits', () => {
    expect(v.safeParse(DrillSetSchema, set).success).toBe(true);
    expect(
      v.safeParse(DrillSetSchema, { ...set, rounds: [{ kind: 'left', level: 1, seed: 1 }] }).success,
    ).toBe(false);
    expect(v.safeParse(DrillSetSchema, { ...set, rounds: [] }).success).toBe(false);
    expect(v.safeParse(SittingSchema, { ...sitting(0, answers), drill: 'chess' }).success).toBe(false);
  });

  it('shows both answers, round by round', () => {
    const mine = [{ ...answer('weed', true), seed: 2 }];
    expect(
      compareAnswers(set, mine).map((r) => [r.kind, r.mine?.right ?? null, r.theirs?.right ?? null]),
    ).toEqual([
      ['fish', null, true],
      ['weed', true, false],
    ]);
  });
});
