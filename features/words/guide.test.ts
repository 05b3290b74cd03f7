import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readingGrade, sentencesOf, wordsOf } from '@/core/testing/readingEase';
import { GUIDE } from './guide';
import { guideText } from './guideText';

const root = join(__dirname, '..', '..');

it('the guide in docs says what the app says', () => {
  expect(readFileSync(join(root, 'docs', 'guide.md'), 'utf8')).toBe(guideText());
});

it('is short plain sentences, with pictures that are there', () => {
  for (const { paragraphs, picture } of GUIDE) {
    for (const paragraph of paragraphs)
      for (const sentence of sentencesOf(paragraph))
        expect([sentence, wordsOf(sentence).length <= 24]).toEqual([sentence, true]);
    if (picture) expect(existsSync(join(root, 'public', 'guide', `${picture.name}.png`))).toBe(true);
  }
  expect(readingGrade(GUIDE.flatMap((p) => p.paragraphs).join(' '))).toBeLessThanOrEqual(8);
});
