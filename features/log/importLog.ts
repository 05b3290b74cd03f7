import { logComparer, type Entry, type LogComparison } from '@/core/logbook';
import { accepted, refused, type Result } from '@/core/formats';
import { inSlices, logStore } from '@/stores';
import { sideWorker, TaskFailed } from '@/workers';

const LANE = 'open-log';

/**
 * Opens a log file: looked at whole in a worker, then taken over a few entries at a time, so that the interface answers
 * meanwhile. What is wrong with it is said in one sentence, and nothing is changed.
 */
export async function openLogFile(file: File): Promise<Result<Entry[]>> {
  try {
    const { result } = await sideWorker().run({ kind: 'open-log', file }, { lane: LANE });
    const { bytes, offsets } = result;
    const decoder = new TextDecoder();
    const entries: Entry[] = [];
    const places = Array.from({ length: offsets.length - 1 }, (_, k) => k);
    await inSlices(places, (k) => {
      // Our own worker has checked it and wrote it.
      const text = decoder.decode(bytes.subarray(offsets[k], offsets[k + 1]));
      entries.push((JSON.parse(text) as { data: Entry }).data);
    });
    return accepted(entries);
  } catch (error) {
    if (error instanceof TaskFailed && error.code === 'cancelled')
      return refused('Stopped. Nothing was changed.');
    return refused(error instanceof Error ? error.message : String(error), 'damaged');
  }
}

/** What another log has that ours has not, has as ours has, or has otherwise; compared a few entries at a time. */
export async function compareWithLog(other: readonly Entry[]): Promise<LogComparison> {
  const { compare, comparison } = logComparer(logStore.getState().entries);
  await inSlices(other, compare);
  return comparison;
}

export const stopOpeningLog = (): void => sideWorker().cancel(LANE);
