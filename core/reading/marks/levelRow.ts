import { median } from '@/core/maths';
import type { NotFish } from '../artefacts/notFish';
import type { Finding, FishFinding } from '../finding';

/** Marks of one thing towed or let down lie within this of each other, m; it is worked a little up and down. */
const ROW_M = 0.5;
/** A row is this many marks at least, spread over so large a share of the pass in so many of its parts. */
const FEWEST = 6;
const PARTS = 8;
const FILLED_PARTS = 4;
/** A louder mark in a row, dB over the usual one there, is a fish that came by. */
const LOUDER_DB = 8;
/** Chance that marks that lie anywhere would lie so. */
const CHANCE = 1e-4;

/** Chance of so many or more where so many are expected (Poisson). */
function chanceOf(count: number, expected: number): number {
  let term = Math.exp(-expected);
  let below = 0;
  for (let k = 0; k < count; k++) {
    below += term;
    term *= expected / (k + 1);
  }
  return Math.max(0, 1 - below);
}

/** Marks in a row at one depth all through a pass. */
export interface LevelRow {
  kind: Extract<NotFish, 'own-gear'>;
  marks: FishFinding[];
  rangeM: readonly [number, number];
}

/**
 * Marks in a row at one depth all along a pass: pieces of what hangs or is towed there, a lure or a weight too faint to be followed as one
 * line. Fish lie at one depth too, but not so many within half a metre where the water above and below has so few.
 */
export function findLevelRows(findings: readonly Finding[], pingCount: number): LevelRow[] {
  const rows: LevelRow[] = [];
  let left = findings.filter((f): f is FishFinding => f.kind === 'fish').sort((a, b) => a.rangeM - b.rangeM);
  for (;;) {
    const row = fullestRow(left, pingCount);
    if (!row) return rows;
    rows.push(row);
    left = left.filter((f) => !row.marks.includes(f));
  }
}

/** The fullest row among marks, nearest first. */
function fullestRow(marks: readonly FishFinding[], pingCount: number): LevelRow | null {
  let best: FishFinding[] = [];
  for (let from = 0, to = 0; from < marks.length; from++) {
    while (to < marks.length && marks[to]!.rangeM < marks[from]!.rangeM + ROW_M) to++;
    const within = marks.slice(from, to);
    const usualDb = median(within.map((f) => f.overBackgroundDb));
    const alike = within.filter((f) => f.overBackgroundDb < usualDb + LOUDER_DB);
    if (alike.length > best.length) best = alike;
  }
  if (best.length < FEWEST) return null;
  const parts = new Set(best.map((f) => Math.floor((PARTS * (f.fromPing + f.toPing)) / 2 / pingCount)));
  if (parts.size < FILLED_PARTS) return null;
  const others = marks.length - best.length;
  const waterM = Math.max(2 * ROW_M, marks[marks.length - 1]!.rangeM - marks[0]!.rangeM);
  // Where it lies was chosen among all the places there are.
  if (chanceOf(best.length, ((others + 1) * ROW_M) / waterM) * (waterM / ROW_M) > CHANCE) return null;
  const ranges = best.map((f) => f.rangeM);
  return { kind: 'own-gear', marks: best, rangeM: [Math.min(...ranges), Math.max(...ranges)] };
}
