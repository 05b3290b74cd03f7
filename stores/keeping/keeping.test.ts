import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import type { Format } from '@/core/formats';
import { noticeStore } from '../notices';
import { listAside } from './aside';
import { keepCollection } from './collection';
import { keepDocument, mergeFields } from './document';
import { createKeeper, type Keeper } from './keeper';
import { memoryStorage, memoryTabs, type MemoryStorage } from './memory';
import { splitOld } from './splitOld';
import { keepingStore } from './status';
import { StorageSilent, timed } from './storage';

interface State {
  size: number;
  word: string;
  passing: string;
}
type Saved = Pick<State, 'size' | 'word'>;
const SIZES: Format<Saved> = {
  name: 'sizes',
  label: 'sizes',
  schema: v.object({ size: v.number(), word: v.optional(v.string(), '') }),
  migrations: [(data) => ({ size: (data as { cm: number }).cm / 100 })],
};
interface Thing {
  id: string;
  n: number;
}
const THINGS: Format<Thing> = {
  name: 'thing',
  label: 'thing',
  schema: v.object({ id: v.string(), n: v.number() }),
  migrations: [],
};

const keeperOf = (storage: MemoryStorage, tabs = memoryTabs()()): Keeper => createKeeper(storage, tabs);
const document = (keeper: Keeper) => {
  const store = createStore<State>(() => ({ size: 1, word: '', passing: '' }));
  const loaded = keepDocument<State, Saved>(keeper, {
    store,
    key: 'k',
    title: 'Your sizes',
    format: SIZES,
    pick: ({ size, word }) => ({ size, word }),
    put: (saved) => saved,
    delayMs: 5,
  });
  return { store, loaded };
};
const collection = (keeper: Keeper) => {
  const store = createStore<{ things: readonly Thing[] }>(() => ({ things: [] }));
  const things = keepCollection<{ things: readonly Thing[] }, Thing>(() => keeper, {
    store,
    prefix: 'things/',
    title: 'things',
    format: THINGS,
    withItems: ({ things: there }, more) => ({
      things: [...there.filter((t) => !more.some((m) => m.id === t.id)), ...more],
    }),
    withoutItem: ({ things: there }, id) => ({ things: there.filter((t) => t.id !== id) }),
  });
  return {
    store,
    things,
    ids: () =>
      store
        .getState()
        .things.map((t) => t.id)
        .sort(),
  };
};
const text = (version: number, data: unknown, format = 'sizes'): string =>
  JSON.stringify({ format, version, data });
const rest = (): Promise<void> => new Promise((done) => setTimeout(done, 30));
const said = (): string =>
  noticeStore
    .getState()
    .notices.map((n) => n.text)
    .join('\n');

beforeEach(() => {
  noticeStore.setState({ notices: [] });
  keepingStore.setState({ state: 'ok', waiting: 0 });
});

