/** The curve of a point passed at a steady speed: r² = r₀² + w²(t − t₀)². */
export interface Crossing {
  nearestRangeM: number;
  nearestTimeS: number;
  /** Relative speed w, m/s. */
  speedMps: number;
  /** Rms distance of the ranges from the curve, m. */
  offM: number;
}

/** A fish adds or takes away up to this from the boat's speed, m/s. */
export const SWIM_MPS = 0.5;

/** Solves a 3 × 3 symmetric system by elimination; null when it is singular. */
function solve3(m: number[][], y: number[]): number[] | null {
  const a = m.map((row, i) => [...row, y[i]!]);
  for (let i = 0; i < 3; i++) {
    let pivot = i;
    for (let k = i + 1; k < 3; k++) if (Math.abs(a[k]![i]!) > Math.abs(a[pivot]![i]!)) pivot = k;
    [a[i], a[pivot]] = [a[pivot]!, a[i]!];
    if (Math.abs(a[i]![i]!) < 1e-12) return null;
    for (let k = 0; k < 3; k++) {
      if (k === i) continue;
      const f = a[k]![i]! / a[i]![i]!;
      for (let c = i; c < 4; c++) a[k]![c]! -= f * a[i]![c]!;
    }
  }
  return a.map((row, i) => row[3]! / row[i]!);
}

function offOf(
  timeS: readonly number[],
  rangeM: readonly number[],
  r0: number,
  t0: number,
  w: number,
): number {
  let sum = 0;
  for (let i = 0; i < timeS.length; i++) {
    const d = rangeM[i]! - Math.hypot(r0, w * (timeS[i]! - t0));
    sum += d * d;
  }
  return Math.sqrt(sum / timeS.length);
}

/**
 * Fits the crossing curve: free in speed by least squares on r², then, when that speed is not plausible, with the
 * boat's own speed. Null with fewer than three points.
 * @param boatMps speed of the boat
 */
export function fitCrossing(
  timeS: readonly number[],
  rangeM: readonly number[],
  boatMps: number,
): Crossing | null {
  const count = timeS.length;
  if (count < 3) return null;
  const middle = timeS[count >> 1]!;
  const s = [0, 0, 0, 0, 0];
  const y = [0, 0, 0];
  for (let i = 0; i < count; i++) {
    const t = timeS[i]! - middle;
    const r2 = rangeM[i]! * rangeM[i]!;
    let power = 1;
    for (let k = 0; k < 5; k++) {
      s[k]! += power;
      if (k < 3) y[k]! += r2 * power;
      power *= t;
    }
  }
  const slowest = Math.max(0, boatMps - SWIM_MPS);
  const fastest = boatMps + SWIM_MPS;
  const free =
    count >= 5
      ? solve3(
          [
            [s[0]!, s[1]!, s[2]!],
            [s[1]!, s[2]!, s[3]!],
            [s[2]!, s[3]!, s[4]!],
          ],
          y,
        )
      : null;
  const candidates: number[] = [];
  if (free && free[2]! > 0) {
    const w = Math.sqrt(free[2]!);
    if (w >= slowest && w <= fastest) candidates.push(w);
  }
  candidates.push(boatMps, slowest, fastest);
  let best: Crossing | null = null;
  for (const w of candidates) {
    if (w < 0.02) continue;
    // With w fixed, r² − w²t² is a straight line in t.
    const z0 = y[0]! - w * w * s[2]!;
    const z1 = y[1]! - w * w * s[3]!;
    const det = s[0]! * s[2]! - s[1]! * s[1]!;
    if (Math.abs(det) < 1e-12) continue;
    const slope = (s[0]! * z1 - s[1]! * z0) / det;
    const level = (z0 - slope * s[1]!) / s[0]!;
    const t0 = -slope / (2 * w * w);
    const r02 = level - w * w * t0 * t0;
    if (r02 <= 0) continue;
    const r0 = Math.sqrt(r02);
    const offM = offOf(timeS, rangeM, r0, t0 + middle, w);
    if (!best || offM < best.offM * 0.98)
      best = { nearestRangeM: r0, nearestTimeS: t0 + middle, speedMps: w, offM };
  }
  return best;
}
