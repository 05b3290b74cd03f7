import { useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import type { Cutaway } from '@/core/bench/cutaway';
import { passStore, viewOf, viewStore } from '@/stores';
import { sideWorker, TaskFailed } from '@/workers';
import { cursorStore } from './cursorStore';

/** The true water at the moment pointed at, or at the right edge of the picture; and the range that is pointed at, m. */
export function useCutaway(): { cutaway: Cutaway | null; problem: string | null; rangeM: number | null } {
  const cursor = useStore(cursorStore, (s) => s.cursor);
  const { pass, settings, nowS } = useStore(
    passStore,
    useShallow((s) => ({ pass: s.pass, settings: s.settings, nowS: s.nowS })),
  );
  const end = useStore(viewStore, (s) => viewOf(s, 'tune').facts?.durationS ?? 0);
  const [cutaway, setCutaway] = useState<Cutaway | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const timeS = cursor?.timeS ?? nowS ?? end;
  const rangeM = cursor?.depthM ?? null;
  const { faceId, pingRate, power } = settings;
  useEffect(() => {
    let gone = false;
    sideWorker()
      .run(
        { kind: 'cutaway', pass, settings: passStore.getState().settings, timeS, rangeM },
        { lane: 'cutaway' },
      )
      .then(
        ({ result }) => {
          if (gone) return;
          setCutaway(result.cutaway);
          setProblem(null);
        },
        (error: unknown) => {
          if (!gone && error instanceof TaskFailed && error.code !== 'superseded') setProblem(error.message);
        },
      );
    return () => {
      gone = true;
    };
  }, [pass, faceId, pingRate, power, timeS, rangeM]);
  return { cutaway, problem, rangeM };
}
