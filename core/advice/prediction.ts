import { toDb } from '@/core/maths';
import {
  BED_ECHOES,
  deadZone,
  detectionRange,
  echoMargin,
  equivalentBeamAngle,
  faceBudget,
  footprintWidth,
  verdictOf,
  type Face,
  type FaceBudget,
  type Rig,
  type Verdict,
} from '@/core/rig';
import { bedBackscatter, bedLoss, fishTargetStrength, type BedMaterial } from '@/core/water';
import { deepestFishOf, engineOf, targetOf, waterOf, type Brief } from './brief';

/** What one face would make of the brief's target. */
export interface Prediction {
  face: Face;
  budget: FaceBudget;
  targetStrengthDb: number;
  /** Margin over noise on the axis at the deepest fish, dB. */
  marginDb: number;
  verdict: Verdict;
  /** Deepest range at which the target is still told from noise on the axis, m. */
  deepestM: number;
  /** Width of the nominal cone at the shallow and the deep end, athwart, m. */
  coverM: readonly [number, number];
  /** Longest time and most pings a still fish at the shallow end spends in the cone. */
  timeInConeS: number;
}

/** Mean target strength of the brief's fish, from the geometric mean of its lengths. */
export const targetStrengthOf = (brief: Brief, frequencyHz: number): number =>
  fishTargetStrength(Math.sqrt(brief.lengthM[0] * brief.lengthM[1]), frequencyHz, targetOf(brief).bladder);

/** Predicts what a face shows of the brief's target; the sonar equation and the cone's geometry, nothing else. */
export function predict(brief: Brief, rig: Rig, face: Face): Prediction {
  const budget = faceBudget(rig, face, waterOf(brief), { engine: engineOf(brief) });
  const targetStrengthDb = targetStrengthOf(brief, face.frequencyHz);
  const marginDb = echoMargin(budget, deepestFishOf(brief), targetStrengthDb);
  return {
    face,
    budget,
    targetStrengthDb,
    marginDb,
    verdict: verdictOf(marginDb),
    deepestM: detectionRange(budget, targetStrengthDb),
    coverM: [
      footprintWidth(brief.fromM, face.beam.athwartRad),
      footprintWidth(brief.toM, face.beam.athwartRad),
    ],
    timeInConeS:
      brief.speedMps > 0 ? footprintWidth(brief.fromM, face.beam.alongRad) / brief.speedMps : Infinity,
  };
}

/** Fish nearer the bed than this are hidden in its echo, m, half way out in the cone. */
export const hiddenOverBed = (brief: Brief, { face, budget }: Prediction): number =>
  deadZone(brief.toM, face.beam.athwartRad / 4, budget.resolutionM);

/** Level of the bed's own echo over noise, dB: the scatter law with A the smaller of beam and pulse area. */
function bedMargin(budget: FaceBudget, depthM: number, material: BedMaterial): number {
  const beamArea = equivalentBeamAngle(budget.face.beam) * depthM * depthM;
  const pulseArea = 2 * Math.PI * depthM * budget.resolutionM;
  const area = Math.min(beamArea, pulseArea);
  return (
    budget.sourceLevelDb -
    40 * Math.log10(depthM) -
    2 * budget.absorptionDbPerM * depthM +
    toDb(bedBackscatter(material, 0) * area) -
    budget.noiseLevelDb
  );
}

/**
 * How much the m-th bed echo is under the first, dB: 30 log m for stretching and spreading, and for each further bounce the bed's
 * reflection, 2 dB at the surface and the way through the water.
 */
const bouncesLoss = (budget: FaceBudget, depthM: number, material: BedMaterial, m: number): number =>
  30 * Math.log10(m) + (m - 1) * (bedLoss(material) + 2 + 2 * budget.absorptionDbPerM * depthM);

/** Level of the m-th bed echo over noise, dB. */
export const bedEchoMargin = (budget: FaceBudget, depthM: number, material: BedMaterial, m: number): number =>
  bedMargin(budget, depthM, material) - bouncesLoss(budget, depthM, material, m);

/** A late bed echo is drawn from so far over the noise, dB. */
const DRAWN_DB = 6;

/** Bed echoes that would be drawn, at least 1: those a false bed can come from. */
export function bedEchoesHeard(budget: FaceBudget, depthM: number, material: BedMaterial): number {
  const margin = bedMargin(budget, depthM, material);
  let heard = 1;
  while (heard < BED_ECHOES && margin > DRAWN_DB + bouncesLoss(budget, depthM, material, heard + 1)) heard++;
  return heard;
}
