import { useStore } from 'zustand';
import { learnedRunOn } from '@/core/marks';
import { dayNow, dayStore } from '@/stores';

/** Way this boat runs on out of gear for each m/s, s, learned from today's own track; null until it slowed down once. */
export const useRunOn = (): number | null =>
  useStore(dayStore, (s) => {
    const day = dayNow(s);
    return day
      ? learnedRunOn(
          day.track.flatMap((p) =>
            p.speedMps === null ? [] : [{ atS: Date.parse(p.at) / 1000, speedMps: p.speedMps }],
          ),
        )
      : null;
  });
