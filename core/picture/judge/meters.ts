import type { Channel } from '@/core/recording';
import type { Verdict } from '@/core/rig';
import { levelOf } from '../colourScale';
import type { Picture } from '../draw';
import { labOf, type Lab } from '../lab';
import { openWater } from './openWater';
import { PALETTE_STEPS, paletteColours } from '../palette';
import type { Settings } from '../settings';
import { powerCut, tailOffCut, timeVariedGain, topWaterCut } from '../strength';

/** Edge of the tiles open water is judged by, cells. */
const TILE = 12;

function quantile(values: number[], q: number): number {
  if (values.length === 0) return NaN;
  values.sort((a, b) => a - b);
  return values[Math.min(values.length - 1, Math.floor(q * values.length))]!;
}

/** Drawn share of each whole tile of open water, 0…1. */
function tileShares(picture: Picture): number[] {
  const { rows, columns, steps } = picture;
  const { from, to } = openWater(picture);
  const shares: number[] = [];
  for (let c0 = 0; c0 + TILE <= columns; c0 += TILE)
    for (let r0 = 0; r0 + TILE <= rows; r0 += TILE) {
      let drawn = 0;
      let whole = true;
      for (let c = c0; c < c0 + TILE && whole; c++) {
        if (r0 < from[c]! || r0 + TILE - 1 > to[c]!) whole = false;
        else for (let r = r0; r < r0 + TILE; r++) if (steps[c * rows + r]! > 0) drawn++;
      }
      if (whole) shares.push(drawn / (TILE * TILE));
    }
  return shares;
}

/**
 * Share of open water that is speckled, 0…1: the drawn share of its tiles, taken at the third quartile, which specks near the
 * bed raise and the few tiles that hold marks do not. NaN when the picture shows no open water.
 */
export const speckleShare = (picture: Picture): number => quantile(tileShares(picture), 0.75);

/** A place on a picture: where a mark is, and how large it is drawn. */
export interface MarkPlace {
  column: number;
  row: number;
  /** Cells to either side and up and down that belong to it. */
  halfColumns: number;
  halfRows: number;
}

/** A mark this far over what surrounds it is clear, or faint, dB. */
const CLEAR_DB = 6;
const FAINT_DB = 2;

/** How much round about a mark is compared with it, in its own sizes, at least so many columns. */
const ROUND = 4;
const LEAST_ROUND_COLUMNS = 12;

/**
 * How far a mark stands over its surroundings at its depth, dB: the mean of its three strongest cells less the nine-tenths
 * quantile of the cells beside it. What is not drawn counts as just under the first colour; a mark not drawn is lost.
 */
export function targetMargin(picture: Picture, place: MarkPlace): { marginDb: number; verdict: Verdict } {
  const { rows, columns, steps, scale } = picture;
  const own: number[] = [];
  const others: number[] = [];
  const level = (step: number): number => (step > 0 ? levelOf(scale, step) : scale.leastDb);
  const reach = Math.max(LEAST_ROUND_COLUMNS, ROUND * place.halfColumns);
  for (let c = Math.max(0, place.column - reach); c <= Math.min(columns - 1, place.column + reach); c++)
    for (
      let r = Math.max(0, place.row - place.halfRows);
      r <= Math.min(rows - 1, place.row + place.halfRows);
      r++
    ) {
      const inside = Math.abs(c - place.column) <= place.halfColumns;
      // A gap of a column either side keeps the mark's own edge out of its surroundings.
      if (!inside && Math.abs(c - place.column) <= place.halfColumns + 1) continue;
      (inside ? own : others).push(steps[c * rows + r]!);
    }
  own.sort((a, b) => b - a);
  const top = own.slice(0, 3);
  if (top.length === 0 || top[0] === 0) return { marginDb: 0, verdict: 'lost' };
  const mark = top.reduce((sum, s) => sum + level(s), 0) / top.length;
  const around = others.length > 0 ? level(quantile(others, 0.9)) : scale.leastDb;
  const marginDb = mark - around;
  return { marginDb, verdict: marginDb >= CLEAR_DB ? 'clear' : marginDb >= FAINT_DB ? 'faint' : 'lost' };
}

/** Share of drawn cells in the strongest colour, 0…1; 0 when nothing is drawn. */
export function saturatedShare({ steps }: Picture): number {
  let drawn = 0;
  let full = 0;
  for (let i = 0; i < steps.length; i++) {
    if (steps[i]! > 0) drawn++;
    if (steps[i]! >= PALETTE_STEPS) full++;
  }
  return drawn > 0 ? full / drawn : 0;
}

