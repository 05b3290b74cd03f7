import { createStore } from 'zustand/vanilla';
import { passKey, unsteeredKey } from '@/core/bench/passSource';
import type { Picture, Settings } from '@/core/picture';
import { screenOf } from '@/core/rig';
import { benchWorker, secondWorker, type DrawTask, type PassFacts, type WorkerClient } from '@/workers';
import type { PassSpec } from '@/core/bench/passSource';
import { follow, RESTING, type Asking } from './asking';
import { noteTiming } from './noteTiming';
import { passKeyOf, passStore } from './pass';
import { withRecording } from './recordings';

/** Places that show a picture of the pass on the bench. */
export type ViewName = 'tune' | 'tune-second' | 'read' | 'read-whole';

/** A picture of the pass, how asking for the next one stands, and which pass it is of. */
export interface View extends Asking {
  passKey: string | null;
  waterKey: string | null;
  /** The pass the picture and its facts are of: behind `passKey` while a boat steered anew waits for its pings. */
  drawnKey: string | null;
  picture: Picture | null;
  facts: PassFacts | null;
}

const EMPTY: View = { ...RESTING, passKey: null, waterKey: null, drawnKey: null, picture: null, facts: null };

interface ViewsState {
  views: Readonly<Partial<Record<ViewName, View>>>;
}

export const viewStore = createStore<ViewsState>(() => ({ views: {} }));

/** The view of a name as it stands; an empty one while it is closed. */
export const viewOf = ({ views }: ViewsState, name: ViewName): View => views[name] ?? EMPTY;

/** The newest request of each open view: an answer to any other is dropped. */
const asked = new Map<ViewName, object>();

const laneOf = (name: ViewName): string => `draw-${name}`;

/** Draws a view. A recording is large, and has no pings to wait for: one worker holds it. */
const workerOf = (name: ViewName, { source }: PassSpec): WorkerClient =>
  name === 'tune-second' && source.kind !== 'recording' ? secondWorker() : benchWorker();

const change = (name: ViewName, part: Partial<View>): void =>
  viewStore.setState(({ views }) => ({
    views: { ...views, [name]: { ...viewOf({ views }, name), ...part } },
  }));

/** Opens a view; the returned function closes it, and gives up what it waits for. */
export function openView(name: ViewName): () => void {
  change(name, {});
  return () => {
    asked.delete(name);
    viewStore.setState(({ views: { [name]: _closed, ...views } }) => ({ views }));
  };
}

/** Draws a view of the pass on the bench. The answer is taken if view and pass are still those that asked. */
export async function drawView(
  name: ViewName,
  settings: Settings = passStore.getState().settings,
  nowS: number | null = passStore.getState().nowS,
  outlines: DrawTask['outlines'] = null,
  earlier: DrawTask['earlier'] = [],
): Promise<void> {
  const { pass } = passStore.getState();
  const key = passKey(pass);
  const request = {};
  asked.set(name, request);
  const view = viewStore.getState().views[name];
  if (!view) return;
  if (view.passKey !== key) {
    const water = unsteeredKey(pass);
    // The picture of another pass is no picture of this one; steered anew it is the same up to then.
    change(name, view.waterKey === water ? { passKey: key } : { ...EMPTY, passKey: key, waterKey: water });
  }
  const wanted = (): boolean => asked.get(name) === request && passKeyOf(passStore.getState()) === key;
  await follow(
    (onStage) =>
      withRecording(
        pass,
        () =>
          workerOf(name, pass).run(
            { kind: 'draw', pass, settings, screen: screenOf(pass.rig), nowS, outlines, earlier },
            { lane: laneOf(name), onStage },
          ),
        benchWorker(),
        true,
      ),
    wanted,
    (asking) => {
      const now = viewOf(viewStore.getState(), name);
      if (now.stage !== asking.stage || now.silent !== asking.silent || now.problem !== asking.problem)
        change(name, asking);
      if (asking.problem !== null) passStore.setState({ playing: false });
    },
    ({ result, workMs }) => {
      const before = viewOf(viewStore.getState(), name).facts;
      const same = before !== null && JSON.stringify(before) === JSON.stringify(result.facts);
      change(name, { drawnKey: key, picture: result.picture, facts: same ? before : result.facts });
      noteTiming('picture-arrived', { workMs, sounded: result.sounded });
    },
  );
}

/** Stops what a view waits for. */
export const stopView = (name: ViewName): void =>
  workerOf(name, passStore.getState().pass).cancel(laneOf(name));
