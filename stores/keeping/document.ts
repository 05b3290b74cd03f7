import type { StoreApi } from 'zustand';
import { openText, writeText, type Format } from '@/core/formats';
import { notify } from '../notices';
import { setAside } from './aside';
import type { Keeper } from './keeper';
import { locked } from './tabs';

/** A store that is kept whole, under one key. */
export interface KeptDocument<State, Saved extends object> {
  store: StoreApi<State>;
  key: string;
  /** Its name at the head of a sentence: `Your plan`. */
  title: string;
  format: Format<Saved>;
  /** The part of the state that is kept, and how it goes back in. */
  pick: (state: State) => Saved;
  put: (saved: Saved) => Partial<State>;
  /** Writes wait this long for more changes, ms. */
  delayMs?: number;
}

const DELAY_MS = 300;

const same = (a: unknown, b: unknown): boolean => Object.is(a, b) || JSON.stringify(a) === JSON.stringify(b);

/** Two tabs' changes to one document, field by field: what only one has changed is that one's, what both have is ours. */
export function mergeFields<T extends object>(base: T, mine: T, theirs: T): T {
  const out = { ...theirs };
  for (const name of Object.keys(mine) as (keyof T)[])
    if (!same(mine[name], base[name])) out[name] = mine[name];
  return out;
}

/**
 * Reads a document once, then writes it after every change. Nothing is written before it was read. What cannot be read is set
 * aside and said; what a newer version wrote is left alone, and nothing is written over it. Settles when the store has been
 * read; rejects when the storage fails.
 */
export async function keepDocument<State, Saved extends object>(
  keeper: Keeper,
  document: KeptDocument<State, Saved>,
): Promise<void> {
  const { store, key, title, format, pick, put, delayMs = DELAY_MS } = document;
  let timer: ReturnType<typeof setTimeout> | null = null;
  /** The text on the device as far as this tab knows, and what it says. */
  let lastText = await keeper.storage.getItem(key);
  let base = pick(store.getInitialState());
  let changedBefore = false;

  /** Takes over what is on the device when another tab has written it, with what was changed here since. */
  const takeOver = (text: string | null): void => {
    if (text === null || text === lastText) return;
    const theirs = openText(format, text);
    if (!theirs.ok) return;
    const merged = mergeFields(base, pick(store.getState()), theirs.value);
    base = theirs.value;
    lastText = text;
    store.setState(put(merged));
  };

  const write = (): Promise<unknown> =>
    locked(key, async () => {
      timer = null;
      // Held writes are newer than what is on the device.
      if (keeper.writer.held(key) === undefined) takeOver(await keeper.storage.getItem(key));
      const saved = pick(store.getState());
      const text = writeText(format, saved);
      if (text === lastText) return;
      base = saved;
      lastText = text;
      await keeper.writer.put({ [key]: text });
    }).catch(() => {
      // The storage failed before anything was written: the change is held, and said by the writer.
      void keeper.writer.put({ [key]: writeText(format, pick(store.getState())) });
    });

  const begin = (): void => {
    let seen = pick(store.getState());
    if (changedBefore) timer = setTimeout(() => void write(), delayMs);
    store.subscribe((state) => {
      const now = pick(state);
      if (sameFields(now, seen)) return;
      seen = now;
      timer ??= setTimeout(() => void write(), delayMs);
    });
    keeper.hear(key, (heard) => {
      if (!heard.includes(key)) return;
      void keeper.storage.getItem(key).then(takeOver, () => undefined);
    });
    if (typeof globalThis.document !== 'undefined')
      globalThis.document.addEventListener('visibilitychange', () => {
        if (globalThis.document.visibilityState !== 'hidden' || timer === null) return;
        clearTimeout(timer);
        void write();
      });
  };

  if (lastText !== null) {
    const opened = openText(format, lastText);
    if (opened.ok) {
      // What was changed here before the storage answered is newer than what it held.
      const merged = mergeFields(pick(store.getInitialState()), pick(store.getState()), opened.value);
      store.setState(put(merged));
      changedBefore = !sameFields(merged, opened.value);
      base = opened.value;
    } else if (opened.cause === 'newer') {
      notify(
        `${title} on this device was written by a newer version of the app. It is left as it is. Changes made here are not saved.`,
      );
      return;
    } else {
      await setAside(keeper, key, lastText);
      lastText = null;
      notify(
        `${title} could not be opened. It is set aside, not deleted. Find it in the menu under Saved on this device.`,
      );
    }
  }
  begin();
}

function sameFields(a: object, b: object): boolean {
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every((k) => Object.is((a as Record<string, unknown>)[k], (b as Record<string, unknown>)[k]))
  );
}
