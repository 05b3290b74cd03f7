import { viewing, type Picture, type Settings, type Sight } from '@/core/picture';
import { see, sightScore } from '@/core/picture/drawing';
import { drawnOf, PAIRS, SCREEN, type PicturePair } from './pairs';
import { RANKED } from './rankedColours';

/** A phone in the hand: 65 mm of picture at 35 cm. */
const PHONE = viewing(65, SCREEN.columns, 350);

const coloursIn = ({ palette }: Settings) => RANKED[palette === 'moss' ? 'dark' : 'paper'];

function sightOf(pair: PicturePair, change: Partial<Settings>): Sight {
  const { picture, settings, places } = drawnOf(pair, change);
  return see(picture, coloursIn(settings), settings.bedRamp, places, PHONE);
}

const score = (pair: PicturePair, change: Partial<Settings>): number =>
  sightScore(sightOf(pair, change), pair.purpose);

const over = (scene: string): PicturePair => ({
  ...PAIRS[0]!,
  scene,
  purpose: 'search',
  moreSounders: scene === 'crowded-ramp' ? 4 : 0,
});

describe('the eye', () => {
  it('agrees with a person on at least 17 of 20 pairs ranked by looking', () => {
    expect(PAIRS).toHaveLength(20);
    const agrees = PAIRS.filter((pair) => {
      const better = score(pair, pair.first) > score(pair, pair.second) ? 'first' : 'second';
      return better === pair.better;
    });
    expect(agrees.length).toBeGreaterThanOrEqual(17);
  });

  it.each<[dial: keyof Settings, scene: string, values: (number | string)[], rest?: Partial<Settings>]>([
    ['gainDb', 'east-shelf', [-24, 4, 30]],
    ['firstColourDb', 'east-shelf', [4, 30]],
    ['colourSpreadDb', 'east-shelf', [10, 50]],
    ['chartSpeed', 'east-shelf', [0.5, 10]],
    ['rangeM', 'east-shelf', [15, 300]],
    ['zoom', 'east-shelf', [1, 8]],
    ['noiseRejection', 'east-shelf', [0, 8]],
    ['tailOffDb', 'east-shelf', [0, 40], { tailOffM: 12 }],
    ['topWater', 'weed-edge', [0, 10], { gainDb: -12 }],
    ['sharpening', 'east-shelf', [0, 3], { gainDb: -14 }],
    ['otherSounders', 'crowded-ramp', [0, 3]],
    ['tvg', 'east-shelf', ['target', 'volume', 'flat']],
    ['averaging', 'crowded-ramp', [4, 8], { gainDb: -14 }],
  ])('turning %s from best to worst costs at least a fifth', (dial, scene, values, rest = {}) => {
    const scores = values.map((value) => score(over(scene), { ...rest, [dial]: value }));
    expect(Math.max(...scores) - Math.min(...scores)).toBeGreaterThanOrEqual(0.2);
  });

  it('puts a blank, a saturated and a snowed-in picture last', () => {
    const pair = over('east-shelf');
    const { picture, places } = drawnOf(pair, {});
    const filled = (step: (at: number) => number): Picture => ({
      ...picture,
      steps: picture.steps.map((_, at) => step(at)),
    });
    const scoreOf = (p: Picture): number => sightScore(see(p, RANKED.paper, false, places, PHONE), 'search');
    const blank = scoreOf(filled(() => 0));
    const saturated = scoreOf(filled(() => 256));
    // A scramble of steps that repeats nowhere near.
    const snowed = scoreOf(filled((at) => (Math.imul(at + 1, 2654435761) >>> 16) % 257));
    const others = [{}, { gainDb: 20 }, { rangeM: 60 }, { chartSpeed: 1 }].map((change) =>
      score(pair, change),
    );
    for (const worst of [blank, saturated, snowed]) expect(worst).toBeLessThan(Math.min(...others));
  });

  it('sees a mark less well the smaller it is at the eye', () => {
    const pair = over('east-shelf');
    const { picture, settings, places } = drawnOf(pair, { gainDb: -4 });
    const at = (distanceMm: number): number =>
      see(picture, coloursIn(settings), false, places, viewing(65, SCREEN.columns, distanceMm)).marks.reduce(
        (sum, m) => sum + m.probability,
        0,
      );
    expect(at(350)).toBeGreaterThan(at(1500));
    expect(() => viewing(0, 400, 350)).toThrow(RangeError);
  });
});
