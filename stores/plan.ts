import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import {
  BriefSchema,
  FIRST_BRIEF,
  HabitsSchema,
  heldOn,
  HoldsSchema,
  OwnSpeciesSchema,
  SHARED_LINES,
  SPECIES,
  TriedColoursSchema,
  type Brief,
  type Debated,
  type Habits,
  type Holds,
  type Pinnable,
  type Presentation,
  type Practice,
  type Species,
  type TriedColours,
} from '@/core/advice';
import { DONE, issueSentence, refused, withHolds, type Result } from '@/core/formats';
import {
  GENERIC_RIG,
  MOST_UNITS,
  RigSchema,
  unitOf,
  type BoatPlace,
  type Face,
  type Rig,
  type Transducer,
  type Unit,
} from '@/core/rig';
import type { KeptDocument } from './keeping/document';
import { notify } from './notices';

interface PlanState {
  brief: Brief;
  rig: Rig;
  /** Which of the boats kept this rig is. */
  boatId: string;
  /** The practices the user keeps to where practitioners disagree. */
  habits: Habits;
  /** Lines of the setup the user holds at a value of their own, unit by unit. */
  holds: Holds;
  /** Kinds of fish the user has added. */
  ownSpecies: readonly Species[];
  /** Gain and colours found by trying, by what they were tried for; null where no fish was met. */
  tried: Readonly<Record<string, TriedColours | null>>;
  /** Phase of the day whose card is open; null = the brief's own. Not kept. */
  phase: Presentation | null;
  /** Unit of the boat whose card is open; null = the first. Not kept. */
  unitId: string | null;
}

export const planStore = createStore<PlanState>(() => ({
  brief: FIRST_BRIEF,
  rig: GENERIC_RIG,
  boatId: 'boat-1',
  habits: {},
  holds: {},
  ownSpecies: [],
  tried: {},
  phase: null,
  unitId: null,
}));

/** Makes a practice the user's habit. */
export const keepTo = (control: Debated, practice: Practice): void =>
  planStore.setState(({ habits }) => ({ habits: { ...habits, [control]: practice } }));

export const openPhase = (phase: Presentation): void => planStore.setState({ phase });

export const openUnit = (unitId: string): void => planStore.setState({ unitId });

/** The unit whose card is open. */
export const openUnitOf = ({ rig, unitId }: Pick<PlanState, 'rig' | 'unitId'>): Unit =>
  rig.units.find((u) => u.id === unitId) ?? unitOf(rig);

/** Holds a line of the cone's setup, or of the slice's, at a value, or, with null, lets it go; on the unit whose card is open. */
export function pinLine(control: Pinnable, value: number | null, card: 'cone' | 'slice' = 'cone'): void {
  const on = card === 'slice' && !SHARED_LINES.includes(control) ? 'slice' : 'cone';
  planStore.setState((state) => {
    const { id } = openUnitOf(state);
    const held = heldOn(state.holds, id);
    return {
      holds: { ...state.holds, [id]: { ...held, [on]: { ...held[on], [control]: value ?? undefined } } },
    };
  });
}

/** Most kinds of their own a user keeps. */
const MOST_OWN = 50;

/** Adds a kind of the user's own and makes it the target; says what is wrong with it otherwise. */
export function addSpecies(species: Omit<Species, 'id'>): Result {
  const { ownSpecies } = planStore.getState();
  if (ownSpecies.length >= MOST_OWN)
    return refused(`You have ${MOST_OWN} kinds of your own, the most there can be. Delete one first.`);
  const label = species.label.trim().toLowerCase();
  if ([...SPECIES, ...ownSpecies].some((s) => s.label.toLowerCase() === label))
    return refused('There is a kind of that name already. Give this one another name.');
  const last = Math.max(0, ...ownSpecies.map((s) => Number(s.id.slice(4))));
  const result = v.safeParse(OwnSpeciesSchema, { ...species, id: `own-${last + 1}` });
  if (!result.success) return refused(issueSentence(result.issues));
  planStore.setState({ ownSpecies: [...ownSpecies, result.output] });
  return aimAt(result.output);
}

