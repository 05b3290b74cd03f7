import type { Day } from '@/core/logbook/day';
import { joinedDays, splitDay } from '@/core/logbook/dayChanges';
import { DONE, openText, refused, writeText, type Result } from '@/core/formats';
import { DAY_FORMAT, DAYS, dayStore } from './days';
import { newId } from './newId';
import { notify } from './notices';

/** Puts a day and the one after it together; the notice takes them apart again. @returns whether they fit in one */
export function joinDays(id: string, otherId: string): boolean {
  const { days } = dayStore.getState();
  const [a, b] = [id, otherId].map((one) => days.find((d) => d.id === one));
  const joined = a && b && joinedDays(a, b);
  if (!a || !b || !joined) return false;
  const gone = joined.id === a.id ? b : a;
  void DAYS.put([joined]).then(() => DAYS.remove(gone.id));
  notify(`“${b.name}” and “${a.name}” are one day now.`, () => void DAYS.put([a, b]));
  return true;
}

/** Makes two days of one, from a moment on; the notice puts it together again. */
export function divideDay(id: string, at: string): void {
  const day = dayStore.getState().days.find((d) => d.id === id);
  if (!day) return;
  const [first, second] = splitDay(day, at, newId());
  void DAYS.put([second, first]);
  notify(`“${day.name}” is two days now.`, () => void DAYS.put([day]).then(() => DAYS.remove(second.id)));
}

/** A day as a file's text. */
export const dayFileOf = (day: Day): string => writeText(DAY_FORMAT, day, 1);

/** Largest file of a day, characters. */
export const LARGEST_DAY_FILE = 20e6;

/** Takes a day in from a file's text; the notice takes it out again. One of an id that is here otherwise stands beside it. */
export async function takeDayFile(text: string): Promise<Result> {
  if (text.length > LARGEST_DAY_FILE) return refused('This file is too long to be a day.', 'large');
  const opened = openText(DAY_FORMAT, text);
  if (!opened.ok) return refused(`${opened.problem} Nothing was changed.`, opened.cause);
  const here = dayStore.getState().days.find((d) => d.id === opened.value.id);
  // Read back, so that the order of fields makes no difference.
  const again = here && openText(DAY_FORMAT, dayFileOf(here));
  if (again?.ok && dayFileOf(again.value) === dayFileOf(opened.value))
    return refused('This day is here already.');
  const day = here ? { ...opened.value, id: newId() } : opened.value;
  await DAYS.put([day]);
  notify(`“${day.name}” was added.`, () => void DAYS.remove(day.id));
  return DONE;
}
