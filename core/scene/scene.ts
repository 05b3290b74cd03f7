import type { Position } from '@/core/maths';
import type { Bladder, Water } from '@/core/water';
import type { BedField } from './bedField';

/** A fish and how it moves: a straight swim with a slow wander about it. */
export interface Fish {
  lengthM: number;
  bladder: Bladder;
  /** Place at time 0, m: x along the pass, y to its left, z down. */
  x: number;
  y: number;
  z: number;
  /** Swimming velocity over the ground, m/s. */
  vx: number;
  vy: number;
  /** Height of the slow rise and fall, m, its period, s, and its phase, rad. */
  wanderM: number;
  wanderPeriodS: number;
  wanderPhase: number;
  /** Compass of the body, rad from the x axis. */
  headingRad: number;
}

/** A hard thing in the water that keeps its place: a weight, a lure held still. */
export interface PointTarget {
  x: number;
  y: number;
  z: number;
  /** dB re 1 m². */
  targetStrengthDb: number;
}

/** A cloud of bait: individuals scattered through a flattened ball. */
export interface BaitCloud {
  /** Middle at time 0, m. */
  x: number;
  y: number;
  z: number;
  /** Drift of the whole cloud, m/s. */
  vx: number;
  /** Half axes, m. */
  radiusXM: number;
  radiusYM: number;
  radiusZM: number;
  /** Individuals as x, y, z offsets in m, 3 a fish. */
  offsets: Float32Array;
  lengthM: number;
  bladder: Bladder;
}

/** A band of small scatterers at one depth over the whole water. */
export interface ScatterLayer {
  depthM: number;
  /** Half thickness to 1/e, m. */
  thicknessM: number;
  /** Volume backscatter at its middle, dB re 1 m⁻¹. */
  svDb: number;
  /** Rise and fall of the layer along the pass, m, and its wavelength, m. */
  swellM: number;
  swellLengthM: number;
}

/** Another sounder in earshot: its pulses land in our listening time. */
export interface OtherSounder {
  pingRate: number;
  /** Received level, dB over our noise. */
  overNoiseDb: number;
  pulseS: number;
}

/** Everything there is under the boat. The truth: readers never see it. */
export interface Scene {
  id: string;
  title: string;
  /** One line: what this water teaches. */
  teaches: string;
  water: Water;
  /** Where x = y = 0 lies; x runs east, y north. */
  origin: Position;
  bed: BedField;
  fish: readonly Fish[];
  targets: readonly PointTarget[];
  clouds: readonly BaitCloud[];
  layers: readonly ScatterLayer[];
  /** Small life spread through all the water, dB re 1 m⁻¹. */
  backgroundSvDb: number;
  otherSounder: OtherSounder | null;
}

/** Where a fish is at a time, written into `out` as x, y, z. */
export function fishAt(fish: Fish, timeS: number, out: Float64Array): void {
  out[0] = fish.x + fish.vx * timeS;
  out[1] = fish.y + fish.vy * timeS;
  out[2] = fish.z + fish.wanderM * Math.sin((2 * Math.PI * timeS) / fish.wanderPeriodS + fish.wanderPhase);
}
