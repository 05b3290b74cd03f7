import { createStore } from 'zustand/vanilla';
import { accepted, DONE, ENTRY_FORMAT, refused, type Result } from '@/core/formats';
import { MOST_ENTRIES, withEntries, withoutEntry, type Entry, type LogComparison } from '@/core/logbook';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';
import type { Written } from './keeping/writer';
import { notify } from './notices';

interface LogState {
  /** Newest first. */
  entries: readonly Entry[];
  /** Whether all that is kept has been read. */
  loaded: boolean;
}

export const logStore = createStore<LogState>(() => ({ entries: [], loaded: false }));

export const LOG = keepCollection<LogState, Entry>(appKeeper, {
  store: logStore,
  prefix: 'log/',
  title: 'log entries',
  format: ENTRY_FORMAT,
  withItems: ({ entries }, more) => (more.length > 0 ? { entries: withEntries(entries, more) } : {}),
  withoutItem: ({ entries }, id) => ({ entries: withoutEntry(entries, id) }),
});

const roomFor = (count: number): Result =>
  logStore.getState().entries.length + count > MOST_ENTRIES
    ? refused(`The log holds at most ${MOST_ENTRIES} entries. Export it, then delete some.`)
    : DONE;

/** Keeps an entry; settles once it is on the device, or held in memory because it cannot be. */
export async function keepEntry(entry: Entry): Promise<Result<Written>> {
  const room = roomFor(1);
  return room.ok ? accepted(await LOG.put([entry])) : room;
}

/** Changes the words of an entry; the notice puts them back. */
export function rewordEntry(id: string, words: Pick<Entry, 'call' | 'note'>): void {
  const entry = logStore.getState().entries.find((e) => e.id === id);
  if (!entry || (entry.call === words.call && entry.note === words.note)) return;
  void LOG.put([{ ...entry, call: words.call.slice(0, 200), note: words.note.slice(0, 4000) }]);
  notify('Words changed.', () => void LOG.put([entry]));
}

/** Takes an entry out; the notice offers to put it back. */
export function deleteEntry(id: string): void {
  const entry = logStore.getState().entries.find((e) => e.id === id);
  if (!entry) return;
  void LOG.remove(id);
  notify(`Deleted “${entry.call || entry.title}”.`, () => void LOG.put([entry]));
}

/** What to do with entries that both logs have, with other words. */
export type ConflictChoice = 'both' | 'mine' | 'theirs';

/** An id no entry has, for a second entry of one origin: the same each time it is asked for. */
function freeId(id: string, taken: ReadonlySet<string>): string {
  for (let n = 2; ; n++) {
    const free = `${id.slice(0, 58)}-${n}`;
    if (!taken.has(free)) return free;
  }
}

/**
 * Adds another log's entries, all of them, as they compare with this one's; settles once they are on the device. What conflicts is taken as chosen.
 * @param onProgress entries written so far
 */
export async function importEntries(
  { fresh, conflicts }: LogComparison,
  choice: ConflictChoice,
  onProgress?: (done: number, of: number) => void,
): Promise<Result<{ added: number; written: Written }>> {
  const { entries } = logStore.getState();
  const more = [...fresh];
  const taken = new Set(conflicts.length > 0 ? [...entries, ...fresh].map((e) => e.id) : []);
  for (const { theirs } of conflicts) {
    if (choice === 'mine') continue;
    const id = choice === 'theirs' ? theirs.id : freeId(theirs.id, taken);
    taken.add(id);
    more.push({ ...theirs, id });
  }
  const room = roomFor(more.length - (choice === 'theirs' ? conflicts.length : 0));
  if (!room.ok) return room;
  const written = await LOG.putMany(more, (done) => onProgress?.(done, more.length));
  return accepted({ added: more.length, written });
}
