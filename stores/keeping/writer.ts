import type { KeyValue } from './storage';
import { keepingStore } from './status';

/** Whether a change is on the device, or held in memory until it can be. */
export type Written = 'kept' | 'held';

export interface Writer {
  /** Writes texts under their keys, null takes a key away; settles once they are on the device or known not to be. */
  put(changes: Readonly<Record<string, string | null>>): Promise<Written>;
  /** What is held for a key and not written yet; undefined where nothing is. */
  held(key: string): string | null | undefined;
  heldKeys(): string[];
  /** Tries at once to write what is held. */
  retry(): void;
}

/** Between two tries to write what is held, ms. */
const RETRY_MS = 5000;

/**
 * Writes changes in the order they came, many at a time. What fails is held, newest text a key, and tried again: a full
 * device is no reason to lose it. @param told of keys once they are on the device
 */
export function createWriter(storage: KeyValue, told: (keys: readonly string[]) => void): Writer {
  const pending = new Map<string, string | null>();
  let waiters: { keys: string[]; settle: (written: Written) => void }[] = [];
  let busy = false;
  let timer: ReturnType<typeof setTimeout> | null = null;

  const settle = (done: ReadonlySet<string>, failed: boolean): void => {
    const left: typeof waiters = [];
    for (const waiter of waiters) {
      if (waiter.keys.every((key) => done.has(key) || !pending.has(key))) waiter.settle('kept');
      else if (failed) waiter.settle('held');
      else left.push(waiter);
    }
    waiters = left;
  };

  const write = async (batch: ReadonlyMap<string, string | null>): Promise<void> => {
    const texts = [...batch].filter((pair): pair is [string, string] => pair[1] !== null);
    const gone = [...batch.keys()].filter((key) => batch.get(key) === null);
    if (texts.length > 0) await storage.setMany(Object.fromEntries(texts));
    if (gone.length > 0) await storage.removeMany(gone);
  };

  /** Of what failed together, writes one by one what still fits. */
  const writeSingly = async (batch: ReadonlyMap<string, string | null>, done: Set<string>): Promise<void> => {
    for (const pair of batch)
      try {
        await write(new Map([pair]));
        done.add(pair[0]);
      } catch {
        // Held: tried again later.
      }
  };

  const run = async (): Promise<void> => {
    if (busy) return;
    busy = true;
    if (timer !== null) clearTimeout(timer);
    timer = null;
    while (pending.size > 0) {
      const batch = new Map(pending);
      const done = new Set<string>();
      try {
        await write(batch);
        for (const key of batch.keys()) done.add(key);
      } catch {
        if (batch.size > 1) await writeSingly(batch, done);
      }
      // A key that changed meanwhile stays, with its newer text.
      for (const key of done) if (pending.get(key) === batch.get(key)) pending.delete(key);
      if (done.size > 0) told([...done]);
      const failed = done.size < batch.size;
      settle(done, failed);
      const { state } = keepingStore.getState();
      const lost = state === 'none' || state === 'silent';
      if (failed) {
        keepingStore.setState({ state: lost ? state : 'full', waiting: pending.size });
        timer = setTimeout(() => void run(), RETRY_MS);
        break;
      }
      if (!lost) keepingStore.setState({ state: 'ok', waiting: pending.size });
    }
    busy = false;
  };

  return {
    put(changes) {
      const keys = Object.keys(changes);
      for (const key of keys) pending.set(key, changes[key]!);
      return new Promise((resolve) => {
        waiters.push({ keys, settle: resolve });
        void run();
      });
    },
    held: (key) => pending.get(key),
    heldKeys: () => [...pending.keys()],
    retry: () => void run(),
  };
}
