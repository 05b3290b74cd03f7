import { useMemo } from 'react';
import { useStore } from 'zustand';
import { phasesOf, sliceSetup, startSetup, type Phase, type Setup } from '@/core/advice';
import { planStore, unitStore } from '@/stores';
import type { OwnUnit } from './wording';

/** The plan as it stands: the day's phases, the one whose card is open, its setup, and the slice's where the boat has one. */
export function usePlan(): { phases: readonly Phase[]; phase: Phase; setup: Setup; slice: Setup | null } {
  const { brief, rig, habits, pins, phase: open } = useStore(planStore);
  const phases = useMemo(() => phasesOf(brief), [brief]);
  const phase =
    phases.find((p) => p.presentation === open) ??
    phases.find((p) => p.presentation === brief.presentation) ??
    phases[0]!;
  const setup = useMemo(() => startSetup(phase.brief, rig, habits, pins), [phase, rig, habits, pins]);
  const slice = useMemo(
    () => sliceSetup(phase.brief, rig, setup, habits, pins),
    [phase, rig, setup, habits, pins],
  );
  return useMemo(() => ({ phases, phase, setup, slice }), [phases, phase, setup, slice]);
}

/** What the user has told of their own unit. */
export function useOwnUnit(): OwnUnit {
  const unit = useStore(unitStore);
  const columns = useStore(planStore, (s) => s.rig.screen.columns);
  return useMemo(() => ({ unit, columns }), [unit, columns]);
}
