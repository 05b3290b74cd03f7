import { median, poissonBelow } from '@/core/maths';
import type { NamedEcho } from '../artefacts/notFish';
import type { Finding, FishFinding } from '../finding';

/** Marks of one thing towed or let down lie within this of each other, m; it is worked a little up and down. */
const ROW_M = 0.5;
/** A row is this many marks at least, spread over so large a share of the pass in so many of its parts. */
const FEWEST = 6;
const PARTS = 8;
const FILLED_PARTS = 4;
/** A louder mark in a row, dB over the usual one there, is a fish that came by. */
const LOUDER_DB = 8;
/** Where the water has fewer other marks the row may be where the fish are, and must be this many. */
const FEW_OTHERS = 2;
const MANY = 12;
/** Chance that marks that lie anywhere would lie so. */
const CHANCE = 1e-4;
/** Fish keep to the bed, and lie in a row over an even one: this near to it none is told, m. */
const BY_BED_M = 1;

/**
 * Marks in a row at one depth all along a pass: pieces of what hangs or is towed there, a lure or a weight too faint to be followed as one
 * line. Fish lie at one depth too, but not so many within half a metre where the water above and below has so few, by the Poisson law.
 * @param pingCount of the pass @returns the marks of each row, the fullest first
 */
export function rowsAtDepth(findings: readonly Finding[], pingCount: number): FishFinding[][] {
  const rows: FishFinding[][] = [];
  let left = findings
    .filter((f): f is FishFinding => f.kind === 'fish' && !(f.gapToBedM !== null && f.gapToBedM < BY_BED_M))
    .sort((a, b) => a.rangeM - b.rangeM);
  for (;;) {
    const row = fullestRow(left, pingCount);
    if (!row) return rows;
    rows.push(row);
    left = left.filter((f) => !row.includes(f));
  }
}

/** The fullest row among marks, nearest first. */
function fullestRow(marks: readonly FishFinding[], pingCount: number): FishFinding[] | null {
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
  if (others < FEW_OTHERS && best.length < MANY) return null;
  const waterM = Math.max(2 * ROW_M, marks[marks.length - 1]!.rangeM - marks[0]!.rangeM);
  const expected = ((others + 1) * ROW_M) / waterM;
  // Where it lies was chosen among all the places there are.
  return (1 - poissonBelow(best.length, expected)) * (waterM / ROW_M) > CHANCE ? null : best;
}

/** A row as it is named: one's own gear. */
export const rowNamed = (row: readonly FishFinding[]): NamedEcho => {
  const ranges = row.map((f) => f.rangeM);
  return {
    kind: 'own-gear',
    fromPing: Math.min(...row.map((f) => f.fromPing)),
    toPing: Math.max(...row.map((f) => f.toPing)),
    rangeM: [Math.min(...ranges), Math.max(...ranges)],
    steadyDb: 0,
    slantM: 0,
  };
};

/** A line of own gear through so large a share of a pass owns what else is drawn at its depth, within so much, m: it comes and goes. */
const LINE_SHARE = 0.25;
const ON_LINE_M = 0.25;
/** A line that was let out or taken in crosses more water than this, m, and owns none of it. */
const LINE_TALL_M = 1;

/** Whether a mark lies where own gear hangs or is towed for much of a pass. */
export function isOnLine({ rangeM }: FishFinding, named: readonly NamedEcho[], pingCount: number): boolean {
  const pings = named
    .filter(({ kind, rangeM: [near, far] }) => kind === 'own-gear' && far - near < LINE_TALL_M)
    .filter(({ rangeM: [near, far] }) => rangeM > near - ON_LINE_M && rangeM < far + ON_LINE_M)
    .reduce((sum, { fromPing, toPing }) => sum + toPing - fromPing + 1, 0);
  return pings > LINE_SHARE * pingCount;
}
