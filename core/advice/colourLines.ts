import { clamp, toDb } from '@/core/maths';
import { CONTROLS, weakestColourDb } from '@/core/picture';
import { beamPattern, faceBudget, type Rig } from '@/core/rig';
import { fishLengthOf, fishTargetStrength, windBubbles } from '@/core/water';
import { deepestFishOf, hardestBed, midFishOf, targetOf, waterOf, type Brief } from './brief';
import { bedEchoMargin, type Prediction } from './prediction';
import type { Habits } from './practices';
import { debatedLine, plainLine, type Because, type Pins, type SetupLine } from './setupLine';
import { gainForEye, waterDrawn } from './gainForEye';
import { USUAL_FIRST_COLOUR_DB, type TriedColours } from './triedColours';
import { gainForLure, lureEcho, lureSight } from './lureEcho';
import type { Pace } from './timeLines';
import type { RangeChoice } from './rangeLines';

/** A fish is met about so far off the axis, rad. */
const OFF_AXIS_RAD = (8 * Math.PI) / 180;
/** From this share of cells of open water on it is specks that keep the gain down. */
const FEW_SPECKS = 0.001;
/** Narrower than this no picture was better, whatever its target (docs/decisions.md), dB. */
const NARROWEST_DB = 40;
/** Under this share of the colours a fish stands in the weaker ones. */
const WEAKER_PART = 0.35;
/** Share of the colours the target must keep, or it is too pale. */
const LEAST_PART = { cone: 0.2, slice: 0.45 } as const;
/** A wanted fish at the edge of the nominal cone loses this much out and back, dB. */
const EDGE_DB = 6;
/** The bed colours are set by, where the brief does not know it. */
const HARD_BED = 'gravel';
/** Noise rejection that takes lone specks and leaves marks of three cells. */
const SOME_REJECTION = 2;
/** Fewer pings than this on a fish, and it may go with what the filter takes. */
const PINGS_FOR_FILTER = 3;
/** Winds under this make no clutter worth hiding, m/s; a step of top water reaches so deep, m. */
const CALM_MPS = 2;
const TOP_STEP_M = 0.5;
/** The mess under the surface is drawn to so many depths of 1/e, and so much water over the shallowest fish is spared, m. */
const MESS_DEPTHS = 4;
const TOP_SPARE_M = 0.5;

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

