import { useDeferredValue, useMemo } from 'react';
import { useStore } from 'zustand';
import { heldOn, phasesOf, sliceSetup, startSetup, type Brief, type Phase, type Setup } from '@/core/advice';
import { seenOnUnit, type Rig, type Unit } from '@/core/rig';
import { openUnitOf, planStore, withTried, type ToTry } from '@/stores';

type PlanState = ReturnType<typeof planStore.getState>;

/** A plan worked out for one unit: the day's phases, the one whose card is open, its setup, and the slice's where the unit shows one. */
export interface WorkedPlan {
  phases: readonly Phase[];
  phase: Phase;
  /** The boat as the open unit has it. */
  rig: Rig;
  unit: Unit;
  setup: Setup;
  slice: Setup | null;
  /** What of its setups could be tried on made passes and was not yet. */
  untried: readonly ToTry[];
  /** The phase before, where there is one. */
  before: { setup: Setup; slice: Setup | null } | null;
}

/** The phase whose card is open: the one asked for, or the brief's own. */
export const openPhaseOf = (phases: readonly Phase[], open: PlanState['phase'], brief: Brief): Phase =>
  phases.find((p) => p.presentation === open) ??
  phases.find((p) => p.presentation === brief.presentation) ??
  phases[0]!;

/** The setups of a phase on the open unit, as they were tried where they were. */
function workedFor(state: PlanState, phase: Phase): Pick<WorkedPlan, 'rig' | 'setup' | 'slice' | 'untried'> {
  const unit = openUnitOf(state);
  const rig = seenOnUnit(state.rig, unit.id);
  const { habits, tried } = state;
  const held = heldOn(state.holds, unit.id);
  const { brief } = phase;
  const cone = withTried(brief, rig, tried, (t) => startSetup(brief, rig, habits, held.cone, t));
  const slice = withTried(brief, rig, tried, (t) =>
    sliceSetup(brief, rig, cone.setup, habits, held.slice, t),
  );
  return {
    rig,
    setup: cone.setup,
    slice: slice.setup,
    untried: [cone.untried, slice.untried].flatMap((u) => u ?? []),
  };
}

export function planOf(state: PlanState): WorkedPlan {
  const phases = phasesOf(state.brief);
  const phase = openPhaseOf(phases, state.phase, state.brief);
  const at = phases.indexOf(phase);
  return {
    phases,
    phase,
    unit: openUnitOf(state),
    ...workedFor(state, phase),
    before: at > 0 ? workedFor(state, phases[at - 1]!) : null,
  };
}

/** The plan as it stands; it follows a change a moment later, a piece at a time, so that a dial or a chip answers at once. */
export function usePlan(): WorkedPlan {
  const state = useDeferredValue(useStore(planStore));
  return useMemo(() => planOf(state), [state]);
}

/** The unit whose card is open, with what the user has told of it. */
export const useOwnUnit = (): Unit => useStore(planStore, openUnitOf);
