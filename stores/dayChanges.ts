import { joinedDays, splitDay } from '@/core/logbook/dayChanges';
import { DAYS, dayStore } from './days';
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
