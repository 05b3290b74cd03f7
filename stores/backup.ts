import { accepted, openText, refused, writeText, type Result } from '@/core/formats';
import { fingerprintOf } from '@/core/maths';
import { MOST_ENTRIES } from '@/core/logbook';
import { isAside, listAside, setAside } from './keeping/aside';
import { appKeeper } from './keeping/keeper';
import { putFileOfBackup } from './keptFiles';
import { bringBack, COLLECTIONS, DOCUMENTS, everythingKept, isOldList } from './keptData';
import { logStore } from './log';

/** What a restored backup did. */
export interface Restored {
  /** Things that were not here; that were here the same; that were here otherwise, both kept; that could not be opened, set aside. */
  added: number;
  same: number;
  both: number;
  aside: number;
  /** Present documents that differ from the backup's: the one in use stays, or is the newer backup's; the other is set aside. */
  documents: string[];
}

/** Which documents came from a backup, with its date and what they said then. */
const RESTORED_KEY = 'restored';

type RestoredDocuments = Record<string, { madeAt: string; print: string }>;

async function restoredDocuments(): Promise<RestoredDocuments> {
  try {
    return JSON.parse((await appKeeper().storage.getItem(RESTORED_KEY)) ?? '{}') as RestoredDocuments;
  } catch {
    return {};
  }
}

/** Lays a text aside unless it lies there already; returns whether it is new. */
async function layAside(from: string, text: string): Promise<boolean> {
  const keeper = appKeeper();
  if ((await listAside(keeper)).some((a) => a.from === from && a.text === text)) return false;
  // What is in use under that key stays.
  const present = await keeper.storage.getItem(from);
  await setAside(keeper, from, text);
  if (present !== null) await keeper.storage.setMany({ [from]: present });
  return true;
}

/**
 * Brings a backup in beside what is here. Nothing is taken away: of two things under one key both are kept, which of them keeps
 * the key being decided by what they say, so that any order of backups comes to the same.
 * @param onProgress things looked at so far
 */
export async function restoreBackup(
  {
    madeAt,
    texts,
    files,
  }: {
    madeAt: string;
    texts: Readonly<Record<string, string>>;
    files: Readonly<Record<string, Uint8Array>>;
  },
  onProgress?: (done: number, of: number) => void,
): Promise<Result<Restored>> {
  const keeper = appKeeper();
  const here = await everythingKept();
  const logs = (list: Readonly<Record<string, string>>): string[] =>
    Object.keys(list).filter((key) => key.startsWith('log/'));
  if (new Set([...logs(here), ...logs(texts)]).size > MOST_ENTRIES)
    return refused(
      `The log would hold more than ${MOST_ENTRIES} entries. Export it, then delete some. Nothing was changed.`,
    );
  try {
    for (const [id, bytes] of Object.entries(files)) await putFileOfBackup(id, bytes);
  } catch {
    return refused('There is no room here for the recordings in it. Nothing else was changed.');
  }
  const done: Restored = { added: 0, same: 0, both: 0, aside: 0, documents: [] };
  const keys = Object.keys(texts).sort();
  const remembered = await restoredDocuments();
  const items = new Map<(typeof COLLECTIONS)[number], { id: string }[]>();
  let looked = 0;
  for (const key of keys) {
    if (++looked % 200 === 0) {
      onProgress?.(looked, keys.length);
      await new Promise((resolve) => setTimeout(resolve));
    }
    const text = texts[key]!;
    if (key === RESTORED_KEY) continue;
    if (isAside(key)) {
      const from = key.replace(/^aside\/\d+\//, '').replace(/\.damaged\.\d+$/, '');
      if (await layAside(from, text)) done.aside++;
      else done.same++;
      continue;
    }
    const collection = COLLECTIONS.find((c) => key.startsWith(c.prefix));
    if (collection) {
      const opened = openText(collection.format, text);
      if (!opened.ok) {
        if (await layAside(key, text)) done.aside++;
        continue;
      }
      const list = items.get(collection) ?? [];
      items.set(collection, list);
      const theirs = opened.value as { id: string };
      const present = here[key] === undefined ? null : openText(collection.format, here[key]);
      if (!present?.ok) {
        list.push(theirs);
        done.added++;
        continue;
      }
      const mine = present.value as { id: string };
      const say = (item: object): string => writeText(collection.format, item as never);
      if (say(mine) === say(theirs)) {
        done.same++;
        continue;
      }
      const joined = collection.join(mine as never, theirs as never) as { id: string } | null;
      if (joined) {
        list.push(joined);
        done.both++;
        continue;
      }
      const [stays, moves] = say(mine) < say(theirs) ? [mine, theirs] : [theirs, mine];
      const copy = { ...moves, id: `copy-${fingerprintOf(say(moves))}` };
      if (here[collection.prefix + copy.id] !== undefined && stays === mine) done.same++;
      else {
        // The copy first: were this cut short, nothing is gone.
        list.push(copy, stays);
        done.both++;
      }
      continue;
    }
    const document = DOCUMENTS.find((d) => d.key === key);
    if (document) {
      const { format, store, pick, put } = document;
      const opened = openText(format, text);
      if (!opened.ok) {
        if (await layAside(key, text)) done.aside++;
        continue;
      }
      // Read back, so that the order of fields makes no difference.
      const say = (saved: object): string => {
        const read = openText(format, writeText(format, saved));
        return writeText(format, read.ok ? read.value : saved);
      };
      const theirs = writeText(format, opened.value);
      const mine = say(pick(store.getState()));
      const first = say(pick(store.getInitialState()));
      const mark = { madeAt, print: fingerprintOf(theirs) };
      if (mine === theirs) done.same++;
      else if (mine === first) {
        store.setState(put(opened.value));
        remembered[key] = mark;
        done.added++;
      } else {
        const before = remembered[key];
        const untouched = before !== undefined && before.print === fingerprintOf(mine);
        const takes = untouched && (before.madeAt < madeAt || (before.madeAt === madeAt && mine < theirs));
        if (await layAside(key, takes ? mine : theirs)) done.documents.push(document.title);
        else done.same++;
        if (takes) {
          store.setState(put(opened.value));
          remembered[key] = mark;
        }
      }
      continue;
    }
    if (isOldList(key)) {
      // Lists of versions that kept them whole are split as they are at a start.
      const taken = await bringBack({ key: '', from: key, text });
      if (taken.ok) done.added++;
      else if (await layAside(key, text)) done.aside++;
      continue;
    }
    // What only an older or a newer version knows is kept as it is.
    if (here[key] === undefined) {
      await keeper.storage.setMany({ [key]: text });
      done.added++;
    } else if (here[key] === text) done.same++;
    else if (await layAside(key, text)) done.aside++;
  }
  let held = false;
  for (const [collection, list] of items)
    if (list.length > 0 && (await collection.putMany(list as never[])) === 'held') held = true;
  await keeper.storage.setMany({ [RESTORED_KEY]: JSON.stringify(remembered) });
  logStore.setState({ loaded: true });
  onProgress?.(keys.length, keys.length);
  return held
    ? refused('Your device is full. What did not fit is held in memory until you close the app.')
    : accepted(done);
}
