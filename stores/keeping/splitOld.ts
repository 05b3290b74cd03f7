import { openData, parseJson, wholeObjects, writeText, type Format } from '@/core/formats';
import { setAside } from './aside';
import type { Keeper } from './keeper';
import { inSlices } from './slices';

/** A list that older versions kept whole under one key. */
export interface OldList<T extends { id: string }> {
  key: string;
  /** Name of the list in its text, for one that breaks off. */
  listName: string;
  /** The list itself in what was kept. */
  listOf: (data: unknown) => unknown;
  /** What an item is known by when it has no id yet. */
  withId?: (item: unknown, index: number) => unknown;
  prefix: string;
  format: Format<T>;
}

const AT_A_TIME = 100;

const fieldOf = (data: unknown, name: string): unknown =>
  typeof data === 'object' && data !== null ? (data as Record<string, unknown>)[name] : undefined;

/** Items of an old list's text, as far as they are whole; `whole` is false when the text itself was damaged. */
export function oldItems(
  { listName, listOf }: Pick<OldList<never>, 'listName' | 'listOf'>,
  text: string,
): {
  items: unknown[];
  whole: boolean;
} {
  const json = parseJson(text, 'list');
  const list = json.ok ? listOf(fieldOf(json.value, 'data')) : undefined;
  if (Array.isArray(list)) return { items: list, whole: true };
  return { items: wholeObjects(text, listName).map((part) => JSON.parse(part) as unknown), whole: false };
}

/**
 * Gives every item of an old list a key of its own, so that one that is damaged costs that one alone. An item whose key is
 * taken is there already. Returns how many were damaged and set aside.
 */
export async function splitOld<T extends { id: string }>(keeper: Keeper, old: OldList<T>): Promise<number> {
  const { storage } = keeper;
  const text = await storage.getItem(old.key);
  if (text === null) return 0;
  const { items, whole } = oldItems(old, text);
  const there = new Set(await storage.getAllKeys());
  const texts: [string, string][] = [];
  const damaged: [string, string][] = [];
  await inSlices(items, (item, index) => {
    const named = old.withId ? old.withId(item, index) : item;
    const opened = openData(old.format, 1, named);
    if (opened.ok) {
      const key = `${old.prefix}${opened.value.id}`;
      if (!there.has(key)) texts.push([key, writeText(old.format, opened.value)]);
    } else
      damaged.push([`${old.prefix}${old.key}-${index + 1}`, JSON.stringify({ version: 1, data: named })]);
  });
  for (let i = 0; i < texts.length; i += AT_A_TIME)
    await storage.setMany(Object.fromEntries(texts.slice(i, i + AT_A_TIME)));
  for (const [key, part] of damaged) await setAside(keeper, key, part);
  if (whole) await storage.removeMany([old.key]);
  else await setAside(keeper, old.key, text);
  return damaged.length + (whole ? 0 : 1);
}
