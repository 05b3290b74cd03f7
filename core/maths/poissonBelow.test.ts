import { poissonBelow } from './poissonBelow';

describe('Poisson law', () => {
  it('gives the shares of the tables', () => {
    // Mean 2: 0.1353, 0.4060, 0.6767 for none, at most one, at most two.
    expect(poissonBelow(1, 2)).toBeCloseTo(0.1353, 4);
    expect(poissonBelow(2, 2)).toBeCloseTo(0.406, 4);
    expect(poissonBelow(3, 2)).toBeCloseTo(0.6767, 4);
  });
  it('is nothing under none, and all where nothing is expected', () => {
    expect(poissonBelow(0, 3)).toBe(0);
    expect(poissonBelow(1, 0)).toBe(1);
  });
});
