import * as v from 'valibot';

/** What the one at the screen calls out to a guest with the rod. */
export const CallOutSchema = v.object({
  /** One huge line: `Drop. Stop at 11 m.` */
  words: v.pipe(v.string(), v.trim(), v.minLength(1), v.maxLength(80)),
  /** How long the lure sinks, s; null where nothing is let down. */
  sinkS: v.nullable(v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(600))),
});
export type CallOut = v.InferOutput<typeof CallOutSchema>;

/** Longest message a call-out travels in, characters. */
const LONGEST_MESSAGE = 600;

/** A call-out from its message; null for anything else. */
export function readCallOut(text: string): CallOut | null {
  if (text.length > LONGEST_MESSAGE) return null;
  try {
    const parsed = v.safeParse(CallOutSchema, JSON.parse(text));
    return parsed.success ? parsed.output : null;
  } catch {
    return null;
  }
}
