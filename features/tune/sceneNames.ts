import type { PaletteName, Picture } from '@/core/picture';
import type { Rig } from '@/core/rig';
import type { Topic } from '@/core/scene/library/topics';
import { benchWorker, sideWorker } from '@/workers';

export interface SceneName {
  id: string;
  title: string;
  /** One line: what this water teaches. */
  teaches: string;
  topics: readonly Topic[];
}

let asked: Promise<readonly SceneName[]> | null = null;

/** The named scenes, from the worker that makes them; asked for once. */
export function sceneNames(): Promise<readonly SceneName[]> {
  asked ??= benchWorker()
    .run({ kind: 'scenes' }, { lane: 'scenes' })
    .then(({ result }) => result.scenes);
  asked.catch(() => (asked = null));
  return asked;
}

const drawn = new Map<string, Promise<Picture>>();
let ofRig: Rig | null = null;

/** A named scene at a glance, drawn once a boat and palette, away from the bench so that it waits for none of them. */
export function sceneMiniature(sceneId: string, rig: Rig, palette: PaletteName): Promise<Picture> {
  if (rig !== ofRig) drawn.clear();
  ofRig = rig;
  const key = `${sceneId} ${palette}`;
  let picture = drawn.get(key);
  if (!picture) {
    picture = sideWorker()
      .run({ kind: 'scene-miniature', sceneId, rig, palette }, { lane: `scene ${sceneId}` })
      .then(({ result }) => result.picture);
    picture.catch(() => drawn.delete(key));
    drawn.set(key, picture);
  }
  return picture;
}
