import { createStore } from 'zustand/vanilla';
import { KEPT_FILE_FORMAT, type KeptFile } from '@/core/formats/keptFile';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';
import { loadFiles } from './keeping/loadFiles';
import { noteDayFile } from './days';
import { notify } from './notices';

interface KeptFilesState {
  /** Recordings and pictures whose files are on the device, newest first. */
  kept: readonly KeptFile[];
}

export const keptFileStore = createStore<KeptFilesState>(() => ({ kept: [] }));

const newestFirst = (a: KeptFile, b: KeptFile): number =>
  a.keptAt < b.keptAt ? 1 : a.keptAt > b.keptAt ? -1 : a.id < b.id ? -1 : 1;

export const FILES = keepCollection<KeptFilesState, KeptFile>(appKeeper, {
  store: keptFileStore,
  prefix: 'files/',
  title: 'recordings',
  format: KEPT_FILE_FORMAT,
  withItems: ({ kept }, more) => ({
    kept: [...kept.filter((k) => more.every((m) => m.id !== k.id)), ...more].sort(newestFirst),
  }),
  withoutItem: ({ kept }, id) => ({ kept: kept.filter((k) => k.id !== id) }),
});

/** Keeps a file on the device; where there is no room for it that is said, and it stays open until the app is closed. */
export async function keepFile(item: Omit<KeptFile, 'bytes' | 'keptAt'>, file: Blob): Promise<void> {
  try {
    await (await loadFiles()).put(item.id, file);
  } catch {
    notify(`There is no room to keep ${item.name} here. It is open until you close the app.`);
    return;
  }
  await FILES.put([{ ...item, bytes: file.size, keptAt: new Date().toISOString() }]);
  noteDayFile(item.id, item.name);
}

/** A kept file; null for one that is not kept, or whose file the browser has cleared away. */
export async function keptFile(id: string): Promise<{ item: KeptFile; file: Blob } | null> {
  const item = keptFileStore.getState().kept.find((k) => k.id === id);
  const file = item && (await (await loadFiles()).get(id));
  return item && file ? { item, file } : null;
}

/** How long the file of a deleted entry stays, so that taking it back is a moment's work that a closed page cannot cut short, ms. */
const STAYS_MS = 30_000;

/** Takes a file off the device; it can be taken back as long as that is offered. */
export async function deleteKeptFile(id: string, staysMs = STAYS_MS): Promise<void> {
  const kept = await keptFile(id);
  await FILES.remove(id);
  if (kept) notify(`Deleted “${kept.item.name}”.`, () => void putBack(kept));
  setTimeout(() => void dropDeleted(id).catch(() => undefined), staysMs);
}

/** Drops the file of a deleted entry; one that was taken back is left alone. A page closed before leaves it to the next sweep. */
async function dropDeleted(id: string): Promise<void> {
  const files = await loadFiles();
  if (keptFileStore.getState().kept.every((k) => k.id !== id)) await files.drop(id);
}

async function putBack({ item, file }: { item: KeptFile; file: Blob }): Promise<void> {
  await FILES.put([item]);
  try {
    const files = await loadFiles();
    if (!(await files.get(item.id))) await files.put(item.id, file);
  } catch {
    await FILES.remove(item.id);
    notify(`There is no room to keep ${item.name} here.`);
  }
}

/** A file that is being kept has nothing that speaks of it yet: so long it is left alone, ms. */
const GRACE_MS = 10 * 60_000;

/** Drops files nothing speaks of, which a page closed in between has left: those that were so, and still are after a while. */
export async function sweepFiles(graceMs = GRACE_MS): Promise<void> {
  const keeper = await loadFiles();
  const lost = async (): Promise<string[]> => {
    const known = new Set(keptFileStore.getState().kept.map((k) => k.id));
    return (await keeper.ids()).filter((id) => !known.has(id));
  };
  const before = await lost();
  if (before.length === 0) return;
  await new Promise((resolve) => setTimeout(resolve, graceMs));
  const still = new Set(await lost());
  for (const id of before) if (still.has(id)) await keeper.drop(id);
}

/** Files for a backup, newest first, as far as they fit in so many bytes; and how many do not. */
export async function filesForBackup(
  most: number,
): Promise<{ files: Record<string, Uint8Array>; leftOut: number }> {
  const keeper = await loadFiles();
  const files: Record<string, Uint8Array> = {};
  let leftOut = 0;
  let room = most;
  for (const { id, bytes } of keptFileStore.getState().kept) {
    if (bytes > room) leftOut++;
    const file = bytes <= room ? await keeper.get(id) : undefined;
    if (!file) continue;
    files[id] = new Uint8Array(await file.arrayBuffer());
    room -= bytes;
  }
  return { files, leftOut };
}

/** Keeps a file out of a backup, unless it is here already. Rejects when there is no room. */
export async function putFileOfBackup(id: string, bytes: Uint8Array): Promise<void> {
  const keeper = await loadFiles();
  if (!(await keeper.get(id))) await keeper.put(id, new Blob([bytes as Uint8Array<ArrayBuffer>]));
}
