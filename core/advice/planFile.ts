import * as v from 'valibot';
import { RigSchema, type Rig } from '@/core/rig';
import { BriefSchema, type Brief } from './brief';
import { HabitsSchema, type Habits } from './schools';
import { PinsSchema, type Pins } from './setupLine';

/** A plan as it is kept and passed on: all a setup is worked out from. */
export interface Plan {
  name: string;
  brief: Brief;
  rig: Rig;
  habits: Habits;
  pins: Pins;
  /** Lines held on the slice's card. */
  slicePins: Pins;
}

export const PlanSchema: v.GenericSchema<unknown, Plan> = v.object({
  name: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(60)),
  brief: BriefSchema,
  rig: RigSchema,
  habits: HabitsSchema,
  pins: PinsSchema,
  slicePins: v.optional(PinsSchema, {}),
});

const FileSchema = v.object({ kind: v.literal('nimble-echo-plan'), version: v.literal(1), plan: PlanSchema });

/** A plan as a file: JSON with a kind and a version. */
export const planToJson = (plan: Plan): string =>
  JSON.stringify({ kind: 'nimble-echo-plan', version: 1, plan }, null, 2);

/** Longest text taken for a plan. */
const LONGEST = 200_000;

/** A plan from a file's text, or one sentence that names what is wrong. */
export function planFromJson(text: string): Plan | string {
  if (text.length > LONGEST) return 'This file is too long to be a plan.';
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return 'This file is not a plan: it is not JSON.';
  }
  const result = v.safeParse(FileSchema, data);
  if (result.success) return result.output.plan;
  const issue = result.issues[0];
  return `This plan cannot be used: ${v.getDotPath(issue) ?? 'the file'}: ${issue.message}.`;
}
