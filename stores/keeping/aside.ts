import type { Keeper } from './keeper';

/** Something kept that could not be opened, set aside and not deleted. */
export interface Aside {
  /** Where it lies now, and the key it lay under. */
  key: string;
  from: string;
  text: string;
}

const PREFIX = 'aside/';
/** How older versions named what they set aside. */
const OLD = /^(.+)\.damaged\.\d+$/;

/** The key something set aside lay under; null for what is not set aside. */
function originOf(key: string): string | null {
  if (key.startsWith(PREFIX)) return key.slice(PREFIX.length).replace(/^\d+\//, '');
  return OLD.exec(key)?.[1] ?? null;
}

/** Whether a key is one of what was set aside. */
export const isAside = (key: string): boolean => originOf(key) !== null;

/** Lays a text aside under a key of its own, so that a second damage does not cover the first; the text that was there goes. */
export async function setAside({ storage }: Keeper, from: string, text: string): Promise<void> {
  const keys = new Set(await storage.getAllKeys());
  let n = 1;
  while (keys.has(`${PREFIX}${n}/${from}`)) n++;
  await storage.setMany({ [`${PREFIX}${n}/${from}`]: text });
  await storage.removeMany([from]);
}

/** All that is set aside. */
export async function listAside({ storage }: Keeper): Promise<Aside[]> {
  const keys = (await storage.getAllKeys()).filter(isAside);
  const texts = await storage.getMany(keys);
  return keys.map((key) => ({ key, from: originOf(key)!, text: texts[key] ?? '' }));
}

/** Forgets something set aside. */
export const dropAside = ({ storage }: Keeper, key: string): Promise<void> => storage.removeMany([key]);
