import { seededRandom } from '@/core/maths';
import { NUISANCES, withNuisances } from '@/core/testing/nuisances';
import { paintedPass } from '@/core/testing/paintedWater';
import { judgePainted, type PaintedWorld } from '@/scripts/accuracy/painted';
import { addTally, newTally, type Tally } from '@/scripts/accuracy/tally';
import { readChannel } from '.';
import { sameNumbers } from '@/core/testing/sameNumbers';

/** Some painted passes together; their seeds are none that anything was fitted on. */
function judged(world: PaintedWorld, passes: number, seed: number): Tally {
  const tally = newTally();
  for (let k = 0; k < passes; k++) addTally(tally, judgePainted(seed + k, world));
  return tally;
}

const shareOf = (t: Tally, name: string): number => (t.counts[name]?.[0] ?? 0) / (t.counts[name]?.[1] ?? NaN);
const meanOf = (t: Tally, name: string): number =>
  t.lists[name]!.reduce((a, b) => a + b, 0) / t.lists[name]!.length;

// Bars are those of `npm run accuracy`, less what chance takes from so few passes (binomial, one in a hundred).
describe('on water painted from statistics', () => {
  it('fish are found and little else is called one', () => {
    const t = judged({ parts: { clouds: 0 } }, 5, 3_100_001);
    expect(shareOf(t, 'bed within 3 %')).toBeGreaterThan(0.999);
    expect(shareOf(t, 'recall')).toBeGreaterThan(0.9);
    expect(shareOf(t, 'precision')).toBeGreaterThan(0.88);
  });
  it('waves without a sensor are no rocks, and rocks are', () => {
    expect(
      meanOf(judged({ parts: { heaveM: 0.3, clouds: 0 } }, 4, 3_200_001), 'false boulder a pass'),
    ).toBeLessThan(0.5);
    expect(
      shareOf(judged({ parts: { boulders: 2, clouds: 0 } }, 3, 3_300_001), 'boulder found'),
    ).toBeGreaterThan(0.75);
  });
  it('another sounder is named by its clock, and none where none is', () => {
    expect(
      shareOf(judged({ always: ['other-sounder'], parts: { clouds: 0 } }, 5, 3_400_001), 'sounder named'),
    ).toBeGreaterThan(0.7);
    expect(
      meanOf(judged({ always: ['bursts'], parts: { clouds: 0 } }, 3, 3_500_001), 'false sounders a pass'),
    ).toBeLessThan(0.2);
  });
  it('bait is found, and calm told from hunted', () => {
    const t = judged({ parts: { clouds: 1 } }, 6, 3_600_001);
    expect(shareOf(t, 'clouds found')).toBeGreaterThan(0.8);
    const right = (t.counts['mood: calm']?.[0] ?? 0) + (t.counts['mood: hunted']?.[0] ?? 0);
    const all = (t.counts['mood: calm']?.[1] ?? 0) + (t.counts['mood: hunted']?.[1] ?? 0);
    expect(right / all).toBeGreaterThan(0.7);
  });
  it('a cloud torn apart is one, hunters close under it are no second one', () => {
    for (const seed of [1_410_005, 1_410_008, 1_410_012, 1_410_022]) {
      const { recording, truth } = paintedPass(seed, { clouds: 1 });
      const found = readChannel(recording, recording.channels[0]!).findings.filter((f) => f.kind === 'cloud');
      expect(found).toHaveLength(1);
      const [{ topM, bottomM }] = truth.clouds as [(typeof truth.clouds)[number]];
      expect(found[0]!.rangeM).toBeGreaterThan(topM - 0.4);
      expect(found[0]!.rangeM).toBeLessThan(bottomM);
    }
  });
});

describe('nuisances', () => {
  const { recording } = paintedPass(5, { clouds: 0 });
  it.each(NUISANCES)('%s changes a recording, the same for one seed, and leaves its shape', (name) => {
    const made = [1, 1].map((seed) => withNuisances(recording, [name], seededRandom(seed)).channels[0]!);
    const [one, again] = made;
    const clean = recording.channels[0]!;
    expect(sameNumbers(one!.levelDb, again!.levelDb)).toBe(true);
    expect(one!.levelDb.length).toBe(clean.levelDb.length);
    expect(one!.levelDb.every(Number.isFinite)).toBe(true);
    const { levelDb: _a, ...facts } = one!;
    const { levelDb: _b, ...cleanFacts } = clean;
    const sameLevels = sameNumbers(one!.levelDb, clean.levelDb);
    expect(sameLevels && JSON.stringify(facts) === JSON.stringify(cleanFacts)).toBe(false);
  });
});
