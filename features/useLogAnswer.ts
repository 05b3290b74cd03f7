import { startTransition, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import type { LogAnswerTo, LogQuestion } from '@/core/logbook/logQuestion';
import { dayStore } from '@/stores';
import { askLog } from '@/stores/logAnswers';

/**
 * What the days say to a question; the last answer stays until the next is there. Made days stand in while there are no
 * others.
 */
export function useLogAnswer<Q extends LogQuestion>(
  question: Q,
): {
  answer: LogAnswerTo<Q> | null;
  simulated: boolean;
  problem: string | null;
  again: () => void;
} {
  const all = useStore(dayStore, (s) => s.days);
  const own = useMemo(() => all.filter((d) => !d.simulated), [all]);
  const days = own.length > 0 ? own : all;
  const [answer, setAnswer] = useState<LogAnswerTo<Q> | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [times, setTimes] = useState(0);
  // A question put together anew with the same words is the same question.
  const key = JSON.stringify(question);
  useEffect(() => {
    let gone = false;
    askLog(days, JSON.parse(key) as Q).then(
      (next) => {
        if (gone) return;
        // A long table is drawn a piece at a time.
        startTransition(() => {
          setAnswer(next);
          setProblem(null);
        });
      },
      (error: unknown) => {
        // A newer one of the same kind is on its way when this one was given up.
        if (!gone && !(error instanceof Error && 'code' in error && error.code === 'superseded'))
          setProblem('What your days say could not be worked out.');
      },
    );
    return () => {
      gone = true;
    };
  }, [days, key, times]);
  return {
    answer,
    simulated: own.length === 0 && all.length > 0,
    problem,
    again: () => setTimes((n) => n + 1),
  };
}
