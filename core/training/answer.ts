import * as v from 'valibot';
import { DRILLS, KINDS, LEVELS, ROUNDS } from './drill';

const share = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(1));
const short = v.pipe(v.string(), v.minLength(1), v.maxLength(40));

/** What was answered in one round. */
export const AnswerSchema = v.object({
  kind: v.pipe(
    short,
    v.check(
      (k) => Object.values(KINDS).some((kinds) => (kinds as readonly string[]).includes(k)),
      'there is no such round',
    ),
  ),
  level: v.picklist(LEVELS),
  seed: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(4294967295)),
  /** The answer given, as its code; of a number, its place among the answers. */
  given: v.pipe(v.string(), v.maxLength(40)),
  right: v.boolean(),
  /** How sure it was said to be, 0…1; null where a dial was turned and nothing said. */
  sure: v.nullable(share),
  /** Turns of dials, where dials were turned. */
  turns: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(1000)), 0),
});
export type Answer = v.InferOutput<typeof AnswerSchema>;

/** A sitting: rounds of one drill, one after the other. */
export const SittingSchema = v.object({
  id: v.pipe(v.string(), v.minLength(1), v.maxLength(60)),
  startedAt: v.pipe(v.string(), v.isoTimestamp()),
  drill: v.picklist(DRILLS),
  answers: v.pipe(v.array(AnswerSchema), v.maxLength(ROUNDS)),
  /** The set it was answered to, where a coach made one; null for one's own. */
  setBy: v.optional(v.nullable(v.pipe(v.string(), v.maxLength(80))), null),
});
export type Sitting = v.InferOutput<typeof SittingSchema>;
