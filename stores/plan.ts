import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { BriefSchema, FIRST_BRIEF, type Brief } from '@/core/advice';
import { GENERIC_RIG, RigSchema, type Face, type Rig } from '@/core/rig';

interface PlanState {
  brief: Brief;
  rig: Rig;
}

export const planStore = createStore<PlanState>(() => ({ brief: FIRST_BRIEF, rig: GENERIC_RIG }));

/** Changes the brief when the result is a whole brief; returns what is wrong otherwise and changes nothing. */
export function changeBrief(change: Partial<Brief>): string | null {
  const result = v.safeParse(BriefSchema, { ...planStore.getState().brief, ...change });
  if (!result.success) return result.issues[0].message;
  planStore.setState({ brief: result.output });
  return null;
}

/** Changes the rig likewise. */
export function changeRig(change: Partial<Rig>): string | null {
  const result = v.safeParse(RigSchema, { ...planStore.getState().rig, ...change });
  if (!result.success) return result.issues[0].message;
  planStore.setState({ rig: result.output });
  return null;
}

/** Changes one face of the rig. */
export const changeFace = (id: string, change: Partial<Face>): string | null =>
  changeRig({ faces: planStore.getState().rig.faces.map((f) => (f.id === id ? { ...f, ...change } : f)) });

const PlanSchema = v.object({ brief: BriefSchema, rig: RigSchema });

export const PLAN = {
  store: planStore,
  key: 'plan',
  label: 'Your plan',
  version: 1,
  schema: PlanSchema,
  pick: ({ brief, rig }: PlanState): PlanState => ({ brief, rig }),
  put: (saved: PlanState) => saved,
};
