/** Why a door refused: what it was given is not of its kind, is damaged, is of a newer version, is too large, or cannot be. */
export type RefusalCause = 'foreign' | 'damaged' | 'newer' | 'large' | 'refused';

/** What a door took, or one plain sentence that says why it did not. A refusal has changed nothing. */
export type Result<T = null> = { ok: true; value: T } | { ok: false; cause: RefusalCause; problem: string };

export const accepted = <T>(value: T): Result<T> => ({ ok: true, value });

export const refused = (problem: string, cause: RefusalCause = 'refused'): Result<never> => ({
  ok: false,
  cause,
  problem,
});

/** Nothing to hand back: it was done. */
export const DONE: Result = accepted(null);

/** The sentence of a refusal, null of what was taken. */
export const problemOf = (result: Result<unknown>): string | null => (result.ok ? null : result.problem);
