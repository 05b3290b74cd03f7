import { fishedDay, type FishedDay } from '@/core/logbook/fishedHours';
import { answerLog } from '@/core/logbook/logQuestion';
import type { AskLogResult, AskLogTask, TakeDayResult, TakeDayTask } from '../protocol';
import { Refused, type Answer } from './answer';

/** Days this worker was given, by id, as statistics need them. */
const held = new Map<string, FishedDay>();

/** Takes a day, in place of what it was before. */
export function takeDay({ day, offsetMin }: TakeDayTask): Answer<TakeDayResult> {
  const fished = fishedDay(day, offsetMin);
  // Of the track only what was worked out of it is asked for later.
  held.set(day.id, { ...fished, day: { ...day, track: [] } });
  return { result: { kind: 'take-day' } };
}

/** What the days named say to a question; all others are let go. @throws Refused where one was never given */
export function askLog({ dayIds, question }: AskLogTask): Answer<AskLogResult> {
  const days = dayIds.map((id) => {
    const day = held.get(id);
    if (!day) throw new Refused('Not all days are here.', 'missing');
    return day;
  });
  const wanted = new Set(dayIds);
  for (const id of held.keys()) if (!wanted.has(id)) held.delete(id);
  return { result: { kind: 'ask-log', answer: answerLog(days, question) } };
}
