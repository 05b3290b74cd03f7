import type { Random } from '@/core/maths';
import type { Bladder } from '@/core/water';

/** A cloud of bait: individuals about a middle that drifts. */
export interface BaitCloud {
  mood: 'calm' | 'hunted';
  /** Middle at time 0, m. */
  x: number;
  y: number;
  z: number;
  /** Drift of the whole cloud, m/s. */
  vx: number;
  vy: number;
  /** Half axes, m. */
  radiusXM: number;
  radiusYM: number;
  radiusZM: number;
  /** Individuals as x, y, z offsets in m, 3 a fish, and as far again each sways to and fro. */
  offsets: Float32Array;
  sway: Float32Array;
  /** Period of the sway, s: short when hunted. */
  swayPeriodS: number;
  lengthM: number;
  bladder: Bladder;
}

/** Most individuals of one cloud. */
export const MOST_BAIT = 4000;

/** A place in the unit ball, by rejection. */
function inBall(random: Random, out: Float64Array): void {
  do for (let k = 0; k < 3; k++) out[k] = random.between(-1, 1);
  while (out[0]! ** 2 + out[1]! ** 2 + out[2]! ** 2 > 1);
}

/**
 * A cloud of `count` small fish. Calm: a compact ball, a little flat. Hunted: stretched to nearly three times its length, torn by
 * the rooms its hunters keep free, with a ragged edge and a quicker sway.
 * @throws RangeError for a count beyond 1…4,000
 */
export function baitCloud(
  spec: {
    mood: BaitCloud['mood'];
    place: readonly [x: number, y: number, z: number];
    velocity?: readonly [number, number];
    radiusM: number;
    /** Half height; two thirds of the radius when left out. */
    radiusZM?: number;
    count: number;
    lengthM: number;
    bladder: Bladder;
  },
  random: Random,
): BaitCloud {
  const { mood, count, radiusM, radiusZM = (2 / 3) * radiusM } = spec;
  if (!(count >= 1 && count <= MOST_BAIT)) throw new RangeError(`bait: 1 to ${MOST_BAIT} fish, got ${count}`);
  const hunted = mood === 'hunted';
  const half = hunted ? [2.6 * radiusM, 0.7 * radiusM, 0.75 * radiusZM] : [radiusM, 0.9 * radiusM, radiusZM];
  const rooms = hunted
    ? Array.from({ length: 4 }, () => {
        const middle = new Float64Array(3);
        inBall(random, middle);
        return { middle, size: random.between(0.16, 0.3) };
      })
    : [];
  const offsets = new Float32Array(3 * count);
  const sway = new Float32Array(3 * count);
  const at = new Float64Array(3);
  const torn = (): boolean =>
    rooms.some(
      ({ middle, size }) => Math.hypot(at[0]! - middle[0]!, at[1]! - middle[1]!, at[2]! - middle[2]!) < size,
    );
  for (let i = 0; i < count; i++) {
    do inBall(random, at);
    while (torn());
    // The edge of a hunted cloud frays: a fifth of its fish stand out from it.
    const stray = hunted && random.uniform() < 0.2 ? random.between(1, 1.5) : 1;
    for (let k = 0; k < 3; k++) {
      offsets[3 * i + k] = at[k]! * half[k]! * stray;
      sway[3 * i + k] = (hunted ? 0.25 : 0.1) * random.normal() * (k === 2 ? 0.4 : 1);
    }
  }
  const [x, y, z] = spec.place;
  const [vx, vy] = spec.velocity ?? [0, 0];
  return {
    mood,
    x,
    y,
    z,
    vx,
    vy,
    radiusXM: half[0]!,
    radiusYM: half[1]!,
    radiusZM: half[2]!,
    offsets,
    sway,
    swayPeriodS: hunted ? 1.6 : 5,
    lengthM: spec.lengthM,
    bladder: spec.bladder,
  };
}
