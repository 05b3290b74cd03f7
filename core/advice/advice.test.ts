import { fromDb } from '@/core/maths';
import { recordingOf } from '@/core/recording';
import * as v from 'valibot';
import {
  bedEchoesHeard,
  BriefSchema,
  FIRST_BRIEF,
  predict,
  speciesOf,
  SPECIES,
  startSetup,
  type Brief,
  withDepths,
} from '@/core/advice';
import { SettingsSchema, timeVariedGain } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { faceOf, GENERIC_RIG, screenOf, verdictOf } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { benchPass } from '@/core/bench';

const setupOf = (change: Partial<Brief> = {}) => startSetup({ ...FIRST_BRIEF, ...change }, GENERIC_RIG);

describe('brief', () => {
  it('starts whole and refuses what cannot be', () => {
    const bad = (change: object): boolean => v.safeParse(BriefSchema, { ...FIRST_BRIEF, ...change }).success;
    expect(bad({})).toBe(true);
    expect(bad({ toM: 6.5 })).toBe(false);
    expect(bad({ fromM: NaN })).toBe(false);
    expect(bad({ speciesId: 'kraken' })).toBe(false);
    expect(bad({ lengthM: [0.5, 0.2] })).toBe(false);
  });
  it('knows its species', () => {
    expect(speciesOf('perch').bladder).toBe('closed');
    expect(() => speciesOf('kraken')).toThrow(RangeError);
    for (const s of SPECIES) expect(s.lengthM[0]).toBeLessThan(s.lengthM[1]);
  });
});

describe('start setup', () => {
  const briefs: Partial<Brief>[] = [
    {},
    { presentation: 'vertical', speedMps: 0 },
    { fromM: 2, toM: 5 },
    { speciesId: 'cod', lengthM: [0.45, 0.8], fromM: 20, toM: 60, salinity: 35 },
    { speciesId: 'smelt', lengthM: [0.1, 0.17], fromM: 8, toM: 30 },
    { faceId: 'slice-455' },
    { presentation: 'troll', speedMps: 1 },
  ];
  it.each(briefs)('holds together for %j', (change) => {
    const setup = setupOf(change);
    const brief = { ...FIRST_BRIEF, ...change };
    expect(v.safeParse(SettingsSchema, setup.settings).success).toBe(true);
    expect(setup.settings.rangeM).toBeGreaterThan(brief.toM * 1.05);
    // No bed echo that can be heard comes back late.
    const { prediction } = setup;
    const heard = bedEchoesHeard(prediction.budget, brief.toM, 'rock');
    expect(setup.settings.pingRate).toBeLessThanOrEqual(
      prediction.budget.soundSpeedMps / (2 * heard * brief.toM),
    );
    expect(setup.lines.map((l) => l.control)).toEqual([...new Set(setup.lines.map((l) => l.control))]);
    for (const line of setup.lines) expect(line.because.rule).toBeTruthy();
  });
  it('searches wide and fishes straight down narrow', () => {
    expect(setupOf().settings.faceId).toBe('cone-83');
    expect(setupOf({ presentation: 'vertical', speedMps: 0 }).settings.faceId).toBe('cone-200');
  });
  it('leaves the wide beam when it does not reach, and keeps the user’s choice', () => {
    expect(setupOf({ fromM: 10, toM: 30 }).settings.faceId).toBe('cone-200');
    expect(setupOf({ fromM: 10, toM: 30, faceId: 'cone-83' }).settings.faceId).toBe('cone-83');
  });
  it('says so when no beam shows the fish', () => {
    const setup = setupOf({ speciesId: 'smelt', lengthM: [0.1, 0.12], fromM: 20, toM: 60 });
    expect(setup.lines.find((l) => l.control === 'beam')!.because.rule).toBe('beam-strongest');
    expect(setup.prediction.verdict).toBe('lost');
  });
  it('knows what share of open water noise draws', () => {
    const setup = setupOf();
    const request = benchPass(FIRST_BRIEF, GENERIC_RIG, setup.settings, 3);
    const empty = { ...request.scene, fish: [], clouds: [], layers: [], otherSounders: [] };
    // The bed far out of hearing, and its late echoes with it: the foot of the window is open water.
    const deep = { ...empty, bed: { ...empty.bed, depthM: empty.bed.depthM.map(() => 1400) } };
    const recording = simulate({ ...request, scene: deep });
    const { gainDb } = setup.settings;
    const settings = { ...setup.settings, gainDb, firstColourDb: 0, otherSounders: 0 };
    const screen = { rows: screenOf(GENERIC_RIG).rows, columns: 1600 };
    const { pixels } = drawPicture(recordingOf([recording]), settings, screen, 130);
    const first = Math.floor(0.985 * screen.rows);
    const foot = pixels.subarray(first * screen.columns);
    const ground = drawPicture(recordingOf([recording]), { ...settings, gainDb: -30 }, screen, 130)
      .pixels[0]!;
    const share = foot.reduce((n, p) => n + (p !== ground ? 1 : 0), 0) / foot.length;
    const { rangeM } = setup.settings;
    const middleOfFoot = 0.9925 * rangeM;
    const expected = (gain: number, range: number): number => {
      const overNoiseDb =
        -60 - gain - setup.prediction.budget.noiseLevelDb - timeVariedGain(recording.channels[0]!, range);
      return Math.exp(-fromDb(overNoiseDb));
    };
    // Some 4,000 independent cells, neighbours within a pulse being one: three standard errors.
    expect(Math.abs(share - expected(gainDb, middleOfFoot))).toBeLessThan(
      3 * Math.sqrt((expected(gainDb, middleOfFoot) * (1 - expected(gainDb, middleOfFoot))) / 4000),
    );
  });
  it('warns when the boat is too fast for a shape', () => {
    const line = setupOf({ fromM: 1, toM: 4, speedMps: 3.5, faceId: 'cone-200' }).lines.find(
      (l) => l.control === 'boatSpeed',
    )!;
    expect(line.because.rule).toBe('speed-too-fast');
    // However many pings it gets, a boat that planes churns up what the face hears.
    const planing = setupOf({ speedMps: 8, presentation: 'run' }).lines.find(
      (l) => l.control === 'boatSpeed',
    )!;
    expect(planing.because.rule).toBe('speed-planing');
  });
  it('refuses a rig without a transducer', () => {
    expect(() => startSetup(FIRST_BRIEF, { ...GENERIC_RIG, faces: [] })).toThrow(RangeError);
  });
});

