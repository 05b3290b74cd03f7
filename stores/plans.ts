import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { PlanSchema, type Plan } from '@/core/advice';
import { notify } from './notices';
import { planStore } from './plan';

/** Plans kept by name, newest first. */
interface PlansState {
  plans: readonly Plan[];
}

/** Most plans kept. */
const MOST_PLANS = 100;

export const plansStore = createStore<PlansState>(() => ({ plans: [] }));

/** A name no kept plan has yet. */
function freeName(name: string): string {
  const taken = new Set(plansStore.getState().plans.map((p) => p.name));
  if (!taken.has(name)) return name;
  let n = 2;
  while (taken.has(`${name} ${n}`)) n++;
  return `${name} ${n}`;
}

/** The plan as it stands, under a name. */
export function presentPlan(name: string): Plan {
  const { brief, rig, habits, pins, slicePins } = planStore.getState();
  return { name, brief, rig, habits, pins, slicePins };
}

/** Keeps a plan; one of the same name stays and the new one is numbered. Returns what is wrong, or null. */
export function keepPlan(plan: Plan): string | null {
  const { plans } = plansStore.getState();
  if (plans.length >= MOST_PLANS) return `No more than ${MOST_PLANS} plans are kept. Delete one first.`;
  const result = v.safeParse(PlanSchema, { ...plan, name: freeName(plan.name.trim() || 'Plan') });
  if (!result.success) return result.issues[0].message;
  plansStore.setState({ plans: [result.output, ...plans] });
  return null;
}

/** Takes a plan up again: its brief, boat, habits and pins. */
export function takeUpPlan({ name, ...plan }: Plan): void {
  const { name: _, ...before } = presentPlan('');
  planStore.setState(plan);
  notify(`Took up “${name}”.`, () => planStore.setState(before));
}

export function deletePlan(name: string): void {
  const { plans } = plansStore.getState();
  plansStore.setState({ plans: plans.filter((p) => p.name !== name) });
  notify(`Deleted “${name}”.`, () => plansStore.setState({ plans }));
}

const PlansSchema = v.object({ plans: v.pipe(v.array(PlanSchema), v.maxLength(MOST_PLANS)) });

export const PLANS = {
  store: plansStore,
  key: 'plans',
  label: 'Your plans',
  version: 1,
  schema: PlansSchema,
  pick: ({ plans }: PlansState): { plans: Plan[] } => ({ plans: [...plans] }),
  put: (saved: { plans: Plan[] }) => saved,
};
