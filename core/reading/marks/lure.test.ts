import type { FishFinding } from '../finding';
import { findLures } from './lure';

const RATE = 10;
const SECONDS = 80;
const timeS = Float64Array.from({ length: SECONDS * RATE }, (_, p) => p / RATE);

/** A mark from a second to another, at a depth told by the second. */
function mark(fromS: number, toS: number, depthAt: (s: number) => number): FishFinding {
  const fromPing = Math.round(fromS * RATE);
  const toPing = Math.round(toS * RATE);
  const path = Float32Array.from({ length: toPing - fromPing + 1 }, (_, k) => depthAt((fromPing + k) / RATE));
  return { kind: 'fish', fromPing, toPing, path, rangeM: Math.min(...path), timeS: fromS } as FishFinding;
}

/** A way through places told by the second, straight between them. */
const through =
  (...places: [s: number, m: number][]) =>
  (s: number): number => {
    const after = places.findIndex(([at]) => at >= s);
    if (after <= 0) return places[after === 0 ? 0 : places.length - 1]![1];
    const [s0, m0] = places[after - 1]!;
    const [s1, m1] = places[after]!;
    return m0 + ((m1 - m0) * (s - s0)) / (s1 - s0);
  };

/** Let down to 7 m in the first 12 s, taken up from the 60th second on. */
const LURE = through([2, 1], [12, 7], [60, 7], [66, 1]);
const lure = mark(2, 66, LURE);
const answersTo = (...fish: FishFinding[]): string[] =>
  findLures([lure, ...fish], timeS, 0.1, 1).lures.flatMap((l) => l.answers.map((a) => a.answer));

describe('an own lure', () => {
  it('is what sinks steadily from the top and hangs, and is no fish', () => {
    const fish = mark(10, 70, () => 9.5);
    const { lures, rest } = findLures([lure, fish], timeS, 0.1, 1);
    expect(lures).toHaveLength(1);
    expect(lures[0]!.hangsFromPing).toBeGreaterThan(105);
    expect(lures[0]!.hangsFromPing).toBeLessThanOrEqual(120);
    expect(rest).toEqual([fish]);
  });
  it('is not sought under a boat that moves, nor in what hangs from the start or rises', () => {
    expect(findLures([lure], timeS, 1.5, 1).lures).toEqual([]);
    expect(findLures([mark(2, 60, () => 7)], timeS, 0.1, 1).lures).toEqual([]);
    expect(findLures([mark(2, 60, through([2, 9], [60, 2]))], timeS, 0.1, 1).lures).toEqual([]);
  });
  it('goes on where it hung when it was lost for a while', () => {
    const { lures } = findLures([mark(2, 30, LURE), mark(34, 58, LURE)], timeS, 0.1, 1);
    expect(lures).toHaveLength(1);
    expect(lures[0]!.toPing).toBe(580);
    expect(lures[0]!.path[300]).toBeNaN();
  });
});

describe('what a fish makes of it', () => {
  it('is to follow, when it comes and stays', () => {
    expect(answersTo(mark(20, 79.9, through([20, 11], [28, 7.7], [79, 7.7])))).toEqual(['followed']);
  });
  it('is to refuse, when it comes and turns down again', () => {
    expect(answersTo(mark(20, 50, through([20, 11], [28, 7.6], [31, 7.6], [38, 11], [50, 11])))).toEqual([
      'refused',
    ]);
  });
  it('is to take it, when its mark ends there as the lure goes up, or goes up itself', () => {
    expect(answersTo(mark(48, 60.5, through([48, 11], [58, 7.3], [60.5, 7])))).toEqual(['took']);
    expect(answersTo(mark(48, 66, through([48, 11], [58, 7.4], [60, 7.1], [66, 1.4])))).toEqual(['took']);
  });
  it('is a take of one fish alone: the last to come, and the other followed', () => {
    const follower = mark(20, 61, through([20, 11], [28, 7.7], [61, 7.7]));
    const taker = mark(48, 60.5, through([48, 11], [58, 7.3], [60.5, 7]));
    expect(answersTo(follower, taker)).toEqual(['followed', 'took']);
  });
  it('is nothing where it lay all along, never came near, or the lure was merely taken up', () => {
    expect(answersTo(mark(5, 70, () => 7.8))).toEqual([]);
    expect(answersTo(mark(5, 79.9, () => 11))).toEqual([]);
    // It comes after the lure has gone.
    expect(answersTo(mark(69, 79.9, through([69, 11], [75, 7.6], [79, 11])))).toEqual([]);
  });
  it('is not told from a mark that leaps to another fish', () => {
    // Near the lure at 30 s; a moment later the mark is 3 m deeper, which no fish is.
    const leaps = (s: number): number => (s < 30 ? through([20, 11], [29, 7.6], [30, 7.6])(s) : 11);
    expect(answersTo(mark(20, 50, leaps))).toEqual([]);
  });
});
