import { clamp } from '@/core/maths';
import type { Settings } from '@/core/picture';
import { PALETTE_BOTTOM_DB, PLAIN_SETTINGS } from '@/core/picture';
import { cleanPingRate, type Rig, waterPerColumn, waterPerRow } from '@/core/rig';
import type { Brief } from './brief';
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
  'gain',
  'firstColour',
  'colourSpread',
  'otherSounders',
  'noiseRejection',
  'topWater',
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
const STILL_MPS = 0.25;

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
): { prediction: Prediction; others: Prediction[]; because: Because } {
  const all = rig.faces.map((face) => predict(brief, rig, face));
  const rest = (chosen: Prediction): Prediction[] => all.filter((p) => p !== chosen);
  const facts = (p: Prediction) => ({ coverM: p.coverM[1], deepestM: p.deepestM, marginDb: p.marginDb });
  const asked = all.find((p) => p.face.id === brief.faceId);
  if (asked)
    return { prediction: asked, others: rest(asked), because: { rule: 'beam-chosen', ...facts(asked) } };
  const cones = all.filter((p) => p.face.beam.shape === 'cone');
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

/** The start setup for a brief on a rig, each line with its reason. @throws RangeError when the rig has no faces */
export function startSetup(brief: Brief, rig: Rig): Setup {
  if (rig.faces.length === 0) throw new RangeError('setup: the rig has no transducer');
  const { prediction, others, because: beamBecause } = chooseFace(brief, rig);
  const { face, budget, targetStrengthDb } = prediction;

  const rangeM = Math.ceil(brief.toM + Math.max(1.5, 0.15 * brief.toM));
  const rowM = waterPerRow(rangeM, rig.screen.rows);
  const rate = pingRateFor(brief, rig, prediction);

  const oneToOne = brief.speedMps / rowM;
  const slice = face.beam.shape === 'fan';
  const chartSpeed = clamp(
    round(brief.speedMps < STILL_MPS ? rate.value : Math.min(oneToOne, slice ? 40 : rate.value), 0.5),
    0.5,
    40,
  );
  const columnM = waterPerColumn(brief.speedMps, chartSpeed);
  const historyS = rig.screen.columns / chartSpeed;

  // Noise as it is drawn at the foot of the window, and the strongest of the samples that share a cell there.
  const noiseStrength =
    budget.noiseLevelDb +
    40 * Math.log10(rangeM) +
    2 * budget.absorptionDbPerM * rangeM -
    budget.sourceLevelDb;
  // Neighbouring samples lie half a pulse apart and fade together, so a pulse length counts once.
  const cells = Math.max(1, rowM / budget.resolutionM) * Math.max(1, rate.value / chartSpeed);
  const bottom = noiseStrength + speckLevel(SPECK_SHARE, cells);
  const gainDb = clamp(Math.round(PALETTE_BOTTOM_DB - bottom), -30, 40);
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

  const settings: Settings = {
    ...PLAIN_SETTINGS,
    faceId: face.id,
    rangeM,
    gainDb,
    firstColourDb: BACK_A_TOUCH_DB,
    colourSpreadDb,
    otherSounders: 1,
    topWater,
    chartSpeed,
    pingRate: rate.value,
  };
  const lines: SetupLine[] = [
    {
      control: 'range',
      value: rangeM,
      because: { rule: 'range-bed-and-margin', bedM: brief.toM, marginM: rangeM - brief.toM, rowM },
    },
    { control: 'beam', value: face.frequencyHz, because: beamBecause },
    {
      control: 'gain',
      value: gainDb,
      because: { rule: 'gain-few-specks', share: SPECK_SHARE, targetOverBottomDb },
    },
    {
      control: 'firstColour',
      value: BACK_A_TOUCH_DB,
      because: { rule: 'first-colour-back-a-touch', share: shareAfter },
    },
    {
      control: 'colourSpread',
      value: colourSpreadDb,
      because: {
        rule: bedOverBottomDb > widest ? 'spread-target-not-too-pale' : 'spread-hard-bed-at-top',
        depthM: brief.toM,
        bedOverBottomDb,
        part: clamp(targetOverBottomDb / colourSpreadDb, 0, 1),
      },
    },
    {
      control: 'otherSounders',
      value: 1,
      because: { rule: 'other-sounders-one-step', pings: Math.min(pings, 999) },
    },
    { control: 'noiseRejection', value: 0, because: { rule: 'noise-least' } },
    {
      control: 'topWater',
      value: topWater,
      because:
        topWater > 0
          ? { rule: 'top-water-above-fish', reachM: topWater * 0.5, shallowestM: brief.fromM }
          : { rule: 'top-water-off' },
    },
    { control: 'pingRate', value: rate.value, because: rate.because },
    {
      control: 'chartSpeed',
      value: chartSpeed,
      because: {
        rule:
          chartSpeed >= oneToOne - 0.5 && brief.speedMps >= STILL_MPS
            ? 'chart-one-to-one'
            : 'chart-column-a-ping',
        columnM,
        rowM,
        historyS,
      },
    },
    { control: 'boatSpeed', value: brief.speedMps, because: speedBecause },
  ];
  return { settings, lines, prediction, others };
}
