import { createWorkerClient, type WorkerClient, type WorkerLike } from './client';

const started = new Map<string, WorkerClient>();

/** A worker of the app's, started at first use. */
function once(name: string, spawn: () => Worker): WorkerClient {
  let client = started.get(name);
  if (!client) started.set(name, (client = createWorkerClient(() => spawn() as unknown as WorkerLike)));
  return client;
}

/** Simulates, draws and reads. */
export const benchWorker = (): WorkerClient =>
  once('bench', () => new Worker(new URL('./bench.worker', import.meta.url)));

/** Opens log files. */
export const filesWorker = (): WorkerClient =>
  once('files', () => new Worker(new URL('./files.worker', import.meta.url)));

/** Opens recording files; loaded only then, since its library is large. */
export const recordingWorker = (): WorkerClient =>
  once('recording', () => new Worker(new URL('./recording.worker', import.meta.url)));
