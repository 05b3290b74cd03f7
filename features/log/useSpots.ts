import { useEffect, useState } from 'react';
import type { FishedDay } from '@/core/logbook/fishedHours';
import { spotTally, type SpotRate } from '@/core/logbook/spotRates';
import { inSlices } from '@/stores';

const NONE: readonly SpotRate[] = [];

/** The spots of days and what they brought, worked out a slice at a time; none until they are. */
export function useSpots(days: readonly FishedDay[]): readonly SpotRate[] {
  const [done, setDone] = useState<{ of: readonly FishedDay[]; spots: readonly SpotRate[] } | null>(null);
  useEffect(() => {
    let gone = false;
    const tally = spotTally(days);
    void inSlices(days, (day) => tally.add(day)).then(() => {
      if (!gone) setDone({ of: days, spots: tally.rates() });
    });
    return () => {
      gone = true;
    };
  }, [days]);
  return done?.of === days ? done.spots : NONE;
}
