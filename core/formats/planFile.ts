import * as v from 'valibot';
import { BriefSchema, HabitsSchema, HoldsSchema, type Brief, type Habits, type Holds } from '@/core/advice';
import { RigSchema, type Rig } from '@/core/rig';
import { openEnvelope, parseJson, writeText, type Format, type Migration } from './envelope';
import { refused, type Result } from './result';

/** A plan as it is kept and passed on: all a setup is worked out from. */
export interface Plan {
  id: string;
  name: string;
  brief: Brief;
  rig: Rig;
  habits: Habits;
  /** Lines held at a value, unit by unit. */
  holds: Holds;
}

export const PlanSchema: v.GenericSchema<unknown, Plan> = v.object({
  id: v.pipe(v.string(), v.minLength(1), v.maxLength(64)),
  name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(60)),
  brief: BriefSchema,
  rig: RigSchema,
  habits: HabitsSchema,
  holds: v.optional(HoldsSchema, () => ({})),
});

/** Lines used to be held for the one unit there was, under two names; a plan of that age goes by its name. */
export const withHolds: Migration = (data) => {
  if (typeof data !== 'object' || data === null || 'holds' in data) return data;
  const { pins = {}, slicePins = {}, ...rest } = data as Record<string, unknown>;
  return { ...rest, holds: { 'unit-1': { cone: pins, slice: slicePins } } };
};

/** A plan that has no id yet is known by its name. */
const withId: Migration = (data) =>
  typeof data === 'object' && data !== null && !('id' in data) && 'name' in data
    ? { ...data, id: `plan-${String(data.name).slice(0, 59)}` }
    : data;

export const PLAN_FORMAT: Format<Plan> = {
  name: 'nimble-echo-plan',
  label: 'plan',
  schema: PlanSchema,
  migrations: [(data) => withId(withHolds(data))],
};

/** A plan as a file. */
export const writePlanFile = (plan: Plan): string => writeText(PLAN_FORMAT, plan, 2);

/** Longest text taken for a plan. */
export const LARGEST_PLAN_FILE = 200_000;

/** A plan from a file's text, or one sentence that names what is wrong. */
export function readPlanFile(text: string): Result<Plan> {
  if (text.length > LARGEST_PLAN_FILE) return refused('This file is too long to be a plan.', 'large');
  const json = parseJson(text, 'plan');
  if (!json.ok) return json;
  const file = json.value;
  // The first version named its kind, and its plan by that name.
  if (
    typeof file === 'object' &&
    file !== null &&
    'kind' in file &&
    file.kind === PLAN_FORMAT.name &&
    'plan' in file
  )
    return openEnvelope(PLAN_FORMAT, { format: PLAN_FORMAT.name, version: 1, data: file.plan });
  return openEnvelope(PLAN_FORMAT, file);
}
