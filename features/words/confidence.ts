import { SURE } from '@/core/reading/confidence';

/** How sure the reader is, as a word with its share. */
export const confidenceWords = (confidence: number): string =>
  `${confidence >= SURE ? 'sure' : confidence >= 0.7 ? 'likely' : confidence >= 0.5 ? 'maybe' : 'unsure'}, ${Math.round(confidence * 100)}\u00a0%`;
