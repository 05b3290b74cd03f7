import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import {
  DONE,
  issueSentence,
  PLAN_FORMAT,
  PlanSchema,
  refused,
  type Plan,
  type Result,
} from '@/core/formats';
import { putByName } from './byName';
import { freeName } from './freeName';
import { keepCollection } from './keeping/collection';
import { appKeeper } from './keeping/keeper';
import { newId } from './newId';
import { notify } from './notices';
import { planStore } from './plan';

/** Plans kept by name, by name in order. */
interface PlansState {
  plans: readonly Plan[];
}

/** Most plans kept. */
const MOST_PLANS = 100;

export const plansStore = createStore<PlansState>(() => ({ plans: [] }));

export const PLANS = keepCollection<PlansState, Plan>(appKeeper, {
  store: plansStore,
  prefix: 'plans/',
  title: 'plans',
  format: PLAN_FORMAT,
  withItems: ({ plans }, more) => ({ plans: putByName(plans, more) }),
  withoutItem: ({ plans }, id) => ({ plans: plans.filter((p) => p.id !== id) }),
});

/** The plan as it stands, under a name. */
export function presentPlan(name: string): Plan {
  const { brief, rig, habits, holds } = planStore.getState();
  return { id: newId(), name, brief, rig, habits, holds };
}

/** Keeps a plan as one of its own; where its name is taken it is numbered. */
export function keepPlan(plan: Plan): Result {
  const { plans } = plansStore.getState();
  if (plans.length >= MOST_PLANS)
    return refused(`You have ${MOST_PLANS} saved plans, the most there can be. Delete one first.`);
  const result = v.safeParse(PlanSchema, {
    ...plan,
    id: newId(),
    name: freeName(plan.name.trim() || 'Plan', plans).slice(0, 60),
  });
  if (!result.success) return refused(issueSentence(result.issues));
  void PLANS.put([result.output]);
  return DONE;
}

/** Takes a plan up again: its brief, boat, habits and holds. */
export function takeUpPlan({ name, id: _id, ...plan }: Plan): void {
  const { brief, rig, habits, holds } = planStore.getState();
  planStore.setState({ ...plan, unitId: null });
  notify(`Opened “${name}”.`, () => planStore.setState({ brief, rig, habits, holds }));
}

/** Gives a kept plan another name, one no other has. */
export function renamePlan(id: string, name: string): Result {
  const { plans } = plansStore.getState();
  const plan = plans.find((p) => p.id === id);
  const wanted = name.trim().slice(0, 60);
  if (!plan || wanted === plan.name) return DONE;
  if (wanted === '') return refused('Give the plan a name.');
  void PLANS.put([{ ...plan, name: freeName(wanted, plans) }]);
  return DONE;
}

export function deletePlan(id: string): void {
  const plan = plansStore.getState().plans.find((p) => p.id === id);
  if (!plan) return;
  void PLANS.remove(id);
  notify(`Deleted “${plan.name}”.`, () => void PLANS.put([plan]));
}
