import type { Stage } from '@/stores';

/** What the worker is at, in words. */
export const STAGE_WORDS: Record<Stage, string> = {
  sounding: 'Making new pings…',
  drawing: 'Drawing…',
  reading: 'Reading the pass…',
  judging: 'Trying the dials…',
  opening: 'Opening the file…',
};