/** Takes a kind of the user's own away; the notice offers to put it back. A brief that is after it keeps it. */
export function removeSpecies(id: string): void {
  const { ownSpecies } = planStore.getState();
  const gone = ownSpecies.find((s) => s.id === id);
  if (!gone) return;
  planStore.setState({ ownSpecies: ownSpecies.filter((s) => s.id !== id) });
  notify(`Deleted “${gone.label}”.`, () =>
    planStore.setState(({ ownSpecies: now }) => ({
      ownSpecies: now.some((s) => s.id === id) ? now : [...now, gone],
    })),
  );
}

/** Makes a kind the target, with its usual size. */
export const aimAt = (species: Species): Result =>
  changeBrief({
    speciesId: species.id,
    ownSpecies: species.id.startsWith('own-') ? { ...species, lengthM: [...species.lengthM] } : null,
    lengthM: [...species.lengthM],
  });

/** Changes the brief when the result is a whole brief; says what is wrong otherwise and changes nothing. */
export function changeBrief(change: Partial<Brief>): Result {
  const result = v.safeParse(BriefSchema, { ...planStore.getState().brief, ...change });
  if (!result.success) return refused(issueSentence(result.issues));
  planStore.setState({ brief: result.output });
  return DONE;
}

/** Changes the rig likewise. */
export function changeRig(change: Partial<Rig>): Result {
  const result = v.safeParse(RigSchema, { ...planStore.getState().rig, ...change });
  if (!result.success) return refused(issueSentence(result.issues, 'rig'));
  planStore.setState({ rig: result.output });
  return DONE;
}

/** Adds the faces of a transducer, or takes them off; a rig keeps at least one face. */
export function changeTransducer(faces: readonly Face[], on: boolean): Result {
  const { rig, brief } = planStore.getState();
  const ids = new Set(faces.map((f) => f.id));
  const rest = rig.faces.filter((f) => !ids.has(f.id));
  if (!on && rest.length === 0)
    return refused('A boat needs at least one beam. Add another transducer first.');
  if (!on && brief.faceId !== null && ids.has(brief.faceId)) changeBrief({ faceId: null });
  const hangs = Object.fromEntries(Object.entries(rig.hangs).filter(([id]) => !ids.has(id)));
  return changeRig({ faces: on ? [...rest, ...faces] : rest, hangs });
}

/** Hangs a transducer's faces at a place of the boat. */
export const moveTransducer = ({ faces }: Transducer, place: BoatPlace): Result =>
  changeRig({
    hangs: { ...planStore.getState().rig.hangs, ...Object.fromEntries(faces.map((f) => [f.id, place])) },
  });

/** A beam's name with its new frequency, where the name begins with the old one. */
const labelAt = (face: Face, frequencyHz: number): string => {
  const [before, now] = [face.frequencyHz, frequencyHz].map((hz) => `${Math.round(hz / 1000)}`) as [
    string,
    string,
  ];
  return face.label.startsWith(`${before} `) ? `${now}${face.label.slice(before.length)}` : face.label;
};

/** Changes one face of the rig; a name that tells its frequency follows it. */
export const changeFace = (id: string, change: Partial<Face>): Result =>
  changeRig({
    faces: planStore
      .getState()
      .rig.faces.map((f) =>
        f.id === id ? { ...f, label: labelAt(f, change.frequencyHz ?? f.frequencyHz), ...change } : f,
      ),
  });

/** Gives a face a name of the user's own. */
export function renameFace(id: string, name: string): Result {
  const label = name.trim();
  if (label === '') return refused('Give the beam a name.');
  if (planStore.getState().rig.faces.some((f) => f.id !== id && f.label === label))
    return refused(`Another beam is called ${label} already. Give this one another name.`);
  return changeFace(id, { label });
}

/** Takes a single face off the boat; the notice offers to put it back. */
export function removeFace(id: string): Result {
  const { rig } = planStore.getState();
  const face = rig.faces.find((f) => f.id === id);
  if (!face) return DONE;
  const removed = changeTransducer([face], false);
  if (removed.ok)
    notify(`Removed the ${face.label} beam.`, () => {
      const now = planStore.getState().rig;
      if (!now.faces.some((f) => f.id === id)) changeRig({ faces: [...now.faces, face] });
    });
  return removed;
}

