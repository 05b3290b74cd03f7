import { DONE, openData, openText, refused, writeText, type Result } from '@/core/formats';
import { BOATS } from './boats';
import { CORRECTIONS } from './corrections';
import { dropAside, listAside, setAside, type Aside } from './keeping/aside';
import { DAYS } from './days';
import { DECK } from './deck';
import { FILES } from './keptFiles';
import { OWN_FISH } from './ownFish';
import { SITTINGS } from './training';
import type { KeptDocument } from './keeping/document';
import { appKeeper } from './keeping/keeper';
import { oldItems } from './keeping/splitOld';
import { KEPT_SETTINGS } from './keptSettings';
import { loadStores, OLD_LISTS } from './load';
import { LOG } from './log';
import { PASS } from './pass';
import { PLAN } from './plan';
import { PLANS } from './plans';
import { PREFERENCES } from './preferences';
import { SCREENS } from './screenCalibrations';
import { notify } from './notices';

export type { Aside } from './keeping/aside';

interface AnyCollection {
  prefix: string;
  format: typeof LOG.format;
  put: (items: never[]) => Promise<unknown>;
  putMany: (items: never[]) => Promise<'kept' | 'held'>;
  join: (a: never, b: never) => unknown;
}
/** All that is kept one by one, and all that is kept whole. */
export const COLLECTIONS = [
  LOG,
  PLANS,
  BOATS,
  KEPT_SETTINGS,
  CORRECTIONS,
  SCREENS,
  DAYS,
  SITTINGS,
  FILES,
  OWN_FISH,
] as unknown as AnyCollection[];
export const DOCUMENTS = [PREFERENCES, PLAN, PASS, DECK] as unknown as KeptDocument<object, object>[];

/** What was set aside is called, by where it lay. */
const NAMES: readonly [prefix: string, name: string][] = [
  ['log', 'Log'],
  ['plans', 'Plan'],
  ['plan', 'Present plan'],
  ['boats', 'Boat'],
  ['bench', 'Bench'],
  ['settings', 'Saved settings'],
  ['corrections', 'Corrections'],
  ['screens', 'Screen calibration'],
  ['days', 'Day'],
  ['training', 'Drill'],
  ['files', 'Recording'],
  ['own-fish', 'Caught fish'],
  ['unit', 'Scales of your unit'],
  ['preferences', 'Preferences'],
];

/** A plain name for something set aside. */
export const asideName = ({ from }: Aside): string =>
  NAMES.find(([prefix]) => from === prefix || from.startsWith(`${prefix}/`))?.[1] ?? 'Something saved';

/** All that is set aside on this device. Rejects when the storage fails. */
export const setAsideThings = (): Promise<Aside[]> => listAside(appKeeper());

export const forgetAside = (key: string): Promise<void> => dropAside(appKeeper(), key);

/** Brings something set aside back, as far as it can be opened; it stays set aside otherwise. */
export async function bringBack(aside: Aside): Promise<Result> {
  const keeper = appKeeper();
  const { from, text } = aside;
  const old = OLD_LISTS.find((list) => list.key === from);
  if (old) {
    const collection = COLLECTIONS.find((c) => c.prefix === old.prefix)!;
    const { items, whole } = oldItems(old, text);
    const good = items
      .map((item, index) => openData(old.format, 1, old.withId ? old.withId(item, index) : item))
      .filter((opened) => opened.ok)
      .map((opened) => opened.value);
    if (good.length === 0) return refused('Nothing of it can be opened. Export it to look at it.', 'damaged');
    await collection.put(good);
    // What could not be opened stays.
    if (whole && good.length === items.length) await dropAside(keeper, aside.key);
    return DONE;
  }
  const collection = COLLECTIONS.find((c) => from.startsWith(c.prefix));
  if (collection) {
    const opened = openText(collection.format, text);
    if (!opened.ok) return opened;
    await collection.put([opened.value as never]);
    await dropAside(keeper, aside.key);
    return DONE;
  }
  const document = DOCUMENTS.find((d) => d.key === from);
  if (!document) return refused('This app cannot open this any more. Export it to keep it.', 'foreign');
  const opened = openText(document.format, text);
  if (!opened.ok) return opened;
  const before = document.pick(document.store.getState());
  document.store.setState(document.put(opened.value));
  await dropAside(keeper, aside.key);
  notify(`Brought back: ${asideName(aside)}.`, () => document.store.setState(document.put(before)));
  return DONE;
}

/** Whether a key is of a list that older versions kept whole. */
export const isOldList = (key: string): boolean => OLD_LISTS.some((list) => list.key === key);

/** Everything on this device: each key with its text as it stands, what is not written yet included. */
export async function everythingKept(): Promise<Record<string, string>> {
  const { storage, writer } = appKeeper();
  const data: Record<string, string> = {};
  try {
    const keys = await storage.getAllKeys();
    for (const [key, text] of Object.entries(await storage.getMany(keys)))
      if (text !== null) data[key] = text;
  } catch {
    // A storage that does not answer keeps what it has; what is held here goes out all the same.
  }
  for (const key of writer.heldKeys()) {
    const text = writer.held(key);
    if (typeof text === 'string') data[key] = text;
    else delete data[key];
  }
  return data;
}

/** Tries again to read what is kept, and to write what is held. */
export async function retryKeeping(): Promise<void> {
  appKeeper().writer.retry();
  await loadStores();
}

/** Starts with the plan and bench a new user has: the present ones are set aside, not deleted, with what is not written yet. */
export async function startWithoutPlan(): Promise<void> {
  const keeper = appKeeper();
  const documents = [PLAN, PASS] as unknown as KeptDocument<object, object>[];
  for (const { store, key, format, pick } of documents) {
    const stored = await keeper.storage.getItem(key);
    const first = writeText(format, pick(store.getInitialState()));
    const shown = writeText(format, pick(store.getState()));
    // What a newer version wrote was never shown.
    const foreign = stored !== null && !openText(format, stored).ok;
    if (stored !== null || shown !== first) await setAside(keeper, key, foreign ? stored : shown);
  }
  for (const { store, pick, put } of documents) store.setState(put(pick(store.getInitialState())));
}
