import { seededRandom } from '@/core/maths';
import { layTrack, type Track, type TrackSection } from '../track';
import type { Scene } from '../scene';
import { CORRIE_SOUND_SCENES } from './corrieSound';
import type { SceneRecipe } from './recipe';
import { THE_TOLLS_SCENES } from './theTolls';
import { VESSMERE_SCENES } from './vessmere';

export { SCENE_TOPICS, TOPICS, type Topic } from './topics';
export { timeOf, wayOf, type SceneRecipe } from './recipe';
export { bell, groundUnder, step, swells, WATERS, type WaterName } from './waters';

/** All named scenes, water by water. */
export const SCENES: readonly SceneRecipe[] = [
  ...VESSMERE_SCENES,
  ...CORRIE_SOUND_SCENES,
  ...THE_TOLLS_SCENES,
];

/** The recipe of an id. @throws RangeError when there is none, naming those there are */
export function recipeOf(id: string): SceneRecipe {
  const recipe = SCENES.find((s) => s.id === id);
  if (!recipe)
    throw new RangeError(`scene: none is called “${id}”; there are ${SCENES.map((s) => s.id).join(', ')}`);
  return recipe;
}

/** One variation of a named scene; every seed another, the same seed always the same. */
export const makeScene = (id: string, seed: number): Scene => {
  const recipe = recipeOf(id);
  return recipe.build(seededRandom(seed).fork(id), recipe);
};

/** The boat's way over a named scene, at its own ping rate or another, as it goes or as it is steered. */
export function trackOver(
  id: string,
  seed: number,
  pingRate = recipeOf(id).pingRate,
  sections: readonly TrackSection[] = recipeOf(id).sections,
): Track {
  const { windMps } = recipeOf(id);
  return layTrack({ sections, pingRate, windMps }, seededRandom(seed).fork('waves'));
}