describe('a document', () => {
  it('is read, and written when what is kept of it changes', async () => {
    const storage = memoryStorage({ k: text(2, { size: 7 }) });
    const { store, loaded } = document(keeperOf(storage));
    await loaded;
    expect(store.getState().size).toBe(7);
    store.setState({ passing: 'x' });
    await rest();
    expect(storage.written).toEqual([]);
    store.setState({ size: 8 });
    await rest();
    expect(JSON.parse(storage.data.get('k')!)).toEqual({
      format: 'sizes',
      version: 2,
      data: { size: 8, word: '' },
    });
  });
  it('is never written before it was read, and what was changed meanwhile is kept', async () => {
    const storage = memoryStorage({ k: text(2, { size: 7, word: 'old' }) });
    const { store, loaded } = document(keeperOf(storage));
    store.setState({ size: 99 });
    expect(storage.written).toEqual([]);
    await loaded;
    expect(store.getState()).toMatchObject({ size: 99, word: 'old' });
    await rest();
    expect(JSON.parse(storage.data.get('k')!).data).toEqual({ size: 99, word: 'old' });
  });
  it('opens what older versions wrote, with and without a name', async () => {
    const { store, loaded } = document(keeperOf(memoryStorage({ k: '{"version":1,"data":{"cm":200}}' })));
    await loaded;
    expect(store.getState().size).toBe(2);
  });
  it.each(['{', '{"version":2,"data":{"size":"big"}}', '[]'])(
    'that is damaged, %s, is set aside and said',
    async (damaged) => {
      const storage = memoryStorage({ k: damaged });
      const keeper = keeperOf(storage);
      const { store, loaded } = document(keeper);
      await loaded;
      expect(store.getState().size).toBe(1);
      expect(await listAside(keeper)).toEqual([{ key: 'aside/1/k', from: 'k', text: damaged }]);
      expect(said()).toMatch(/Your sizes could not be opened\. It is set aside, not deleted/);
      store.setState({ size: 3 });
      await rest();
      expect(JSON.parse(storage.data.get('k')!).data.size).toBe(3);
    },
  );
  it('of a newer version is called that, left alone, and nothing is written over it', async () => {
    const newer = text(9, { sizes: [1] });
    const storage = memoryStorage({ k: newer });
    const { store, loaded } = document(keeperOf(storage));
    await loaded;
    expect(said()).toMatch(/newer version/);
    store.setState({ size: 4 });
    await rest();
    expect(storage.data.get('k')).toBe(newer);
  });
  it('changed in two tabs keeps what each has changed', async () => {
    const storage = memoryStorage({ k: text(2, { size: 1, word: 'a' }) });
    const tabs = memoryTabs();
    const [one, two] = [document(keeperOf(storage, tabs())), document(keeperOf(storage, tabs()))];
    await Promise.all([one.loaded, two.loaded]);
    one.store.setState({ size: 5 });
    two.store.setState({ word: 'b' });
    await rest();
    await rest();
    expect(JSON.parse(storage.data.get('k')!).data).toEqual({ size: 5, word: 'b' });
    for (const { store } of [one, two]) expect(store.getState()).toMatchObject({ size: 5, word: 'b' });
  });
  it('is merged field by field: what both changed is ours', () => {
    const base = { a: 1, b: [1], c: 'x' };
    expect(mergeFields(base, { ...base, a: 2, c: 'mine' }, { ...base, b: [2], c: 'theirs' })).toEqual({
      a: 2,
      b: [2],
      c: 'mine',
    });
  });
});

describe('a collection', () => {
  it('keeps each under a key of its own; one that is damaged costs that one, a newer one is left', async () => {
    const storage = memoryStorage({
      'things/a': text(1, { id: 'a', n: 1 }, 'thing'),
      'things/b': '{"half',
      'things/c': text(7, { id: 'c' }, 'thing'),
      other: 'x',
    });
    const keeper = keeperOf(storage);
    const { things, ids } = collection(keeper);
    await things.load();
    expect(ids()).toEqual(['a']);
    expect(said()).toMatch(/1 of your things could not be opened/);
    expect(said()).toMatch(/1 of your things were written by a newer version/);
    expect(storage.data.has('things/c')).toBe(true);
    expect((await listAside(keeper)).map((a) => [a.from, a.text])).toEqual([['things/b', '{"half']]);
    // Looked at again it is not lost again.
    noticeStore.setState({ notices: [] });
    await things.load();
    expect(said()).not.toMatch(/could not be opened/);
  });
  it('is written in one tab and there in the other, and taken away likewise', async () => {
    const storage = memoryStorage();
    const tabs = memoryTabs();
    const [one, two] = [collection(keeperOf(storage, tabs())), collection(keeperOf(storage, tabs()))];
    await Promise.all([one.things.load(), two.things.load()]);
    const put = (side: typeof one, name: string) =>
      side.things.put(Array.from({ length: 20 }, (_, k) => ({ id: `${name}${k}`, n: k })));
    expect(await Promise.all([put(one, 'a'), put(two, 'b')])).toEqual(['kept', 'kept']);
    await rest();
    for (const side of [one, two]) expect(side.ids()).toHaveLength(40);
    await one.things.remove('b3');
    await rest();
    expect(two.ids()).not.toContain('b3');
    expect(storage.data.size).toBe(39);
  });
  it('is said to be kept only once it is', async () => {
    const storage = memoryStorage();
    const { things } = collection(keeperOf(storage));
    const put = things.put([{ id: 'a', n: 1 }]);
    expect(storage.data.has('things/a')).toBe(false);
    expect(await put).toBe('kept');
    expect(storage.data.has('things/a')).toBe(true);
  });
});

