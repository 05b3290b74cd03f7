import type { FailureCode, Part, Result, Stage, Task, ToWorker } from '../protocol';

/** Something is wrong with what was asked, in one plain sentence. */
export class Refused extends Error {
  constructor(
    message: string,
    readonly code: FailureCode = 'bad-input',
  ) {
    super(message);
  }
}

/** What a task gives back, and what of it is handed over rather than copied. */
export interface Answer<R extends Result = Result> {
  result: R;
  transfer?: Transferable[];
}

/** The part of a worker's own scope that answering needs. */
export interface Scope {
  onmessage: ((event: MessageEvent<ToWorker>) => void) | null;
  postMessage(message: unknown, transfer: Transferable[]): void;
}

/** Answers each message by one task; whatever goes wrong is said, with its kind. */
export function answerWith(
  scope: Scope,
  perform: (task: Task, tell: (stage: Stage) => void, give: (part: Part) => void) => Answer | Promise<Answer>,
): void {
  scope.onmessage = ({ data: { id, task } }) => {
    const begun = performance.now();
    const failed = (error: unknown): void => {
      const code =
        error instanceof Refused ? error.code : error instanceof RangeError ? 'bad-input' : 'crashed';
      const message = error instanceof Error ? error.message : String(error);
      scope.postMessage({ type: 'failed', id, code, message }, []);
    };
    const done = ({ result, transfer = [] }: Answer): void =>
      scope.postMessage({ type: 'done', id, result, workMs: performance.now() - begun }, transfer);
    try {
      const answer = perform(
        task,
        (stage) => scope.postMessage({ type: 'stage', id, stage }, []),
        (part) => scope.postMessage({ type: 'part', id, part }, []),
      );
      if (answer instanceof Promise) answer.then(done).catch(failed);
      else done(answer);
    } catch (error) {
      failed(error);
    }
  };
}