/** Changes the unit of an id, the open one when none is given. */
export function changeUnit(change: Partial<Unit>, id = openUnitOf(planStore.getState()).id): Result {
  const { units } = planStore.getState().rig;
  return changeRig({ units: units.map((u) => (u.id === id ? { ...u, ...change } : u)) });
}

/** Adds a unit like the first, and opens its card. */
export function addUnit(): Result {
  const { units } = planStore.getState().rig;
  if (units.length >= MOST_UNITS) return refused(`A boat can have ${MOST_UNITS} units at most.`);
  let n = 2;
  while (units.some((u) => u.id === `unit-${n}`)) n++;
  const added = changeRig({ units: [...units, { ...units[0]!, id: `unit-${n}`, name: `Unit ${n}` }] });
  if (added.ok) openUnit(`unit-${n}`);
  return added;
}

/** Takes a unit off the boat; one always stays. The notice offers to put it back. */
export function removeUnit(id: string): Result {
  const { units } = planStore.getState().rig;
  const unit = units.find((u) => u.id === id);
  if (!unit) return DONE;
  if (units.length < 2) return refused('A boat needs at least one unit.');
  planStore.setState({ unitId: null });
  const removed = changeRig({ units: units.filter((u) => u.id !== id) });
  if (removed.ok)
    notify(`Deleted “${unit.name}”.`, () => {
      const now = planStore.getState().rig.units;
      if (!now.some((u) => u.id === id)) changeRig({ units: [...now, unit] });
    });
  return removed;
}

/** Takes tomorrow's brief and held lines from days before; the notice puts the plan back as it was. */
export function takeEvening(
  brief: Brief,
  held: readonly { control: Pinnable; value: number }[],
  waterName: string,
): void {
  const before = planStore.getState();
  const { id } = openUnitOf(before);
  const cone = { ...heldOn(before.holds, id).cone };
  for (const { control, value } of held) cone[control] = value;
  planStore.setState({
    brief,
    holds: { ...before.holds, [id]: { ...heldOn(before.holds, id), cone } },
    phase: null,
  });
  notify(`Tomorrow on ${waterName} is your plan now.`, () =>
    planStore.setState({ brief: before.brief, holds: before.holds }),
  );
}

/** Most tried setups that are kept; the oldest go first. */
export const MOST_TRIED = 60;

/** What is kept of the plan. */
export type KeptPlan = Omit<PlanState, 'phase' | 'unitId'>;

const KeptPlanSchema = v.object({
  brief: BriefSchema,
  rig: RigSchema,
  boatId: v.optional(v.pipe(v.string(), v.minLength(1), v.maxLength(64)), 'boat-1'),
  habits: v.optional(HabitsSchema, {}),
  holds: v.optional(HoldsSchema, () => ({})),
  ownSpecies: v.optional(v.pipe(v.array(OwnSpeciesSchema), v.maxLength(MOST_OWN), v.readonly()), []),
  tried: v.optional(
    v.pipe(
      v.record(v.pipe(v.string(), v.maxLength(40)), v.nullable(TriedColoursSchema)),
      v.maxEntries(2 * MOST_TRIED),
    ),
    () => ({}),
  ),
});

export const PLAN: KeptDocument<PlanState, KeptPlan> = {
  store: planStore,
  key: 'plan',
  title: 'Your plan',
  format: {
    name: 'nimble-echo-present-plan',
    label: 'plan',
    schema: KeptPlanSchema,
    // Before there were practices everybody kept to the first; before there were units lines were held for the one there was.
    migrations: [
      (data) => (typeof data === 'object' && data !== null ? { habits: {}, ...data } : data),
      withHolds,
    ],
  },
  pick: ({ phase: _phase, unitId: _unit, ...kept }: PlanState): KeptPlan => kept,
  put: (saved) => saved,
};
