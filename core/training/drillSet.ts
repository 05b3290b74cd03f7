import * as v from 'valibot';
import { BriefSchema } from '@/core/advice';
import { RigSchema } from '@/core/rig';
import { AnswerSchema, type Answer } from './answer';
import { MADE_DRILLS, KINDS, ROUNDS } from './drill';

/** A drill as one gives it to another: its rounds, the boat and day they are made for, and what one answered oneself. */
export const DrillSetSchema = v.pipe(
  v.object({
    /** Who gives it. */
    by: v.pipe(v.string(), v.maxLength(60)),
    drill: v.picklist(MADE_DRILLS),
    rounds: v.pipe(
      v.array(v.pick(AnswerSchema, ['kind', 'level', 'seed'])),
      v.minLength(1),
      v.maxLength(ROUNDS),
    ),
    brief: BriefSchema,
    rig: RigSchema,
    answers: v.optional(v.pipe(v.array(AnswerSchema), v.maxLength(ROUNDS)), () => []),
  }),
  v.check(
    ({ drill, rounds }) => rounds.every(({ kind }) => (KINDS[drill] as readonly string[]).includes(kind)),
    'a round is not of this drill',
  ),
);
export type DrillSet = v.InferOutput<typeof DrillSetSchema>;

/** One round as two have answered it; null for who has not. */
export interface ComparedRound {
  kind: string;
  mine: Answer | null;
  theirs: Answer | null;
}

/** Two people's answers to the same rounds, side by side. */
export function compareAnswers(set: DrillSet, mine: readonly Answer[]): ComparedRound[] {
  const find = (list: readonly Answer[], seed: number, kind: string): Answer | null =>
    list.find((a) => a.seed === seed && a.kind === kind) ?? null;
  return set.rounds.map(({ kind, seed }) => ({
    kind,
    mine: find(mine, seed, kind),
    theirs: find(set.answers, seed, kind),
  }));
}
