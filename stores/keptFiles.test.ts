import type { FileKeeper } from './keeping/files';
import { deleteKeptFile, keepFile, keptFile, keptFileStore, sweepFiles } from './keptFiles';
import { noticeStore } from './notices';

const mockHeld = new Map<string, Blob>();
let mockFull = false;
jest.mock('./keeping/loadFiles', () => ({
  loadFiles: (): Promise<FileKeeper> =>
    Promise.resolve({
      get: (id) => Promise.resolve(mockHeld.get(id)),
      put: (id, file) => {
        if (mockFull) return Promise.reject(new Error('QuotaExceededError'));
        mockHeld.set(id, file);
        return Promise.resolve();
      },
      drop: (id) => Promise.resolve(void mockHeld.delete(id)),
      ids: () => Promise.resolve([...mockHeld.keys()]),
    }),
}));
jest.mock('./keeping/keeper', () => {
  const { createKeeper } = jest.requireActual<typeof import('./keeping/keeper')>('./keeping/keeper');
  const { memoryStorage, memoryTabs } =
    jest.requireActual<typeof import('./keeping/memory')>('./keeping/memory');
  const keeper = createKeeper(memoryStorage(), memoryTabs()());
  return { appKeeper: () => keeper };
});

const file = (text: string): Blob => ({ size: text.length }) as Blob;
const notices = (): string[] => noticeStore.getState().notices.map((n) => n.text);

describe('kept files', () => {
  it('are there until they are deleted, and come back by undo', async () => {
    await keepFile({ id: 'a', name: 'lake.nc', screen: null }, file('pings'));
    expect(keptFileStore.getState().kept).toMatchObject([{ id: 'a', name: 'lake.nc', bytes: 5 }]);
    expect((await keptFile('a'))?.file).toBe(mockHeld.get('a'));
    await deleteKeptFile('a', 20);
    expect(keptFileStore.getState().kept).toEqual([]);
    expect(await keptFile('a')).toBeNull();
    const { undo } = noticeStore.getState().notices.find((n) => n.text === 'Deleted “lake.nc”.')!;
    undo!();
    await new Promise((resolve) => setTimeout(resolve, 60));
    expect(keptFileStore.getState().kept).toMatchObject([{ id: 'a', bytes: 5 }]);
    expect(mockHeld.has('a')).toBe(true);
  });
  it('that were deleted and not taken back are gone from the device a while later', async () => {
    await keepFile({ id: 'gone', name: 'old.nc', screen: null }, file('w'));
    await deleteKeptFile('gone', 20);
    expect(mockHeld.has('gone')).toBe(true);
    await new Promise((resolve) => setTimeout(resolve, 60));
    expect(mockHeld.has('gone')).toBe(false);
  });
  it('say so when there is no room, and nothing is listed that is not there', async () => {
    mockFull = true;
    await keepFile({ id: 'b', name: 'hour.nc', screen: null }, file('x'));
    mockFull = false;
    expect(notices()).toContain('There is no room to keep hour.nc here. It is open until you close the app.');
    expect(await keptFile('b')).toBeNull();
  });
  it('leave nothing behind that nobody speaks of', async () => {
    mockHeld.set('lost', file('y'));
    const sweeping = sweepFiles(60);
    // One that is just being kept is known a moment later.
    mockHeld.set('c', file('z'));
    await keepFile({ id: 'c', name: 'new.nc', screen: null }, file('z'));
    await sweeping;
    expect([...mockHeld.keys()]).toEqual(['a', 'c']);
  });
});
