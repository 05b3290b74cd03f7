import type { Position } from '@/core/maths';
import type { Water } from '@/core/water';
import type { BaitCloud } from './bait';
import type { BedField } from './bedField';
import type { Cover } from './cover';
import type { Fish } from './fish';
import type { Drifter, Gear } from './gear';

/** A hard thing in the water that keeps its place: a test weight. */
export interface PointTarget {
  x: number;
  y: number;
  z: number;
  /** dB re 1 m². */
  targetStrengthDb: number;
}

/** A band of small scatterers at one depth over the whole water. */
export interface ScatterLayer {
  depthM: number;
  /** Half thickness to 1/e, m. */
  thicknessM: number;
  /** Volume backscatter at its middle, dB re 1 m⁻¹. */
  svDb: number;
  /** Rise and fall of the layer along the way, m, and its wavelength, m. */
  swellM: number;
  swellLengthM: number;
  /** How much thicker and thinner it grows along the way, dB, and over what length, m. */
  patchDb: number;
}

/** Another sounder in earshot: its pulses land in our listening time. */
export interface OtherSounder {
  pingRate: number;
  /** Received level, dB over our noise at rest. */
  overNoiseDb: number;
  pulseS: number;
}

/** Something electrical on board that fills whole pings. */
export interface Electrical {
  everyS: number;
  lengthS: number;
  overNoiseDb: number;
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
  clouds: readonly BaitCloud[];
  covers: readonly Cover[];
  gear: readonly Gear[];
  drifters: readonly Drifter[];
  targets: readonly PointTarget[];
  layers: readonly ScatterLayer[];
  /** Stirred-up silt over the bed: its Sv at the bed, dB re 1 m⁻¹, and height to 1/e, m. */
  silt: { svDb: number; heightM: number } | null;
  /** Small life spread through all the water, dB re 1 m⁻¹. */
  backgroundSvDb: number;
  otherSounders: readonly OtherSounder[];
  electrical: Electrical | null;
}

/** Open water over a bed with nothing in it: what scenes are filled from. */
export const emptyScene = (
  base: Pick<Scene, 'id' | 'title' | 'teaches' | 'water' | 'origin' | 'bed'>,
): Scene => ({
  ...base,
  fish: [],
  clouds: [],
  covers: [],
  gear: [],
  drifters: [],
  targets: [],
  layers: [],
  silt: null,
  backgroundSvDb: -88,
  otherSounders: [],
  electrical: null,
});
