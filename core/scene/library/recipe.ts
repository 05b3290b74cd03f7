import type { Random } from '@/core/maths';
import type { TrackSection } from '../track';
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
  sections: readonly TrackSection[];
  windMps: number;
  /** Range that shows it all, m, and a ping rate that suits, 1/s. */
  rangeM: number;
  pingRate: number;
  build(random: Random, recipe: SceneRecipe): Scene;
}

/** Ground covered by a recipe's sections, m, and the time they take, s. */
export const wayOf = (sections: readonly TrackSection[]): number =>
  sections.reduce((sum, section) => sum + Math.max(0, section.speedMps) * section.durationS, 0);
export const timeOf = (sections: readonly TrackSection[]): number =>
  sections.reduce((sum, section) => sum + section.durationS, 0);

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
