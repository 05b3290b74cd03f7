import { describe, expect, it } from '@jest/globals';
import { packedColour, type Picture } from '@/core/picture';
import { keepColumns, outlineMarks } from '@/core/picture/drawing';

const ROWS = 60;
const COLUMNS = 20;

/** A picture of one colour with some cells drawn: 60 rows of 0.1 m over a bed at 5.5 m. */
function pictureWith(drawn: readonly (readonly [column: number, row: number])[], pixel: number): Picture {
  const steps = new Uint16Array(ROWS * COLUMNS);
  for (const [c, r] of drawn) steps[c * ROWS + r] = 9;
  return {
    rows: ROWS,
    columns: COLUMNS,
    pixels: new Uint32Array(ROWS * COLUMNS).fill(pixel),
    steps,
    liveColumn: new Uint16Array(ROWS),
    scale: { bottomDb: -60, leastDb: -60, stepsPerDb: 1 } as Picture['scale'],
    rowM: 0.1,
    topM: new Float32Array(COLUMNS),
    bedM: new Float32Array(COLUMNS).fill(5.5),
    timeS: Float64Array.from({ length: COLUMNS }, (_, c) => c),
    nowS: COLUMNS - 1,
    columnsFilled: COLUMNS,
  };
}

const block = (c0: number, r0: number, size: number): [number, number][] =>
  Array.from({ length: size * size }, (_, i) => [c0 + (i % size), r0 + Math.floor(i / size)]);
const EDGE = packedColour('#102030');

describe('outlines', () => {
  it('stand around a mark and around no speck', () => {
    const picture = pictureWith([], 1);
    outlineMarks(picture, pictureWith([...block(8, 25, 5), [3, 20]], 2), EDGE);
    const edge = [...picture.pixels].map((p, i) => (p === EDGE ? i : -1)).filter((i) => i >= 0);
    expect(edge.length).toBeGreaterThan(8);
    for (const i of edge) {
      const [row, column] = [Math.floor(i / COLUMNS), i % COLUMNS];
      expect(row).toBeGreaterThanOrEqual(24);
      expect(row).toBeLessThanOrEqual(30);
      expect(column).toBeGreaterThanOrEqual(7);
      expect(column).toBeLessThanOrEqual(13);
    }
    // The middle of the mark keeps what the picture itself shows there.
    expect(picture.pixels[27 * COLUMNS + 10]).toBe(1);
  });
  it('leave the bed alone', () => {
    const picture = pictureWith([], 1);
    outlineMarks(picture, pictureWith(block(5, 54, 6), 2), EDGE);
    expect([...picture.pixels].some((p) => p === EDGE)).toBe(false);
  });
});

describe('columns of an earlier setting', () => {
  it('stay as they were drawn up to its time, and no farther', () => {
    const picture = pictureWith([[15, 30]], 1);
    keepColumns(picture, pictureWith([[4, 30]], 2), 9.5);
    const row = [...picture.pixels.subarray(30 * COLUMNS, 31 * COLUMNS)];
    expect(row).toEqual([...Array<number>(10).fill(2), ...Array<number>(10).fill(1)]);
    expect(picture.steps[4 * ROWS + 30]).toBe(9);
    expect(picture.steps[15 * ROWS + 30]).toBe(9);
  });
  it('must be of the same size', () => {
    const small = { ...pictureWith([], 1), columns: 10 };
    expect(() => keepColumns(pictureWith([], 1), small, 3)).toThrow(RangeError);
    expect(() => outlineMarks(pictureWith([], 1), small, EDGE)).toThrow(RangeError);
  });
});
