/**
 * Noise rejection's second job: takes out drawn cells with fewer than `least` drawn neighbours among their eight, in place.
 * @param steps columns × rows, column-major, 0 = not drawn @param drawn scratch of the same size
 */
export function dropSpecks(
  steps: Uint16Array,
  rows: number,
  columns: number,
  least: number,
  drawn: Uint8Array,
): void {
  for (let i = 0; i < steps.length; i++) drawn[i] = steps[i]! > 0 ? 1 : 0;
  for (let c = 0; c < columns; c++) {
    // At an edge a cell stands in for its missing neighbour, which only makes the filter milder there.
    const left = c > 0 ? -rows : 0;
    const right = c < columns - 1 ? rows : 0;
    const base = c * rows;
    for (let r = 0; r < rows; r++) {
      const at = base + r;
      if (drawn[at] === 0) continue;
      const up = r > 0 ? -1 : 0;
      const down = r < rows - 1 ? 1 : 0;
      const neighbours =
        drawn[at + up + left]! +
        drawn[at + up]! +
        drawn[at + up + right]! +
        drawn[at + left]! +
        drawn[at + right]! +
        drawn[at + down + left]! +
        drawn[at + down]! +
        drawn[at + down + right]!;
      if (neighbours < least) steps[at] = 0;
    }
  }
}
