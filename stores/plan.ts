import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import {
  BriefSchema,
  FIRST_BRIEF,
  HabitsSchema,
  type Brief,
  type Debated,
  type Habits,
  type School,
} from '@/core/advice';
import { GENERIC_RIG, RigSchema, type Face, type Rig } from '@/core/rig';

interface PlanState {
  brief: Brief;
  rig: Rig;
  /** The schools the user keeps to where practitioners disagree. */
  habits: Habits;
}

export const planStore = createStore<PlanState>(() => ({
  brief: FIRST_BRIEF,
  rig: GENERIC_RIG,
  habits: {},
}));

/** Makes a school the user's habit. */
export const keepTo = (control: Debated, school: School): void =>
  planStore.setState(({ habits }) => ({ habits: { ...habits, [control]: school } }));

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

/** Adds the faces of a transducer, or takes them off; a rig keeps at least one face. Returns what is wrong, or null. */
export function changeTransducer(faces: readonly Face[], on: boolean): string | null {
  const { rig, brief } = planStore.getState();
  const ids = new Set(faces.map((f) => f.id));
  const rest = rig.faces.filter((f) => !ids.has(f.id));
  if (!on && rest.length === 0) return 'A boat needs at least one beam. Add another transducer first.';
  if (!on && brief.faceId !== null && ids.has(brief.faceId)) changeBrief({ faceId: null });
  return changeRig({ faces: on ? [...rest, ...faces] : rest });
}

/** Changes one face of the rig. */
export const changeFace = (id: string, change: Partial<Face>): string | null =>
  changeRig({ faces: planStore.getState().rig.faces.map((f) => (f.id === id ? { ...f, ...change } : f)) });

const PlanSchema = v.object({ brief: BriefSchema, rig: RigSchema, habits: HabitsSchema });

export const PLAN = {
  store: planStore,
  key: 'plan',
  label: 'Your plan',
  version: 2,
  schema: PlanSchema,
  pick: ({ brief, rig, habits }: PlanState): PlanState => ({ brief, rig, habits }),
  // Before there were schools everybody kept to the first.
  migrate: (data: unknown) => (typeof data === 'object' && data !== null ? { ...data, habits: {} } : data),
  put: (saved: PlanState) => saved,
};