describe('advice that holds on the water', () => {
  const line = (change: Partial<Brief>, control: string) =>
    setupOf(change).lines.find((l) => l.control === control)!;
  it('looks for a kind on the bed with a beam that sees near it, and says what a wide one hides', () => {
    const burbot = line({ speciesId: 'burbot', lengthM: [0.4, 0.65], fromM: 8, toM: 14 }, 'beam');
    expect(burbot.because).toMatchObject({ rule: 'beam-sees-to-the-bed' });
    expect(setupOf({ speciesId: 'burbot', lengthM: [0.4, 0.65], fromM: 8, toM: 14 }).settings.faceId).toBe(
      'cone-200',
    );
    expect(line({}, 'beam').because).toMatchObject({
      rule: 'beam-widest-that-shows',
      hiddenM: expect.any(Number),
    });
  });
  it('clears as much of the top as the wind churns, spares the fish there, and is off in a calm', () => {
    const reach = (windMps: number, fromM: number): number => line({ windMps, fromM }, 'topWater').value;
    expect(reach(1, 6)).toBe(0);
    // 8 m/s: bubbles to 1/e in 0.55 m, drawn to four of these, 2.2 m, in steps of half a metre.
    expect(reach(8, 6)).toBe(5);
    expect(reach(8, 1)).toBe(1);
    expect(line({ windMps: 8, fromM: 0.5 }, 'topWater').because.rule).toBe('top-water-spare-fish');
  });
  it('leaves the filter for other sounders off where a fish gets only a ping or two', () => {
    const few = { fromM: 1, toM: 4, speedMps: 3.5, faceId: 'cone-200' };
    expect(line(few, 'otherSounders')).toMatchObject({
      value: 0,
      because: { rule: 'other-sounders-few-pings' },
    });
    expect(line({}, 'otherSounders').value).toBe(1);
  });
  it('calls a chart true to shape only where it is', () => {
    for (const change of [{}, { toM: 40, fromM: 20 }, { speedMps: 0.4, presentation: 'drift' as const }]) {
      const { because } = line(change, 'chartSpeed');
      if (because.rule !== 'chart-one-to-one') continue;
      expect(because.columnM / because.rowM).toBeGreaterThan(0.8);
      expect(because.columnM / because.rowM).toBeLessThan(1.25);
    }
  });
  it('warns where a held range ends above the bed', () => {
    const held = startSetup(FIRST_BRIEF, GENERIC_RIG, {}, { range: 10 }).lines[0]!;
    expect(held.because).toEqual({ rule: 'pinned-above-bed', insteadOf: 17, bedM: 14 });
  });
  it('takes depths in any order: what is typed stands, the rest makes room', () => {
    expect(withDepths(FIRST_BRIEF, { fromM: 20 })).toEqual({ fromM: 20, fishToM: null, toM: 21 });
    expect(withDepths(FIRST_BRIEF, { toM: 4 })).toEqual({ fromM: 3, fishToM: null, toM: 4 });
    const over = { ...FIRST_BRIEF, fishToM: 9, toM: 30 };
    expect(withDepths(over, { fishToM: 4 })).toEqual({ fromM: 4, fishToM: 4, toM: 30 });
    expect(withDepths(over, { fishToM: 40 })).toEqual({ fromM: 6, fishToM: 40, toM: 40 });
    expect(withDepths(over, { fromM: 12 })).toEqual({ fromM: 12, fishToM: 12, toM: 30 });
  });
  it('judges fish over a deep bed at their own depth', () => {
    const deep = { ...FIRST_BRIEF, fromM: 6, fishToM: 12, toM: 60 };
    const face = faceOf(GENERIC_RIG, 'cone-83');
    expect(predict(deep, GENERIC_RIG, face).marginDb).toBeGreaterThan(
      predict({ ...deep, fishToM: null }, GENERIC_RIG, face).marginDb + 20,
    );
    expect(startSetup(deep, GENERIC_RIG).settings.faceId).toBe('cone-83');
  });
});

describe('prediction', () => {
  it('gives up at the margin it states', () => {
    const p = predict(FIRST_BRIEF, GENERIC_RIG, faceOf(GENERIC_RIG, 'cone-83'));
    expect(p.verdict).toBe(verdictOf(p.marginDb));
    expect(p.coverM[1]).toBeCloseTo(2 * 14 * Math.tan(Math.PI / 6), 6);
    const deeper = predict({ ...FIRST_BRIEF, toM: p.deepestM }, GENERIC_RIG, p.face);
    expect(deeper.marginDb).toBeCloseTo(10, 1);
  });
  it('has three words for a margin', () => {
    expect([16, 12, 9].map(verdictOf)).toEqual(['clear', 'faint', 'lost']);
  });
});
