import { createStore } from 'zustand/vanilla';
import { trialWorker } from '@/workers';
import { keepTried, type ToTry } from './tried';

/** What is being tried now, and how far it has come, 0…1. */
interface TryingState {
  key: string | null;
  share: number;
  /** What the user stopped, and what went wrong: neither is tried again until the plan changes. */
  left: Readonly<Record<string, string | null>>;
}

export const tryingStore = createStore<TryingState>(() => ({ key: null, share: 0, left: {} }));

const LANE = 'try';

const leave = (key: string, why: string | null): void =>
  tryingStore.setState(({ left }) => ({ key: null, left: { ...left, [key]: why } }));

/** Tries a setup in a worker of its own. */
export function startTrying({ key, brief, rig, setup, held }: ToTry): void {
  tryingStore.setState({ key, share: 0 });
  const mine = (): boolean => tryingStore.getState().key === key;
  trialWorker()
    .run(
      { kind: 'try-colours', brief, rig, setup, held },
      { lane: LANE, onPart: ({ share }) => mine() && tryingStore.setState({ share }) },
    )
    .then(
      ({ result }) => {
        if (mine()) tryingStore.setState({ key: null });
        keepTried(key, result.tried);
      },
      (error: unknown) => {
        if (mine()) leave(key, error instanceof Error ? error.message : String(error));
      },
    );
}

/** Gives up what is being tried: for now, or, when the user asks for it, until the plan changes. */
export function stopTrying(forGood = false): void {
  const { key } = tryingStore.getState();
  if (key === null) return;
  if (forGood) leave(key, null);
  else tryingStore.setState({ key: null });
  trialWorker().cancel(LANE);
}
