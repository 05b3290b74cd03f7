import { useDeferredValue, useMemo } from 'react';
import { useStore } from 'zustand';
import { phasesOf, sliceSetup, startSetup, type Brief, type Phase, type Setup } from '@/core/advice';
import { planStore, unitStore } from '@/stores';
import type { OwnUnit } from './wording';

type PlanState = ReturnType<typeof planStore.getState>;

/** A plan worked out: the day's phases, the one whose card is open, its setup, and the slice's where the boat has one. */
export interface Plan {
  phases: readonly Phase[];
  phase: Phase;
  setup: Setup;
  slice: Setup | null;
}

/** The phase whose card is open: the one asked for, or the brief's own. */
export const openPhaseOf = (phases: readonly Phase[], open: PlanState['phase'], brief: Brief): Phase =>
  phases.find((p) => p.presentation === open) ??
  phases.find((p) => p.presentation === brief.presentation) ??
  phases[0]!;

export function planOf({ brief, rig, habits, pins, slicePins, phase: open }: PlanState): Plan {
  const phases = phasesOf(brief);
  const phase = openPhaseOf(phases, open, brief);
  const setup = startSetup(phase.brief, rig, habits, pins);
  return { phases, phase, setup, slice: sliceSetup(phase.brief, rig, setup, habits, pins, slicePins) };
}

/** The plan as it stands; it follows a change a moment later, a piece at a time, so that a dial or a chip answers at once. */
export function usePlan(): Plan {
  const state = useDeferredValue(useStore(planStore));
  return useMemo(() => planOf(state), [state]);
}

/** What the user has told of their own unit. */
export function useOwnUnit(): OwnUnit {
  const unit = useStore(unitStore);
  const columns = useStore(planStore, (s) => s.rig.screen.columns);
  return useMemo(() => ({ unit, columns }), [unit, columns]);
}
