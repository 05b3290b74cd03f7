import { bisectFalling, strongestMean, toDb } from '@/core/maths';
import { absorptionOf, noiseSpectrum, soundSpeedOf, type Engine, type Water } from '@/core/water';
import { directivityIndex } from './beam';
import { rangeResolution, type Pulse } from './pulse';
import { LOW_POWER_DB, type PowerMode } from './receiver';
import { churnLoss, type Rig } from './rig';
import { facePulse, sourceLevel, type Face } from './transducer';

/** What the sonar equation needs of one face in one water, worked out once. */
export interface FaceBudget {
  face: Face;
  sourceLevelDb: number;
  /** Noise in the receiver's band, dB re 1 µPa, as an echo would have to beat it. */
  noiseLevelDb: number;
  absorptionDbPerM: number;
  soundSpeedMps: number;
  pulse: Pulse;
  /** Range resolution δ, m. */
  resolutionM: number;
}

/** Level over noise at which an echo is told from it in a single column, dB. */
export const DETECTION_DB = 10;

/** Finer than this a fish is not one echo but several: what a sweep tells apart beyond it are parts of one body, m. */
export const BODY_M = 0.08;

/**
 * How far the strongest noise of the cells one body takes up stands over the mean of one, dB: of k cells it lies
 * H_k (1 + 1/2 + … + 1/k) over it (order statistics of the exponential, Rényi 1953). @param resolutionM above 0
 */
export const strongestNoise = (resolutionM: number): number =>
  toDb(strongestMean(Math.max(1, Math.floor(BODY_M / resolutionM))));

/**
 * The sonar equation's terms for a face of a rig in a water. A receiver matched to its pulse gathers noise over 1/τ
 * whatever the sweep, so a long swept pulse stands higher over it.
 */
export function faceBudget(
  rig: Rig,
  face: Face,
  water: Water,
  { engine = 'off', power = 'full' }: { engine?: Engine; power?: PowerMode } = {},
): FaceBudget {
  const soundSpeedMps = soundSpeedOf(water);
  const pulse = facePulse(face);
  const spectrum = noiseSpectrum(face.frequencyHz, {
    excessDb: rig.excessNoiseDb,
    windMps: water.windMps,
    engine,
  });
  return {
    face,
    // Air under the face takes from both ways; all of it is booked on the way out.
    sourceLevelDb: sourceLevel(face) + (power === 'low' ? LOW_POWER_DB : 0) - churnLoss(rig.mount),
    noiseLevelDb: spectrum + toDb(1 / pulse.durationS) - directivityIndex(face.beam),
    absorptionDbPerM: absorptionOf(water, face.frequencyHz).dbPerM,
    soundSpeedMps,
    pulse,
    resolutionM: rangeResolution(pulse, soundSpeedMps),
  };
}

/**
 * Echo level of a point target, dB re 1 µPa: SL − 40 log R − 2αR + TS + 2B (Urick 1983).
 * @param rangeM above 0 @param patternDb one-way pattern towards it, 0 or below @throws RangeError for a range of 0 or less
 */
export function pointEcho(
  budget: FaceBudget,
  rangeM: number,
  targetStrengthDb: number,
  patternDb = 0,
): number {
  if (!(rangeM > 0)) throw new RangeError(`echo level: range must be above 0, got ${rangeM} m`);
  return (
    budget.sourceLevelDb -
    40 * Math.log10(rangeM) -
    2 * budget.absorptionDbPerM * rangeM +
    targetStrengthDb +
    2 * patternDb
  );
}

/** How far an echo stands over the noise, dB. */
export const echoMargin = (
  budget: FaceBudget,
  rangeM: number,
  targetStrengthDb: number,
  patternDb = 0,
): number => pointEcho(budget, rangeM, targetStrengthDb, patternDb) - budget.noiseLevelDb;

/** Deepest range at which a target keeps `detectionDb` over the noise, m, up to `farM`. */
export const detectionRange = (
  budget: FaceBudget,
  targetStrengthDb: number,
  { patternDb = 0, detectionDb = DETECTION_DB, farM = 2000 } = {},
): number =>
  bisectFalling((r) => echoMargin(budget, r, targetStrengthDb, patternDb) - detectionDb, 0.5, farM, 0.01);
