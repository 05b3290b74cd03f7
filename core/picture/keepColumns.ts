import type { Picture } from './draw';

/**
 * Leaves the columns drawn up to a time as an earlier setting drew them: a unit redraws nothing it has drawn. Pixels and steps are
 * changed, the scale of the rows is the newest setting's.
 * @param untilS last time of the earlier setting, s into the recording
 * @throws RangeError for pictures of different size
 */
export function keepColumns(picture: Picture, earlier: Picture, untilS: number): void {
  const { rows, columns, pixels, steps, timeS } = picture;
  if (earlier.rows !== rows || earlier.columns !== columns)
    throw new RangeError(
      `columns: both pictures must have ${rows} × ${columns} cells, got ${earlier.rows} × ${earlier.columns}`,
    );
  let kept = 0;
  while (kept < columns && timeS[kept]! <= untilS) kept++;
  steps.set(earlier.steps.subarray(0, kept * rows));
  for (let r = 0; r < rows; r++)
    pixels.set(earlier.pixels.subarray(r * columns, r * columns + kept), r * columns);
}
