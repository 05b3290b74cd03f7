import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import type { Day } from '@/core/logbook/day';
import { fishedDay, type FishedDay } from '@/core/logbook/fishedHours';
import { dayStore, inSlices } from '@/stores';

/** A day does not change: what was worked out of it is kept as long as it is. */
const worked = new WeakMap<Day, FishedDay>();

const offsetMin = (): number => -new Date().getTimezoneOffset();

/** The days as statistics need them, worked out a slice at a time; null until they are. Made days stand in while there are no others. */
export function useFishedDays(): { days: readonly FishedDay[] | null; simulated: boolean } {
  const days = useStore(dayStore, (s) => s.days);
  const [done, setDone] = useState<{ of: readonly Day[]; list: FishedDay[] } | null>(null);
  useEffect(() => {
    let gone = false;
    const own = days.filter((d) => !d.simulated);
    const taken = own.length > 0 ? own : days;
    const list: FishedDay[] = [];
    const offset = offsetMin();
    void inSlices(taken, (day) => {
      let fished = worked.get(day);
      if (!fished) worked.set(day, (fished = fishedDay(day, offset)));
      list.push(fished);
    }).then(() => {
      if (!gone) setDone({ of: days, list });
    });
    return () => {
      gone = true;
    };
  }, [days]);
  return { days: done?.list ?? null, simulated: days.length > 0 && days.every((d) => d.simulated) };
}
