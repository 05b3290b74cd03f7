import * as v from 'valibot';
import {
  BriefSchema,
  FIRST_BRIEF,
  HabitsSchema,
  phasesOf,
  PinsSchema,
  PRACTICES,
  SPECIES,
  startSetup,
  type Brief,
  type Control,
  type Debated,
  type Habits,
  type Pins,
  targetOf,
  waterOf,
} from '@/core/advice';
import { SettingsSchema } from '@/core/picture';
import { GENERIC_RIG, transducerOf, type Rig } from '@/core/rig';

/** A rig on which there is something to disagree about: two cones, a sweep and a slice. */
const RIG: Rig = { ...GENERIC_RIG, faces: [...GENERIC_RIG.faces, ...transducerOf('swept-mid').faces] };

const setupOf = (habits: Habits, change: Partial<Brief> = {}, rig = GENERIC_RIG) =>
  startSetup({ ...FIRST_BRIEF, ...change }, rig, habits);

/** Fished straight down with a lure: every practice has something to say. */
const WITH_LURE: Partial<Brief> = {
  presentation: 'vertical',
  speedMps: 0,
  lure: { massKg: 0.014, dressed: true },
};

const CONTROLS = Object.keys(PRACTICES) as Debated[];

const lineOf = (habits: Habits, control: Control, change: Partial<Brief> = {}) =>
  setupOf(habits, change).lines.find((l) => l.control === control)!;

describe('practices', () => {
  it.each(CONTROLS)(
    'of %s all give whole settings, and each stands beside the one that is kept to',
    (control) => {
      for (const practice of PRACTICES[control]) {
        const habits = { [control]: practice } as Habits;
        expect(v.safeParse(HabitsSchema, habits).success).toBe(true);
        const setup = setupOf(habits, WITH_LURE, RIG);
        expect(v.safeParse(SettingsSchema, setup.settings).success).toBe(true);
        const line = setup.lines.find((l) => l.control === control)!;
        expect(line.practice).toBe(practice);
        expect(line.others.map((o) => o.practice).sort()).toEqual(
          PRACTICES[control].filter((s) => s !== practice).sort(),
        );
        // What is shown beside the kept one is what keeping to it then gives.
        const first = setupOf({}, WITH_LURE, RIG).lines.find((l) => l.control === control)!;
        const shown = [first, ...first.others].find((o) => o.practice === practice)!;
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
    // Low power wants more gain.
    expect(setupOf({ power: 'filtered' }).settings.gainDb).toBeGreaterThan(setupOf({}).settings.gainDb);
  });

  it('turn the gain down for the engine where it is off now', () => {
    // Deep enough that specks, not the fish, say how far the gain goes.
    const still = { presentation: 'vertical', speedMps: 0, fromM: 18, toM: 34 } as const;
    const quiet = lineOf({}, 'gain', still).value;
    expect(lineOf({ gain: 'under-way' }, 'gain', still).value).toBeLessThan(quiet);
    // Under way already there is nothing to turn down for.
    expect(lineOf({ gain: 'under-way' }, 'gain').value).toBe(lineOf({}, 'gain').value);
  });

  it('refuse what is no practice', () => {
    expect(v.safeParse(HabitsSchema, { range: 'guess' }).success).toBe(false);
    expect(v.safeParse(HabitsSchema, {}).success).toBe(true);
  });
});

describe('pins', () => {
  const pinned = (pins: Pins) => startSetup(FIRST_BRIEF, GENERIC_RIG, {}, pins);
  const line = (pins: Pins, control: Control) => pinned(pins).lines.find((l) => l.control === control)!;

  it('hold a line, say what the rules would have, and the rest adapts', () => {
    const free = line({}, 'range');
    const held = line({ range: 40 }, 'range');
    expect(held).toMatchObject({
      value: 40,
      pinned: true,
      because: { rule: 'pinned', insteadOf: free.value },
    });
    expect(pinned({ range: 40 }).settings.rangeM).toBe(40);
    // Rows of 100 / 480 m: at 1.5 m/s true shape is 7.2 columns a second, slower than a column a ping.
    expect(pinned({ range: 100 }).settings.chartSpeed).toBe(7);
    // Gain is judged where the fish are, whatever the window; the chart follows its rows.
    expect(line({ range: 40 }, 'gain').value).toBe(line({}, 'gain').value);
    expect(line({ gain: 3 }, 'gain').value).toBe(3);
    expect(pinned({ gain: 3 }).settings.gainDb).toBe(3);
  });

  it('stand above a practice, and are refused when they cannot be', () => {
    const setup = startSetup(FIRST_BRIEF, GENERIC_RIG, { chartSpeed: 'by-rule' }, { chartSpeed: 7 });
    expect(setup.settings.chartSpeed).toBe(7);
    expect(v.safeParse(PinsSchema, { range: -3 }).success).toBe(false);
    expect(v.safeParse(PinsSchema, { gain: NaN }).success).toBe(false);
    expect(v.safeParse(PinsSchema, { gain: 3 }).success).toBe(true);
  });
});

describe('phases', () => {
  it('are the run, the search and the way it is fished, each with its own speed', () => {
    expect(
      phasesOf({ ...FIRST_BRIEF, presentation: 'drift', speedMps: 0.6 }).map((p) => p.presentation),
    ).toEqual(['run', 'search', 'drift']);
    expect(phasesOf({ ...FIRST_BRIEF, presentation: 'drift', speedMps: 0.6 })[2]!.brief.speedMps).toBe(0.6);
    expect(phasesOf(FIRST_BRIEF)[2]!).toMatchObject({
      presentation: 'vertical',
      brief: { speedMps: 0, presentation: 'vertical' },
    });
  });
});

describe('a brief told in full', () => {
  it('filters in silt, counts salt under fresh by its share, and takes a bed at its word', () => {
    expect(lineOf({}, 'power', { clarity: 'silty', fromM: 2, toM: 6 }).because.rule).toBe('power-silt');
    expect(waterOf({ ...FIRST_BRIEF, saltUnderM: 7 }).salinity).toBeCloseTo(17.5, 9);
    const soft = lineOf({}, 'pingRate', { bed: 'mud' }).because;
    const hard = lineOf({}, 'pingRate', { bed: 'rock' }).because;
    expect('limit' in soft && 'limit' in hard && soft.limit >= hard.limit).toBe(true);
    expect(lineOf({}, 'otherSounders', { othersNear: true }).value).toBe(2);
  });
  it('locks the window to the bed for a kind that lies on it', () => {
    const zoom = lineOf({}, 'zoom', { speciesId: 'burbot' });
    expect(zoom.because.rule).toBe('zoom-bed-lock');
    expect(zoom.because.rule === 'zoom-bed-lock' && zoom.because.rowM).toBeCloseTo(3.75 / 480, 9);
    expect(lineOf({}, 'zoom').because.rule).toBe('zoom-none');
  });
  it('takes a kind of the user’s own, and refuses one that is nowhere', () => {
    const own = {
      id: 'own-1',
      label: 'Char',
      bladder: 'open',
      lengthM: [0.3, 0.4],
      keeps: 'midwater',
    } as const;
    const brief = { ...FIRST_BRIEF, speciesId: 'own-1', ownSpecies: own };
    expect(v.safeParse(BriefSchema, brief).success).toBe(true);
    expect(targetOf(v.parse(BriefSchema, brief)).label).toBe('Char');
    expect(v.safeParse(BriefSchema, { ...brief, ownSpecies: null }).success).toBe(false);
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
