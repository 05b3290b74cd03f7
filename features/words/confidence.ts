/** How sure the reader is, as a word with its share. */
export const confidenceWords = (confidence: number): string =>
  `${confidence >= 0.9 ? 'sure' : confidence >= 0.7 ? 'likely' : confidence >= 0.5 ? 'maybe' : 'unsure'}, ${Math.round(confidence * 100)}\u00a0%`;
