import type { Picture } from '../draw';

/** Water under the surface that is never open, m, and as a share of the depth. */
const TOP_M = 1.2;
const TOP_SHARE = 0.08;
/** Water over the bed that is left out, m. */
const OVER_BED_M = 0.5;

/** Depths between which water over a bed is open, m: below the surface clutter, above the bed. */
export function openDepths(bedM: number): readonly [fromM: number, toM: number] {
  const toM = bedM - OVER_BED_M;
  return [Math.max(TOP_M, TOP_SHARE * toM), toM];
}

/** First and last row of open water in each column (last < first where there is none): below the surface clutter, above the bed. */
export function openWater(picture: Picture): { from: Int32Array; to: Int32Array; cells: number } {
  const { rows, columns, rowM, topM, bedM, columnsFilled } = picture;
  const from = new Int32Array(columns).fill(0);
  const to = new Int32Array(columns).fill(-1);
  let cells = 0;
  for (let c = columns - columnsFilled; c < columns; c++) {
    // Where no bed was found the water goes on to the foot of the picture.
    const [top, bottom] = openDepths(bedM[c]! > 0 ? bedM[c]! : topM[c]! + rows * rowM + OVER_BED_M);
    from[c] = Math.max(0, Math.ceil((top - topM[c]!) / rowM));
    to[c] = Math.min(rows - 1, Math.floor((bottom - topM[c]!) / rowM) - 1);
    if (to[c]! >= from[c]!) cells += to[c]! - from[c]! + 1;
  }
  return { from, to, cells };
}

/** A group of drawn cells that touch, in open water. */
export interface Blob {
  fromColumn: number;
  toColumn: number;
  fromRow: number;
  toRow: number;
  cells: number;
  /** Strongest step in it. */
  strongest: number;
  /** First drawn row by column from fromColumn on. */
  topRow: Int32Array;
}

/** Blobs of open water with at least `leastCells` cells of at least `leastStep`. */
export function blobs(picture: Picture, leastCells: number, leastStep = 1): Blob[] {
  const { rows, columns, steps } = picture;
  const { from, to } = openWater(picture);
  const seen = new Uint8Array(steps.length);
  const stack: number[] = [];
  const found: Blob[] = [];
  const open = (c: number, r: number): boolean => r >= from[c]! && r <= to[c]!;
  for (let c = 0; c < columns; c++)
    for (let r = from[c]!; r <= to[c]!; r++) {
      const start = c * rows + r;
      if (seen[start] === 1 || steps[start]! < leastStep) continue;
      seen[start] = 1;
      stack.push(start);
      const members: number[] = [];
      const blob = { fromColumn: c, toColumn: c, fromRow: r, toRow: r, cells: 0, strongest: 0 };
      while (stack.length > 0) {
        const at = stack.pop()!;
        members.push(at);
        const col = Math.floor(at / rows);
        const row = at - col * rows;
        blob.fromColumn = Math.min(blob.fromColumn, col);
        blob.toColumn = Math.max(blob.toColumn, col);
        blob.fromRow = Math.min(blob.fromRow, row);
        blob.toRow = Math.max(blob.toRow, row);
        blob.strongest = Math.max(blob.strongest, steps[at]!);
        for (let dc = -1; dc <= 1; dc++)
          for (let dr = -1; dr <= 1; dr++) {
            const [nc, nr] = [col + dc, row + dr];
            if (nc < 0 || nc >= columns || !open(nc, nr)) continue;
            const next = nc * rows + nr;
            if (seen[next] === 1 || steps[next]! < leastStep) continue;
            seen[next] = 1;
            stack.push(next);
          }
      }
      if (members.length < leastCells) continue;
      const topRow = new Int32Array(blob.toColumn - blob.fromColumn + 1).fill(rows);
      for (const at of members) {
        const col = Math.floor(at / rows) - blob.fromColumn;
        topRow[col] = Math.min(topRow[col]!, at % rows);
      }
      found.push({ ...blob, cells: members.length, topRow });
    }
  return found;
}
