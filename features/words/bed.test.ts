import type { BedPatch } from '@/core/reading';
import { sentencesOf, wordsOf } from '@/core/testing/readingEase';
import { bedWords } from './bed';

const patch = (likely: BedPatch['likely'], hard: number, heard: Partial<BedPatch> = {}): BedPatch => ({
  fromPing: 0,
  toPing: 47,
  probability: [],
  likely,
  hard,
  skin: 0,
  growthM: 0,
  firstOverGravelDb: -3,
  secondUnderFirstDb: null,
  secondUnheardDb: null,
  ...heard,
});

describe('what a bed is made of', () => {
  it('is not told where nothing was heard of it', () => expect(bedWords([])).toBeNull());
  it('is said outright only when it is sure', () => {
    expect(bedWords([patch('rock', 0.98)])).toMatch(/^Mostly hard \(sure, 98\s%\), most like rock\./);
    expect(bedWords([patch('sand', 0.84)])).toMatch(/^Hard \(likely, 84\s%\).*silt and .*sand answer alike/);
    expect(bedWords([patch('silt', 0.55)])).toMatch(/^Hard or soft cannot be told, most like silt\./);
    expect(bedWords([patch('rock', 0.99), patch('silt', 0.35)])).toMatch(/^Hard in places, the rest cannot/);
    expect(bedWords([patch('mud', 0.02), patch('silt', 0.6)])).toMatch(/^Soft in places, the rest cannot/);
    expect(bedWords([patch('rock', 0.99), patch('mud', 0.02)])).toMatch(
      /^Hard and soft by turns, most like rock and mud\./,
    );
  });
  it('has its reason, and what would tell more', () => {
    expect(bedWords([patch('rock', 0.95)])).toMatch(/first echo alone\. Set the range/);
    expect(bedWords([patch('rock', 0.99, { secondUnderFirstDb: 5 })])).toMatch(/first and second echo\./);
    expect(bedWords([patch('rock', 0.95, { secondUnderFirstDb: 5, firstOverGravelDb: null })])).toMatch(
      /second echo alone\./,
    );
    expect(bedWords([patch('mud', 0.1, { secondUnheardDb: 20, firstOverGravelDb: null })])).toMatch(
      /^Mostly soft \(sure, 90\s%\).*none came back/,
    );
  });
  it('keeps its sentences short', () => {
    const words = bedWords([
      patch('sand', 0.84, { skin: 0.9 }),
      patch('silt', 0.3, { secondUnheardDb: 20 }),
      patch('mud', 0.05, { secondUnheardDb: 20 }),
    ])!;
    for (const sentence of sentencesOf(words)) expect(wordsOf(sentence).length).toBeLessThanOrEqual(20);
  });
});
