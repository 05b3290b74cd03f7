import { columnAt, type Picture } from '@/core/picture';
import type { Cursor } from './cursorStore';

/** The cell of a picture at a time and depth; null where it shows neither. */
export function cellOf(picture: Picture, { timeS, depthM }: Cursor): { column: number; row: number } | null {
  const { timeS: times, columns, columnsFilled, topM, rowM, rows } = picture;
  if (columnsFilled < 1 || timeS < times[columns - columnsFilled]! - 1 || timeS > times[columns - 1]! + 1)
    return null;
  const column = columnAt(picture, timeS);
  const row = Math.floor((depthM - topM[column]!) / rowM);
  return row >= 0 && row < rows ? { column, row } : null;
}

/** What a place of a picture, in shares of its width and height, stands for. */
export function cursorAt(picture: Picture, at: { x: number; y: number }): Cursor {
  const column = Math.min(picture.columns - 1, Math.floor(at.x * picture.columns));
  return {
    timeS: picture.timeS[column]!,
    depthM: picture.topM[column]! + at.y * picture.rows * picture.rowM,
  };
}
