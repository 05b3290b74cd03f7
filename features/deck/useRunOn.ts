import { useMemo } from 'react';
import { useStore } from 'zustand';
import { learnedRunOn } from '@/core/marks';
import { dayNow, dayStore } from '@/stores';

/** Way this boat runs on out of gear for each m/s, s, learned from today's own track; null until it slowed down once. */
export function useRunOn(): number | null {
  const track = useStore(dayStore, (s) => dayNow(s)?.track);
  return useMemo(
    () =>
      track
        ? learnedRunOn(
            track.flatMap((p) =>
              p.speedMps === null ? [] : [{ atS: Date.parse(p.at) / 1000, speedMps: p.speedMps }],
            ),
          )
        : null,
    [track],
  );
}
