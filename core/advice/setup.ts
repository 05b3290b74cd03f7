import { clamp } from '@/core/maths';
import type { Settings } from '@/core/picture';
import { PALETTE_BOTTOM_DB, PLAIN_SETTINGS } from '@/core/picture';
import {
  cleanPingRate,
  detectionRange,
  faceBudget,
  LOW_POWER_DB,
  type Rig,
  waterPerColumn,
  waterPerRow,
} from '@/core/rig';
import { waterOf, type Brief } from './brief';
import { SCHOOLS, type Debated, type Habits, type School } from './schools';
import { bedEchoesHeard, bedEchoMargin, predict, verdictOf, type Prediction } from './prediction';

/** Why a line of the setup is what it is: the rule's name and its numbers; words are the interface's. */
export type Because =
  | {
      rule: 'beam-widest-that-shows';
      coverM: number;
      otherCoverM: number | null;
      deepestM: number;
      marginDb: number;
    }
  | {
      rule: 'beam-narrowest-that-shows';
      coverM: number;
      otherCoverM: number | null;
      deepestM: number;
      marginDb: number;
    }
  | { rule: 'beam-strongest'; coverM: number; deepestM: number; marginDb: number }
  | { rule: 'beam-chosen'; coverM: number; deepestM: number; marginDb: number }
  | { rule: 'range-bed-and-margin'; bedM: number; marginM: number; rowM: number }
  | { rule: 'range-least'; bedM: number; rowM: number }
  | { rule: 'range-one-for-all'; rangeM: number; rowM: number }
  | { rule: 'range-around-fish'; topM: number; rowM: number }
  | { rule: 'range-auto'; bedM: number; rowM: number }
  | { rule: 'beam-one-for-all'; coverM: number; deepestM: number; marginDb: number }
  | { rule: 'gain-auto-offset' }
  | { rule: 'gain-under-way'; louderDb: number; targetOverBottomDb: number }
  | { rule: 'noise-some' }
  | { rule: 'tvg-fish-alike'; depthM: number; madeUpDb: number }
  | { rule: 'tvg-water-alike'; depthM: number; madeUpDb: number }
  | { rule: 'tvg-none' }
  | { rule: 'power-near-bed'; bedM: number }
  | { rule: 'power-full'; gainedDb: number }
  | { rule: 'power-filtered'; lostDb: number; deepestM: number }
  | { rule: 'chart-by-rule'; columnM: number; rowM: number; historyS: number }
  | { rule: 'chart-drawn-out'; columnM: number; rowM: number; historyS: number; pings: number }
  | { rule: 'gain-few-specks'; share: number; targetOverBottomDb: number }
  | { rule: 'first-colour-back-a-touch'; share: number }
  | {
      rule: 'spread-hard-bed-at-top' | 'spread-target-not-too-pale';
      depthM: number;
      bedOverBottomDb: number;
      part: number;
    }
  | { rule: 'ping-rate-clear-of-late-bed'; limit: number; bedEchoes: number; depthM: number }
  | { rule: 'ping-rate-fastest'; limit: number; bedEchoes: number }
  | { rule: 'chart-column-a-ping'; columnM: number; rowM: number; historyS: number }
  | { rule: 'chart-one-to-one'; columnM: number; rowM: number; historyS: number }
  | { rule: 'noise-least' }
  | { rule: 'other-sounders-one-step'; pings: number }
  | { rule: 'top-water-above-fish'; reachM: number; shallowestM: number }
  | { rule: 'top-water-off' }
  | { rule: 'speed-enough-pings'; pings: number; fastestMps: number }
  | { rule: 'speed-too-fast'; pings: number; fastestMps: number }
  | { rule: 'speed-still' };

/** The controls a start setup speaks of, in the practitioners' order. */
export const CONTROLS = [
  'range',
  'beam',
  'power',
  'gain',
  'firstColour',
  'colourSpread',
  'otherSounders',
  'noiseRejection',
  'topWater',
  'tvg',
  'pingRate',
  'chartSpeed',
  'boatSpeed',
] as const;
export type Control = (typeof CONTROLS)[number];

export interface SetupLine {
  control: Control;
  /** In the control's own unit: m, dB, steps, 1/s, columns/s, m/s. The beam's is its frequency, Hz. */
  value: number;
  because: Because;
  /** The school this line keeps to, and what the others would have, where practitioners disagree. */
  school: School | null;
  others: readonly Alternative[];
}

