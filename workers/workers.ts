import { createWorkerClient, type WorkerClient, type WorkerLike } from './client';

const started = new Map<string, WorkerClient>();

/** A worker of the app's, started at first use. */
function once(name: string, spawn: () => Worker): WorkerClient {
  let client = started.get(name);
  if (!client) started.set(name, (client = createWorkerClient(() => spawn() as unknown as WorkerLike)));
  return client;
}

const spawnBench = (): Worker => new Worker(new URL('./bench.worker', import.meta.url));

/** Simulates, draws and reads. */
export const benchWorker = (): WorkerClient => once('bench', spawnBench);

/** The same script a second time, for the second picture: both then have their new pings together. */
export const secondWorker = (): WorkerClient => once('second', spawnBench);

/** And a third, for what takes longer than a dial may wait: log files, scenes at a glance, the next move. */
export const sideWorker = (): WorkerClient => once('side', spawnBench);

/** And a fourth, which holds the days and answers what they are asked. */
export const logWorker = (): WorkerClient => once('log', spawnBench);

/** And a fifth, for what is tried while a plan is read: given up when it is left. */
export const trialWorker = (): WorkerClient => once('trial', spawnBench);

/** Opens recording files; loaded only then, since its library is large. */
export const recordingWorker = (): WorkerClient =>
  once('recording', () => new Worker(new URL('./recording.worker', import.meta.url)));
