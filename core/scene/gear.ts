import type { Random } from '@/core/maths';
import type { BoatPlace } from '@/core/rig';

/** Something of one's own in the water, on a line from the boat. */
export interface Gear {
  kind: 'lure' | 'sinker' | 'towed-weight';
  /** dB re 1 m². */
  targetStrengthDb: number;
  from: BoatPlace;
  /** Line out over time: rows of t (s, rising) and metres, straight between them. */
  lineOut: readonly (readonly [timeS: number, metres: number])[];
  /** How it swings aft under way: tan(angle) = swing · v², s²/m². A heavy weight hardly swings. */
  swing: number;
}

function lineOutAt(rows: Gear['lineOut'], timeS: number): number {
  let before = rows[0]!;
  for (const row of rows) {
    if (row[0] > timeS)
      return row === before
        ? row[1]
        : before[1] + ((row[1] - before[1]) * (timeS - before[0])) / (row[0] - before[0]);
    before = row;
  }
  return before[1];
}

/** Where gear hangs relative to the transducer: forward, to port and down, m, into out 0…2. */
export function gearAt(gear: Gear, speedMps: number, timeS: number, out: Float64Array): void {
  const line = lineOutAt(gear.lineOut, timeS);
  const tan = gear.swing * speedMps * Math.abs(speedMps);
  const cos = 1 / Math.sqrt(1 + tan * tan);
  out[0] = gear.from.x - line * tan * cos;
  out[1] = gear.from.y;
  out[2] = line * cos;
}

/** Something small that drifts or rises for a while. */
export interface Drifter {
  kind: 'bubble' | 'debris';
  /** Place when it appears, m, and velocity, m/s. */
  x: number;
  y: number;
  z: number;
  vx: number;
  vy: number;
  vz: number;
  fromS: number;
  toS: number;
  targetStrengthDb: number;
}

/** The bubbles a ripped lure sheds: a string that rises and thins out. */
export function rippedBubbles(
  timeS: number,
  [x, y, z]: readonly [number, number, number],
  count: number,
  random: Random,
): Drifter[] {
  return Array.from({ length: count }, () => {
    const vz = -random.between(0.12, 0.28);
    return {
      kind: 'bubble' as const,
      x: x + 0.1 * random.normal(),
      y: y + 0.1 * random.normal(),
      z: z - random.between(0, 1),
      vx: 0.01 * random.normal(),
      vy: 0.01 * random.normal(),
      vz,
      fromS: timeS + random.between(0, 0.8),
      toS: timeS + Math.min(z / -vz, random.between(6, 22)),
      targetStrengthDb: -58 + 4 * random.normal(),
    };
  });
}

/** Leaves, twigs and the like carried past at mid-water. */
export function driftingDebris(
  area: { fromX: number; toX: number; halfWidthM: number; fromZ: number; toZ: number },
  count: number,
  random: Random,
): Drifter[] {
  return Array.from({ length: count }, () => ({
    kind: 'debris' as const,
    x: random.between(area.fromX, area.toX),
    y: random.between(-area.halfWidthM, area.halfWidthM),
    z: random.between(area.fromZ, area.toZ),
    vx: 0.05 * random.normal(),
    vy: 0.05 * random.normal(),
    vz: 0.01 * random.normal(),
    fromS: -Infinity,
    toS: Infinity,
    targetStrengthDb: -56 + 5 * random.normal(),
  }));
}
