import { blobs, type Picture } from '@/core/picture';
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
  /** Fish that show in the pings of the picture and have no ring. */
  missed: number;
}

/** Drawn cells that touch from which the rule calls it a fish. */
const LEAST_CELLS = 12;
/** Cells a ring stands off its mark, and the pings a fish must show in to be missed. */
const ROOM = 4;
const LEAST_PINGS = 4;

/** First column at or after a time. */
const columnAt = ({ timeS, columns }: Picture, t: number): number => {
  let c = 0;
  while (c < columns - 1 && timeS[c]! < t) c++;
  return c;
};

/**
 * What a rule as simple as "enough drawn cells in open water" calls fish, held against the true water: why marks are better read
 * than counted.
 */
export function automaticMarks(picture: Picture, { visible }: CutawayPass): AutomaticMarks {
  const { columns, rows, columnsFilled, timeS, topM, rowM } = picture;
  const first = timeS[columns - columnsFilled] ?? Infinity;
  const fish = visible
    .filter(
      (v) =>
        v.pings.length >= LEAST_PINGS && v.nearestTimeS >= first && v.nearestTimeS <= timeS[columns - 1]!,
    )
    .map((v) => {
      const column = columnAt(picture, v.nearestTimeS);
      return { column, row: (v.nearestRangeM - topM[column]!) / rowM };
    })
    .filter(({ row }) => row >= 0 && row < rows);
  const rings = blobs(picture, LEAST_CELLS).map((b): Omit<MarkRing, 'right'> => ({
    column: (b.fromColumn + b.toColumn) / 2,
    row: (b.fromRow + b.toRow) / 2,
    radius: ROOM + Math.max(b.toColumn - b.fromColumn, b.toRow - b.fromRow) / 2,
  }));
  const within = (ring: Omit<MarkRing, 'right'>, f: { column: number; row: number }): boolean =>
    Math.abs(ring.column - f.column) <= ring.radius && Math.abs(ring.row - f.row) <= ring.radius;
  return {
    rings: rings.map((ring) => ({ ...ring, right: fish.some((f) => within(ring, f)) })),
    missed: fish.filter((f) => !rings.some((ring) => within(ring, f))).length,
  };
}
