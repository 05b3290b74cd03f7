import { expectationOf, FIRST_BRIEF, startSetup, type Brief } from '@/core/advice';
import { GENERIC_RIG } from '@/core/rig';
import { expectationWords, predictionWords } from './plan/expectationWords';
import {
  becauseWords,
  briefWords,
  KEEPS_WORDS,
  lineReason,
  lineValue,
  onOwnUnit,
  pinWords,
  SCHOOL_WORDS,
  type OwnUnit,
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
              /off|still|of \d|\d.*[a-z]|kHz|full|filtered|auto|lowest|swept|specks|fish|layers|none|locked|by|bait/i,
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
  expect(words({})).toMatch(/Hardly any way it may lie and fade changes that/);
  expect(words({ presentation: 'vertical', speedMps: 0 })).toMatch(/draws a line .* Hardly any way/);
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

describe('a unit that has been told', () => {
  const own: OwnUnit = {
    columns: 640,
    unit: {
      profile: {
        gain: { word: 'Gain', lowest: 0, highest: 100, step: 1, direction: 'more' },
        noiseRejection: { word: 'Clean', lowest: 1, highest: 9, step: 1, direction: 'less' },
        chartSpeed: { word: 'Speed', lowest: 1, highest: 10, step: 1, direction: 'more' },
      },
      chart: [
        { shown: 2, acrossS: 128 },
        { shown: 10, acrossS: 25.6 },
      ],
    },
  };
  it('is spoken to in its own numbers', () => {
    // −17 dB of −30…40 is 0.186 of 0…100; no rejection is the highest where higher does less.
    expect(onOwnUnit('gain', -17, own)).toBe('about 19, then to the first specks');
    expect(onOwnUnit('noiseRejection', 0, own)).toBe('9');
    // 5 columns a second at 2 and 25 at 10: 12.5 at 5.
    expect(onOwnUnit('chartSpeed', 12.5, own)).toBe('5');
    expect(onOwnUnit('topWater', 3, own)).toBeNull();
    expect(onOwnUnit('range', 17, own)).toBeNull();
  });
  it('goes by its scale alone when the timings fit no line', () => {
    const same = { shown: 2, acrossS: 128 };
    const odd: OwnUnit = { ...own, unit: { ...own.unit, chart: [same, same] } };
    expect(onOwnUnit('chartSpeed', 40, odd)).toBe('10');
  });
});

it('says what a held line would have been let go to, and every kind where it keeps', () => {
  expect(becauseWords({ rule: 'pinned', insteadOf: 17 }, metric)).toMatch(/You hold this/);
  const held = startSetup(FIRST_BRIEF, GENERIC_RIG, {}, { range: 40 }).lines[0]!;
  expect(lineReason(held, metric)).toContain('the rule would have 17\u00a0m');
  expect(pinWords('range', 30, feet)).toBe('98\u00a0ft');
  expect(pinWords('gain', -4, metric)).toBe('−4\u00a0dB');
  for (const words of Object.values(KEEPS_WORDS)) expect(words).toMatch(/^(on|in|near|a little)/);
});

it('tells a mark that is heard but not drawn, and one too short to be one', () => {
  const brief = FIRST_BRIEF;
  const setup = setupOf();
  const e = expectationOf(brief, GENERIC_RIG, setup.prediction, setup.settings);
  expect(expectationWords({ ...e, hidden: true }, metric)[0]).toMatch(/leave it out/);
  const rival = { shape: 'clip' as const, likely: 0.31 };
  const half = { ...e, shape: 'half' as const, likely: 0.48, rival, promised: ['half', 'clip'] as const };
  expect(expectationWords(half, metric).slice(0, 2).join(' ')).toMatch(
    /draws a half \(one leg\) or a clip:.*5 in 10.*a clip, 3 in 10/,
  );
  const still = { ...e, shape: 'clip' as const, promised: ['clip'] as const, inConeS: Infinity };
  expect(expectationWords(still, metric)[0]).toMatch(/draws a line in pieces/);
  const edge = {
    ...e,
    shape: 'nothing' as const,
    likely: 0.5,
    rival,
    promised: ['nothing', 'clip'] as const,
  };
  expect(expectationWords(edge, metric)[0]).toMatch(/at the edge of what shows: nothing or a clip/);
  expect(expectationWords({ ...e, shape: 'nothing' }, metric)[0]).toMatch(/too few pings/);
  expect(expectationWords({ ...e, shape: 'nothing', marginDb: 0 }, metric)[0]).toMatch(/under the noise/);
});
