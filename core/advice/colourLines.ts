import { clamp } from '@/core/maths';
import { PALETTE_BOTTOM_DB } from '@/core/picture';
import { faceBudget, type Rig } from '@/core/rig';
import { hardestBed, waterOf, type Brief } from './brief';
import { bedEchoMargin, type Prediction } from './prediction';
import type { Habits } from './schools';
import { debatedLine, plainLine, type Pins, type SetupLine } from './setupLine';
import { speckLevel, speckShare } from './specks';
import type { Pace } from './timeLines';
import type { Window } from './rangeLines';

/** Share of specks in open water at the window's foot that a practised hand leaves while setting gain. */
const SPECK_SHARE = 0.01;
/** "Back a touch": how far the first colour then goes up, dB. */
const BACK_A_TOUCH_DB = 2;
/** Share of the colours the target must keep, or it is too pale to be seen in the sun. */
const LEAST_PART = 0.16;
/** The bed colours are set by, where the brief does not know it. */
const HARD_BED = 'gravel';
/** Noise rejection that takes lone specks and leaves marks of three cells. */
const SOME_REJECTION = 2;
/** Winds under this make no mess worth hiding, m/s; a step of top water reaches so deep, m. */
const CALM_MPS = 2;
const TOP_STEP_M = 0.5;

/** What is drawn how strongly. */
export interface Colours {
  lines: {
    gain: SetupLine;
    firstColour: SetupLine;
    colourSpread: SetupLine;
    otherSounders: SetupLine;
    noiseRejection: SetupLine;
    topWater: SetupLine;
    tvg: SetupLine;
  };
}

/** Gain, colours and the filters for a brief. */
export function coloursFor(
  brief: Brief,
  rig: Rig,
  { budget, targetStrengthDb, face }: Prediction,
  power: 'full' | 'low',
  window: Window,
  pace: Pace,
  habits: Habits,
  pins: Pins,
): Colours {
  // What a strength at a range is drawn as: made up for spreading and absorption, against what was sent.
  const noiseAt = (rangeM: number): number =>
    budget.noiseLevelDb +
    40 * Math.log10(rangeM) +
    2 * budget.absorptionDbPerM * rangeM -
    budget.sourceLevelDb;
  // Noise at the foot of the window, and the strongest of the samples that share a cell there: neighbouring samples lie half a
  // pulse apart and fade together, so a pulse length counts once.
  const noiseStrength = noiseAt(window.rangeM);
  const cells = Math.max(1, window.rowM / budget.resolutionM) * Math.max(1, pace.pingRate / pace.chartSpeed);
  const bottom = noiseStrength + speckLevel(SPECK_SHARE, cells);
  const gainAt = (louderDb: number): number =>
    clamp(Math.round(PALETTE_BOTTOM_DB - bottom - louderDb), -30, 40);
  const bySpecks = gainAt(0);
  const inGear = faceBudget(rig, face, waterOf(brief), { engine: 'gear', power }).noiseLevelDb;
  const louderDb = Math.max(0, inGear - budget.noiseLevelDb);
  const underWay = gainAt(louderDb);
  const over = (gainDb: number): number => targetStrengthDb - (PALETTE_BOTTOM_DB - gainDb);
  const gain = debatedLine('gain', habits, pins, {
    specks: {
      value: bySpecks,
      because: { rule: 'gain-few-specks', share: SPECK_SHARE, targetOverBottomDb: over(bySpecks) },
    },
    'auto-offset': { value: 0, because: { rule: 'gain-auto-offset' } },
    'under-way': {
      value: underWay,
      because: { rule: 'gain-under-way', louderDb, targetOverBottomDb: over(underWay) },
    },
  });
  // On auto the unit ends near what a hand would choose.
  const gainDb = gain.because.rule === 'gain-auto-offset' ? bySpecks : gain.value;
  const bottomDb = PALETTE_BOTTOM_DB - gainDb;
  const targetOverBottomDb = over(gainDb);
  // A hard bed should just reach the strongest colour: less spread and hard and soft bed come out alike, more and colours lie idle.
  const bed = brief.bed === 'unknown' ? HARD_BED : hardestBed(brief);
  const bedOverBottomDb = bedEchoMargin(budget, brief.toM, bed, 1) + noiseAt(brief.toM) - bottomDb;
  const widest = Math.max(20, targetOverBottomDb / LEAST_PART);
  const spread = Math.round(clamp(bedOverBottomDb, 20, Math.min(60, widest)));

  // On a slice a soft fish is hardly more than haze.
  const slice = face.beam.shape === 'fan';
  const firstColourDb = slice ? 0 : BACK_A_TOUCH_DB;

  const topWater =
    brief.windMps < CALM_MPS ? 0 : clamp(Math.floor((brief.fromM - 0.5) / TOP_STEP_M / 2), 0, 3);
  const steps = brief.othersNear ? 2 : 1;
  const midM = (brief.fromM + brief.toM) / 2;
  const apart = (law: number): number => law * Math.log10(brief.toM / brief.fromM);
  return {
    lines: {
      gain,
      firstColour: plainLine('firstColour', pins, {
        value: firstColourDb,
        because: {
          rule: slice ? 'first-colour-leave-haze' : 'first-colour-back-a-touch',
          share: speckShare(bottomDb + firstColourDb - noiseStrength, cells),
        },
      }),
      colourSpread: plainLine('colourSpread', pins, {
        value: spread,
        because: {
          rule: bedOverBottomDb > widest ? 'spread-target-not-too-pale' : 'spread-hard-bed-at-top',
          depthM: brief.toM,
          bedOverBottomDb,
          part: clamp(targetOverBottomDb / spread, 0, 1),
        },
      }),
      otherSounders: plainLine('otherSounders', pins, {
        value: steps,
        because: {
          rule: brief.othersNear ? 'other-sounders-two-steps' : 'other-sounders-one-step',
          pings: Math.min(pace.pings, 999),
        },
      }),
      noiseRejection: debatedLine('noiseRejection', habits, pins, {
        none: { value: 0, because: { rule: 'noise-least' } },
        'least-that-does-it': { value: SOME_REJECTION, because: { rule: 'noise-some' } },
      }),
      topWater: debatedLine('topWater', habits, pins, {
        'above-fish': {
          value: topWater,
          because:
            topWater > 0
              ? { rule: 'top-water-above-fish', reachM: topWater * TOP_STEP_M, shallowestM: brief.fromM }
              : { rule: 'top-water-off' },
        },
        off: { value: 0, because: { rule: 'top-water-off' } },
      }),
      tvg: debatedLine('tvg', habits, pins, {
        'fish-alike': {
          value: 40,
          because: { rule: 'tvg-fish-alike', depthM: midM, madeUpDb: apart(40) },
        },
        'water-alike': {
          value: 20,
          because: { rule: 'tvg-water-alike', depthM: midM, madeUpDb: apart(20) },
        },
        none: { value: 0, because: { rule: 'tvg-none' } },
      }),
    },
  };
}