/** What another school would set. */
export interface Alternative {
  school: School;
  value: number;
  because: Because;
}

/** A start setup: settings, a reason for each, and what to expect of them. */
export interface Setup {
  settings: Settings;
  lines: readonly SetupLine[];
  prediction: Prediction;
  /** The other faces, for comparison. */
  others: readonly Prediction[];
}

/** Share of specks in open water at the window's foot that a practised hand leaves while setting gain. */
const SPECK_SHARE = 0.01;
/** "Back a touch": how far the first colour then goes up, dB. */
const BACK_A_TOUCH_DB = 2;
/** Share of the colours the target must keep, or it is too pale to be seen in the sun. */
const LEAST_PART = 0.16;
/** The bed colours are set by. */
const HARD_BED = 'gravel';
/** Pings on a fish below which its mark has no shape. */
const LEAST_PINGS = 5;
/** Below this the boat sits still, m/s. */
export const STILL_MPS = 0.25;

const round = (x: number, step: number): number => Math.round(x / step) * step;

/**
 * Noise power over its mean that the strongest of `cells` draws exceeds with chance `share`, dB. Noise power is
 * exponential: P(> x) = e^−x, and 1 − (1 − e^−x)^cells = share.
 */
export const speckLevel = (share: number, cells: number): number =>
  10 * Math.log10(-Math.log(1 - Math.pow(1 - share, 1 / cells)));

/** The share of cells in which the strongest of `cells` noise draws lies over `db` above the mean; inverse of speckLevel. */
export const speckShare = (db: number, cells: number): number =>
  1 - Math.pow(1 - Math.exp(-Math.pow(10, db / 10)), cells);

function chooseFace(
  brief: Brief,
  rig: Rig,
  school: School<'beam'>,
): { prediction: Prediction; others: Prediction[]; because: Because } {
  const all = rig.faces.map((face) => predict(brief, rig, face));
  const rest = (chosen: Prediction): Prediction[] => all.filter((p) => p !== chosen);
  const facts = (p: Prediction) => ({ coverM: p.coverM[1], deepestM: p.deepestM, marginDb: p.marginDb });
  const asked = all.find((p) => p.face.id === brief.faceId);
  if (asked)
    return { prediction: asked, others: rest(asked), because: { rule: 'beam-chosen', ...facts(asked) } };
  const cones = all.filter((p) => p.face.beam.shape === 'cone');
  if (school === 'strongest') {
    const best = (cones.length > 0 ? cones : all).reduce((a, b) => (b.marginDb > a.marginDb ? b : a));
    return { prediction: best, others: rest(best), because: { rule: 'beam-one-for-all', ...facts(best) } };
  }
  const able = cones.filter((p) => verdictOf(p.marginDb) === 'clear');
  const width = (p: Prediction): number => p.face.beam.athwartRad;
  if (able.length === 0) {
    const best = (cones.length > 0 ? cones : all).reduce((a, b) => (b.marginDb > a.marginDb ? b : a));
    return { prediction: best, others: rest(best), because: { rule: 'beam-strongest', ...facts(best) } };
  }
  const narrow = brief.presentation === 'vertical';
  const chosen = able.reduce((a, b) => ((narrow ? width(b) < width(a) : width(b) > width(a)) ? b : a));
  const other = cones.find((p) => p !== chosen);
  return {
    prediction: chosen,
    others: rest(chosen),
    because: {
      rule: narrow ? 'beam-narrowest-that-shows' : 'beam-widest-that-shows',
      ...facts(chosen),
      otherCoverM: other ? other.coverM[1] : null,
    },
  };
}

function pingRateFor(brief: Brief, rig: Rig, p: Prediction): { value: number; because: Because } {
  // The hardest bed it could be: it gives the most late echoes.
  const bedEchoes = bedEchoesHeard(p.budget, brief.toM, 'rock');
  const limit = cleanPingRate(brief.toM * 1.05, p.budget.soundSpeedMps, bedEchoes);
  if (limit >= rig.fastestPingRate)
    return { value: rig.fastestPingRate, because: { rule: 'ping-rate-fastest', limit, bedEchoes } };
  return {
    value: Math.max(0.5, Math.floor(limit * 2) / 2),
    because: { rule: 'ping-rate-clear-of-late-bed', limit, bedEchoes, depthM: brief.toM },
  };
}

