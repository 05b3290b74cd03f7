import type { StoreApi } from 'zustand';
import { openText, writeText, type Format } from '@/core/formats';
import { notify } from '../notices';
import { isAside, setAside } from './aside';
import type { Keeper } from './keeper';
import { inSlices, nextTurn } from './slices';
import type { Written } from './writer';

interface Item {
  id: string;
}

/** Things that are kept one by one, each under a key of its own. */
export interface KeptCollection<State, T extends Item> {
  store: StoreApi<State>;
  /** Keys begin with it: `log/`. */
  prefix: string;
  /** Its name in a sentence, of several: `log entries`. */
  title: string;
  format: Format<T>;
  /** The state with items put in, and with one taken out. */
  withItems: (state: State, items: readonly T[]) => Partial<State>;
  withoutItem: (state: State, id: string) => Partial<State>;
  /** Two differing things of one id as one that has all of both, in any order of them the same; null where they cannot be one. */
  join?: (a: T, b: T) => T | null;
}

/** Keys read and written at a time. */
const READ_AT_A_TIME = 200;
const WRITTEN_AT_A_TIME = 50;

/** Doors of a kept collection. Each settles once the change is on the device, or is held in memory because it cannot be. */
export interface Collection<T extends Item> {
  put(items: readonly T[]): Promise<Written>;
  /** The same for many: written some at a time, and in the state when all are. @param onProgress items written so far */
  putMany(items: readonly T[], onProgress?: (done: number) => void): Promise<Written>;
  remove(id: string): Promise<Written>;
  /** Reads all that is kept. Rejects when the storage fails; may be called again. */
  load(): Promise<void>;
  prefix: string;
  format: Format<T>;
  join: (a: T, b: T) => T | null;
}

export function keepCollection<State, T extends Item>(
  keeper: () => Keeper,
  { store, prefix, title, format, withItems, withoutItem, join = () => null }: KeptCollection<State, T>,
): Collection<T> {
  const keyOf = (id: string): string => `${prefix}${id}`;
  let hearing = false;

  const hear = (): void => {
    if (hearing) return;
    hearing = true;
    keeper().hear(prefix, (keys) => {
      // What this tab holds unwritten is newer.
      const wanted = keys.filter((key) => keeper().writer.held(key) === undefined);
      void keeper()
        .storage.getMany(wanted)
        .then(
          (texts) => {
            const good: T[] = [];
            const gone: string[] = [];
            for (const key of wanted) {
              const text = texts[key] ?? null;
              if (keeper().writer.held(key) !== undefined) continue;
              if (text === null) gone.push(key.slice(prefix.length));
              else {
                const opened = openText(format, text);
                if (opened.ok) good.push(opened.value);
              }
            }
            if (good.length > 0) store.setState((state) => withItems(state, good));
            for (const id of gone) store.setState((state) => withoutItem(state, id));
          },
          () => undefined,
        );
    });
  };

  const write = (items: readonly T[]): Promise<Written> =>
    keeper().writer.put(Object.fromEntries(items.map((item) => [keyOf(item.id), writeText(format, item)])));

  return {
    prefix,
    format,
    join,
    put(items) {
      store.setState((state) => withItems(state, items));
      return write(items);
    },
    async putMany(items, onProgress) {
      let written: Written = 'kept';
      for (let i = 0; i < items.length; i += WRITTEN_AT_A_TIME) {
        const part = items.slice(i, i + WRITTEN_AT_A_TIME);
        if ((await write(part)) === 'held') written = 'held';
        onProgress?.(i + part.length);
      }
      await nextTurn();
      store.setState((state) => withItems(state, items));
      return written;
    },
    remove(id) {
      store.setState((state) => withoutItem(state, id));
      return keeper().writer.put({ [keyOf(id)]: null });
    },
    async load() {
      hear();
      const { storage } = keeper();
      const keys = (await storage.getAllKeys()).filter((key) => key.startsWith(prefix) && !isAside(key));
      const damaged: { key: string; text: string }[] = [];
      const good: T[] = [];
      let newer = 0;
      for (let i = 0; i < keys.length; i += READ_AT_A_TIME) {
        const part = keys.slice(i, i + READ_AT_A_TIME);
        const texts = await storage.getMany(part);
        await inSlices(part, (key) => {
          const text = texts[key];
          if (text === null || text === undefined) return;
          const opened = openText(format, text);
          if (opened.ok) good.push(opened.value);
          else if (opened.cause === 'newer') newer++;
          else damaged.push({ key, text });
        });
      }
      store.setState((state) => withItems(state, good));
      for (const { key, text } of damaged) await setAside(keeper(), key, text);
      if (damaged.length > 0)
        notify(
          `${damaged.length} of your ${title} could not be opened. They are set aside, not deleted. Find them in the menu under Saved on this device.`,
        );
      if (newer > 0)
        notify(
          `${newer} of your ${title} were written by a newer version of the app and are left as they are. Update the app to see them.`,
        );
    },
  };
}
