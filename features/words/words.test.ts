import { expectationOf, FIRST_BRIEF, startSetup, type Brief } from '@/core/advice';
import { GENERIC_RIG, unitOf } from '@/core/rig';
import { readingGrade, sentencesOf, wordsOf } from '@/core/testing/readingEase';
import { confidenceWords } from './confidence';
import { findingTitle, rivalWords } from '../read/wording';
import { clock, unitsIn } from '../units';
import { briefWords, KEEPS_WORDS } from './brief';
import { manyBriefs, planTexts } from './catalogue';
import { cautionsFor } from './cautions';
import { expectationWords, predictionWords } from './expectation';
import { meterWords, turnWords } from './meters';
import { PRACTICE_WORDS } from './practices';
import { becauseWords, lineReason } from './reasons';
import { lineValue, onOwnUnit, pinWords, type OwnUnit } from './setupValues';

/** A user who has told nothing of their unit. */
const NOTHING_TOLD = unitOf(GENERIC_RIG);
const metric = unitsIn('metric');
const feet = unitsIn('feet');
const setupOf = (change: Partial<Brief> = {}) => startSetup({ ...FIRST_BRIEF, ...change }, GENERIC_RIG);
const expectedOf = (change: Partial<Brief> = {}, with_: Partial<ReturnType<typeof expectationOf>> = {}) => {
  const brief = { ...FIRST_BRIEF, ...change };
  const setup = startSetup(brief, GENERIC_RIG);
  const e = { ...expectationOf(brief, GENERIC_RIG, setup.prediction, setup.settings), ...with_ };
  return expectationWords(brief, e, setup, metric);
};

