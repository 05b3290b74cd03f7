import type { Random } from '@/core/maths';
import type { Leg } from '../track';
import type { Scene } from '../scene';
import { emptyScene } from '../scene';
import type { BedField } from '../bedField';
import { WATERS, type WaterName } from './waters';

/** A named scene: its seed decides sizes, places and times, never what it teaches. */
export interface SceneRecipe {
  id: string;
  title: string;
  teaches: string;
  waterName: WaterName;
  /** How the boat goes over it. */
  legs: readonly Leg[];
  windMps: number;
  /** Range that shows it all, m, and a ping rate that suits, 1/s. */
  rangeM: number;
  pingRate: number;
  build(random: Random, recipe: SceneRecipe): Scene;
}

/** Ground covered by a recipe's legs, m, and the time they take, s. */
export const wayOf = (legs: readonly Leg[]): number =>
  legs.reduce((sum, leg) => sum + Math.max(0, leg.speedMps) * leg.durationS, 0);
export const timeOf = (legs: readonly Leg[]): number => legs.reduce((sum, leg) => sum + leg.durationS, 0);

/** The recipe's water over a bed, with nothing in it yet. */
export function openWater(recipe: SceneRecipe, bed: BedField): Scene {
  const { water, origin } = WATERS[recipe.waterName];
  return emptyScene({
    id: recipe.id,
    title: recipe.title,
    teaches: recipe.teaches,
    water: { ...water, windMps: recipe.windMps },
    origin,
    bed,
  });
}
