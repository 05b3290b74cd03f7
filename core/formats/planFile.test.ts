import { FIRST_BRIEF } from '@/core/advice';
import { problemOf, readPlanFile, writePlanFile, type Plan } from '@/core/formats';
import { GENERIC_RIG } from '@/core/rig';

const PLAN: Plan = {
  id: 'plan-1',
  name: 'Crib',
  brief: FIRST_BRIEF,
  rig: GENERIC_RIG,
  habits: { gain: 'auto-offset' },
  holds: { 'unit-1': { cone: { range: 20 }, slice: { gain: 6 } } },
};
const wrong = (text: string): string | null => problemOf(readPlanFile(text));

describe('a plan as a file', () => {
  it('comes back as it went', () => {
    expect(readPlanFile(writePlanFile(PLAN))).toEqual({ ok: true, value: PLAN });
  });
  it('is refused with the place that is wrong', () => {
    expect(wrong('{')).toMatch(/cut short or damaged/);
    expect(wrong('words')).toMatch(/not a plan/);
    expect(wrong('{"kind":"other"}')).toMatch(/not a plan/);
    expect(wrong(writePlanFile({ ...PLAN, brief: { ...FIRST_BRIEF, toM: 4000 } }))).toMatch(
      /the depth of the bed is 4000 m; 300 m is the most/,
    );
    expect(wrong(' '.repeat(300_000))).toMatch(/too long/);
    expect(wrong(writePlanFile(PLAN).replace('"version": 2', '"version": 8'))).toMatch(/newer version/);
  });
  it('of the first version opens: its kind named, lines held under two names, one screen', () => {
    const { units, ...rig } = GENERIC_RIG;
    const old = {
      kind: 'nimble-echo-plan',
      version: 1,
      plan: {
        name: 'Crib',
        brief: FIRST_BRIEF,
        rig: { ...rig, screen: units[0]!.screen, fastestPingRate: 20, feeds: {} },
        habits: PLAN.habits,
        pins: { range: 20 },
        slicePins: { gain: 6 },
      },
    };
    expect(readPlanFile(JSON.stringify(old))).toEqual({ ok: true, value: { ...PLAN, id: 'plan-Crib' } });
  });
});
