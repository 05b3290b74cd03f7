import { besselJ1, toDb } from '@/core/maths';

/** x = ka·sin θ at which a round piston is at half power, one-way. */
export const PISTON_HALF_POWER = 1.61634;
/** u = (πL/λ)·sin θ at which a line is at half power, one-way. */
export const LINE_HALF_POWER = 1.391557;

/** A beam by its full one-way −3 dB widths. Equal widths make a round cone, unequal ones a fan. */
export interface Beam {
  shape: 'cone' | 'fan';
  /** Full width fore and aft, rad. */
  alongRad: number;
  /** Full width athwart, rad. */
  athwartRad: number;
}

export const cone = (widthRad: number): Beam => ({ shape: 'cone', alongRad: widthRad, athwartRad: widthRad });
export const fan = (alongRad: number, athwartRad: number): Beam => ({ shape: 'fan', alongRad, athwartRad });

/** Widths a face can have; beyond them the patterns below mean nothing. */
export const NARROWEST_BEAM_RAD = (0.5 * Math.PI) / 180;
export const WIDEST_BEAM_RAD = (120 * Math.PI) / 180;

function checkWidth(widthRad: number): void {
  if (!(widthRad >= NARROWEST_BEAM_RAD && widthRad <= WIDEST_BEAM_RAD))
    throw new RangeError(`beam: the full width must be 0.5° to 120°, got ${(widthRad * 180) / Math.PI}°`);
}

/** ka of the piston whose full −3 dB width is `widthRad`: 1.61634 / sin(half width). @throws RangeError beyond 0.5–120° */
export function pistonKa(widthRad: number): number {
  checkWidth(widthRad);
  return PISTON_HALF_POWER / Math.sin(widthRad / 2);
}

/** Baffled round piston, one-way power ratio (2 J1(x)/x)², x = ka·sin θ. */
export function pistonPattern(ka: number, sinTheta: number): number {
  const x = ka * sinTheta;
  if (Math.abs(x) < 1e-4) return 1;
  const amplitude = (2 * besselJ1(x)) / x;
  return amplitude * amplitude;
}

/** Line of length L, one-way power ratio (sin u/u)², u = uHalf·(sin θ / sin half width). */
export function linePattern(widthRad: number, sinTheta: number): number {
  const u = LINE_HALF_POWER * (sinTheta / Math.sin(widthRad / 2));
  if (Math.abs(u) < 1e-4) return 1;
  const amplitude = Math.sin(u) / u;
  return amplitude * amplitude;
}

/**
 * One-way power ratio of a beam towards a unit direction in its own frame.
 * @param sinAlong, @param sinAthwart direction cosines fore-and-aft and athwart
 */
export function beamPattern(beam: Beam, sinAlong: number, sinAthwart: number): number {
  if (beam.shape === 'cone') return pistonPattern(pistonKa(beam.alongRad), Math.hypot(sinAlong, sinAthwart));
  return linePattern(beam.alongRad, sinAlong) * linePattern(beam.athwartRad, sinAthwart);
}

/**
 * Directivity index, dB. Piston exactly (Kinsler et al.): (ka)²/(1 − J1(2ka)/ka);
 * rectangle ≈ 4π Lx Ly/λ², the sides from the widths by L/λ = 0.442946/sin(half width).
 */
export function directivityIndex(beam: Beam): number {
  if (beam.shape === 'cone') {
    const ka = pistonKa(beam.alongRad);
    return toDb((ka * ka) / (1 - besselJ1(2 * ka) / ka));
  }
  checkWidth(beam.alongRad);
  checkWidth(beam.athwartRad);
  const side = (width: number): number => LINE_HALF_POWER / Math.PI / Math.sin(width / 2);
  return toDb(4 * Math.PI * side(beam.alongRad) * side(beam.athwartRad));
}

/**
 * Equivalent two-way beam angle Ψ = ∫ b² dΩ over the front hemisphere, sr, by the midpoint rule
 * in θ (cone) or over direction cosines (fan).
 */
export function equivalentBeamAngle(beam: Beam): number {
  if (beam.shape === 'cone') {
    const ka = pistonKa(beam.alongRad);
    const steps = 4000;
    const dTheta = Math.PI / 2 / steps;
    let sum = 0;
    for (let i = 0; i < steps; i++) {
      const sin = Math.sin((i + 0.5) * dTheta);
      const b = pistonPattern(ka, sin);
      sum += b * b * sin;
    }
    return 2 * Math.PI * sum * dTheta;
  }
  // Far from ±1 the two axes separate; dΩ = du dv / √(1 − u² − v²) is kept whole.
  const steps = 200;
  const reach = (width: number): number => Math.min(0.999, 4 * Math.sin(width / 2));
  const ru = reach(beam.alongRad);
  const rv = reach(beam.athwartRad);
  const across = Float64Array.from({ length: steps }, (_, j) =>
    linePattern(beam.athwartRad, ((j + 0.5) / steps) * rv),
  );
  let sum = 0;
  for (let i = 0; i < steps; i++) {
    const u = ((i + 0.5) / steps) * ru;
    const bu = linePattern(beam.alongRad, u);
    for (let j = 0; j < steps; j++) {
      const v = ((j + 0.5) / steps) * rv;
      const left = 1 - u * u - v * v;
      if (left <= 0) break;
      const b = bu * across[j]!;
      sum += (b * b) / Math.sqrt(left);
    }
  }
  return 4 * sum * (ru / steps) * (rv / steps);
}
