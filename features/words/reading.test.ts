import type { Reading } from '@/core/reading';
import { sentencesOf, wordsOf } from '@/core/testing/readingEase';
import { unitsIn } from '../units';
import { coveredWords, seenWords } from './reading';

const shaped = (slopeRad: number): Reading['bedShape'] => ({
  slopeRad: new Float32Array(40).fill(slopeRad),
  depthLowM: new Float32Array(40).fill(10.3),
  depthHighM: new Float32Array(40).fill(10.6),
  deadZoneM: new Float32Array(40).fill(0.9),
});
const NOTHING: Reading = {
  channelId: 'cone',
  bed: { rangeM: new Float32Array(40).fill(10), contrastDb: new Float32Array(40) },
  bedShape: shaped(0),
  hardness: [],
  layers: [],
  named: [],
  faults: [],
  surfaceClutterM: 0,
  structure: [],
  lures: [],
  missingLeg: null,
  findings: [],
};
const patch = (likely: 'rock' | 'mud', hard: number) =>
  ({ likely, hard, skin: 0.7 }) as Reading['hardness'][number];
const echo = (kind: Reading['named'][number]['kind']): Reading['named'][number] => ({
  kind,
  fromPing: 3,
  toPing: 20,
  rangeM: [3, 8],
  steadyDb: 0,
  slantM: 0,
});
const timeS = Float64Array.from({ length: 40 }, (_, p) => p / 5);
const wayM = timeS.map((t) => 1.5 * t);
const units = unitsIn('metric');

describe('what else the reader has seen', () => {
  const full: Reading = {
    ...NOTHING,
    faults: [
      { name: 'cut', share: 0.4 },
      { name: 'gain-in', dbPerDecade: 30 },
      { name: 'repeated', share: 0.02 },
    ],
    bedShape: shaped(-0.25),
    hardness: [patch('rock', 0.95), patch('rock', 0.9)],
    layers: [{ rangeM: 6, topM: 5, bottomM: 7, overDb: 6, share: 0.9 }],
    structure: [{ kind: 'hump', fromPing: 5, toPing: 15, topM: 7, footM: 10, heightM: 3, lengthM: 9 }],
    lures: [{ answers: [{}, {}] } as unknown as Reading['lures'][number]],
    missingLeg: { leg: 'before', count: 6, of: 7, chance: 0.02 },
    named: (
      ['bubbles', 'another-sounder', 'own-gear', 'electrical-bar', 'false-bed', 'ring-down'] as const
    ).map(echo),
  };
  it('is all said, in short sentences', () => {
    const seen = seenWords(full, { timeS, wayM }, units);
    expect(seen.map((s) => s.name)).toEqual([
      'Loud echoes are cut off',
      'Gain by depth is already in this recording',
      'Pings are missing',
      'The bed',
      'A steep slope',
      'A hump',
      'A layer',
      'Your lure',
      'The same leg is missing',
      'Bubbles',
      'Another sounder',
      'Your own gear',
      'Electrical noise',
      'A false bed',
      'The transducer’s own ringing',
    ]);
    expect(seen[3]!.words).toMatch(
      /^Mostly hard \(sure, 93\s%\), most like rock\. .* In places a thin hard skin/,
    );
    expect(seen[4]!.words).toMatch(
      /^It rises by 14° at 0:03\. Straight below it is 10\.3.+10\.6\sm deep, drawn at 10(\.0)?\sm\. Fish in the lowest 90\scm are hidden\.$/,
    );
    expect(seen[5]!.words).toMatch(/^3\sm high, its top at 7/);
    for (const { words } of seen)
      for (const sentence of sentencesOf(words)) expect(wordsOf(sentence).length).toBeLessThanOrEqual(20);
  });
  it('is nothing where there is nothing, and a loud ping now and then is not told', () => {
    expect(seenWords(NOTHING, { timeS, wayM }, units)).toEqual([]);
    const long = Float64Array.from({ length: 4000 }, (_, p) => p / 5);
    expect(seenWords({ ...NOTHING, named: [echo('electrical-bar')] }, { timeS: long, wayM }, units)).toEqual(
      [],
    );
  });
  it('says how wide the beam looked at the bed', () => {
    expect(coveredWords(NOTHING, Math.PI / 3, 120, units)).toMatch(/about 12\sm wide and 120\sm long/);
    expect(coveredWords(NOTHING, Math.PI / 3, 0, units)).not.toMatch(/long/);
    expect(
      coveredWords(
        { ...NOTHING, bed: { ...NOTHING.bed, rangeM: new Float32Array(40).fill(NaN) } },
        1,
        120,
        units,
      ),
    ).toBeNull();
  });
});
