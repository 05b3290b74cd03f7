import { DETECTION_DB } from './echoBudget';

/** Whether something will show, in a word. */
export type Verdict = 'clear' | 'faint' | 'lost';

/** Margin over the detection level from which an echo is clear rather than faint, dB. */
const CLEAR_DB = 6;

/** The word for an echo's level over the noise, dB. */
export const verdictOf = (marginDb: number): Verdict =>
  marginDb >= DETECTION_DB + CLEAR_DB ? 'clear' : marginDb >= DETECTION_DB ? 'faint' : 'lost';
