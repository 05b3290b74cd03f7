import type { Random } from '@/core/maths';
import { PALETTE_STEPS, paletteTable, type PaletteName } from '../palette';

/** One look of an eye check: a mark of some strength in one quarter of a noisy picture, in one palette. */
export interface EyeTrial {
  palette: PaletteName;
  /** Quarter the mark lies in: 0 top left, 1 top right, 2 bottom left, 3 bottom right. */
  quarter: number;
  /** Strength of the mark over the first colour, dB. */
  overDb: number;
}

/** What was answered: a quarter, or null for a mark not seen. */
export type EyeAnswer = number | null;

/** How two palettes came out. */
export interface EyeCheckResult {
  /** Marks found in each palette, of as many each. */
  found: readonly [number, number];
  of: number;
  /** The palette that shows this person more, or null where that may be chance. */
  better: PaletteName | null;
}

/** Strengths tried, dB over the first colour: at the edge of what shows, weak, plain. */
const STRENGTHS_DB = [-1, 2, 6] as const;
const QUARTERS = 4;
/** Columns and rows of a picture; half is a quarter's side. */
export const EYE_CHECK_CELLS = 128;
/** Half the width of the arch, columns, its rise and its thickness, rows: a fish of the middle of a window. */
const HALF_WIDE = 9;
const RISE_ROWS = 4;
const THICK_ROWS = 2;
/** A mark keeps so far from the edge of its quarter, cells. */
const EDGE = 14;
/** First colour over the mean of the water, dB: one cell in 260 is a speck, a practised hand's few. */
const FIRST_COLOUR_OVER_WATER_DB = 7.5;
const SPREAD_DB = 40;
/** Palettes that differ as often as this by chance alone are called alike. */
const CHANCE = 0.1;

/** The looks of a check, in an order of chance: both palettes over the same strengths and quarters. */
export function eyeCheckTrials(palettes: readonly [PaletteName, PaletteName], random: Random): EyeTrial[] {
  const trials = palettes.flatMap((palette) =>
    STRENGTHS_DB.flatMap((overDb) =>
      Array.from({ length: QUARTERS }, (_, quarter) => ({ palette, quarter, overDb })),
    ),
  );
  for (let i = trials.length - 1; i > 0; i--) {
    const j = random.integer(i + 1);
    [trials[i], trials[j]] = [trials[j]!, trials[i]!];
  }
  return trials;
}

/** The picture of a look: EYE_CHECK_CELLS squared, one 32-bit colour a cell; every cell fades as echoes do (exponential power). */
export function eyeCheckPicture({ palette, quarter, overDb }: EyeTrial, random: Random): Uint32Array {
  const { rgba } = paletteTable(palette);
  const side = EYE_CHECK_CELLS;
  const half = side / 2;
  const at = (low: number): number => low + EDGE + random.integer(half - 2 * EDGE);
  const topRow = at(quarter < 2 ? 0 : half);
  const middle = at(quarter % 2 === 0 ? 0 : half);
  const pixels = new Uint32Array(side * side);
  for (let row = 0; row < side; row++)
    for (let column = 0; column < side; column++) {
      const off = (column - middle) / HALF_WIDE;
      const under = row - topRow - RISE_ROWS * off * off;
      const onMark = Math.abs(off) <= 1 && under >= 0 && under < THICK_ROWS;
      const fadeDb = 10 * Math.log10(-Math.log(1 - random.uniform()) + 1e-12);
      const db = (onMark ? overDb : -FIRST_COLOUR_OVER_WATER_DB) + fadeDb;
      const step = db < 0 ? 0 : 1 + Math.min(PALETTE_STEPS - 1, Math.floor((db / SPREAD_DB) * PALETTE_STEPS));
      pixels[row * side + column] = rgba[step]!;
    }
  return pixels;
}

/** Chance that of `n` fair coins one side or the other comes up at least `k` times: the sign test, two-sided. */
function signChance(k: number, n: number): number {
  let sum = 0;
  let ways = 1;
  for (let i = 0; i <= n; i++) {
    if (i >= k) sum += ways;
    ways = (ways * (n - i)) / (i + 1);
  }
  return n === 0 ? 1 : Math.min(1, (2 * sum) / 2 ** n);
}

/**
 * Which palette shows more: looks of the same strength and quarter are held against each other, and those that differ
 * decide (sign test).
 * @throws RangeError unless there is an answer a look
 */
export function eyeCheckResult(
  palettes: readonly [PaletteName, PaletteName],
  trials: readonly EyeTrial[],
  answers: readonly EyeAnswer[],
): EyeCheckResult {
  if (answers.length !== trials.length)
    throw new RangeError(`eye check: ${trials.length} looks but ${answers.length} answers`);
  const right = (palette: PaletteName, overDb: number, quarter: number): boolean =>
    trials.some(
      (t, k) =>
        t.palette === palette && t.overDb === overDb && t.quarter === quarter && answers[k] === quarter,
    );
  const found: [number, number] = [0, 0];
  const only: [number, number] = [0, 0];
  for (const overDb of STRENGTHS_DB)
    for (let quarter = 0; quarter < QUARTERS; quarter++) {
      const [a, b] = [right(palettes[0], overDb, quarter), right(palettes[1], overDb, quarter)];
      if (a) found[0]++;
      if (b) found[1]++;
      if (a && !b) only[0]++;
      if (b && !a) only[1]++;
    }
  const ahead = only[0] > only[1] ? 0 : 1;
  const chance = signChance(only[ahead]!, only[0] + only[1]);
  return {
    found,
    of: STRENGTHS_DB.length * QUARTERS,
    better: only[0] !== only[1] && chance <= CHANCE ? palettes[ahead]! : null,
  };
}
