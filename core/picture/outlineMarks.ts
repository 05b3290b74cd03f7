import type { Picture } from './draw';
import { openWater } from './judge/openWater';

/** Of the nine cells about one, so many are drawn where it belongs to a mark and is no speck. */
const WITHIN = 5;

/**
 * Lays the edges of another picture's marks over a picture's pixels: cells of its open water just outside what it draws there.
 * Specks have no outline. Both pictures show the same window at the same rows and columns.
 * @param rgba colour of the edge, 0xAABBGGRR
 * @throws RangeError for pictures of different size
 */
export function outlineMarks(picture: Picture, of: Picture, rgba: number): void {
  const { rows, columns, pixels } = picture;
  if (of.rows !== rows || of.columns !== columns)
    throw new RangeError(
      `outline: both pictures must have ${rows} × ${columns} cells, got ${of.rows} × ${of.columns}`,
    );
  const { steps } = of;
  const { from, to } = openWater(of);
  const within = new Uint8Array(steps.length);
  for (let c = 1; c < columns - 1; c++)
    for (let r = Math.max(1, from[c]!); r <= Math.min(rows - 2, to[c]!); r++) {
      let drawn = 0;
      for (let k = c - 1; k <= c + 1; k++)
        for (let i = k * rows + r - 1; i <= k * rows + r + 1; i++) if (steps[i]! > 0) drawn++;
      if (drawn >= WITHIN) within[c * rows + r] = 1;
    }
  for (let c = 1; c < columns - 1; c++)
    for (let r = 1; r < rows - 1; r++) {
      const i = c * rows + r;
      if (within[i]) continue;
      if (within[i - 1] || within[i + 1] || within[i - rows] || within[i + rows])
        pixels[r * columns + c] = rgba;
    }
}
