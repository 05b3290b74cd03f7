import { footprintWidth, type Face } from '@/core/rig';

/** Water to be gone over, and how. */
export interface Ground {
  /** Along the lanes and across them, m. */
  lengthM: number;
  widthM: number;
  /** Depth the beam covers it at, m. */
  depthM: number;
  /** Share of a beam's width that two lanes have in common, −3…0.9: under 0 there is a gap between them. */
  overlap: number;
  speedMps: number;
  /** Litres an hour at that speed; null when it does not matter. */
  fuelLph: number | null;
  /** Across the lanes, of a piece of cover that is looked for, m. */
  coverM: number;
}

/** Lanes over a ground. */
export interface Lanes {
  /** Width a beam covers, and from one lane to the next, m. */
  swathM: number;
  spacingM: number;
  count: number;
  distanceM: number;
  timeS: number;
  fuelL: number | null;
  /** Chance that a piece of cover somewhere on the ground is crossed by a beam. */
  crossed: number;
  /** Where each lane lies, across from the middle of the ground, m. */
  acrossM: readonly number[];
}

/** More lanes than this are no plan. */
const MOST_LANES = 500;

/**
 * Lanes side by side over a ground, the outer ones half a beam inside its edges. A piece of cover lies anywhere with the same chance,
 * so it is crossed with (beam + cover) / spacing (Koopman 1980, parallel sweeps with a definite range).
 * @throws RangeError unless lengths, depth and speed are above 0, overlap is −3…0.9, and the lanes are no more than 500
 */
export function lanesOver(face: Face, ground: Ground): Lanes {
  const { lengthM, widthM, depthM, overlap, speedMps, fuelLph, coverM } = ground;
  if (!(lengthM > 0 && widthM > 0 && depthM > 0 && speedMps > 0))
    throw new RangeError('lanes: length, width, depth and speed must be above 0');
  if (!(overlap >= -3 && overlap <= 0.9))
    throw new RangeError(`lanes: overlap must be −3 to 0.9, got ${overlap}`);
  const swathM = footprintWidth(depthM, face.beam.athwartRad);
  const wanted = swathM * (1 - overlap);
  const count = Math.max(1, Math.ceil((widthM - swathM) / wanted - 1e-9) + 1);
  if (count > MOST_LANES)
    throw new RangeError(
      `lanes: ${count} lanes are too many; take a wider beam, less overlap or less ground (at most ${MOST_LANES})`,
    );
  // As even as they fit, and never farther apart than asked.
  const spacingM = count > 1 ? Math.max(0, (widthM - swathM) / (count - 1)) : widthM;
  const distanceM = count * lengthM + (count - 1) * spacingM;
  const timeS = distanceM / speedMps;
  return {
    swathM,
    spacingM,
    count,
    distanceM,
    timeS,
    fuelL: fuelLph === null ? null : (fuelLph * timeS) / 3600,
    crossed: Math.min(1, (swathM + coverM) / Math.max(spacingM, 1e-6)),
    acrossM: Array.from({ length: count }, (_, k) => (k - (count - 1) / 2) * spacingM),
  };
}

/** Speed a small boat is blown at, as a share of the wind's (leeway of open craft, Allen & Plourde 1999). */
const LEEWAY = 0.04;

/** A drift over a ground before the wind. */
export interface Drift extends Lanes {
  driftMps: number;
  /** Of the time, what is spent going back up at the boat's own speed, s. */
  backS: number;
}

/**
 * Drifts side by side down the wind, each begun at the upwind edge: the same lanes at the speed the wind gives, and the way back up.
 * @param windMps above 0 @throws RangeError when there is no wind to drift by
 */
export function driftOver(face: Face, ground: Ground, windMps: number): Drift {
  if (!(windMps > 0)) throw new RangeError('drift: there is no wind to drift by');
  const driftMps = LEEWAY * windMps;
  const lanes = lanesOver(face, { ...ground, speedMps: driftMps, fuelLph: null });
  const backS = ((lanes.count - 1) * Math.hypot(ground.lengthM, lanes.spacingM)) / ground.speedMps;
  const downS = (lanes.count * ground.lengthM) / driftMps;
  return {
    ...lanes,
    driftMps,
    backS,
    timeS: downS + backS,
    fuelL: ground.fuelLph === null ? null : (ground.fuelLph * backS) / 3600,
  };
}
