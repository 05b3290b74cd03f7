/** What a patch of bed is said to be. */
export type Ground = 'hard' | 'soft' | 'unclear';

/** Less sure than this nothing is said: sand and silt answer nearly alike, and no two beds of a kind alike. */
const SURE = 0.9;

/** @param hard probability that it is hard */
export const groundOf = (hard: number): Ground =>
  hard > SURE ? 'hard' : hard < 1 - SURE ? 'soft' : 'unclear';
