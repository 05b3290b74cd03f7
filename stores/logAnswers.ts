import type { Day } from '@/core/logbook/day';
import type { LogAnswerTo, LogQuestion } from '@/core/logbook/logQuestion';
import { logWorker, TaskFailed } from '@/workers';

const offsetMin = (): number => -new Date().getTimezoneOffset();

/** Days the worker holds, by id. A day does not change: another object is another day. */
const given = new Map<string, Day>();
/** The days are given in one row, whoever asks first. */
let giving: Promise<void> = Promise.resolve();

async function give(days: readonly Day[]): Promise<void> {
  const wanted = new Set(days.map((d) => d.id));
  // The worker lets go of what it is not asked about.
  for (const id of given.keys()) if (!wanted.has(id)) given.delete(id);
  for (const day of days) {
    if (given.get(day.id) === day) continue;
    await logWorker().run({ kind: 'take-day', day, offsetMin: offsetMin() }, { lane: `day ${day.id}` });
    given.set(day.id, day);
  }
}

/** What days say to a question, worked out in a worker. @throws TaskFailed where they could not be */
export async function askLog<Q extends LogQuestion>(
  days: readonly Day[],
  question: Q,
): Promise<LogAnswerTo<Q>> {
  const ask = async (): Promise<LogAnswerTo<Q>> => {
    giving = giving.catch(() => undefined).then(() => give(days));
    await giving;
    const { result } = await logWorker().run(
      { kind: 'ask-log', dayIds: days.map((d) => d.id), question },
      { lane: `log ${question.of}` },
    );
    return result.answer as LogAnswerTo<Q>;
  };
  try {
    return await ask();
  } catch (error) {
    if (!(error instanceof TaskFailed) || error.code === 'superseded' || error.code === 'cancelled')
      throw error;
    // A worker begun anew holds no day.
    given.clear();
    return await ask();
  }
}
