import type { FishFinding } from '../finding';
import { fishGroup } from './fishGroup';

const PINGS = 400;
/** A boat at 0.25 m a ping. */
const WAY = Float64Array.from({ length: PINGS }, (_, p) => 0.25 * p);

/** Marks at places along the way and in depth, over a bed at 12 m. */
const marks = (
  places: readonly (readonly [alongM: number, rangeM: number, sure?: number])[],
): FishFinding[] =>
  places.map(
    ([alongM, rangeM, confidence = 0.9], id) =>
      ({
        kind: 'fish',
        id,
        fromPing: 4 * alongM - 3,
        toPing: 4 * alongM + 3,
        rangeM,
        gapToBedM: 12 - rangeM,
        confidence,
      }) as unknown as FishFinding,
  );
const groupOf = (places: Parameters<typeof marks>[0], way: ArrayLike<number> = WAY) => {
  const all = marks(places);
  return fishGroup(all[0]!, all, way);
};

describe('how fish stand together', () => {
  it('alone, above each other, along one depth, over the bed', () => {
    expect(
      groupOf([
        [20, 6],
        [60, 6],
      ]),
    ).toEqual({ kind: 'alone', count: 1 });
    expect(
      groupOf([
        [20, 5],
        [21, 6.5],
        [20, 8],
        [60, 6],
      ]),
    ).toEqual({ kind: 'stacked', count: 3 });
    expect(
      groupOf([
        [20, 6],
        [25, 6.3],
        [30, 5.9],
        [35, 6.1],
      ]),
    ).toEqual({ kind: 'strung', count: 4 });
    expect(
      groupOf([
        [20, 11.4],
        [25, 11.6],
        [30, 11.5],
        [34, 11.2],
      ]),
    ).toEqual({ kind: 'carpet', count: 4 });
  });

  it('has no shape of two, nor of some that are as long as tall', () => {
    expect(
      groupOf([
        [20, 6],
        [22, 6.5],
      ]),
    ).toEqual({ kind: 'loose', count: 2 });
    expect(
      groupOf([
        [20, 5],
        [23, 6.5],
        [25, 8],
      ]),
    ).toEqual({ kind: 'loose', count: 3 });
  });

  it('counts what stands beside a neighbour, and nothing that is hardly a fish', () => {
    // The last stands by the third alone.
    expect(
      groupOf([
        [20, 6],
        [25, 6],
        [30, 6],
        [35, 6, 0.3],
      ])?.count,
    ).toBe(3);
  });

  it('says nothing from a boat that lies still', () => {
    expect(
      groupOf(
        [
          [20, 5],
          [21, 6],
          [22, 7],
        ],
        new Float64Array(PINGS),
      ),
    ).toBeNull();
  });
});
