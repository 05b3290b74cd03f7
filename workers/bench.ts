import { createWorkerClient, type WorkerClient, type WorkerLike } from './client';

let client: WorkerClient | null = null;

/** The app's one bench worker, started at first use. */
export function benchWorker(): WorkerClient {
  client ??= createWorkerClient(
    () => new Worker(new URL('./bench.worker', import.meta.url)) as unknown as WorkerLike,
  );
  return client;
}
