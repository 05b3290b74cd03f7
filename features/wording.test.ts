import { expectationOf, FIRST_BRIEF, startSetup, type Brief } from '@/core/advice';
import { GENERIC_RIG } from '@/core/rig';
import {
  becauseWords,
  briefWords,
  expectationWords,
  lineValue,
  predictionWords,
  SCHOOL_WORDS,
} from './plan/wording';
import { confidenceWords, findingTitle, rivalWords } from './read/wording';
import { clock, unitsIn } from './units';

/** A user who has told nothing of their unit. */
const NOTHING_TOLD = { unit: { profile: {}, chart: null }, columns: 640 };

const metric = unitsIn('metric');
const feet = unitsIn('feet');
const setupOf = (change: Partial<Brief> = {}) => startSetup({ ...FIRST_BRIEF, ...change }, GENERIC_RIG);

describe('the setup in words', () => {
  it('gives every line a value with a unit or a plain word, and a reason with a number, in both systems', () => {
    for (const change of [
      {},
      { presentation: 'vertical', speedMps: 0 },
      { faceId: 'slice-455' },
      { fromM: 1, toM: 4, speedMps: 5 },
    ] as Partial<Brief>[])
      for (const units of [metric, feet]) {
        const setup = setupOf(change);
        for (const line of setup.lines) {
          for (const way of [line, ...line.others.map((o) => ({ control: line.control, ...o }))]) {
            expect(lineValue(way, units, setup.prediction.face, NOTHING_TOLD)).toMatch(
              /off|still|of \d|\d.*[a-z]|kHz|full|filtered|auto|swept|specks|fish|layers|none|locked|by|bait/i,
            );
            const words = becauseWords(way.because, units);
            expect(words).toMatch(/\.$/);
            expect(words).not.toMatch(/NaN|undefined|Infinity/);
            if (way.school !== null) expect(SCHOOL_WORDS[way.school]).toMatch(/[a-z]/);
          }
        }
      }
  });
  it('speaks the user’s units', () => {
    const range = setupOf().lines[0]!;
    expect(lineValue(range, metric, setupOf().prediction.face, NOTHING_TOLD)).toBe('0–17\u00a0m');
    expect(lineValue(range, feet, setupOf().prediction.face, NOTHING_TOLD)).toBe('0–56\u00a0ft');
  });
  it('says what is lost', () => {
    const lost = setupOf({ speciesId: 'smelt', lengthM: [0.1, 0.12], fromM: 20, toM: 60 });
    expect(predictionWords(lost.prediction, metric)).toMatch(/lost at the bed; shows to \d+/);
  });
});

it('says what a fish will look like, or that it will not be seen', () => {
  const words = (change: Partial<Brief>): string => {
    const brief = { ...FIRST_BRIEF, ...change };
    const setup = startSetup(brief, GENERIC_RIG);
    return expectationWords(expectationOf(brief, GENERIC_RIG, setup.prediction, setup.settings), metric).join(
      ' ',
    );
  };
  expect(words({})).toMatch(/draws an arch: \d+ columns wide, \d+ rows thick/);
  expect(words({ presentation: 'vertical', speedMps: 0 })).toMatch(/draws a line/);
  expect(words({ speciesId: 'smelt', lengthM: [0.1, 0.12], fromM: 50, toM: 60 })).toMatch(/not shown/);
});

it('reads the brief out', () => {
  const words = briefWords(FIRST_BRIEF, metric, undefined);
  expect(words.species).toBe('Perch 20–30\u00a0cm');
  expect(words.presentation).toBe('searching at 5.4\u00a0km/h');
  expect(briefWords({ ...FIRST_BRIEF, thermoclineM: null, salinity: 35 }, feet, undefined).water).toBe(
    'stained salt water, 63\u00a0°F',
  );
});

it('never names a kind of fish in a reading', () => {
  expect(confidenceWords(0.93)).toBe('sure, 93\u00a0%');
  expect(confidenceWords(0.6)).toMatch(/^maybe/);
  expect(rivalWords({ reading: 'debris', test: 'pass-again' })).toMatch(/^Could also be .* To tell: /);
  expect(findingTitle({ kind: 'cloud' } as never)).toMatch(/likely/);
});

it('tells time', () => expect(clock(67.8)).toBe('1:07'));
