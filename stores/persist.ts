import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import * as v from 'valibot';
import type { StoreApi } from 'zustand';
import { notify } from './notices';

/** The part of a key–value store persistence needs. */
export interface KeyValue {
  getItem(key: string): Promise<string | null>;
  setItem(key: string, value: string): Promise<void>;
}

let shared: KeyValue | null = null;

/** The app's own storage, on IndexedDB in a browser. */
export const appStorage = (): KeyValue => (shared ??= createAsyncStorage('nimble-echo'));

export interface PersistOptions<State, Saved> {
  store: StoreApi<State>;
  /** Key in storage, and its plain name for messages. */
  key: string;
  label: string;
  version: number;
  schema: v.GenericSchema<unknown, Saved>;
  /** The part of the state that is kept, and how it goes back in. */
  pick: (state: State) => Saved;
  put: (saved: Saved) => Partial<State>;
  /** Turns what an older version kept into this one's shape. */
  migrate?: (data: unknown, version: number) => unknown;
  storage?: KeyValue;
  /** Writes wait this long for more changes, ms. */
  delayMs?: number;
}

const Envelope = v.object({ version: v.pipe(v.number(), v.integer()), data: v.unknown() });

/** Settles when the store has been read: true when it may be written from then on. */
export type Loaded = Promise<boolean>;

/**
 * Reads a store once, then writes it after every change. Nothing is written before it was read. What cannot be read is
 * set aside under another key and said; what cannot even be set aside is left alone, and nothing is written over it.
 */
export function persist<State, Saved>(options: PersistOptions<State, Saved>): Loaded {
  const { store, key, label, version, schema, pick, put, delayMs = 300 } = options;
  const storage = options.storage ?? appStorage();
  let timer: ReturnType<typeof setTimeout> | null = null;
  let last: Saved | null = null;

  const write = (): void => {
    timer = null;
    const saved = pick(store.getState());
    if (saved === last) return;
    last = saved;
    storage.setItem(key, JSON.stringify({ version, data: saved })).catch((error: unknown) => {
      last = null;
      notify(
        `${label} could not be kept on this device: ${String(error)}. Export your log and free some space.`,
      );
    });
  };
  const begin = (): void => {
    last = pick(store.getState());
    store.subscribe((state) => {
      if (shallowSame(pick(state), last)) return;
      timer ??= setTimeout(write, delayMs);
    });
    if (typeof document !== 'undefined')
      document.addEventListener('visibilitychange', () => {
        if (document.visibilityState === 'hidden' && timer !== null) {
          clearTimeout(timer);
          write();
        }
      });
  };

  const setAside = async (text: string): Promise<boolean> => {
    // A key of its own for each damaged text, so that a second damage does not cover the first.
    for (let n = 1; n <= 20; n++) {
      const aside = `${key}.damaged.${n}`;
      const there = await storage.getItem(aside);
      if (there === text) return true;
      if (there === null) {
        await storage.setItem(aside, text);
        return true;
      }
    }
    return false;
  };

  const load = async (): Promise<boolean> => {
    const text = await storage.getItem(key);
    if (text === null) return true;
    try {
      const envelope = v.parse(Envelope, JSON.parse(text));
      const data =
        envelope.version === version
          ? envelope.data
          : options.migrate && envelope.version < version
            ? options.migrate(envelope.data, envelope.version)
            : undefined;
      store.setState(put(v.parse(schema, data)));
      return true;
    } catch {
      if (await setAside(text)) {
        notify(
          `${label} kept on this device was damaged. It has been set aside, not deleted, and a fresh one begun.`,
        );
        return true;
      }
      notify(`${label} kept on this device is damaged and could not be set aside. Changes will not be kept.`);
      return false;
    }
  };

  return load().then(
    (may) => {
      if (may) begin();
      return may;
    },
    (error: unknown) => {
      notify(`${label} could not be read: ${String(error)}. Changes will not be kept.`);
      return false;
    },
  );
}

function shallowSame(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((k) => Object.is((a as Record<string, unknown>)[k], (b as Record<string, unknown>)[k]))
  );
}
