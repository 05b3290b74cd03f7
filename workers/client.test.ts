import { FIRST_BRIEF, startSetup } from '@/core/advice';
import { briefPass } from '@/core/bench/passSource';
import { GENERIC_RIG } from '@/core/rig';
import { createWorkerClient, TaskFailed, type WorkerLike } from './client';
import type { ReadTask, ToWorker } from './protocol';

const task: ReadTask = {
  kind: 'read',
  pass: briefPass(FIRST_BRIEF, GENERIC_RIG, 1),
  settings: startSetup(FIRST_BRIEF, GENERIC_RIG).settings,
  given: null,
};

class FakeWorker implements WorkerLike {
  sent: ToWorker[] = [];
  terminated = false;
  onmessage: WorkerLike['onmessage'] = null;
  onerror: WorkerLike['onerror'] = null;
  onmessageerror: WorkerLike['onmessageerror'] = null;
  postMessage(message: ToWorker): void {
    this.sent.push(message);
  }
  terminate(): void {
    this.terminated = true;
  }
  answer(id: number, workMs = 1): void {
    this.onmessage?.({ data: { type: 'done', id, result: { kind: 'read', id } as never, workMs } });
  }
}

function bench(deadlineMs?: number) {
  const workers: FakeWorker[] = [];
  const client = createWorkerClient(() => {
    workers.push(new FakeWorker());
    return workers[workers.length - 1]!;
  }, deadlineMs);
  return { client, workers };
}

const codeOf = (work: Promise<unknown>): Promise<string> =>
  work.then(
    () => 'done',
    (error: unknown) => (error instanceof TaskFailed ? error.code : 'other'),
  );

it('does one task at a time, in order of lanes', async () => {
  const { client, workers } = bench();
  const a = client.run(task, { lane: 'a' });
  const b = client.run(task, { lane: 'b' });
  expect(workers[0]!.sent).toHaveLength(1);
  workers[0]!.answer(1, 7);
  expect((await a).workMs).toBe(7);
  expect(workers[0]!.sent).toHaveLength(2);
  workers[0]!.answer(2);
  await b;
});

it('lets a newer task of a lane take the place of older ones', async () => {
  const { client, workers } = bench();
  const first = codeOf(client.run(task, { lane: 'a' }));
  const second = codeOf(client.run(task, { lane: 'a' }));
  const third = codeOf(client.run(task, { lane: 'a' }));
  expect(await second).toBe('superseded');
  workers[0]!.answer(1);
  expect(await first).toBe('superseded');
  workers[0]!.answer(3);
  expect(await third).toBe('done');
});

it('tells stages as they come', async () => {
  const { client, workers } = bench();
  const stages: string[] = [];
  const work = client.run(task, { lane: 'a', onStage: (s) => stages.push(s) });
  workers[0]!.onmessage?.({ data: { type: 'stage', id: 1, stage: 'sounding' } });
  workers[0]!.answer(1);
  await work;
  expect(stages).toEqual(['sounding']);
});

it('hands on what the worker refused', async () => {
  const { client, workers } = bench();
  const work = client.run(task, { lane: 'a' });
  workers[0]!.onmessage?.({ data: { type: 'failed', id: 1, code: 'bad-input', message: 'no such beam' } });
  await expect(work).rejects.toThrow('no such beam');
});

it('settles on a crash and goes on with a new worker', async () => {
  const { client, workers } = bench();
  const lost = codeOf(client.run(task, { lane: 'a' }));
  const next = client.run(task, { lane: 'b' });
  workers[0]!.onerror?.({ message: 'out of memory' });
  expect(await lost).toBe('crashed');
  expect(workers[0]!.terminated).toBe(true);
  workers[1]!.answer(2);
  await next;
});

it('settles at the deadline', async () => {
  const { client, workers } = bench(10);
  expect(await codeOf(client.run(task, { lane: 'a' }))).toBe('deadline');
  expect(workers[0]!.terminated).toBe(true);
});

it('cancels what waits and stops what works', async () => {
  const { client, workers } = bench();
  const working = codeOf(client.run(task, { lane: 'a' }));
  const waiting = codeOf(client.run(task, { lane: 'b' }));
  client.cancel('b');
  expect(await waiting).toBe('cancelled');
  expect(workers[0]!.terminated).toBe(false);
  client.cancel('a');
  expect(await working).toBe('cancelled');
  expect(workers[0]!.terminated).toBe(true);
});

it('says when a worker cannot even start', async () => {
  const client = createWorkerClient(() => {
    throw new Error('no workers here');
  });
  await expect(client.run(task, { lane: 'a' })).rejects.toThrow('no workers here');
});

it('is started before its first task, and ended when it has nothing to do', async () => {
  const { client, workers } = bench();
  client.begin();
  client.begin();
  expect(workers).toHaveLength(1);
  const done = client.run(task, { lane: 'a' });
  client.end();
  expect(workers[0]!.terminated).toBe(false);
  workers[0]!.answer(workers[0]!.sent[0]!.id);
  await done;
  client.end();
  expect(workers[0]!.terminated).toBe(true);
  const again = client.run(task, { lane: 'a' });
  expect(workers).toHaveLength(2);
  client.cancel('a');
  await expect(codeOf(again)).resolves.toBe('cancelled');
});
