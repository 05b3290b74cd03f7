import { useMemo } from 'react';
import { useStore } from 'zustand';
import { seenOnUnit } from '@/core/rig';
import type { Trained } from '@/core/training/drill';
import { openUnitOf, planStore } from '@/stores';
import { usePalette } from '../usePalette';

/** What rounds are made for: tomorrow's plan on the open unit, in the colours of this light. */
export function useTrained(): Trained {
  const plan = useStore(planStore);
  const cone = usePalette('cone');
  const slice = usePalette('slice');
  return useMemo(
    () => ({ brief: plan.brief, rig: seenOnUnit(plan.rig, openUnitOf(plan).id), palettes: { cone, slice } }),
    [plan, cone, slice],
  );
}
