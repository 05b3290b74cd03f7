import { TaskFailed } from '@/workers';
import { follow, RESTING, SILENCE_MS, type Asking } from './asking';

/** Something asked, answered by hand. */
function question() {
  let answer!: (value: string) => void;
  let fail!: (error: Error) => void;
  let stage!: Parameters<Parameters<typeof follow>[0]>[0];
  const reports: Asking[] = [];
  const taken: string[] = [];
  let wanted = true;
  const done = follow<string>(
    (onStage) => {
      stage = onStage;
      return new Promise((resolve, reject) => {
        answer = resolve;
        fail = reject;
      });
    },
    () => wanted,
    (asking) => reports.push(asking),
    (value) => taken.push(value),
  );
  return {
    done,
    reports,
    taken,
    answer: (value: string) => answer(value),
    fail: (error: Error) => fail(error),
    stage: (name: 'drawing' | 'sounding') => stage(name),
    leave: () => (wanted = false),
  };
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe('what is asked of a worker', () => {
  it('is taken when it comes, and rests', async () => {
    const q = question();
    q.stage('drawing');
    q.answer('picture');
    expect(await q.done).toBe(true);
    expect(q.taken).toEqual(['picture']);
    expect(q.reports.at(-1)).toBe(RESTING);
  });
  it('is dropped, with its stages and its failure, once nobody asks any more', async () => {
    const q = question();
    q.leave();
    q.stage('drawing');
    q.answer('picture of other water');
    expect(await q.done).toBe(false);
    expect(q.taken).toEqual([]);
    expect(q.reports).toEqual([]);
    const failing = question();
    failing.leave();
    failing.fail(new Error('late'));
    expect(await failing.done).toBe(false);
    expect(failing.reports).toEqual([]);
  });
  it('is said to be silent after two seconds without answer or stage', async () => {
    const q = question();
    await jest.advanceTimersByTimeAsync(SILENCE_MS - 1);
    expect(q.reports).toEqual([]);
    q.stage('sounding');
    await jest.advanceTimersByTimeAsync(SILENCE_MS - 1);
    expect(q.reports.at(-1)).toMatchObject({ silent: false });
    await jest.advanceTimersByTimeAsync(1);
    expect(q.reports.at(-1)).toEqual({ stage: 'sounding', silent: true, problem: null });
    q.answer('at last');
    await q.done;
    expect(q.reports.at(-1)).toBe(RESTING);
    await jest.advanceTimersByTimeAsync(SILENCE_MS);
    expect(q.reports.at(-1)).toBe(RESTING);
  });
  it('says in words what failed, and nothing of what a newer question replaced', async () => {
    const failed = question();
    failed.fail(new TaskFailed('bad-input', 'no such beam'));
    await failed.done;
    expect(failed.reports.at(-1)!.problem).toBe('no such beam');
    const stopped = question();
    stopped.fail(new TaskFailed('cancelled', 'Cancelled.'));
    await stopped.done;
    expect(stopped.reports.at(-1)!.problem).toMatch(/^Stopped/);
    const replaced = question();
    replaced.fail(new TaskFailed('superseded', 'x'));
    await replaced.done;
    expect(replaced.reports).toEqual([]);
  });
});