describe('what Plan says, over sixty briefs', () => {
  const screens = manyBriefs(60).map(({ brief, rig }, k) =>
    planTexts(brief, rig, k % 2 === 0 ? metric : feet),
  );
  const all = screens.flatMap((s) => Object.values(s).flat());
  it('keeps to twenty words a sentence, two numbers, and no decibels', () => {
    const long = new Set<string>();
    for (const text of all) {
      expect(text).not.toMatch(/NaN|undefined|Infinity|\[object|\bdB\b|\b1 (?:rows|seconds|pings)/);
      for (const sentence of sentencesOf(text)) {
        if (wordsOf(sentence).length > 20 || (sentence.match(/\d[\d.,–]*/g) ?? []).length > 3)
          long.add(sentence);
      }
    }
    expect([...long]).toEqual([]);
  });
  it('reads at grade eight or under, screen by screen', () => {
    for (const screen of screens)
      for (const [name, texts] of Object.entries(screen)) {
        const text = texts.join(' ');
        if (wordsOf(text).length < 100) continue;
        expect({ name, grade: Math.min(8, readingGrade(text)) }).toEqual({ name, grade: readingGrade(text) });
      }
  });
});

it('says one thing once: what two texts tell of one beam agrees, over sixty briefs', () => {
  const first = (pattern: RegExp, text: string): string | null => pattern.exec(text)?.[1] ?? null;
  for (const { brief, rig } of manyBriefs(60)) {
    const setup = startSetup(brief, rig);
    const reasons = setup.lines.map((l) => lineReason(l, metric)).join(' ');
    const beam = lineReason(
      setup.lines.find((l) => l.control === 'beam')!,
      metric,
    );
    const e = expectationOf(brief, rig, setup.prediction, setup.settings);
    const { details } = expectationWords(brief, e, setup, metric);
    const down = /shows this fish down to ([\d.]+)|This fish shows down to ([\d.]+)/;
    const said = down.exec(beam);
    if (said)
      expect(predictionWords(brief, setup.prediction, metric)).toContain(`down to ${said[1] ?? said[2]}`);
    const hidden = first(/Fish within (.*?) of the bed are hidden/, beam);
    if (hidden) expect(details.join(' ')).toContain(`Fish within ${hidden} of the bed are hidden`);
    const apart = first(/Two fish closer than (.*?) in depth/, reasons);
    if (apart) expect(details.join(' ')).toContain(`closer than ${apart} in depth`);
    // The bed's depth is the brief's wherever it is named.
    for (const [, bed] of reasons.matchAll(/bed (?:is )?at (\d+)\u00a0m/g))
      expect(Number(bed)).toBe(Math.round(brief.toM));
  }
});

it('measures reading grade as its formula says', () => {
  // 6 words, 1 sentence, 6 syllables: 0.39 · 6 + 11.8 · 1 − 15.59 = −1.45.
  expect(readingGrade('The cat sat on the mat.')).toBeCloseTo(-1.45, 2);
  // 5 words, 12 syllables: 1.95 + 28.32 − 15.59 = 14.68.
  expect(readingGrade('Unavoidable circumstances made everyone hesitate.')).toBeGreaterThan(10);
});

describe('the setup in words', () => {
  it('gives every line a short value and every way a name', () => {
    for (const change of [
      {},
      { presentation: 'vertical', speedMps: 0 },
      { faceId: 'slice-455' },
      { fromM: 1, toM: 4, speedMps: 5 },
    ] as Partial<Brief>[])
      for (const units of [metric, feet]) {
        const setup = setupOf(change);
        for (const line of setup.lines)
          for (const way of [line, ...line.others.map((o) => ({ control: line.control, ...o }))]) {
            const value = lineValue(way, units, setup.prediction.face, NOTHING_TOLD);
            expect(value.length).toBeGreaterThan(0);
            expect(value.length).toBeLessThanOrEqual(24);
            if (way.practice !== null) expect(PRACTICE_WORDS[way.practice]).toMatch(/[a-z]/);
          }
      }
  });
  it('speaks the user’s units', () => {
    const range = setupOf().lines[0]!;
    expect(lineValue(range, metric, setupOf().prediction.face, NOTHING_TOLD)).toBe('0–17\u00a0m');
    expect(lineValue(range, feet, setupOf().prediction.face, NOTHING_TOLD)).toBe('0–56\u00a0ft');
  });
  it('says what a held line would have been, and that it loses the bed', () => {
    const held = (range: number) => startSetup(FIRST_BRIEF, GENERIC_RIG, {}, { range }).lines[0]!;
    expect(lineReason(held(40), metric)).toContain('The rule would set 17\u00a0m');
    expect(lineReason(held(10), metric)).toContain('the bed at 14\u00a0m is off the screen');
    expect(becauseWords({ rule: 'pinned', insteadOf: 17 }, metric)).toMatch(/You hold this value/);
    expect(pinWords('range', 30, feet)).toBe('98\u00a0ft');
    expect(pinWords('gain', -4, metric)).toBe('−4\u00a0dB');
  });
  it('says which sizes vanish for who wants big fish only', () => {
    const gain = setupOf({ lengthM: [0.4, 0.6] }).lines.find((l) => l.control === 'gain')!;
    const big = gain.others.find((o) => o.practice === 'big-only')!;
    // Half of the shortest wanted, by the loss of 6 dB at the cone's edge: 0.4 · 10^(−6/19.1) = 0.19 m, in whole decibels.
    expect(becauseWords(big.because, metric)).toMatch(/Fish under (18|19|20|21)\u00a0cm vanish/);
  });
});

describe('what to expect', () => {
  it('says the thing first: a shape, how long, how often', () => {
    const { verdict, lines } = expectedOf();
    expect(verdict).toBe('clear');
    expect(lines.join(' ')).toMatch(
      /^You should see an arch\. It takes \d+\u00a0seconds to pass\. Expect this in/,
    );
    expect(expectedOf({ presentation: 'vertical', speedMps: 0 }).lines.join(' ')).toMatch(
      /You should see a flat line\. It lasts as long as the fish stays under you\./,
    );
  });
  it('says first that a fish cannot be seen, and then what would show it', () => {
    const { verdict, lines } = expectedOf({ speciesId: 'smelt', lengthM: [0.1, 0.12], fromM: 50, toM: 60 });
    expect(verdict).toBe('lost');
    expect(lines[0]).toBe('You will not see this fish at 55\u00a0m.');
    expect(lines[1]).toMatch(/No beam of yours shows it that deep/);
    const wide = expectedOf({ faceId: 'cone-83', fromM: 24, toM: 34 });
    expect(wide.lines.join(' ')).toMatch(/The 200 kHz narrow beam shows it down to \d+\u00a0m/);
  });
  it('counts a mark as faint that is too small from where the user stands', () => {
    const [unit] = GENERIC_RIG.units;
    const seenFrom = (viewedFromM: number) => {
      const rig = { ...GENERIC_RIG, units: [{ ...unit!, viewedFromM }] };
      const setup = startSetup(FIRST_BRIEF, rig);
      const e = expectationOf(FIRST_BRIEF, rig, setup.prediction, setup.settings);
      return { e, words: expectationWords(FIRST_BRIEF, e, setup, metric) };
    };
    const [near, far] = [seenFrom(0.5), seenFrom(5)];
    // Ten times as far, a hundredth of the area.
    expect(far.e.areaArcmin2).toBeCloseTo(near.e.areaArcmin2 / 100, 3);
    expect(near.words.verdict).toBe('clear');
    expect(far.words.verdict).toBe('faint');
    expect(far.words.lines.join(' ')).toMatch(/small from where you stand/);
  });
  it('names two shapes where one is not sure, and what hides a fish', () => {
    const rival = { shape: 'clip' as const, likely: 0.31 };
    const half = expectedOf({}, { shape: 'half', likely: 0.48, rival, promised: ['half', 'clip'] });
    expect(half.lines.join(' ')).toMatch(/half an arch, one leg only or a clip.*8 of 10 passes/);
    expect(expectedOf({}, { hidden: true }).lines[0]).toBe('This gain hides the fish.');
    const few = expectedOf({}, { shape: 'nothing', promised: ['nothing'] });
    expect(few.lines[0]).toMatch(/too few pings/);
    expect(expectedOf({ presentation: 'run', speedMps: 10 }).lines[0]).toMatch(/miss single fish/);
  });
  it('says a beam that does not reach is lost, and how deep it shows', () => {
    const smelt = {
      ...FIRST_BRIEF,
      speciesId: 'smelt',
      lengthM: [0.1, 0.12] as [number, number],
      fromM: 20,
      toM: 60,
    };
    expect(predictionWords(smelt, startSetup(smelt, GENERIC_RIG).prediction, metric)).toMatch(
      /lost at 60.*down to \d+/,
    );
  });
});

it('reads the brief out, with fish that keep over a deep bed', () => {
  const words = briefWords(FIRST_BRIEF, metric, undefined);
  expect(words.species).toBe('Perch 20–30\u00a0cm');
  expect(words.presentation).toBe('searching at 5.4\u00a0km/h');
  expect(briefWords({ ...FIRST_BRIEF, thermoclineM: null, salinity: 35 }, feet, undefined).water).toBe(
    'stained salt water, 63\u00a0°F',
  );
  expect(briefWords({ ...FIRST_BRIEF, fishToM: 10, toM: 30 }, metric, undefined).depth).toBe(
    '6–10\u00a0m, bed at 30\u00a0m',
  );
  for (const keeps of Object.values(KEEPS_WORDS)) expect(keeps).toMatch(/^(on|in|near|a little)/);
});

it('cautions where it applies: pressure from deep, cover, who steers', () => {
  expect(cautionsFor({ ...FIRST_BRIEF, toM: 30 }).join(' ')).toMatch(/pressure/);
  expect(cautionsFor({ ...FIRST_BRIEF, toM: 5 }).join(' ')).not.toMatch(/pressure/);
  expect(cautionsFor({ ...FIRST_BRIEF, speciesId: 'murray-cod' }).join(' ')).toMatch(/cover/);
  expect(cautionsFor({ ...FIRST_BRIEF, speedMps: 0 }).join(' ')).not.toMatch(/steering/);
  expect(cautionsFor(FIRST_BRIEF).join(' ')).toMatch(/Not for navigation/);
});

it('never names a kind of fish in a reading', () => {
  expect(confidenceWords(0.93)).toBe('sure, 93\u00a0%');
  expect(confidenceWords(0.6)).toMatch(/^maybe/);
  expect(rivalWords({ reading: 'debris', test: 'pass-again' })).toMatch(/^It could also be .* To find out, /);
  expect(findingTitle({ kind: 'cloud' } as never)).toMatch(/likely/);
});

it('tells time', () => expect(clock(67.8)).toBe('1:07'));

describe('a unit that has been told', () => {
  const own: OwnUnit = {
    screen: { rows: 480, columns: 640 },
    scales: {
      gain: { word: 'Gain', lowest: 0, highest: 100, step: 1, direction: 'more' },
      noiseRejection: { word: 'Clean', lowest: 1, highest: 9, step: 1, direction: 'less' },
      chartSpeed: { word: 'Speed', lowest: 1, highest: 10, step: 1, direction: 'more' },
    },
    chart: [
      { shown: 2, acrossS: 128 },
      { shown: 10, acrossS: 25.6 },
    ],
  };
  it('is spoken to in its own numbers', () => {
    // −17 dB of −30…40 is 0.186 of 0…100; no rejection is the highest where higher does less.
    expect(onOwnUnit('gain', -17, own)).toBe('about 19');
    expect(onOwnUnit('noiseRejection', 0, own)).toBe('9');
    // 5 columns a second at 2 and 25 at 10: 12.5 at 5.
    expect(onOwnUnit('chartSpeed', 12.5, own)).toBe('5');
    expect(onOwnUnit('topWater', 3, own)).toBeNull();
    expect(onOwnUnit('range', 17, own)).toBeNull();
  });
  it('goes by its scale alone when the timings fit no line', () => {
    const same = { shown: 2, acrossS: 128 };
    const odd: OwnUnit = { ...own, chart: [same, same] };
    expect(onOwnUnit('chartSpeed', 40, odd)).toBe('10');
  });
});

describe('the meters of a picture', () => {
  const fine = { specks: 0.004, bedFull: 0.1, belowBed: 0.2 };
  it('say what is wrong and what to turn, at most two things, or that all is well', () => {
    expect(meterWords(fine)).toEqual([
      'Open water shows a few specks, as it should. The bed has room to show hard from soft.',
    ]);
    const bad = meterWords({ specks: 0.4, bedFull: 1, belowBed: 0.66 });
    expect(bad).toHaveLength(2);
    expect(bad[0]).toMatch(/Specks.*gain down/);
    expect(bad[1]).toMatch(/strongest colour/);
    expect(meterWords({ ...fine, belowBed: 0.66 })).toEqual([
      '7 of 10 rows are under the bed. A smaller range draws fish larger.',
    ]);
    expect(meterWords({ ...fine, bedFull: null, belowBed: NaN })).toEqual([
      'Open water shows a few specks, as it should.',
    ]);
  });
  it('say what the last turn changed, and nothing where nothing did', () => {
    expect(turnWords(fine, fine)).toBeNull();
    expect(turnWords({ ...fine, bedFull: null }, fine)).toBeNull();
    expect(turnWords(fine, { ...fine, specks: 0.3, bedFull: 0.9 })).toBe(
      'Last turn: more specks, more of the bed in the strongest colour.',
    );
  });
});
