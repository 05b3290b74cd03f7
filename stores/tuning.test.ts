import type { Judged } from '@/core/bench/judgedPicture';
import type { Move } from '@/core/bench/nextMove';
import type { FromWorker, ToWorker } from '@/workers/protocol';
import { createWorkerClient, type WorkerLike } from '@/workers/client';
import { changeSettings, passStore } from './pass';
import { leaveTuning, startWalk, tuningStore } from './tuning';

const worker: WorkerLike & { asked: ToWorker[] } = {
  onmessage: null,
  onerror: null,
  onmessageerror: null,
  asked: [],
  postMessage: (message: ToWorker) => worker.asked.push(message),
  terminate: () => undefined,
};
const mockClient = createWorkerClient(() => worker);
jest.mock('@/workers', () => ({
  ...jest.requireActual<object>('@/workers/client'),
  sideWorker: () => mockClient,
}));

const judged: Judged = {
  score: 0.5,
  lead: 0.5,
  found: 2,
  fish: 4,
  specks: 0,
  bedRoom: 1,
  columns: 9,
  rows: 3,
};
const move = (gainDb: number): Move => ({
  control: 'gain',
  change: { gainDb },
  before: judged,
  after: judged,
});
const moves = [move(3), move(5), move(4)];

/** Tells of the first moves of the walk that was asked for last, or of all and that there are no more. */
const tell = (many: number, whole = false): void => {
  const { id } = worker.asked.at(-1)!;
  const result = { kind: 'solve' as const, moves: moves.slice(0, many), now: judged };
  const data: FromWorker = whole
    ? { type: 'done', id, result, workMs: 1 }
    : { type: 'part', id, part: { share: many / 12, result } };
  worker.onmessage!({ data } as MessageEvent<FromWorker>);
};
const gain = (): number => passStore.getState().settings.gainDb;
const walkNow = () => tuningStore.getState().walk;

beforeEach(() => {
  jest.useFakeTimers();
  changeSettings({ gainDb: 0 });
});
afterEach(() => {
  tell(3, true);
  leaveTuning();
  jest.useRealTimers();
});

describe('a walk to a tuned picture', () => {
  it('makes its first move while the others are still looked for, and goes on a move at a time', async () => {
    const walk = startWalk();
    await Promise.resolve();
    expect(walkNow()).toMatchObject({ made: 0, going: true, seeking: true });
    tell(1);
    expect(gain()).toBe(3);
    expect(walkNow()).toMatchObject({ made: 1, going: true, seeking: true });
    // The next comes late: it is made as soon as it is there.
    jest.advanceTimersByTime(5000);
    expect(walkNow()).toMatchObject({ made: 1, going: true });
    tell(2);
    expect(gain()).toBe(5);
    tell(3);
    expect(gain()).toBe(5);
    tell(3, true);
    await walk;
    expect(walkNow()).toMatchObject({ made: 2, going: true, seeking: false });
    jest.advanceTimersByTime(5000);
    expect(gain()).toBe(4);
    expect(walkNow()).toMatchObject({ made: 3, going: false });
  });

  it('is over when a hand turns a dial', async () => {
    const walk = startWalk();
    await Promise.resolve();
    tell(1);
    changeSettings({ gainDb: 9 });
    tell(2);
    jest.advanceTimersByTime(5000);
    expect(gain()).toBe(9);
    tell(3, true);
    await walk;
    expect(walkNow()).toMatchObject({ made: 1, going: false });
  });

  it('says so where there is nothing to better', async () => {
    const walk = startWalk();
    await Promise.resolve();
    tell(0, true);
    await walk;
    expect(walkNow()).toEqual({ moves: [], made: 0, seeking: false, going: false });
    expect(gain()).toBe(0);
  });
});
