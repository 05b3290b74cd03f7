import type { FishFinding } from '../finding';
import { gatherSchools, schoolOutline } from './gatherSchools';

const fish = (ping: number, rangeM: number): FishFinding =>
  ({
    kind: 'fish',
    fromPing: ping,
    toPing: ping + 4,
    rangeM,
    heightM: 0.1,
    overBackgroundDb: 20,
    path: new Float32Array(5).fill(rangeM),
  }) as unknown as FishFinding;

describe('marks of a school', () => {
  const bait = Array.from({ length: 20 }, (_, k) => fish(100 + 3 * k, 5 + 0.5 * (k % 3)));
  const alone = [fish(20, 5), fish(400, 9), fish(140, 9)];
  it('are gathered, and fish that stand alone are left', () => {
    const { schools, others } = gatherSchools([...alone, ...bait], 8);
    expect(schools).toHaveLength(1);
    expect(schools[0]).toHaveLength(20);
    expect(others).toHaveLength(3);
  });
  it('have an outline from the highest to the lowest', () => {
    const outline = schoolOutline(bait, { firstRangeM: 0, sampleStepM: 0.05 } as never);
    expect(outline.fromPing).toBe(100);
    expect(outline.toPing).toBe(161);
    expect(Math.min(...outline.top)).toBe(100);
    expect(Math.max(...outline.bottom)).toBe(122);
    expect(outline.overDb).toBe(20);
  });
  it('are near each other under a slow boat where they are drawn beside each other for long', () => {
    const long = (ping: number, rangeM: number): FishFinding => ({
      ...fish(ping, rangeM),
      toPing: ping + 120,
      path: new Float32Array(121).fill(rangeM),
    });
    const slow = Array.from({ length: 12 }, (_, k) => long(100 + 35 * (k % 3), 5 + 0.4 * k));
    expect(gatherSchools(slow, 8).schools.map((s) => s.length)).toEqual([12]);
    // One after the other they are none.
    const after = Array.from({ length: 12 }, (_, k) => long(100 + 90 * k, 5 + 0.4 * (k % 3)));
    expect(gatherSchools(after, 8).schools).toEqual([]);
  });
  it('are fish while they are few', () => {
    expect(gatherSchools(bait.slice(0, 6), 8).schools).toEqual([]);
  });
});
