import { browserTabs, type Tabs } from './tabs';
import { appStorage, timed, type KeyValue } from './storage';
import { createWriter, type Writer } from './writer';

/** What all that is kept shares: one storage, one writer, word from other tabs. */
export interface Keeper {
  storage: KeyValue;
  writer: Writer;
  /** Listens for a key, or for all keys that begin with a prefix, being written by another tab. */
  hear(prefix: string, listener: (keys: readonly string[]) => void): void;
}

export function createKeeper(storage: KeyValue, tabs: Tabs): Keeper {
  const listeners: { prefix: string; listener: (keys: readonly string[]) => void }[] = [];
  tabs.hear((keys) => {
    for (const { prefix, listener } of listeners) {
      const meant = keys.filter((key) => key.startsWith(prefix));
      if (meant.length > 0) listener(meant);
    }
  });
  return {
    storage,
    writer: createWriter(storage, (keys) => tabs.tell(keys)),
    hear: (prefix, listener) => void listeners.push({ prefix, listener }),
  };
}

let shared: Keeper | null = null;

/** The app's own keeper. */
export const appKeeper = (): Keeper =>
  (shared ??= createKeeper(timed(appStorage()), browserTabs('nimble-echo')));
