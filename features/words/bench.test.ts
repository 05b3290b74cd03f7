import { SYMPTOMS } from '@/core/bench/symptoms/symptom';
import { TRAPS } from '@/core/bench/traps';
import { GENERIC_RIG, unitOf } from '@/core/rig';
import { settles, unsettlingOf } from '@/core/bench/unsettling';
import { moveCost, moveReason, moveWords, unsettledWords } from './moves';
import { findSymptoms, SYMPTOM_WORDS } from './symptoms';
import { TRAP_WORDS } from './traps';

const MOST_WORDS = 20;
const sentences = (text: string): string[] => text.split(/(?<=[.?])\s+/);

describe('what the bench says', () => {
  const said = [
    ...SYMPTOMS.flatMap((s) => {
      const { complaint, causes, move, then } = SYMPTOM_WORDS[s];
      return [complaint, ...causes, move, then];
    }),
    ...TRAPS.flatMap((t) => Object.values(TRAP_WORDS[t]) as string[]),
  ];
  it('is short: no sentence over twenty words', () => {
    const long = said.flatMap(sentences).filter((s) => s.split(/\s+/).length > MOST_WORDS);
    expect(long).toEqual([]);
  });
  it('has at least eighteen complaints, each with causes in order', () => {
    expect(SYMPTOMS.length).toBeGreaterThanOrEqual(18);
    for (const s of SYMPTOMS) expect(SYMPTOM_WORDS[s].causes.length).toBeGreaterThanOrEqual(2);
  });
});

describe('a complaint', () => {
  it.each([
    ['sensitivity', 'specks'],
    ['interference', 'dashes'],
    ['false bottom', 'second-bed'],
    ['scroll', 'marks-too-long'],
    ['brush thin', 'brush-needle'],
    ['waypoint off', 'marks-late'],
    ['bubbles jig', 'spikes-at-lure'],
    ['old brush', 'old-wood'],
    ['auto gain', 'size-changes'],
  ] as const)('is found by everyday words: %s', (typed, symptom) => {
    expect(findSymptoms(typed, SYMPTOMS).slice(0, 3)).toContain(symptom);
  });
  it('is found by its own words, and nothing by nonsense', () => {
    for (const s of SYMPTOMS) expect(findSymptoms(SYMPTOM_WORDS[s].complaint, SYMPTOMS)[0]).toBe(s);
    expect(findSymptoms('qwxyz', SYMPTOMS)).toEqual([]);
    expect(findSymptoms('', SYMPTOMS)).toEqual([...SYMPTOMS]);
  });
});

describe('a move', () => {
  const judged = {
    score: 0.4,
    lead: 0.5,
    found: 2,
    fish: 5,
    specks: 4,
    bedRoom: 0.5,
    columns: 10,
    rows: 3,
  };
  const units = { show: (_: string, x: number) => `${x} m`, system: 'metric' } as never;
  it('says what it turns, what that gives and what it costs', () => {
    const after = { ...judged, found: 4, specks: 6 };
    const move = { change: { gainDb: -8, colourSpreadDb: 30 }, before: judged, after };
    expect(moveWords(move, unitOf(GENERIC_RIG), units)).toMatch(/^Gain −8\sdB, Colour spread 30\sdB$/);
    expect(moveReason(move)).toBe('2 more fish stand out');
    expect(moveCost(move)).toBe('more specks come with it');
    expect(moveReason({ before: judged, after: { ...judged, specks: 1 } })).toBe(
      'Fewer specks look like fish',
    );
    expect(moveCost({ before: judged, after: judged })).toBeNull();
  });
  it('that settles the gain is told from one that does not, and a turn that unsettles it from one that sets it', () => {
    expect(settles({ gainDb: 4 })).toBe(true);
    expect(settles({ noiseRejection: 0 })).toBe(false);
    expect(unsettlingOf({ power: 'low' })).toBe('power');
    expect(unsettlingOf({ power: 'low', gainDb: 4 })).toBeNull();
    expect(unsettlingOf({ rangeM: 30 })).toBeNull();
    expect(unsettledWords('Power')).toMatch(/^Power changes how strong echoes are drawn/);
  });
});
