import type { FailureCode, FromWorker, Part, ResultOf, Stage, Task, ToWorker } from './protocol';

/** The part of a Worker the client needs; tests pass one of their own. */
export interface WorkerLike {
  postMessage(message: ToWorker, transfer?: Transferable[]): void;
  terminate(): void;
  onmessage: ((event: { data: FromWorker }) => void) | null;
  onerror: ((event: { message?: string }) => void) | null;
  onmessageerror: (() => void) | null;
}

export class TaskFailed extends Error {
  constructor(
    readonly code: FailureCode,
    message: string,
  ) {
    super(message);
  }
}

export interface TaskOptions {
  /** Tasks of one lane supersede each other: only the newest counts. */
  lane: string;
  onStage?: (stage: Stage) => void;
  /** Told what is known while a long task is at work. */
  onPart?: (part: Part) => void;
  /** Buffers of the task that are handed over rather than copied. */
  transfer?: Transferable[];
}

export interface Outcome<T extends Task> {
  result: ResultOf<T>;
  /** Time spent in the worker, ms. */
  workMs: number;
}

export interface WorkerClient {
  run<T extends Task>(task: T, options: TaskOptions): Promise<Outcome<T>>;
  /** Gives up what a lane waits for; a task already at work is stopped with its worker. */
  cancel(lane: string): void;
  /** Starts the worker before there is anything to do: its first task then waits for no script. */
  begin(): void;
  /** Ends a worker that has nothing to do, and lets go of all it holds; its next task starts it anew. */
  end(): void;
}

/** No bench task takes this long on a slow phone; one that does is stuck. */
export const DEADLINE_MS = 30_000;

interface Waiting {
  id: number;
  task: Task;
  lane: string;
  onStage?: (stage: Stage) => void;
  onPart?: (part: Part) => void;
  transfer?: Transferable[];
  resolve: (outcome: { result: never; workMs: number }) => void;
  reject: (error: TaskFailed) => void;
}

/**
 * One worker, one task at a time. A newer task of a lane takes the place of an older one that still waits, and the
 * result of an older one at work is dropped. Every call settles: on an answer, a crash, a deadline or a cancel.
 */
export function createWorkerClient(spawn: () => WorkerLike, deadlineMs = DEADLINE_MS): WorkerClient {
  let worker: WorkerLike | null = null;
  let nextId = 1;
  let busy: Waiting | null = null;
  let deadline: ReturnType<typeof setTimeout> | null = null;
  const queue: Waiting[] = [];

  const fail = (waiting: Waiting, code: FailureCode, message: string): void =>
    waiting.reject(new TaskFailed(code, message));

  const finish = (): Waiting | null => {
    const done = busy;
    busy = null;
    if (deadline !== null) clearTimeout(deadline);
    deadline = null;
    return done;
  };

  const stopWorker = (code: FailureCode, message: string): void => {
    worker?.terminate();
    worker = null;
    const done = finish();
    if (done) fail(done, code, message);
    next();
  };

  const hear = (message: FromWorker): void => {
    if (!busy || message.id !== busy.id) return;
    if (message.type === 'stage') {
      busy.onStage?.(message.stage);
      return;
    }
    if (message.type === 'part') {
      // What gets on is not stuck.
      watch();
      busy.onPart?.(message.part);
      return;
    }
    const done = finish()!;
    // A newer task of the lane waits already: this answer is of yesterday.
    if (queue.some((w) => w.lane === done.lane)) fail(done, 'superseded', 'A newer request took its place.');
    else if (message.type === 'failed') fail(done, message.code, message.message);
    else done.resolve({ result: message.result as never, workMs: message.workMs });
    next();
  };

  const start = (): WorkerLike => {
    const fresh = spawn();
    fresh.onmessage = (event) => hear(event.data);
    fresh.onerror = (event) => stopWorker('crashed', event.message ?? 'The computation stopped.');
    fresh.onmessageerror = () => stopWorker('crashed', 'The computation sent something unreadable.');
    return fresh;
  };

  const watch = (): void => {
    if (deadline !== null) clearTimeout(deadline);
    deadline = setTimeout(
      () =>
        stopWorker('deadline', `The computation took longer than ${deadlineMs / 1000} s and was stopped.`),
      deadlineMs,
    );
  };

  const next = (): void => {
    if (busy) return;
    const waiting = queue.shift();
    if (!waiting) return;
    busy = waiting;
    try {
      worker ??= start();
      worker.postMessage({ id: waiting.id, task: waiting.task }, waiting.transfer ?? []);
      watch();
    } catch (error) {
      stopWorker('crashed', error instanceof Error ? error.message : String(error));
    }
  };

  return {
    run: (task, { lane, onStage, onPart, transfer }) =>
      new Promise((resolve, reject) => {
        for (let i = queue.length - 1; i >= 0; i--)
          if (queue[i]!.lane === lane)
            fail(queue.splice(i, 1)[0]!, 'superseded', 'A newer request took its place.');
        queue.push({
          id: nextId++,
          task,
          lane,
          onStage,
          onPart,
          transfer,
          resolve: resolve as Waiting['resolve'],
          reject,
        });
        next();
      }),
    begin: () => {
      try {
        worker ??= start();
      } catch {
        // The first task says so.
      }
    },
    end: () => {
      if (busy || queue.length > 0) return;
      worker?.terminate();
      worker = null;
    },
    cancel: (lane) => {
      for (let i = queue.length - 1; i >= 0; i--)
        if (queue[i]!.lane === lane) fail(queue.splice(i, 1)[0]!, 'cancelled', 'Cancelled.');
      if (busy?.lane === lane) stopWorker('cancelled', 'Cancelled.');
    },
  };
}
