import type { CloudOutline } from './cloudOutline';
import { joinTorn } from './joinTorn';

const PINGS_PER_M = 10;
/** A slab of samples from `top` to `bottom` in every ping. */
const slab = (fromPing: number, toPing: number, top: number, bottom: number, overDb = 12): CloudOutline => ({
  fromPing,
  toPing,
  top: new Int32Array(toPing - fromPing + 1).fill(top),
  bottom: new Int32Array(toPing - fromPing + 1).fill(bottom),
  overDb,
  fill: 0.8,
});

describe('a cloud torn apart', () => {
  it('is one where its parts follow each other at one depth, with open water between', () => {
    const { clouds, became } = joinTorn(
      [slab(110, 139, 105, 140, 15), slab(60, 99, 100, 130, 9)],
      PINGS_PER_M,
    );
    expect(clouds).toHaveLength(1);
    expect(became).toEqual([0, 0]);
    const [whole] = clouds;
    expect([whole!.fromPing, whole!.toPing]).toEqual([60, 139]);
    expect([...whole!.top.subarray(38, 52)]).toEqual([100, 100, ...Array(10).fill(-1), 105, 105]);
    expect([...whole!.bottom.subarray(38, 52)]).toEqual([130, 130, ...Array(10).fill(-1), 140, 140]);
    // The larger part counts for more.
    expect(whole!.overDb).toBeCloseTo((40 * 31 * 9 + 30 * 36 * 15) / (40 * 31 + 30 * 36), 6);
  });
  it('is joined of three parts as well', () => {
    const parts = [
      slab(0, 29, 100, 130),
      slab(40, 69, 100, 130),
      slab(80, 109, 100, 130),
      slab(400, 430, 9, 40),
    ];
    expect(joinTorn(parts, PINGS_PER_M).became).toEqual([0, 0, 0, 1]);
  });
  it('is not what lies far off, over it, or is small beside the gap', () => {
    const one = slab(0, 39, 100, 130);
    expect(joinTorn([one, slab(61, 99, 100, 130)], PINGS_PER_M).clouds).toHaveLength(2);
    expect(joinTorn([one, slab(45, 80, 120, 160)], PINGS_PER_M).clouds).toHaveLength(2);
    expect(joinTorn([one, slab(50, 60, 100, 130)], PINGS_PER_M).clouds).toHaveLength(2);
    expect(joinTorn([one, slab(20, 60, 150, 180)], PINGS_PER_M).clouds).toHaveLength(2);
  });
});
