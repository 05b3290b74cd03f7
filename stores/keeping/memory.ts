import type { Tabs } from './tabs';
import type { KeyValue } from './storage';

/** A storage for tests, that counts its writes and fails or stays silent when it is told to. */
export interface MemoryStorage extends KeyValue {
  data: Map<string, string>;
  /** Keys written, in order. */
  written: string[];
  fail: Error | null;
  silent: boolean;
}

export function memoryStorage(initial: Record<string, string> = {}): MemoryStorage {
  const data = new Map(Object.entries(initial));
  const storage: MemoryStorage = {
    data,
    written: [],
    fail: null,
    silent: false,
    getItem: (key) => answer(() => data.get(key) ?? null),
    getMany: (keys) => answer(() => Object.fromEntries(keys.map((key) => [key, data.get(key) ?? null]))),
    getAllKeys: () => answer(() => [...data.keys()]),
    setMany: (entries) =>
      answer(() => {
        if (storage.fail) throw storage.fail;
        for (const [key, text] of Object.entries(entries)) {
          data.set(key, text);
          storage.written.push(key);
        }
      }),
    removeMany: (keys) =>
      answer(() => {
        for (const key of keys) data.delete(key);
      }),
  };
  const answer = <T>(what: () => T): Promise<T> =>
    storage.silent ? new Promise(() => undefined) : Promise.resolve().then(what);
  return storage;
}

/** Tabs of one browser for tests: what one tells all others hear. */
export function memoryTabs(): () => Tabs {
  const all: ((keys: readonly string[]) => void)[] = [];
  return () => {
    let own: ((keys: readonly string[]) => void) | null = null;
    return {
      tell: (keys) => all.forEach((listener) => listener !== own && listener(keys)),
      hear: (listener) => {
        own = listener;
        all.push(listener);
      },
    };
  };
}
