import * as v from 'valibot';
import {
  FIRST_BRIEF,
  HabitsSchema,
  SCHOOLS,
  SPECIES,
  startSetup,
  type Brief,
  type Control,
  type Debated,
  type Habits,
} from '@/core/advice';
import { SettingsSchema } from '@/core/picture';
import { GENERIC_RIG } from '@/core/rig';

const setupOf = (habits: Habits, change: Partial<Brief> = {}) =>
  startSetup({ ...FIRST_BRIEF, ...change }, GENERIC_RIG, habits);

const CONTROLS = Object.keys(SCHOOLS) as Debated[];

const lineOf = (habits: Habits, control: Control, change: Partial<Brief> = {}) =>
  setupOf(habits, change).lines.find((l) => l.control === control)!;

describe('schools', () => {
  it.each(CONTROLS)(
    'of %s all give whole settings, and each stands beside the one that is kept to',
    (control) => {
      for (const school of SCHOOLS[control]) {
        const habits = { [control]: school } as Habits;
        expect(v.safeParse(HabitsSchema, habits).success).toBe(true);
        const setup = setupOf(habits);
        expect(v.safeParse(SettingsSchema, setup.settings).success).toBe(true);
        const line = setup.lines.find((l) => l.control === control)!;
        expect(line.school).toBe(school);
        expect(line.others.map((o) => o.school).sort()).toEqual(
          SCHOOLS[control].filter((s) => s !== school).sort(),
        );
        // What is shown beside the kept one is what keeping to it then gives.
        const first = setupOf({}).lines.find((l) => l.control === control)!;
        const shown = [first, ...first.others].find((o) => o.school === school)!;
        expect(line.value).toBeCloseTo(shown.value, 9);
        expect(line.because.rule).toBe(shown.because.rule);
      }
    },
  );

  it('reach the settings that draw', () => {
    // Bed at 14 m: 14 · 1.06 + 0.3 = 15.1; the next round range is 20; fish from 6 m, two metres over them.
    expect(setupOf({ range: 'least' }).settings.rangeM).toBe(16);
    expect(setupOf({ range: 'one-for-all' }).settings.rangeM).toBe(20);
    expect(setupOf({ range: 'around-fish' }).settings.topM).toBe(4);
    expect(setupOf({ beam: 'strongest' }).settings.faceId).toBe('cone-200');
    expect(setupOf({ gain: 'auto-offset' }).settings).toMatchObject({ gainMode: 'auto', gainDb: 0 });
    expect(setupOf({ topWater: 'off' }).settings.topWater).toBe(0);
    expect(setupOf({ noiseRejection: 'least-that-does-it' }).settings.noiseRejection).toBe(2);
    expect(setupOf({ tvg: 'water-alike' }).settings.tvg).toBe('volume');
    expect(setupOf({ power: 'filtered' }).settings.power).toBe('low');
    const shape = setupOf({}).settings.chartSpeed;
    expect(setupOf({ chartSpeed: 'drawn-out' }).settings.chartSpeed).toBeCloseTo(2 * shape, 9);
  });

  it('filter the power over a near bed, and say what full power gains elsewhere', () => {
    const near = lineOf({}, 'power', { fromM: 1, toM: 2.5 });
    expect(near.value).toBeLessThan(0);
    expect(near.because.rule).toBe('power-near-bed');
    expect(lineOf({}, 'power').value).toBe(0);
    const filtered = lineOf({ power: 'filtered' }, 'power').because;
    const full = setupOf({}).prediction.deepestM;
    // Ten decibels less echo: at 40 log R and little absorption not 10^(10/40) = 1.8 times less deep.
    expect(filtered.rule === 'power-filtered' && filtered.deepestM).toBeLessThan(full);
    expect(filtered.rule === 'power-filtered' && filtered.deepestM).toBeGreaterThan(full / 1.8);
  });

  it('turn the gain down for the engine where it is off now', () => {
    const still = { presentation: 'vertical', speedMps: 0 } as const;
    const quiet = lineOf({}, 'gain', still).value;
    expect(lineOf({ gain: 'under-way' }, 'gain', still).value).toBeLessThan(quiet);
    // Under way already there is nothing to turn down for.
    expect(lineOf({ gain: 'under-way' }, 'gain').value).toBe(lineOf({}, 'gain').value);
  });

  it('refuse what is no school', () => {
    expect(v.safeParse(HabitsSchema, { range: 'guess' }).success).toBe(false);
    expect(v.safeParse(HabitsSchema, {}).success).toBe(true);
  });
});

describe('species', () => {
  it('are at least thirty, each once, with lengths that can be', () => {
    expect(SPECIES.length).toBeGreaterThanOrEqual(30);
    expect(new Set(SPECIES.map((s) => s.id)).size).toBe(SPECIES.length);
    expect(new Set(SPECIES.map((s) => s.label)).size).toBe(SPECIES.length);
    for (const { lengthM } of SPECIES) expect(lengthM[0] > 0.03 && lengthM[1] < 3).toBe(true);
  });
});
