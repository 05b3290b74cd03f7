import { SURE } from '../confidence';

/** What a patch of bed is said to be. */
export type Ground = 'hard' | 'soft' | 'unclear';

/**
 * Hard or soft is said only where it is sure: sand and silt answer nearly alike, and no two beds of a kind alike.
 * @param hard probability that it is hard, 0…1
 */
export const groundOf = (hard: number): Ground =>
  hard >= SURE ? 'hard' : 1 - hard >= SURE ? 'soft' : 'unclear';