/** Ranges a user who keeps to one for all waters would choose from, m. */
const ROUND_RANGES = [5, 10, 20, 30, 40, 60, 80, 120, 180, 300];
/** Bed nearer than this overloads the receiver at full power, m (about 10 ft). */
const NEAR_BED_M = 3;
/** Water shown above and below the fish by a window about them, m. */
const ABOUT_FISH_M = 2;
/** Noise rejection that takes lone specks and leaves marks of three cells. */
const SOME_REJECTION = 2;
/** Rule of thumb: so many tenths of the fastest chart at idle, and under this speed, m/s, so many. */
const RULE = { idle: 0.4, slowMps: 0.8, slow: 0.15 };
const FASTEST_CHART = 40;

interface Choice {
  value: number;
  because: Because;
}

/** Window by each school: its foot, and with it its top where that is not the surface. */
function rangesOf(brief: Brief, rig: Rig): Record<School<'range'>, Choice & { topM: number }> {
  const row = (span: number): number => waterPerRow(span, rig.screen.rows);
  const margin = Math.ceil(brief.toM + Math.max(1.5, 0.15 * brief.toM));
  const least = Math.ceil(brief.toM * 1.06 + 0.3);
  const oneForAll = ROUND_RANGES.find((r) => r >= brief.toM * 1.06) ?? Math.ceil(brief.toM * 1.06);
  const topM = Math.max(0, Math.floor(brief.fromM - ABOUT_FISH_M));
  return {
    margin: {
      value: margin,
      topM: 0,
      because: {
        rule: 'range-bed-and-margin',
        bedM: brief.toM,
        marginM: margin - brief.toM,
        rowM: row(margin),
      },
    },
    least: { value: least, topM: 0, because: { rule: 'range-least', bedM: brief.toM, rowM: row(least) } },
    'one-for-all': {
      value: oneForAll,
      topM: 0,
      because: { rule: 'range-one-for-all', rangeM: oneForAll, rowM: row(oneForAll) },
    },
    'around-fish': {
      value: margin,
      topM,
      because: { rule: 'range-around-fish', topM, rowM: row(margin - topM) },
    },
    auto: { value: least, topM: 0, because: { rule: 'range-auto', bedM: brief.toM, rowM: row(least) } },
  };
}

/** The line of a control: the school the user keeps to, and the others beside it. */
function lineOf<C extends Debated>(
  control: C,
  habits: Habits,
  choices: Record<School<C>, Choice>,
): SetupLine {
  const schools = SCHOOLS[control] as readonly School<C>[];
  const kept = (habits[control] as School<C> | undefined) ?? schools[0]!;
  const { value, because } = choices[kept];
  return {
    control,
    value,
    because,
    school: kept,
    others: schools
      .filter((school) => school !== kept)
      .map((school) => ({ school, value: choices[school].value, because: choices[school].because })),
  };
}

const plainLine = (control: Control, value: number, because: Because): SetupLine => ({
  control,
  value,
  because,
  school: null,
  others: [],
});

/**
 * The start setup for a brief on a rig, each line with its reason and what other schools would set.
 * @param habits the schools the user keeps to @throws RangeError when the rig has no faces
 */
