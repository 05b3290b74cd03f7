import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import {
  BriefSchema,
  FIRST_BRIEF,
  HabitsSchema,
  OwnSpeciesSchema,
  HELD_FOR_BOTH,
  PinsSchema,
  SPECIES,
  type Brief,
  type Debated,
  type Habits,
  type Pinnable,
  type Pins,
  type Presentation,
  type School,
  type Species,
} from '@/core/advice';
import { GENERIC_RIG, RigSchema, type BoatPlace, type Face, type Rig, type Transducer } from '@/core/rig';

interface PlanState {
  brief: Brief;
  rig: Rig;
  /** The schools the user keeps to where practitioners disagree. */
  habits: Habits;
  /** Lines of the setup the user holds at a value of their own. */
  pins: Pins;
  /** Those held on the slice's card alone. */
  slicePins: Pins;
  /** Kinds of fish the user has added. */
  ownSpecies: readonly Species[];
  /** Phase of the day whose card is open; null = the brief's own. Not kept. */
  phase: Presentation | null;
}

export const planStore = createStore<PlanState>(() => ({
  brief: FIRST_BRIEF,
  rig: GENERIC_RIG,
  habits: {},
  pins: {},
  slicePins: {},
  ownSpecies: [],
  phase: null,
}));

/** Makes a school the user's habit. */
export const keepTo = (control: Debated, school: School): void =>
  planStore.setState(({ habits }) => ({ habits: { ...habits, [control]: school } }));

export const openPhase = (phase: Presentation): void => planStore.setState({ phase });

/** Holds a line of the cone's setup, or of the slice's, at a value, or, with null, lets it go. */
export function pinLine(control: Pinnable, value: number | null, card: 'cone' | 'slice' = 'cone'): void {
  const held = card === 'slice' && !HELD_FOR_BOTH.includes(control) ? 'slicePins' : 'pins';
  planStore.setState((state) => ({ [held]: { ...state[held], [control]: value ?? undefined } }));
}

/** Most kinds of their own a user keeps. */
const MOST_OWN = 50;

/** Adds a kind of the user's own and makes it the target; returns what is wrong with it, or null. */
export function addSpecies(species: Omit<Species, 'id'>): string | null {
  const { ownSpecies } = planStore.getState();
  if (ownSpecies.length >= MOST_OWN) return `No more than ${MOST_OWN} kinds of your own are kept.`;
  const label = species.label.trim().toLowerCase();
  if ([...SPECIES, ...ownSpecies].some((s) => s.label.toLowerCase() === label))
    return 'There is a kind of that name already.';
  const last = Math.max(0, ...ownSpecies.map((s) => Number(s.id.slice(4))));
  const result = v.safeParse(OwnSpeciesSchema, { ...species, id: `own-${last + 1}` });
  if (!result.success) return result.issues[0].message;
  planStore.setState({ ownSpecies: [...ownSpecies, result.output] });
  return aimAt(result.output);
}

/** Makes a kind the target, with its usual size. */
export const aimAt = (species: Species): string | null =>
  changeBrief({
    speciesId: species.id,
    ownSpecies: species.id.startsWith('own-') ? { ...species, lengthM: [...species.lengthM] } : null,
    lengthM: [...species.lengthM],
  });

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
  const hangs = Object.fromEntries(Object.entries(rig.hangs).filter(([id]) => !ids.has(id)));
  return changeRig({ faces: on ? [...rest, ...faces] : rest, hangs });
}

/** Hangs a transducer's faces at a place of the boat. Returns what is wrong, or null. */
export const moveTransducer = ({ faces }: Transducer, place: BoatPlace): string | null =>
  changeRig({
    hangs: { ...planStore.getState().rig.hangs, ...Object.fromEntries(faces.map((f) => [f.id, place])) },
  });

/** Changes one face of the rig. */
export const changeFace = (id: string, change: Partial<Face>): string | null =>
  changeRig({ faces: planStore.getState().rig.faces.map((f) => (f.id === id ? { ...f, ...change } : f)) });

const PlanStateSchema = v.object({
  brief: BriefSchema,
  rig: RigSchema,
  habits: HabitsSchema,
  pins: v.optional(PinsSchema, {}),
  slicePins: v.optional(PinsSchema, {}),
  ownSpecies: v.optional(v.pipe(v.array(OwnSpeciesSchema), v.maxLength(MOST_OWN), v.readonly()), []),
});

export const PLAN = {
  store: planStore,
  key: 'plan',
  label: 'Your plan',
  version: 2,
  schema: PlanStateSchema,
  pick: ({ brief, rig, habits, pins, slicePins, ownSpecies }: PlanState): Omit<PlanState, 'phase'> => ({
    brief,
    rig,
    habits,
    pins,
    slicePins,
    ownSpecies,
  }),
  // Before there were schools everybody kept to the first.
  migrate: (data: unknown) => (typeof data === 'object' && data !== null ? { ...data, habits: {} } : data),
  put: (saved: v.InferOutput<typeof PlanStateSchema>) => saved,
};
