import * as v from 'valibot';
import type { UnitControl } from '@/core/picture';
import { issueSentence, refused, type Result } from '@/core/formats';
import { UnitScaleSchema, type Unit, type UnitScale } from '@/core/rig';
import { changeUnit, openUnitOf, planStore } from './plan';

/** Keeps how the open unit counts a control; says what is wrong with it otherwise. */
export function tellScale(control: UnitControl, scale: UnitScale): Result {
  const result = v.safeParse(UnitScaleSchema, scale);
  if (!result.success) return refused(issueSentence(result.issues));
  const { scales } = openUnitOf(planStore.getState());
  return changeUnit({ scales: { ...scales, [control]: result.output } });
}

/** Forgets how the open unit counts a control. */
export function forgetScale(control: UnitControl): Result {
  const { [control]: _gone, ...rest } = openUnitOf(planStore.getState()).scales;
  return changeUnit({ scales: rest });
}

/** Keeps two timings of the open unit's chart. */
export const timeChart = (chart: Unit['chart']): Result => changeUnit({ chart });
