/** Terms of the trade, which a reader of these screens knows: they do not count when a text's grade is worked out. */
const TERMS = new Set(
  'sounder transducer beam beams cone slice imaging ping pings echo echoes column columns range gain colour colours spread frequency frequencies kilohertz khz chart noise rejection interference'.split(
    ' ',
  ),
);

/** Sentences of a text; units and numbers do not end one. */
export const sentencesOf = (text: string): string[] =>
  text
    .replace(/\u00a0/g, ' ')
    .split(/(?<=[.!?:])\s+(?=[A-Z“])/)
    .map((s) => s.trim())
    .filter((s) => s.length > 0);

const UNIT = /^(?:m|cm|km|ft|in|mph|kHz|dB|W|°C|°F|%|s|h|km\/h|kn)$/;

/** Words of a sentence that are read as words: no numbers, no units. */
export const wordsOf = (sentence: string): string[] =>
  sentence
    .replace(/[’']/g, '')
    .split(/[^\p{L}/°%]+/u)
    .filter((w) => w.length > 0 && !UNIT.test(w));

/** Syllables by vowel groups; a silent e at the end is none. */
export function syllablesOf(word: string): number {
  const plain = word.toLowerCase().replace(/(?:[^laeiouy]es|[^laeiouy]ed|[^laeiouy]e)$/, (end) => end[0]!);
  return Math.max(1, (plain.match(/[aeiouy]+/g) ?? []).length);
}

/**
 * Reading grade of a text by Flesch and Kincaid (1975): 0.39 words a sentence + 11.8 syllables a word − 15.59, numbers and terms of
 * the trade left out of the syllables.
 */
export function readingGrade(text: string): number {
  const sentences = sentencesOf(text);
  const words = sentences.flatMap(wordsOf);
  const counted = words.filter((w) => !TERMS.has(w.toLowerCase()));
  if (sentences.length === 0 || counted.length === 0) return 0;
  const syllables = counted.reduce((sum, w) => sum + syllablesOf(w), 0);
  return 0.39 * (words.length / sentences.length) + 11.8 * (syllables / counted.length) - 15.59;
}