describe('a full device', () => {
  it('holds what it has no room for, newest text a key, and writes it when there is some', async () => {
    const storage = memoryStorage();
    const keeper = keeperOf(storage);
    storage.fail = new Error('Quota exceeded');
    expect(await keeper.writer.put({ a: '1', b: '1' })).toBe('held');
    expect(await keeper.writer.put({ a: '2' })).toBe('held');
    expect(keepingStore.getState()).toEqual({ state: 'full', waiting: 2 });
    expect(keeper.writer.held('a')).toBe('2');
    storage.fail = null;
    keeper.writer.retry();
    await rest();
    expect(Object.fromEntries(storage.data)).toEqual({ a: '2', b: '1' });
    expect(keepingStore.getState()).toEqual({ state: 'ok', waiting: 0 });
  });
  it('tries again by itself', async () => {
    jest.useFakeTimers();
    const storage = memoryStorage();
    const keeper = keeperOf(storage);
    storage.fail = new Error('Quota exceeded');
    const put = keeper.writer.put({ a: '1' });
    await jest.advanceTimersByTimeAsync(1);
    expect(await put).toBe('held');
    storage.fail = null;
    await jest.advanceTimersByTimeAsync(5000);
    expect(storage.data.get('a')).toBe('1');
    jest.useRealTimers();
  });
  it('still writes what fits', async () => {
    const storage = memoryStorage();
    const keeper = keeperOf(storage);
    const { setMany } = storage;
    storage.setMany = (entries) =>
      'large' in entries ? Promise.reject(new Error('Quota exceeded')) : setMany(entries);
    await keeper.writer.put({ large: 'x', small: 'y' });
    expect(storage.data.get('small')).toBe('y');
    expect(keeper.writer.heldKeys()).toEqual(['large']);
    storage.setMany = setMany;
    keeper.writer.retry();
    await rest();
    expect(keeper.writer.heldKeys()).toEqual([]);
  });
});

it('a storage that does not answer is given up at a deadline', async () => {
  jest.useFakeTimers();
  const storage = memoryStorage();
  storage.silent = true;
  const asked = timed(storage, 3000)
    .getItem('k')
    .catch((error: unknown) => error);
  await jest.advanceTimersByTimeAsync(2999);
  const early = await Promise.race([asked, Promise.resolve('waiting')]);
  expect(early).toBe('waiting');
  await jest.advanceTimersByTimeAsync(1);
  expect(await asked).toBeInstanceOf(StorageSilent);
  jest.useRealTimers();
});

describe('a list that was kept whole', () => {
  const old = { key: 'list', listName: 'data', listOf: (x: unknown) => x, prefix: 'things/', format: THINGS };
  it('gives each of its items a key, sets a damaged one aside, and goes', async () => {
    const list = [
      { id: 'a', n: 1 },
      { id: 'b', n: 'two' },
      { id: 'c', n: 3 },
    ];
    const storage = memoryStorage({ list: JSON.stringify({ version: 1, data: list }) });
    const keeper = keeperOf(storage);
    expect(await splitOld(keeper, old)).toBe(1);
    expect([...storage.data.keys()].sort()).toEqual(['aside/1/things/list-2', 'things/a', 'things/c']);
    // Done once it is done.
    expect(await splitOld(keeper, old)).toBe(0);
  });
  it('that breaks off gives what is whole of it, and is set aside', async () => {
    const whole = JSON.stringify({
      version: 1,
      data: [
        { id: 'a', n: 1 },
        { id: 'b]}', n: 2 },
        { id: 'c', n: 3 },
      ],
    });
    const storage = memoryStorage({ list: whole.slice(0, -8) });
    const keeper = keeperOf(storage);
    expect(await splitOld(keeper, old)).toBe(1);
    expect([...storage.data.keys()].sort()).toEqual(['aside/1/list', 'things/a', 'things/b]}']);
  });
});
