import { blobs, columnAt, type Picture } from '@/core/picture';
import type { CutawayPass } from './cutaway';

/** A ring a simple rule draws around what it calls a fish, in cells. */
export interface MarkRing {
  column: number;
  row: number;
  radius: number;
  /** Whether a fish is truly there. */
  right: boolean;
}

export interface AutomaticMarks {
  rings: MarkRing[];
  /** Fish that show in the pings of the picture, and those of them that have no ring. */
  fish: number;
  missed: number;
}

/** Drawn cells that touch from which the rule calls it a fish. */
const LEAST_CELLS = 12;
/** Cells a ring stands off its mark, and the pings a fish must show in to be missed. */
const ROOM = 4;
const LEAST_PINGS = 4;

/**
 * What a rule as simple as "enough drawn cells in open water" calls fish, held against the true water: why marks are better read
 * than counted.
 */
export function automaticMarks(picture: Picture, { visible, track }: CutawayPass): AutomaticMarks {
  const { columns, rows, columnsFilled, timeS, topM, rowM } = picture;
  const first = timeS[columns - columnsFilled] ?? Infinity;
  const last = timeS[columns - 1]!;
  // Every cell a fish shows in: a leg of its mark is the fish as much as the top.
  const fish = visible
    .filter((v) => v.pings.length >= LEAST_PINGS && v.nearestTimeS >= first && v.nearestTimeS <= last)
    .map((v) =>
      v.pings.flatMap((p, i) => {
        const t = track.timeS[p]!;
        if (t < first || t > last) return [];
        const column = columnAt(picture, t);
        const row = (v.rangeM[i]! - topM[column]!) / rowM;
        return row >= 0 && row < rows ? [{ column, row }] : [];
      }),
    )
    .filter((cells) => cells.length > 0);
  const rings = blobs(picture, LEAST_CELLS).map((b): Omit<MarkRing, 'right'> => ({
    column: (b.fromColumn + b.toColumn) / 2,
    row: (b.fromRow + b.toRow) / 2,
    radius: ROOM + Math.max(b.toColumn - b.fromColumn, b.toRow - b.fromRow) / 2,
  }));
  const within = (
    ring: Omit<MarkRing, 'right'>,
    cells: readonly { column: number; row: number }[],
  ): boolean =>
    cells.some(
      ({ column, row }) =>
        Math.abs(ring.column - column) <= ring.radius && Math.abs(ring.row - row) <= ring.radius,
    );
  return {
    rings: rings.map((ring) => ({ ...ring, right: fish.some((cells) => within(ring, cells)) })),
    fish: fish.length,
    missed: fish.filter((cells) => !rings.some((ring) => within(ring, cells))).length,
  };
}