export function startSetup(brief: Brief, rig: Rig, habits: Habits = {}): Setup {
  if (rig.faces.length === 0) throw new RangeError('setup: the rig has no transducer');
  const faces = {
    'by-task': chooseFace(brief, rig, 'by-task'),
    strongest: chooseFace(brief, rig, 'strongest'),
  };
  const { prediction: full, others } = faces[habits.beam ?? 'by-task'];
  const { face } = full;

  const near = brief.toM < NEAR_BED_M;
  const power: 'full' | 'low' =
    (habits.power ?? 'by-depth') === 'by-depth'
      ? near
        ? 'low'
        : 'full'
      : habits.power === 'filtered'
        ? 'low'
        : 'full';
  const prediction: Prediction = power === 'low' ? weaker(full) : full;
  const { budget, targetStrengthDb } = prediction;

  const ranges = rangesOf(brief, rig);
  const { value: rangeM, topM } = ranges[habits.range ?? 'margin'];
  const rowM = waterPerRow(rangeM - topM, rig.screen.rows);
  const rate = pingRateFor(brief, rig, prediction);

  const oneToOne = brief.speedMps / rowM;
  const slice = face.beam.shape === 'fan';
  const trueToShape = clamp(
    round(brief.speedMps < STILL_MPS ? rate.value : Math.min(oneToOne, slice ? 40 : rate.value), 0.5),
    0.5,
    40,
  );
  const byRule = round(FASTEST_CHART * (brief.speedMps < RULE.slowMps ? RULE.slow : RULE.idle), 0.5);
  const drawnOut = clamp(2 * trueToShape, 0.5, FASTEST_CHART);
  const chartSpeed = { 'true-to-shape': trueToShape, 'by-rule': byRule, 'drawn-out': drawnOut }[
    habits.chartSpeed ?? 'true-to-shape'
  ];
  const charts = (speed: number) => ({
    columnM: waterPerColumn(brief.speedMps, speed),
    rowM,
    historyS: rig.screen.columns / speed,
  });

  // Noise as it is drawn at the foot of the window, and the strongest of the samples that share a cell there.
  const noiseStrength =
    budget.noiseLevelDb +
    40 * Math.log10(rangeM) +
    2 * budget.absorptionDbPerM * rangeM -
    budget.sourceLevelDb;
  // Neighbouring samples lie half a pulse apart and fade together, so a pulse length counts once.
  const cells = Math.max(1, rowM / budget.resolutionM) * Math.max(1, rate.value / chartSpeed);
  const bottom = noiseStrength + speckLevel(SPECK_SHARE, cells);
  const bySpecks = clamp(Math.round(PALETTE_BOTTOM_DB - bottom), -30, 40);
  const inGear = faceBudget(rig, face, waterOf(brief), { engine: 'gear', power }).noiseLevelDb;
  const louderDb = Math.max(0, inGear - budget.noiseLevelDb);
  const underWay = clamp(Math.round(PALETTE_BOTTOM_DB - bottom - louderDb), -30, 40);
  const gainSchool = habits.gain ?? 'specks';
  const gainDb = gainSchool === 'under-way' ? underWay : bySpecks;
  const bottomDb = PALETTE_BOTTOM_DB - gainDb;
  const targetOverBottomDb = targetStrengthDb - bottomDb;
  // A hard bed should just reach the strongest colour: less spread and hard and soft bed come out alike, more and colours lie idle.
  const bedNoiseStrength =
    budget.noiseLevelDb +
    40 * Math.log10(brief.toM) +
    2 * budget.absorptionDbPerM * brief.toM -
    budget.sourceLevelDb;
  const bedOverBottomDb = bedEchoMargin(budget, brief.toM, HARD_BED, 1) + bedNoiseStrength - bottomDb;
  const widest = Math.max(20, targetOverBottomDb / LEAST_PART);
  const colourSpreadDb = Math.round(clamp(bedOverBottomDb, 20, Math.min(60, widest)));
  const shareAfter = speckShare(bottomDb + BACK_A_TOUCH_DB - noiseStrength, cells);

  const calm = brief.windMps < 2;
  const topWater = calm ? 0 : clamp(Math.floor((brief.fromM - 0.5) / 0.5 / 2), 0, 3);

  const pings = prediction.timeInConeS * rate.value;
  const fastestMps = (prediction.timeInConeS * brief.speedMps * rate.value) / LEAST_PINGS;
  const speedBecause: Because =
    brief.speedMps < STILL_MPS
      ? { rule: 'speed-still' }
      : { rule: pings >= LEAST_PINGS ? 'speed-enough-pings' : 'speed-too-fast', pings, fastestMps };

  const topWaterNow = habits.topWater === 'off' ? 0 : topWater;
  const rejection = habits.noiseRejection === 'least-that-does-it' ? SOME_REJECTION : 0;
  const tvg = habits.tvg ?? 'fish-alike';
  const settings: Settings = {
    ...PLAIN_SETTINGS,
    faceId: face.id,
    topM,
    rangeM,
    power,
    tvg: ({ 'fish-alike': 'target', 'water-alike': 'volume', none: 'flat' } as const)[tvg],
    gainMode: gainSchool === 'auto-offset' ? 'auto' : 'manual',
    gainDb: gainSchool === 'auto-offset' ? 0 : gainDb,
    noiseRejection: rejection,
    firstColourDb: BACK_A_TOUCH_DB,
    colourSpreadDb,
    otherSounders: 1,
    topWater: topWaterNow,
    chartSpeed,
    pingRate: rate.value,
  };
  const midM = (brief.fromM + brief.toM) / 2;
  const lines: SetupLine[] = [
    lineOf('range', habits, ranges),
    lineOf('beam', habits, {
      'by-task': { value: faces['by-task'].prediction.face.frequencyHz, because: faces['by-task'].because },
      strongest: { value: faces.strongest.prediction.face.frequencyHz, because: faces.strongest.because },
    }),
    lineOf('power', habits, {
      'by-depth': near
        ? { value: LOW_POWER_DB, because: { rule: 'power-near-bed', bedM: brief.toM } }
        : { value: 0, because: { rule: 'power-full', gainedDb: -LOW_POWER_DB } },
      full: { value: 0, because: { rule: 'power-full', gainedDb: -LOW_POWER_DB } },
      filtered: {
        value: LOW_POWER_DB,
        because: { rule: 'power-filtered', lostDb: -LOW_POWER_DB, deepestM: weaker(full).deepestM },
      },
    }),
    lineOf('gain', habits, {
      specks: {
        value: bySpecks,
        because: {
          rule: 'gain-few-specks',
          share: SPECK_SHARE,
          targetOverBottomDb: targetStrengthDb - (PALETTE_BOTTOM_DB - bySpecks),
        },
      },
      'auto-offset': { value: 0, because: { rule: 'gain-auto-offset' } },
      'under-way': {
        value: underWay,
        because: {
          rule: 'gain-under-way',
          louderDb,
          targetOverBottomDb: targetStrengthDb - (PALETTE_BOTTOM_DB - underWay),
        },
      },
    }),
    plainLine('firstColour', BACK_A_TOUCH_DB, { rule: 'first-colour-back-a-touch', share: shareAfter }),
    plainLine('colourSpread', colourSpreadDb, {
      rule: bedOverBottomDb > widest ? 'spread-target-not-too-pale' : 'spread-hard-bed-at-top',
      depthM: brief.toM,
      bedOverBottomDb,
      part: clamp(targetOverBottomDb / colourSpreadDb, 0, 1),
    }),
    plainLine('otherSounders', 1, { rule: 'other-sounders-one-step', pings: Math.min(pings, 999) }),
    lineOf('noiseRejection', habits, {
      none: { value: 0, because: { rule: 'noise-least' } },
      'least-that-does-it': { value: SOME_REJECTION, because: { rule: 'noise-some' } },
    }),
    lineOf('topWater', habits, {
      'above-fish': {
        value: topWater,
        because:
          topWater > 0
            ? { rule: 'top-water-above-fish', reachM: topWater * 0.5, shallowestM: brief.fromM }
            : { rule: 'top-water-off' },
      },
      off: { value: 0, because: { rule: 'top-water-off' } },
    }),
    lineOf('tvg', habits, {
      'fish-alike': {
        value: 40,
        because: { rule: 'tvg-fish-alike', depthM: midM, madeUpDb: 40 * Math.log10(brief.toM / brief.fromM) },
      },
      'water-alike': {
        value: 20,
        because: {
          rule: 'tvg-water-alike',
          depthM: midM,
          madeUpDb: 20 * Math.log10(brief.toM / brief.fromM),
        },
      },
      none: { value: 0, because: { rule: 'tvg-none' } },
    }),
    plainLine('pingRate', rate.value, rate.because),
    lineOf('chartSpeed', habits, {
      'true-to-shape': {
        value: trueToShape,
        because: {
          rule:
            trueToShape >= oneToOne - 0.5 && brief.speedMps >= STILL_MPS
              ? 'chart-one-to-one'
              : 'chart-column-a-ping',
          ...charts(trueToShape),
        },
      },
      'by-rule': { value: byRule, because: { rule: 'chart-by-rule', ...charts(byRule) } },
      'drawn-out': {
        value: drawnOut,
        because: { rule: 'chart-drawn-out', ...charts(drawnOut), pings: rate.value },
      },
    }),
    plainLine('boatSpeed', brief.speedMps, speedBecause),
  ];
  return { settings, lines, prediction, others };
}

/** The same face at filtered power: everything it sends is weaker by as much. */
function weaker(p: Prediction): Prediction {
  const budget = { ...p.budget, sourceLevelDb: p.budget.sourceLevelDb + LOW_POWER_DB };
  const marginDb = p.marginDb + LOW_POWER_DB;
  return {
    ...p,
    budget,
    marginDb,
    verdict: verdictOf(marginDb),
    deepestM: detectionRange(budget, p.targetStrengthDb),
  };
}
