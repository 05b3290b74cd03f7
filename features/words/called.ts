import type { Called, Correction } from '@/core/logbook';

/** What a person may say a mark is, on a chip and in a sentence. */
export const CALLED_WORDS: Record<Called, { chip: string; sentence: string }> = {
  fish: { chip: 'Fish', sentence: 'a fish' },
  bait: { chip: 'Bait', sentence: 'bait' },
  weed: { chip: 'Weed', sentence: 'weed' },
  brush: { chip: 'Brush', sentence: 'brush' },
  timber: { chip: 'Tree', sentence: 'a standing tree' },
  boulder: { chip: 'Rock', sentence: 'a rock' },
  bed: { chip: 'The bed', sentence: 'the bed' },
  bubbles: { chip: 'Bubbles', sentence: 'bubbles' },
  gear: { chip: 'Lure or line', sentence: 'your lure or line' },
  nothing: { chip: 'Nothing', sentence: 'nothing' },
};

/** What was said of a mark. */
export function correctionWords(c: Correction): string {
  switch (c.change) {
    case 'agreed':
      return 'You said it is right.';
    case 'renamed':
      return c.is === 'nothing'
        ? 'You said there is nothing.'
        : `You said it is ${CALLED_WORDS[c.is].sentence}.`;
    case 'split':
      return `You said it is ${c.parts} of them.`;
    case 'merged':
      return 'You said it is a part of another mark.';
    case 'added':
      return `You added ${CALLED_WORDS[c.is].sentence}.`;
  }
}
