import { createStore } from 'zustand/vanilla';
import { LogSchema, mergeLogs, withEntry, withoutEntry, type Entry } from '@/core/logbook';
import { notify } from './notices';

interface LogState {
  entries: readonly Entry[];
}

export const logStore = createStore<LogState>(() => ({ entries: [] }));

export const keepEntry = (entry: Entry): void =>
  logStore.setState(({ entries }) => ({ entries: withEntry(entries, entry) }));

/** Takes an entry out; the notice offers to put it back. */
export function deleteEntry(id: string): void {
  const entry = logStore.getState().entries.find((e) => e.id === id);
  if (!entry) return;
  logStore.setState(({ entries }) => ({ entries: withoutEntry(entries, id) }));
  notify(`Deleted “${entry.call || entry.title}”.`, () => keepEntry(entry));
}

/** Adds another log's entries, all of them. */
export const importEntries = (other: readonly Entry[]): void =>
  logStore.setState(({ entries }) => ({ entries: mergeLogs(entries, other) }));

export const LOG = {
  store: logStore,
  key: 'log',
  label: 'Your log',
  version: 1,
  schema: LogSchema,
  pick: ({ entries }: LogState): Entry[] => entries as Entry[],
  put: (entries: Entry[]) => ({ entries }),
};
