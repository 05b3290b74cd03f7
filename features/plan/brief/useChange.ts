import { useState } from 'react';
import type { Brief } from '@/core/advice';
import { problemOf, type Result } from '@/core/formats';
import { measure } from '@/core/units';
import { changeBrief } from '@/stores';
import { useUnits } from '../../units';

/** Choosers of a brief; each says what it will not take and leaves the brief as it was. */
export function useChange(): {
  change: (c: Partial<Brief>) => Result;
  problem: string | null;
  setProblem: (p: string | null) => void;
} {
  const [problem, setProblem] = useState<string | null>(null);
  return {
    change: (c) => {
      const changed = changeBrief(c);
      setProblem(problemOf(changed));
      return changed;
    },
    problem,
    setProblem,
  };
}

/** Whole steps of a dial in the user's unit, as SI. */
export function useSteps() {
  const { system, show } = useUnits();
  return {
    system,
    show,
    depth: measure(system, 'depth'),
    small: measure(system, 'small'),
    speed: measure(system, 'speed'),
    temperature: measure(system, 'temperature'),
  };
}
