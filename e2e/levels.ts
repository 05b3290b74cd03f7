import { GENERIC_RIG, TRANSDUCERS } from '@/core/rig';
import { makeScene, thinned, trackOver } from '@/core/scene';
import { simulate } from '@/core/sounder';

/** Levels of a few scenes through a cone, a slice and a swept pulse; every 7th, so that they are quickly compared. */
export function levelsOf(): number[][] {
  const swept = TRANSDUCERS.find((t) => t.id === 'swept-mid')!.faces[0]!;
  return ['vendace-hunted', 'crowded-ramp', 'lure-answered'].flatMap((id) =>
    simulate({
      scene: makeScene(id, 3),
      track: thinned(trackOver(id, 3), 8),
      rig: GENERIC_RIG,
      faces: [...GENERIC_RIG.faces, swept],
      pingRate: 9,
      farM: 20,
      seed: 3,
    }).channels.map((channel) => Array.from(channel.levelDb.filter((_, i) => i % 7 === 0))),
  );
}
