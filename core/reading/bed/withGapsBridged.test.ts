import { withGapsBridged } from './withGapsBridged';

const bridged = (ranges: number[]): number[] =>
  Array.from(
    withGapsBridged({ rangeM: Float32Array.from(ranges), contrastDb: new Float32Array(ranges.length) })
      .rangeM,
  );

describe('a bed line with gaps', () => {
  it('goes on straight over a short one', () => {
    expect(bridged([10, NaN, NaN, 13, 13])).toEqual([10, 11, 12, 13, 13]);
  });
  it('stays lost over a long one, and at its ends', () => {
    const long = [10, ...Array<number>(40).fill(NaN), 12];
    expect(bridged(long)).toEqual(long);
    expect(bridged([NaN, 10, 10, NaN])).toEqual([NaN, 10, 10, NaN]);
  });
});
