import { TaskFailed, type Stage } from '@/workers';

/** How something that is asked of a worker stands. */
export interface Asking {
  /** What the worker is at, when it takes long. */
  stage: Stage | null;
  /** Neither an answer nor word of a stage for a while. */
  silent: boolean;
  /** Last failure, in words. */
  problem: string | null;
}

export const RESTING: Asking = { stage: null, silent: false, problem: null };

/** Without an answer or word of a stage for this long, it is said, ms. */
export const SILENCE_MS = 2000;

/**
 * Follows something asked of a worker: stages, silence, its end. `report` is told only while `wanted` holds: an answer to a
 * question nobody asks any more is dropped.
 * @returns whether the answer was taken
 */
export async function follow<T>(
  ask: (onStage: (stage: Stage) => void) => Promise<T>,
  wanted: () => boolean,
  report: (asking: Asking) => void,
  take: (answer: T) => void,
): Promise<boolean> {
  let stage: Stage | null = null;
  let timer: ReturnType<typeof setTimeout> | null = null;
  const listen = (): void => {
    if (timer !== null) clearTimeout(timer);
    timer = setTimeout(() => {
      if (wanted()) report({ stage, silent: true, problem: null });
    }, SILENCE_MS);
  };
  listen();
  try {
    const answer = await ask((next) => {
      stage = next;
      listen();
      if (wanted()) report({ stage, silent: false, problem: null });
    });
    if (!wanted()) return false;
    take(answer);
    report(RESTING);
    return true;
  } catch (error) {
    const superseded = error instanceof TaskFailed && error.code === 'superseded';
    if (superseded || !wanted()) return false;
    const cancelled = error instanceof TaskFailed && error.code === 'cancelled';
    const problem = cancelled
      ? 'Stopped. Change a dial to go on.'
      : error instanceof Error
        ? error.message
        : String(error);
    report({ ...RESTING, problem });
    return false;
  } finally {
    if (timer !== null) clearTimeout(timer);
  }
}
