/** Prints the ten hardest sentences Plan says over sixty briefs, by their length and their reading grade. */
import { readingGrade, sentencesOf, wordsOf } from '@/core/testing/readingEase';
import { manyBriefs, planTexts } from '@/features/words/catalogue';
import { unitsIn } from '@/features/units';

const units = unitsIn('metric');
const sentences = new Set(
  manyBriefs(60)
    .flatMap(({ brief, rig }) => Object.values(planTexts(brief, rig, units)).flat())
    .flatMap(sentencesOf),
);
const hardest = [...sentences]
  .map((text) => ({ text, words: wordsOf(text).length, grade: readingGrade(text) }))
  .sort((a, b) => b.words - a.words || b.grade - a.grade)
  .slice(0, 10);
for (const { text, words, grade } of hardest)
  console.log(`${words} words, grade ${grade.toFixed(1)}: ${text}`);
