/** 1 for a step that is drawn, 0 for none, without a branch that noise would mislead. */
const drawnOne = (step: number): number => (step + 0xffff) >> 16;

/**
 * Noise rejection's second job: takes out drawn cells with fewer than `least` drawn neighbours among their eight, in place.
 * @param steps columns × rows, column-major, 0 = not drawn @param drawn scratch of the same size: drawn cells of three rows
 */
export function dropSpecks(
  steps: Uint16Array,
  rows: number,
  columns: number,
  least: number,
  drawn: Uint8Array,
): void {
  // At an edge a cell stands in for its missing neighbour, which only makes the filter milder there.
  const last = rows - 1;
  for (let c = 0; c < columns; c++) {
    const base = c * rows;
    let before = drawnOne(steps[base]!);
    let here = before;
    // Drawn cells of three rows at a time.
    for (let r = 0; r < last; r++) {
      const next = drawnOne(steps[base + r + 1]!);
      drawn[base + r] = before + here + next;
      before = here;
      here = next;
    }
    drawn[base + last] = before + here + here;
  }
  for (let c = 0; c < columns; c++) {
    const base = c * rows;
    const left = c > 0 ? base - rows : base;
    const right = c < columns - 1 ? base + rows : base;
    for (let r = 0; r < rows; r++)
      if (steps[base + r] !== 0 && drawn[left + r]! + drawn[base + r]! + drawn[right + r]! <= least)
        steps[base + r] = 0;
  }
}
