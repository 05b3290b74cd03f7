import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { noticeStore } from './notices';
import { persist, type KeyValue } from './persist';

interface State {
  size: number;
  passing: string;
}
const Saved = v.object({ size: v.number() });

function memory(
  initial: Record<string, string> = {},
): KeyValue & { data: Map<string, string>; writes: number; fail?: Error } {
  const data = new Map(Object.entries(initial));
  return {
    data,
    writes: 0,
    getItem: async (key) => data.get(key) ?? null,
    async setItem(key, value) {
      if (this.fail) throw this.fail;
      this.writes++;
      data.set(key, value);
    },
  };
}

const begin = (storage: KeyValue, extra: object = {}) => {
  const store = createStore<State>(() => ({ size: 1, passing: '' }));
  const loaded = persist<State, { size: number }>({
    store,
    key: 'k',
    label: 'Your sizes',
    version: 2,
    schema: Saved,
    pick: ({ size }) => ({ size }),
    put: (saved) => saved,
    storage,
    delayMs: 5,
    ...extra,
  });
  return { store, loaded };
};
const rest = (): Promise<void> => new Promise((done) => setTimeout(done, 30));
const said = (): string =>
  noticeStore
    .getState()
    .notices.map((n) => n.text)
    .join('\n');

beforeEach(() => noticeStore.setState({ notices: [] }));

it('reads what was kept and keeps what changes', async () => {
  const storage = memory({ k: '{"version":2,"data":{"size":7}}' });
  const { store, loaded } = begin(storage);
  expect(await loaded).toBe(true);
  expect(store.getState().size).toBe(7);
  store.setState({ size: 8 });
  await rest();
  expect(JSON.parse(storage.data.get('k')!)).toEqual({ version: 2, data: { size: 8 } });
});

it('never writes before it has read', async () => {
  const storage = memory({ k: '{"version":2,"data":{"size":7}}' });
  const { store, loaded } = begin(storage);
  store.setState({ size: 99 });
  await loaded;
  expect(store.getState().size).toBe(7);
  expect(storage.writes).toBe(0);
});

it('does not write for what it does not keep', async () => {
  const storage = memory();
  const { store, loaded } = begin(storage);
  await loaded;
  store.setState({ passing: 'x' });
  await rest();
  expect(storage.writes).toBe(0);
});

it.each(['{', '{"version":2,"data":{"size":"big"}}', '{"version":9,"data":{"size":1}}', '[]'])(
  'sets damaged text %s aside and says so',
  async (text) => {
    const storage = memory({ k: text });
    const { store, loaded } = begin(storage);
    expect(await loaded).toBe(true);
    expect(store.getState().size).toBe(1);
    expect(storage.data.get('k.damaged.1')).toBe(text);
    expect(said()).toMatch(/Your sizes.*set aside, not deleted/);
  },
);

it('keeps a second damage beside the first', async () => {
  const storage = memory({ k: 'two', 'k.damaged.1': 'one' });
  await begin(storage).loaded;
  expect(storage.data.get('k.damaged.1')).toBe('one');
  expect(storage.data.get('k.damaged.2')).toBe('two');
});

it('migrates what an older version kept', async () => {
  const storage = memory({ k: '{"version":1,"data":{"cm":200}}' });
  const migrate = (data: unknown) => ({ size: (data as { cm: number }).cm / 100 });
  const { store, loaded } = begin(storage, { migrate });
  await loaded;
  expect(store.getState().size).toBe(2);
});

it('leaves damage alone when it cannot be set aside', async () => {
  const storage = memory({ k: '{' });
  storage.fail = new Error('full');
  const { store, loaded } = begin(storage);
  expect(await loaded).toBe(false);
  storage.fail = undefined;
  store.setState({ size: 5 });
  await rest();
  expect(storage.data.get('k')).toBe('{');
  expect(said()).toMatch(/will not be kept/);
});

it('says when the device is full', async () => {
  const storage = memory();
  const { store, loaded } = begin(storage);
  await loaded;
  storage.fail = new Error('QuotaExceeded');
  store.setState({ size: 3 });
  await rest();
  expect(said()).toMatch(/could not be kept.*QuotaExceeded/);
});
