import { rangeResolution } from './pulse';
import { facePulse, type Face } from './transducer';

/** Width of a beam's −3 dB footprint at a depth, m: 2 d tan(θ/2). @throws RangeError for a negative depth */
export function footprintWidth(depthM: number, widthRad: number): number {
  if (!(depthM >= 0)) throw new RangeError(`footprint: depth must be 0 or more, got ${depthM} m`);
  return 2 * depthM * Math.tan(widthRad / 2);
}

/** Water drawn by one screen row, m. @throws RangeError unless rows is at least 1 */
export function waterPerRow(spanM: number, rows: number): number {
  if (!(rows >= 1)) throw new RangeError(`water per row: rows must be at least 1, got ${rows}`);
  return spanM / rows;
}

/** Distance the boat covers in one screen column, m. @throws RangeError unless columns per second is above 0 */
export function waterPerColumn(speedMps: number, columnsPerS: number): number {
  if (!(columnsPerS > 0))
    throw new RangeError(`water per column: chart speed must be above 0, got ${columnsPerS}`);
  return speedMps / columnsPerS;
}

/**
 * Height above a flat bed that hides a fish, m, for a fish `angleRad` off the axis: d(1 − cos φ) + δ cos φ
 * (cf. Ona & Mitson 1996, who give the length along the ray).
 */
export const deadZone = (depthM: number, angleRad: number, resolutionM: number): number =>
  depthM * (1 - Math.cos(angleRad)) + resolutionM * Math.cos(angleRad);

/**
 * Slant range of the first bed echo under a vertical beam, m, over a plane of slope `slopeRad` (0…π/2)
 * `depthM` straight below: d cos s inside the beam, d cos s / cos(s − φ) when the nearest point lies beyond it.
 */
export function firstBedRange(depthM: number, slopeRad: number, halfWidthRad: number): number {
  if (!(slopeRad >= 0 && slopeRad < Math.PI / 2))
    throw new RangeError(`first bed echo: slope must be 0 to 90°, got ${slopeRad} rad`);
  return slopeRad <= halfWidthRad
    ? depthM * Math.cos(slopeRad)
    : (depthM * Math.cos(slopeRad)) / Math.cos(slopeRad - halfWidthRad);
}

/** What a beam covers at a depth, m. */
export interface Footprint {
  /** Fore and aft, and side to side. */
  alongM: number;
  athwartM: number;
  /** How far off the boat's line something at that depth can be and still be drawn. */
  offLineM: number;
}

/** Footprint of a face at a depth. @throws RangeError for a negative depth */
export const footprintAt = (face: Face, depthM: number): Footprint => ({
  alongM: footprintWidth(depthM, face.beam.alongRad),
  athwartM: footprintWidth(depthM, face.beam.athwartRad),
  offLineM: footprintWidth(depthM, face.beam.athwartRad) / 2,
});

/**
 * Height over the bed straight below in which nothing is told from it, m: what lies deeper than the first touch of the slope, and
 * the length of the pulse. @param slopeRad 0 or more, under π/2
 */
export const blindHeight = (face: Face, depthM: number, slopeRad: number, soundSpeedMps: number): number =>
  depthM -
  firstBedRange(depthM, slopeRad, face.beam.athwartRad / 2) +
  deadZone(depthM, 0, rangeResolution(facePulse(face), soundSpeedMps));
