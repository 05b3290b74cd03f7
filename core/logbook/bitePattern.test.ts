import { seededRandom } from '@/core/maths';
import { bitePattern, PATTERN_CHANCE } from './bitePattern';
import type { Bite } from './day';

const bite = (depthM: number | null, side: Bite['side'] = null, lure = ''): Bite => ({
  id: 'b',
  at: '2026-09-02T06:00:00.000Z',
  answer: 'bite',
  side,
  angle: null,
  depthM,
  lure,
  species: '',
  lengthM: null,
});
const FISHED = { fromM: 1, toM: 9 };

describe('what bites share', () => {
  it('is said once it is unlikely by chance, with how unlikely', () => {
    const pattern = bitePattern(
      [bite(1.4, 'right'), bite(1.6, 'right'), bite(1.5, 'right'), bite(1.7, 'right'), bite(6, 'left')],
      FISHED,
      [],
    )!;
    expect(pattern.depths).toEqual({ fromM: 1.4, toM: 1.7 });
    expect([pattern.count, pattern.of]).toEqual([4, 5]);
    expect(pattern.chance).toBeLessThan(0.05);
  });
  it('may be a side or a lure alone', () => {
    const sides = [1, 3, 5, 7, 8.5].map((d) => bite(d, 'left'));
    // Five of five on one of four sides: 4 · (1/4)⁵, for two patterns looked for.
    expect(bitePattern(sides, FISHED, [])).toMatchObject({
      side: 'left',
      depths: null,
      chance: 2 * 4 * 0.25 ** 5,
    });
    const uphill = sides.map((b) => ({ ...b, side: null, angle: 'uphill' as const }));
    expect(bitePattern(uphill, FISHED, [])).toMatchObject({ angle: 'uphill', side: null, count: 5 });
    const lures = [1, 3, 5, 7, 8.5, 2].map((d) => bite(d, null, 'white'));
    expect(bitePattern(lures, FISHED, ['white', 'green', 'black'])).toMatchObject({
      lure: 'white',
      count: 6,
    });
    // One lure alone on board says nothing of lures.
    expect(bitePattern(lures, FISHED, ['white'])).toBeNull();
  });
  it('is not said of two bites, or of water too thin to differ in', () => {
    expect(bitePattern([bite(2, 'left'), bite(2, 'left')], FISHED, [])).toBeNull();
    expect(bitePattern([bite(2), bite(2), bite(2)], { fromM: 1.8, toM: 2.4 }, [])).toBeNull();
    expect(bitePattern([], FISHED, [])).toBeNull();
  });
  it('is found in bites without a cause no oftener than it says', () => {
    let said = 0;
    const days = 300;
    for (let seed = 1; seed <= days; seed++) {
      const random = seededRandom(seed).fork('day');
      const bites = Array.from({ length: 3 + random.integer(6) }, () =>
        bite(
          random.between(1, 9),
          (['left', 'right', 'ahead', 'astern'] as const)[random.integer(4)]!,
          ['white', 'green', 'black'][random.integer(3)]!,
        ),
      );
      if (bitePattern(bites, FISHED, ['white', 'green', 'black'])) said++;
    }
    expect(said / days).toBeLessThanOrEqual(PATTERN_CHANCE);
  });
});
