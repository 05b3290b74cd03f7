import {
  besselJ1,
  bisectFalling,
  distanceM,
  fromDb,
  median,
  offsetFrom,
  placeFrom,
  seededRandom,
  sumDb,
  toDb,
  strongestLogMean,
  strongestMean,
  strongestQuantile,
} from '@/core/maths';

describe('random', () => {
  it('repeats with its seed and differs with another', () => {
    const draw = (seed: number): number[] => {
      const r = seededRandom(seed);
      return [r.uniform(), r.normal(), r.integer(100)];
    };
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
  });
  it('forks independently of what the parent has drawn', () => {
    const a = seededRandom(3);
    const b = seededRandom(3);
    a.uniform();
    expect(a.fork('fish').uniform()).toBe(b.fork('fish').uniform());
    expect(a.fork('fish').uniform()).not.toBe(a.fork('bed').uniform());
  });
  it('is uniform and normal', () => {
    const r = seededRandom(11);
    const n = 20000;
    let sum = 0;
    let square = 0;
    let mean = 0;
    for (let i = 0; i < n; i++) {
      const x = r.normal();
      sum += x;
      square += x * x;
      mean += r.uniform();
    }
    // Four standard errors of each.
    expect(Math.abs(sum / n)).toBeLessThan(4 / Math.sqrt(n));
    expect(Math.abs(square / n - 1)).toBeLessThan(4 * Math.sqrt(2 / n));
    expect(Math.abs(mean / n - 0.5)).toBeLessThan(4 * Math.sqrt(1 / 12 / n));
  });
  it('refuses a seed that is no number', () => expect(() => seededRandom(NaN)).toThrow(RangeError));
});

describe('functions', () => {
  it.each([
    [1, 0.4400505857],
    [3.8317, 0],
    [10, 0.0434727462],
    [-1, -0.4400505857],
  ])('J1(%d)', (x, y) => expect(Math.abs(besselJ1(x) - y)).toBeLessThan(2e-5));
  it('adds levels as powers', () => {
    expect(sumDb([60, 60])).toBeCloseTo(63.0103, 4);
    expect(toDb(fromDb(-37))).toBeCloseTo(-37, 9);
    expect(toDb(0)).toBe(-Infinity);
  });
  it('bisects a falling function and keeps to its ends', () => {
    expect(bisectFalling((x) => 4 - x * x, 0, 10, 1e-6)).toBeCloseTo(2, 5);
    expect(bisectFalling(() => 1, 0, 10)).toBe(10);
    expect(bisectFalling(() => -1, 0, 10)).toBe(0);
  });
  it('takes the middle without reordering', () => {
    const list = [5, 1, 9];
    expect(median(list)).toBe(5);
    expect(list).toEqual([5, 1, 9]);
    expect(median([])).toBeNaN();
  });
});

describe('the strongest of several draws of noise', () => {
  const random = seededRandom(4);
  it.each([1, 2, 8, 16])('of %d has the mean, the quantile and the logarithm it is said to have', (k) => {
    const draws = Array.from({ length: 20_000 }, () => {
      let most = 0;
      for (let i = 0; i < k; i++) most = Math.max(most, -Math.log(1 - random.uniform()));
      return most;
    }).sort((a, b) => a - b);
    const mean = (of: (x: number) => number): number =>
      draws.reduce((sum, x) => sum + of(x), 0) / draws.length;
    // Standard deviation of the mean: at most 1.3 / √20,000; of the logarithm's 1.28 / √20,000.
    expect(Math.abs(mean((x) => x) - strongestMean(k))).toBeLessThan(0.04);
    expect(Math.abs(mean(Math.log) - strongestLogMean(k))).toBeLessThan(0.04);
    expect(Math.abs(draws[7000]! - strongestQuantile(k, 0.35))).toBeLessThan(0.04);
  });
});

describe('position', () => {
  it('meets the published check of the haversine', () => {
    const a = { latitudeDeg: 36.12, longitudeDeg: -86.67 };
    const b = { latitudeDeg: 33.94, longitudeDeg: -118.4 };
    expect(distanceM(a, b, 6372.8e3) / 1000).toBeCloseTo(2887.2599506, 4);
  });
  it('goes where it says, over the date line too', () => {
    const start = { latitudeDeg: -47, longitudeDeg: 179.999 };
    const end = placeFrom(start, 300, 400);
    expect(distanceM(start, end)).toBeCloseTo(500, 3);
    expect(end.longitudeDeg).toBeLessThan(0);
  });
});

it('finds back how far east and north a place lies', () => {
  const start = { latitudeDeg: -47.3, longitudeDeg: -124.9 };
  for (const [eastM, northM] of [
    [120, -45],
    [-3000, 800],
    [0, 0],
  ] as const) {
    const back = offsetFrom(start, placeFrom(start, eastM, northM));
    expect(back.eastM).toBeCloseTo(eastM, 3);
    expect(back.northM).toBeCloseTo(northM, 3);
  }
});
