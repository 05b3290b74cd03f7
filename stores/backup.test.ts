import type * as Stores from '.';
import type * as BackupStore from './backup';
import type * as Memory from './keeping/memory';
import { demoDay } from '@/core/logbook/demoDay';

type Texts = Record<string, string>;
const A_AT = '2026-11-20T18:00:00.000Z';
const B_AT = '2026-11-25T18:00:00.000Z';

/** A device of its own: the app freshly loaded over a storage that holds these texts. */
async function device(
  texts: Texts = {},
): Promise<typeof Stores & typeof BackupStore & { storage: Memory.MemoryStorage }> {
  jest.resetModules();
  const { memoryStorage } = jest.requireActual<typeof Memory>('./keeping/memory');
  const storage = memoryStorage(texts);
  jest.doMock('@react-native-async-storage/async-storage', () => ({ createAsyncStorage: () => storage }));
  const stores = jest.requireActual<typeof Stores>('.');
  await stores.loadStores();
  return { ...stores, ...jest.requireActual<typeof BackupStore>('./backup'), storage };
}

/** Documents are written a moment after they change. */
const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 700));

/** What is kept, what was set aside by what it is and not by its number. */
const keptOn = ({ storage }: { storage: Memory.MemoryStorage }): (readonly [string, unknown])[] =>
  [...storage.data]
    .filter(([key]) => key !== 'restored')
    .map(([key, text]) => [key.replace(/^aside\/\d+\//, 'aside/'), JSON.parse(text) as unknown] as const)
    .sort((p, q) => (JSON.stringify(p) < JSON.stringify(q) ? -1 : 1));

const day = (id: string, note: string): string =>
  JSON.stringify({
    format: 'nimble-echo-day',
    version: 1,
    data: { ...demoDay(), track: [], marks: [], id, note },
  });

/** What a user does on a device: units, a brief, two days. */
async function used(units: 'metric' | 'feet', toM: number, days: Texts): Promise<Texts> {
  const one = await device(days);
  one.setUnits(units);
  one.changeBrief({ toM });
  await settled();
  return one.everythingKept();
}

describe('a backup brought in', () => {
  let a: Texts;
  let b: Texts;
  beforeAll(async () => {
    a = await used('feet', 22, { 'days/x': day('x', 'of a'), 'days/same': day('same', 'of both') });
    b = await used('metric', 31, {
      'days/x': day('x', 'of b'),
      'days/same': day('same', 'of both'),
      'days/only': day('only', 'of b'),
    });
  });

  it('on an empty device is all that was there', async () => {
    const empty = await device();
    const restored = await empty.restoreBackup({ madeAt: A_AT, texts: a, files: {} });
    expect(restored).toMatchObject({ ok: true, value: { both: 0, aside: 0, documents: [] } });
    await settled();
    expect(Object.fromEntries(keptOn(empty))).toEqual(
      Object.fromEntries(Object.entries(a).map(([key, text]) => [key, JSON.parse(text) as unknown])),
    );
    expect(empty.planStore.getState().brief.toM).toBe(22);
    expect(empty.unitsOf(empty.preferenceStore.getState())).toBe('feet');
    // A second time there is nothing new in it.
    expect(await empty.restoreBackup({ madeAt: A_AT, texts: a, files: {} })).toMatchObject({
      ok: true,
      value: { added: 0 },
    });
  });

  it('of two devices comes to the same in either order, and both of what differed are kept', async () => {
    const orders = [
      [
        { madeAt: A_AT, texts: a, files: {} },
        { madeAt: B_AT, texts: b, files: {} },
      ],
      [
        { madeAt: B_AT, texts: b, files: {} },
        { madeAt: A_AT, texts: a, files: {} },
      ],
    ];
    const kept: unknown[] = [];
    for (const order of orders) {
      const one = await device();
      for (const backup of order) {
        expect(await one.restoreBackup(backup)).toMatchObject({ ok: true });
        await settled();
      }
      const notes = one.dayStore.getState().days.map((d) => d.note);
      expect(notes.sort()).toEqual(['of a', 'of b', 'of b', 'of both']);
      // The newer backup's plan is in use, the other is set aside.
      expect(one.planStore.getState().brief.toM).toBe(31);
      expect(
        (await one.setAsideThings()).some(({ from, text }) => from === 'plan' && text.includes('22')),
      ).toBe(true);
      kept.push(keptOn(one));
    }
    expect(kept[0]).toEqual(kept[1]);
  });

  it('joins what two devices said of one pass, in either order the same', async () => {
    const text = (corrections: object[]): Texts => ({
      'corrections/p1': JSON.stringify({
        format: 'nimble-echo-corrections',
        version: 1,
        data: { id: 'p1', title: 'Shelf', corrections },
      }),
    });
    const place = { timeS: 5, rangeM: 6, was: 'fish' };
    const mine = text([{ change: 'agreed', ...place }]);
    const theirs = text([{ change: 'renamed', ...place, is: 'weed' }]);
    const results: unknown[] = [];
    for (const order of [
      [mine, theirs],
      [theirs, mine],
    ]) {
      const one = await device();
      for (const [k, texts] of order.entries())
        expect(await one.restoreBackup({ madeAt: A_AT, texts, files: {} })).toMatchObject({
          ok: true,
          value: { both: k },
        });
      await settled();
      const [kept, ...others] = keptOn(one).filter(([key]) => key.startsWith('corrections/'));
      expect(others).toEqual([]);
      expect((kept![1] as { data: { corrections: unknown[] } }).data.corrections).toHaveLength(2);
      results.push(kept);
    }
    expect(results[0]).toEqual(results[1]);
  });

  it('leaves what is in use on a device of one’s own, and sets the other aside', async () => {
    const own = await device(b);
    const restored = await own.restoreBackup({ madeAt: A_AT, texts: a, files: {} });
    expect(restored).toMatchObject({ ok: true, value: { both: 1, same: 1 } });
    await settled();
    expect(own.planStore.getState().brief.toM).toBe(31);
    expect((await own.setAsideThings()).map((t) => t.from)).toContain('plan');
  });

  it('sets aside what cannot be opened, and takes the rest', async () => {
    const own = await device();
    const texts = {
      'days/bad': '{"format":"nimble-echo-day","version":1,"data":{}}',
      'days/x': a['days/x']!,
    };
    expect(await own.restoreBackup({ madeAt: A_AT, texts, files: {} })).toMatchObject({
      ok: true,
      value: { added: 1, aside: 1 },
    });
    expect((await own.setAsideThings()).map((t) => t.from)).toEqual(['days/bad']);
  });
});
