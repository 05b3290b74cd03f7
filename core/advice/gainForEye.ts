import { clamp, fromDb } from '@/core/maths';
import { CONTROLS, HALVING_SPECKS, openDepths, weakestColourDb } from '@/core/picture';
import { equivalentBeamAngle } from '@/core/rig';
import { volumeBackscatter } from '@/core/water';
import type { Brief } from './brief';
import type { Prediction } from './prediction';

/** Depths of open water that are looked at. */
const DEPTHS = 24;
/**
 * What follows was fitted on pictures of eighty briefs' waters at a dozen gains each, the eye as judge (docs/decisions.md): how far
 * over the first colour a fish is met half of the time, dB, how fast that rises, and how much of the loss off the axis counts.
 */
const HALF_FOUND = { cone: { atDb: 0, slopeDb: 4 }, slice: { atDb: 6.5, slopeDb: 7 } } as const;
const OFF_AXIS_COUNTS = 0.5;
const MOST_OFF_AXIS_DB = 16;
/** A fish on a cone that is met in fewer pings than this must stand out more, dB for each halving. */
const MANY_PINGS = 32;
const HALVING_PINGS_DB = 5;
/** Specks a person sees, in a hundred by hundred cells, where one cell of a hundred is drawn; and how they rise with that share. */
const SPECKS_OF_A_HUNDREDTH = 7;
const SPECKS_RISE = 0.57;
/** What specks can take of a picture's worth, as for a search. */
const SPECKS_TAKE = 0.6;
/** Where all is drawn no mark is told: the share that is not, to this power, is left. */
const HAZE = 3;
/** No more gain is taken than brings this much of the best there can be; a slice's fish are so few pings that all of it counts. */
const ENOUGH = { cone: 0.97, slice: 1 } as const;

type Water = Pick<Brief, 'clarity' | 'hour' | 'season' | 'windMps' | 'toM'>;
type Heard = Pick<Prediction, 'face' | 'budget'>;

/**
 * The share of cells of open water that noise, small life, bubbles under the wind and silt draw, by the level that is drawn from,
 * dB as a strength.
 * Exponential powers, as of many scatterers (Clay & Medwin 1977).
 * @param cells samples and pings that share a cell of the picture, the strongest of which is drawn
 * @param hiddenToM water above this is not drawn, m
 * @param louderDb noise over that of the budget, dB
 */
export function waterDrawn(
  { clarity, hour, season, windMps, toM }: Water,
  { face, budget }: Heard,
  { cells, hiddenToM, louderDb = 0 }: { cells: number; hiddenToM: number; louderDb?: number | undefined },
): (bottomDb: number) => number {
  const beamSr = equivalentBeamAngle(face.beam);
  const [fromM, footM] = openDepths(toM);
  // Mean levels as strengths: made up for spreading and absorption, against what was sent.
  const levels: number[] = [];
  for (let k = 0; k < DEPTHS; k++) {
    const z = fromM + ((k + 0.5) / DEPTHS) * (footM - fromM);
    if (!(z > hiddenToM)) continue;
    const noise = fromDb(
      budget.noiseLevelDb +
        louderDb +
        40 * Math.log10(z) +
        2 * budget.absorptionDbPerM * z -
        budget.sourceLevelDb,
    );
    const volume =
      volumeBackscatter({ clarity, hour, season, windMps, bedM: toM }, z) *
      budget.resolutionM *
      z *
      z *
      beamSr;
    levels.push(noise + volume);
  }
  return (bottomDb) => {
    const bottom = fromDb(bottomDb);
    // Powers are exponential: P(> x) = e^−x, and of so many cells one at least, 1 − (1 − e^−x)^cells.
    let sum = 0;
    for (const level of levels) sum += 1 - Math.pow(1 - Math.exp(-bottom / level), cells);
    return sum / DEPTHS;
  };
}

/** A gain, and the share of cells of open water that what is not fish then draws. */
export interface GainSight {
  gainDb: number;
  share: number;
}

/**
 * The gain at which a person finds most fish among fewest specks: the target met off the axis stands over the first colour, and
 * what is not fish draws little over it.
 * @param power it is sent with
 * @param firstColourDb over the weakest colour, dB
 * @param offAxisDb lost out and back where a fish is met, dB
 * @param pings a fish is met in
 * @returns a gain within CONTROLS.gain, dB, and the share drawn at it
 */
export function gainForEye(
  water: Water,
  prediction: Heard & Pick<Prediction, 'targetStrengthDb'>,
  power: 'full' | 'low',
  {
    firstColourDb,
    cells,
    offAxisDb,
    pings,
    hiddenToM,
    louderDb,
  }: {
    firstColourDb: number;
    cells: number;
    offAxisDb: number;
    pings: number;
    hiddenToM: number;
    louderDb?: number;
  },
): GainSight {
  const kind = prediction.face.beam.shape === 'fan' ? 'slice' : 'cone';
  const shareAt = waterDrawn(water, prediction, { cells, hiddenToM, louderDb });
  const half = HALF_FOUND[kind];
  const needsDb =
    half.atDb +
    (kind === 'cone'
      ? OFF_AXIS_COUNTS * Math.min(MOST_OFF_AXIS_DB, offAxisDb) +
        HALVING_PINGS_DB * Math.max(0, Math.log2(MANY_PINGS / Math.max(1, pings)))
      : 0);
  const tried: (GainSight & { worth: number })[] = [];
  for (let gainDb = CONTROLS.gain.lowest; gainDb <= CONTROLS.gain.highest; gainDb++) {
    const bottomDb = weakestColourDb({ gainDb, power }) + firstColourDb;
    const share = shareAt(bottomDb);
    const found = 1 / (1 + Math.exp(-(prediction.targetStrengthDb - bottomDb - needsDb) / half.slopeDb));
    const specks = SPECKS_OF_A_HUNDREDTH * Math.pow(share / 0.01, SPECKS_RISE);
    const quiet = 1 / (1 + specks / HALVING_SPECKS);
    const clear = Math.pow(1 - clamp(share, 0, 1), HAZE);
    tried.push({ gainDb, share, worth: found * clear * (1 - SPECKS_TAKE * (1 - quiet)) });
  }
  const most = Math.max(...tried.map((t) => t.worth));
  return tried.find((t) => t.worth >= ENOUGH[kind] * most)!;
}
