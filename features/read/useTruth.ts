import { useEffect, useState } from 'react';
import type { ScoredReading } from '@/core/bench/scoredReading';
import { passStore, type PassReading } from '@/stores';
import { sideWorker } from '@/workers';

export type Truth = ScoredReading;

/** What is truly in the water of a simulated pass, against what was read; null until it is known, or not asked for. */
export function useTruth(reading: PassReading | null, asked: boolean): Truth | null {
  const [truth, setTruth] = useState<{ of: PassReading; scored: Truth } | null>(null);
  useEffect(() => {
    if (!asked || !reading) return;
    let gone = false;
    const { pass, settings } = passStore.getState();
    const findings = reading.reading.findings.map(
      ({ id, kind, timeS, rangeM, heightM, fromPing, toPing }) => ({
        id,
        kind,
        timeS,
        rangeM,
        heightM,
        fromPing,
        toPing,
      }),
    );
    sideWorker()
      .run({ kind: 'score', pass, settings, findings }, { lane: 'score' })
      .then(
        ({ result }) => !gone && setTruth({ of: reading, scored: result.scored }),
        // Superseded by a newer one.
        () => undefined,
      );
    return () => {
      gone = true;
    };
  }, [reading, asked]);
  return asked && truth?.of === reading ? truth.scored : null;
}
