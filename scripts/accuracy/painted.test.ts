import type { FishFinding } from '@/core/reading';
import type { PaintedFish } from '@/core/testing/paintedWater';
import { markedFish } from './painted';

const SLACK_M = 0.3;
const PINGS = 40;

/** A fish passed at a ping, nearest at 10 m. */
const fishAt = (middle: number): PaintedFish => {
  const pings = Array.from({ length: PINGS }, (_, k) => middle - PINGS / 2 + k);
  return {
    pings,
    rangeM: pings.map((p) => 10 + 0.003 * (p - middle) ** 2),
    overDb: pings.map(() => 20),
  } as PaintedFish;
};

const markOn = ({ pings, rangeM }: PaintedFish, from: number, to: number): FishFinding =>
  ({
    fromPing: pings[from]!,
    toPing: pings[to - 1]!,
    path: Float32Array.from(rangeM.slice(from, to)),
  }) as FishFinding;

describe('marks held against painted fish', () => {
  const [first, second] = [fishAt(100), fishAt(108)];
  it('are each the fish they lie on the longest, of two side by side', () => {
    const ofSecond = markOn(second, 0, PINGS);
    const ofFirst = markOn(first, 0, 20);
    const marked = markedFish([first, second], [ofSecond, ofFirst], SLACK_M);
    expect(marked.get(first)).toBe(ofFirst);
    expect(marked.get(second)).toBe(ofSecond);
  });
  it('are one fish’s each, the longer one, and none’s where they lie on none', () => {
    const whole = markOn(first, 0, PINGS);
    const piece = markOn(first, 0, 12);
    const marked = markedFish([first], [piece, whole], SLACK_M);
    expect([...marked]).toEqual([[first, whole]]);
    const deeper = { ...whole, path: whole.path.map((r) => r + 1) };
    expect(markedFish([first], [deeper], SLACK_M).size).toBe(0);
  });
});
