import { demoWeek } from '@/core/logbook/demoWeek';
import { biteRates } from '@/core/logbook/biteRates';
import { fishedDay } from '@/core/logbook/fishedHours';
import type { FromWorker, Task, ToWorker } from '@/workers/protocol';
import { createWorkerClient, type WorkerLike } from '@/workers/client';

/** A worker of the log: its own days, gone when it is. */
class LogWorker implements WorkerLike {
  onmessage: WorkerLike['onmessage'] = null;
  onerror: WorkerLike['onerror'] = null;
  onmessageerror: WorkerLike['onmessageerror'] = null;
  private scope: { onmessage: ((event: { data: ToWorker }) => void) | null } = { onmessage: null };

  constructor() {
    jest.isolateModules(() => {
      const { answerWith } =
        jest.requireActual<typeof import('@/workers/tasks/answer')>('@/workers/tasks/answer');
      const { askLog, takeDay } =
        jest.requireActual<typeof import('@/workers/tasks/days')>('@/workers/tasks/days');
      const post = (data: FromWorker) => this.onmessage?.({ data });
      answerWith(Object.assign(this.scope, { postMessage: post }) as never, (task) => {
        mockSent.push(task);
        if (task.kind === 'take-day') return takeDay(task);
        if (task.kind === 'ask-log') return askLog(task);
        throw new Error(task.kind);
      });
    });
  }
  postMessage(message: ToWorker): void {
    void Promise.resolve().then(() => this.scope.onmessage?.({ data: message }));
  }
  terminate(): void {
    this.scope.onmessage = null;
  }
}

const mockSent: Task[] = [];
const workers: LogWorker[] = [];
const mockClient = createWorkerClient(() => {
  const worker = new LogWorker();
  workers.push(worker);
  return worker;
});
jest.mock('@/workers', () => ({
  ...jest.requireActual<object>('@/workers/client'),
  logWorker: () => mockClient,
}));

const { askLog } = jest.requireActual<typeof import('./logAnswers')>('./logAnswers');

const taken = (): string[] => mockSent.flatMap((t) => (t.kind === 'take-day' ? [t.day.id] : []));

describe('what the log is asked', () => {
  const week = demoWeek();
  const ids = week.map((d) => d.id);
  beforeEach(() => {
    mockSent.length = 0;
  });

  it('is answered of days each given once, whoever asks', async () => {
    const [bites, calls] = await Promise.all([
      askLog(week, { of: 'bites', by: 'lure' }),
      askLog(week, { of: 'calls' }),
    ]);
    const offset = -new Date().getTimezoneOffset();
    const fished = week.map((day) => fishedDay(day, offset));
    expect(bites).toEqual({ of: 'bites', by: 'lure', bites: biteRates(fished, 'lure') });
    expect(calls.calls.all.of).toBeGreaterThan(0);
    expect(taken()).toEqual(ids);
  });

  it('a day that changed is given again, and one taken away counts no more', async () => {
    const changed = [{ ...week[0]!, bites: [] }, ...week.slice(1, -1)];
    const { bites } = await askLog(changed, { of: 'bites', by: 'lure' });
    const all = await askLog(week.slice(1, -1), { of: 'bites', by: 'lure' });
    expect(taken()).toEqual([week[0]!.id]);
    expect(bites).toEqual(all.bites);
  });

  it('a worker begun anew is given all of them', async () => {
    await askLog(week, { of: 'calls' });
    mockSent.length = 0;
    workers.at(-1)!.onerror?.({ message: 'gone' });
    const answer = await askLog(week, { of: 'calls' });
    expect(answer.calls.all.of).toBeGreaterThan(0);
    expect(taken()).toEqual(ids);
  });
});
