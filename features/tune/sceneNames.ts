import { benchWorker } from '@/workers';

export interface SceneName {
  id: string;
  title: string;
  /** One line: what this water teaches. */
  teaches: string;
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