/** Gain, colours and the filters for a brief. @param tried on made passes, in place of what is worked out */
export function coloursFor(
  brief: Brief,
  rig: Rig,
  { budget, targetStrengthDb, face }: Prediction,
  power: 'full' | 'low',
  window: RangeChoice,
  pace: Pace,
  habits: Habits,
  pins: Pins,
  tried: TriedColours | null,
): Colours {
  const slice = face.beam.shape === 'fan';
  const deepestM = deepestFishOf(brief);
  // Of the samples that share a cell the strongest is drawn; neighbouring samples lie half a pulse apart and fade together, so a
  // pulse length counts once.
  const cells = Math.max(1, window.rowM / budget.resolutionM) * Math.max(1, pace.pingRate / pace.chartSpeed);
  const bottomOf = (gainDb: number): number => weakestColourDb({ gainDb, power });
  const { lowest, highest } = CONTROLS.gain;
  const gainFor = (bottomDb: number): number => clamp(Math.round(bottomOf(0) - bottomDb), lowest, highest);
  const kind = slice ? 'slice' : 'cone';
  const bed = brief.bed === 'unknown' ? HARD_BED : hardestBed(brief);
  // As a strength: made up for spreading and absorption, against what was sent.
  const bedStrength =
    bedEchoMargin(budget, brief.toM, bed, 1) +
    budget.noiseLevelDb +
    40 * Math.log10(brief.toM) +
    2 * budget.absorptionDbPerM * brief.toM -
    budget.sourceLevelDb;
  const messM = MESS_DEPTHS * windBubbles(brief.windMps).depthM;
  const spareM = brief.fromM - TOP_SPARE_M;
  const topWater =
    brief.windMps < CALM_MPS ? 0 : clamp(Math.ceil(Math.min(messM, spareM) / TOP_STEP_M), 0, 10);
  const sought = {
    firstColourDb: USUAL_FIRST_COLOUR_DB,
    cells,
    offAxisDb: -2 * toDb(beamPattern(face.beam, 0, Math.sin(OFF_AXIS_RAD)) + 1e-3),
    pings: pace.pings,
    hiddenToM: topWater * TOP_STEP_M,
  };
  const byEye = gainForEye(brief, { face, budget, targetStrengthDb }, power, sought);
  const byHand = tried?.gainDb ?? byEye.gainDb;
  const specksDrawn = tried
    ? waterDrawn(brief, { face, budget }, sought)(bottomOf(byHand) + tried.firstColourDb)
    : byEye.share;
  const inGear = faceBudget(rig, face, waterOf(brief), { engine: 'gear', power }).noiseLevelDb;
  const louderDb = Math.max(0, inGear - budget.noiseLevelDb);
  const underWay = Math.min(
    byHand,
    gainForEye(brief, { face, budget, targetStrengthDb }, power, { ...sought, louderDb }).gainDb,
  );
  // The first colour where the shortest wanted fish still shows at the cone's edge: what is shorter than that straight below goes.
  const shortestDb = fishTargetStrength(brief.lengthM[0], face.frequencyHz, targetOf(brief).bladder);
  const bigOnly = Math.min(byHand, gainFor(shortestDb - EDGE_DB - USUAL_FIRST_COLOUR_DB));
  const over = (gainDb: number): number => targetStrengthDb - bottomOf(gainDb);
  // A hard bed should just reach the strongest colour: less spread and hard and soft bed come out alike, more and colours lie idle.
  const bedOver = (gainDb: number): number => bedStrength - bottomOf(gainDb);
  const mostSpread = CONTROLS.colourSpread.highest;
  const widestAt = (gainDb: number): number => Math.max(NARROWEST_DB, over(gainDb) / LEAST_PART[kind]);
  const spreadAt = (gainDb: number): number =>
    Math.round(clamp(bedOver(gainDb), NARROWEST_DB, Math.min(mostSpread, widestAt(gainDb))));
  const lure = lureEcho(brief, rig, { face, budget });
  const forLure = lure && gainForLure(lure, power, USUAL_FIRST_COLOUR_DB);
  const loudest = {
    gainMode: 'manual',
    gainDb: highest,
    power,
    firstColourDb: USUAL_FIRST_COLOUR_DB,
  } as const;
  const lureLost = !lure || lureSight(lure, loudest) !== 'shows';
  const showLure = lureLost ? byHand : Math.max(byHand, forLure!);
  const gain = debatedLine('gain', habits, pins, {
    specks: {
      value: byHand,
      because: {
        rule: 'gain-by-eye',
        shows:
          specksDrawn >= FEW_SPECKS
            ? 'specks'
            : over(byHand) / (tried?.colourSpreadDb ?? spreadAt(byHand)) < WEAKER_PART
              ? 'fish in weaker colours'
              : 'fish midway',
        tried,
        crowded: kind === 'slice',
        targetOverBottomDb: over(byHand),
      },
    },
    'auto-offset': { value: 0, because: { rule: 'gain-auto-offset' } },
    'under-way': {
      value: underWay,
      because: { rule: 'gain-under-way', louderDb, targetOverBottomDb: over(underWay) },
    },
    'big-only': {
      value: bigOnly,
      because: {
        rule: 'gain-big-only',
        hiddenM: fishLengthOf(
          bottomOf(bigOnly) + USUAL_FIRST_COLOUR_DB,
          face.frequencyHz,
          targetOf(brief).bladder,
        ),
        targetOverBottomDb: over(bigOnly),
      },
    },
    'show-lure': lure && {
      value: showLure,
      because: {
        rule: lureLost ? 'gain-lure-lost' : 'gain-show-lure',
        massKg: lure.massKg,
        depthM: lure.depthM,
        targetOverBottomDb: over(showLure),
      },
    },
  });
  // On auto the unit ends near what a hand would choose.
  const gainDb = gain.because.rule === 'gain-auto-offset' ? byHand : gain.value;
  const bedOverBottomDb = bedOver(gainDb);
  const targetOverBottomDb = over(gainDb);
  const widest = widestAt(gainDb);
  // What was tried was tried together; of a held spread the reason says what the rule would set.
  const asTried = tried !== null && gainDb === tried.gainDb;
  const firstColourTried =
    asTried && tried.firstColourDb > USUAL_FIRST_COLOUR_DB && pins.firstColour === undefined;
  const spreadTried = asTried && pins.colourSpread === undefined;
  const spread = spreadTried ? tried.colourSpreadDb : spreadAt(gainDb);

  const topBecause: Because =
    topWater > 0
      ? { rule: 'top-water-above-fish', reachM: topWater * TOP_STEP_M, shallowestM: brief.fromM }
      : brief.windMps < CALM_MPS
        ? { rule: 'top-water-calm' }
        : { rule: 'top-water-spare-fish', messM, shallowestM: brief.fromM };
  const wantedSteps = brief.othersNear ? 2 : 1;
  // What one ping has and its neighbours lack goes: a mark of so few pings with it.
  const steps = pace.pings < PINGS_FOR_FILTER ? 0 : wantedSteps;
  const midM = midFishOf(brief);
  const apart = (law: number): number => law * Math.log10(deepestM / brief.fromM);
  return {
    lines: {
      gain,
      firstColour: plainLine('firstColour', pins, {
        value: firstColourTried ? tried.firstColourDb : USUAL_FIRST_COLOUR_DB,
        because: {
          rule: firstColourTried
            ? 'first-colour-tried'
            : slice
              ? 'first-colour-leave-haze'
              : 'first-colour-back-a-touch',
        },
      }),
      colourSpread: plainLine('colourSpread', pins, {
        value: spread,
        because: {
          rule: spreadTried
            ? 'spread-tried'
            : bedOverBottomDb > widest
              ? 'spread-target-not-too-pale'
              : bedOverBottomDb > mostSpread
                ? 'spread-widest'
                : 'spread-hard-bed-at-top',
          depthM: brief.toM,
          bedOverBottomDb,
          part: clamp(targetOverBottomDb / spread, 0, 1),
        },
      }),
      otherSounders: plainLine('otherSounders', pins, {
        value: steps,
        because:
          steps === 0
            ? { rule: 'other-sounders-few-pings', pings: pace.pings }
            : { rule: brief.othersNear ? 'other-sounders-two-steps' : 'other-sounders-one-step' },
      }),
      noiseRejection: debatedLine('noiseRejection', habits, pins, {
        none: { value: 0, because: { rule: 'noise-least' } },
        'least-that-does-it': { value: SOME_REJECTION, because: { rule: 'noise-some' } },
      }),
      topWater: debatedLine('topWater', habits, pins, {
        'above-fish': {
          value: topWater,
          because: topBecause,
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
