import { CALLED, type Correction } from '@/core/logbook';
import { sentencesOf, wordsOf } from '@/core/testing/readingEase';
import type { PassReading } from '@/stores';
import { unitsIn } from '../units';
import { CALLED_WORDS, correctionWords } from './called';
import { pointedWords, ruledWords, strengthWords } from './passFacts';
import { recordWords } from './record';
import { besideWords, togetherWords } from './together';

const units = unitsIn('metric');
const place = { timeS: 5, rangeM: 6 };
const short = (words: string): void => {
  for (const sentence of sentencesOf(words)) expect(wordsOf(sentence).length).toBeLessThanOrEqual(20);
};

it('what was said of a mark is a short sentence, whatever it was', () => {
  const all: Correction[] = [
    { change: 'agreed', ...place, was: 'fish' },
    { change: 'split', ...place, was: 'fish', parts: 4 },
    { change: 'merged', ...place, was: 'fish', into: place },
    ...CALLED.map((is): Correction => ({ change: 'renamed', ...place, was: 'fish', is })),
    { change: 'added', ...place, is: 'bait' },
  ];
  for (const c of all) {
    expect(correctionWords(c)).toMatch(/^You .*\.$/);
    short(correctionWords(c));
  }
  expect(new Set(CALLED.map((c) => CALLED_WORDS[c].chip)).size).toBe(CALLED.length);
});

describe('what is measured on a pass', () => {
  const reading = {
    timeS: Float64Array.from({ length: 101 }, (_, p) => p),
    wayM: Float64Array.from({ length: 101 }, (_, p) => 0.5 * p),
  } as PassReading;
  it('a ruler gives height, way, time, and how far astern its second end is', () =>
    expect(ruledWords({ timeS: 10, rangeM: 4 }, { timeS: 30, rangeM: 7 }, reading, units)).toBe(
      '3\u00a0m high · 10\u00a0m along · 20 s · 35\u00a0m astern',
    ));
  it('a place gives depth, strength and time; a boat that kept its place leaves nothing astern', () => {
    const still = { ...reading, wayM: new Float64Array(101) };
    expect(pointedWords(place, 0, still, units)).toBe('6\u00a0m · nothing drawn · at 0:05');
    expect(pointedWords(place, null, reading, units)).toBe('6\u00a0m · at 0:05 · 48\u00a0m astern');
    expect(strengthWords(1)).toBe('strength 1 of 10');
  });
});

it('how often the reader was right is counted, and a few say nothing', () => {
  const none = { judged: 0, right: 0, missed: 0 };
  expect(recordWords(none, none, none)).toEqual([]);
  expect(recordWords({ judged: 2, right: 2, missed: 0 }, none, none).join(' ')).toContain('Judge more');
  const words = recordWords(
    { judged: 12, right: 10, missed: 3 },
    { judged: 10, right: 9, missed: 3 },
    { judged: 2, right: 1, missed: 0 },
  );
  // Wilson 1927: 10 of 12 is 55 to 95 %.
  expect(words.join(' ')).toMatch(
    /12 of the reader’s marks: 10 right \(fish 9 of 10, bait 1 of 2\).*55 to 95\s%.*missed 3/,
  );
  short(words.join(' '));
});

it('another beam confirms, puts aside or doubts', () => {
  const mark = { id: 1, ...place };
  expect(besideWords('83 kHz', { ...mark, verdict: 'confirmed', asideM: [0, 2] }, units)).toContain(
    'within 2\u00a0m',
  );
  expect(besideWords('83 kHz', { ...mark, verdict: 'to-a-side', asideM: [1, 3] }, units)).toContain(
    'to one side',
  );
  expect(besideWords('83 kHz', { ...mark, verdict: 'doubted', asideM: null }, units)).toContain('Doubt it');
  expect(
    togetherWords('83 kHz', [
      { ...mark, verdict: 'confirmed', asideM: null },
      { ...mark, id: null, verdict: 'to-a-side', asideM: null },
    ]),
  ).toBe('Single marks on both pictures: 1. Only on this one: 0. Only on the 83 kHz beam: 1.');
});
