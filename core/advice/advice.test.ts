import * as v from 'valibot';
import {
  bedEchoesHeard,
  BriefSchema,
  FIRST_BRIEF,
  predict,
  speciesOf,
  SPECIES,
  speckLevel,
  speckShare,
  startSetup,
  verdictOf,
  type Brief,
} from '@/core/advice';
import { drawPicture, SettingsSchema, timeVariedGain } from '@/core/picture';
import { faceOf, GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { benchPass } from './bench';

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

describe('specks', () => {
  it('turns a share into a level and back', () => {
    for (const share of [0.001, 0.01, 0.2])
      for (const cells of [1, 3]) expect(speckShare(speckLevel(share, cells), cells)).toBeCloseTo(share, 9);
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
  it('sets the gain so that open water at the foot of the window shows about the share of specks it states', () => {
    const setup = setupOf();
    const request = benchPass(FIRST_BRIEF, GENERIC_RIG, setup.settings, 3);
    const empty = { ...request.scene, fish: [], clouds: [], layers: [], otherSounders: [] };
    // The bed far out of hearing, and its late echoes with it: the foot of the window is open water.
    const deep = { ...empty, bed: { ...empty.bed, depthM: empty.bed.depthM.map(() => 1400) } };
    const recording = simulate({ ...request, scene: deep });
    // Four decibels up, where specks are many enough to count well.
    const gainDb = setup.settings.gainDb + 4;
    const settings = { ...setup.settings, gainDb, firstColourDb: 0, otherSounders: 0 };
    const screen = { rows: GENERIC_RIG.screen.rows, columns: 1600 };
    const { pixels } = drawPicture(recording, settings, screen, 130);
    const first = Math.floor(0.985 * screen.rows);
    const foot = pixels.subarray(first * screen.columns);
    const ground = drawPicture(recording, { ...settings, gainDb: -30 }, screen, 130).pixels[0]!;
    const share = foot.reduce((n, p) => n + (p !== ground ? 1 : 0), 0) / foot.length;
    const { rangeM } = setup.settings;
    const middleOfFoot = 0.9925 * rangeM;
    const expected = (gain: number, range: number): number => {
      return speckShare(
        -60 - gain - setup.prediction.budget.noiseLevelDb - timeVariedGain(recording.channels[0]!, range),
        1,
      );
    };
    // Some 4,000 independent cells, neighbours within a pulse being one: three standard errors.
    expect(Math.abs(share - expected(gainDb, middleOfFoot))).toBeLessThan(
      3 * Math.sqrt((expected(gainDb, middleOfFoot) * (1 - expected(gainDb, middleOfFoot))) / 4000),
    );
    // Gain is in whole decibels: half a decibel moves the share by 1.8 either way.
    expect(expected(setup.settings.gainDb, rangeM)).toBeGreaterThan(0.01 / 1.8);
    expect(expected(setup.settings.gainDb, rangeM)).toBeLessThan(0.01 * 1.8);
  });
  it('warns when the boat is too fast for a shape', () => {
    const line = setupOf({ fromM: 1, toM: 4, speedMps: 5, faceId: 'cone-200' }).lines.find(
      (l) => l.control === 'boatSpeed',
    )!;
    expect(line.because.rule).toBe('speed-too-fast');
  });
  it('refuses a rig without a transducer', () => {
    expect(() => startSetup(FIRST_BRIEF, { ...GENERIC_RIG, faces: [] })).toThrow(RangeError);
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
    expect([16, 12, 9].map(verdictOf)).toEqual(['clear', 'just', 'lost']);
  });
});