/** Strongest step in the half metre under the bed line, column by column where a bed is found. */
export function bedSteps(picture: Picture): number[] {
  const { rows, columns, steps, rowM, topM, bedM } = picture;
  const out: number[] = [];
  for (let c = 0; c < columns; c++) {
    if (!(bedM[c]! > 0)) continue;
    const first = Math.floor((bedM[c]! - topM[c]!) / rowM);
    const last = Math.min(rows - 1, first + Math.max(2, Math.ceil(0.5 / rowM)));
    let strongest = 0;
    for (let r = Math.max(0, first); r <= last; r++) strongest = Math.max(strongest, steps[c * rows + r]!);
    if (first < rows) out.push(strongest);
  }
  return out;
}

/** Difference in CIELAB two neighbouring areas need to be told apart at a glance (twice the just noticeable 2.3, Mahy et al. 1994). */
const TELL_APART = 4.6;

const difference = (a: Lab, b: Lab): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/**
 * How many colours lie between the softest and the hardest bed of the picture (its tenth and nine-tenths quantiles): 0 when
 * both come out alike.
 */
export function bedColours(picture: Picture, palette: Settings['palette']): number {
  const all = bedSteps(picture);
  if (all.length < 10) return 0;
  const soft = quantile(all, 0.1);
  const hard = quantile(all, 0.9);
  const { steps } = paletteColours(palette);
  let told = 0;
  let last = labOf(steps[Math.max(0, soft - 1)]!);
  for (let s = soft + 1; s <= hard; s++) {
    const here = labOf(steps[s - 1]!);
    if (difference(last, here) < TELL_APART) continue;
    told++;
    last = here;
  }
  return told;
}

/** Columns and rows a mark gets. @param inBeamS time the target is in the beam @param thicknessM length of its echo */
export function markCells(
  picture: Picture,
  { inBeamS, thicknessM }: { inBeamS: number; thicknessM: number },
): { columns: number; rows: number } {
  return { columns: inBeamS / secondsPerColumn(picture), rows: thicknessM / picture.rowM };
}

/** Seconds a column stands for, near the right edge. */
export function secondsPerColumn({ timeS, columnsFilled }: Picture): number {
  const count = Math.min(columnsFilled, 200);
  if (count < 2) return NaN;
  const last = timeS.length - 1;
  return (timeS[last]! - timeS[last - count + 1]!) / (count - 1);
}

/** Metres a pixel shows along the way and down, and their ratio (1 = true to shape). @param speedMps of the boat */
export function metresPerPixel(
  picture: Picture,
  speedMps: number,
): { alongM: number; downM: number; ratio: number } {
  const alongM = speedMps * secondsPerColumn(picture);
  return { alongM, downM: picture.rowM, ratio: alongM / picture.rowM };
}

/** Seconds of the past a full picture holds. */
export const historyS = (picture: Picture): number => secondsPerColumn(picture) * picture.columns;

/** Share of the screen below the bed, 0…1, over the columns where a bed is found; NaN when there is none. */
export function shareBelowBed({ columns, rows, rowM, topM, bedM }: Picture): number {
  let sum = 0;
  let count = 0;
  for (let c = 0; c < columns; c++) {
    if (!(bedM[c]! > 0)) continue;
    sum += Math.min(1, Math.max(0, 1 - (bedM[c]! - topM[c]!) / (rows * rowM)));
    count++;
  }
  return count > 0 ? sum / count : NaN;
}

/** A target must stand this far over the specks of its row to be picked out, dB. */
const OVER_SPECKS_DB = 3;

/**
 * Deepest range at which a target of a strength would still be drawn over the specks of open water, m, as this picture is
 * set: row by row its drawn level against the first colour and against the strong end of that row's own cells.
 * `whole` says that it shows down to the foot of the window, or to the bed, and may well beyond.
 */
export function deepestShown(
  picture: Picture,
  channel: Channel,
  settings: Settings,
  targetStrengthDb: number,
): { rangeM: number; whole: boolean } {
  const { rows, columns, steps, scale, rowM, topM } = picture;
  const { from, to } = openWater(picture);
  const strongest = levelOf(scale, PALETTE_STEPS);
  let deepest = 0;
  let lastOpen = 0;
  for (let r = 0; r < rows; r++) {
    const row: number[] = [];
    let range = 0;
    for (let c = 0; c < columns; c++) {
      if (r < from[c]! || r > to[c]!) continue;
      row.push(steps[c * rows + r]!);
      range = topM[c]! + (r + 0.5) * rowM;
    }
    if (row.length < 20) continue;
    lastOpen = range;
    const specks = quantile(row, 0.95);
    const floor = specks > 0 ? levelOf(scale, specks) + OVER_SPECKS_DB : scale.leastDb;
    const drawn =
      targetStrengthDb +
      timeVariedGain(channel, range, settings.tvg) -
      timeVariedGain(channel, range, 'target') +
      (channel.calibration ? powerCut(settings) : 0) -
      topWaterCut(range, settings.topWater) -
      tailOffCut(range, settings);
    if (Math.min(drawn, strongest) >= Math.max(floor, scale.leastDb)) deepest = range;
  }
  return { rangeM: deepest, whole: deepest > 0 && deepest >= lastOpen - 2 * rowM };
}
