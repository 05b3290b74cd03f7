import { median } from '@/core/maths';
import type { Picture } from '../draw';
import { bedColours, saturatedShare, bedSteps, speckleShare } from './meters';
import { blobs, openWater, type Blob } from './openWater';
import { PALETTE_STEPS } from '../palette';
import type { Settings } from '../settings';

export type FaultName =
  | 'slanting-dashes'
  | 'false-bed'
  | 'lost-bed'
  | 'specks'
  | 'solid-bed'
  | 'empty-water'
  | 'surface-clutter'
  | 'electrical-bars'
  | 'one-legged';

/** Something wrong with a picture, with the number it was found by. */
export interface Fault {
  name: FaultName;
  /** What was counted or measured, and from where on it is a fault. */
  measured: number;
  limit: number;
  /** Range it is about, m, where it has one. */
  rangeM: number | null;
}

/** Longest a dash is, and shortest, rows; and columns of its own. */
const DASH_ROWS = [3, 40] as const;
const DASH_COLUMNS = 2;
/** Dashes a hundred columns from which they are a nuisance. */
const DASHES = 3;

/**
 * Another sounder: thin upright dashes in open water, alone in their column or two. The slant itself is not asked for: whether
 * a row of dashes slants depends on the two ping rates.
 */
function slantingDashes(picture: Picture): Fault | null {
  const dashes = blobs(picture, DASH_ROWS[0]).filter((b) => {
    const height = b.toRow - b.fromRow + 1;
    const width = b.toColumn - b.fromColumn + 1;
    return width <= DASH_COLUMNS && height >= DASH_ROWS[0] && height <= DASH_ROWS[1] && height >= 2 * width;
  });
  const per100 = (100 * dashes.length) / Math.max(1, picture.columnsFilled);
  return per100 >= DASHES ? { name: 'slanting-dashes', measured: per100, limit: DASHES, rangeM: null } : null;
}

/** A column is a bar when at least this share of its open water is drawn, and it stands so far over its neighbours' share. */
const BAR_SHARE = 0.25;
const BAR_OVER = 0.2;
/** Columns to either side a bar is compared with. */
const BAR_ROUND = 15;
const BARS = 2;

/** Something electrical: whole columns of open water filled, here and there. */
function electricalBars(picture: Picture): Fault | null {
  const { rows, columns, steps } = picture;
  const { from, to } = openWater(picture);
  const share = new Float32Array(columns).fill(NaN);
  for (let c = 0; c < columns; c++) {
    const open = to[c]! - from[c]! + 1;
    if (open < 10) continue;
    let drawn = 0;
    for (let r = from[c]!; r <= to[c]!; r++) if (steps[c * rows + r]! > 0) drawn++;
    share[c] = drawn / open;
  }
  let bars = 0;
  let inBar = false;
  for (let c = 0; c < columns; c++) {
    const around: number[] = [];
    for (let k = c - BAR_ROUND; k <= c + BAR_ROUND; k++) if (share[k]! >= 0) around.push(share[k]!);
    const bar = share[c]! >= BAR_SHARE && share[c]! - median(around) >= BAR_OVER;
    if (bar && !inBar) bars++;
    inBar = bar;
  }
  return bars >= BARS ? { name: 'electrical-bars', measured: bars, limit: BARS, rangeM: null } : null;
}

/** Nominal sound speed a late echo's place is foretold with, m/s; a few parts in a hundred of a window either way. */
const SOUND_MPS = 1480;
/** Bed echoes and ping periods a late echo may come from. */
const MULTIPLES = 3;
const PERIODS = 4;
/** Columns of a hundred in which the foretold place must be drawn, more than water a little above and below it. */
const FALSE_BED_SHARE = 0.6;
const FALSE_BED_OVER = 0.3;

/**
 * A bed echo of an earlier ping come late: at m·d − n·c/2f there is a line through the picture that keeps step with the bed.
 * Water a metre or so above and below it must not be as full, or it is only noise.
 */
function falseBed(picture: Picture, settings: Settings): Fault | null {
  const { rows, columns, steps, rowM, topM, bedM } = picture;
  const { from, to } = openWater(picture);
  const period = SOUND_MPS / (2 * settings.pingRate);
  // The nearer multiple and the fewer periods, the stronger: the first that is there is the one to name.
  for (let m = 1; m <= MULTIPLES; m++)
    for (let n = 1; n <= PERIODS; n++) {
      let nearest: Fault | null = null;
      // The sound speed is not known to better than a few parts in a hundred: the line is looked for about its place.
      for (let off = -0.04; off <= 0.041; off += 0.01) {
        let looked = 0;
        let on = 0;
        let beside = 0;
        let sum = 0;
        for (let c = 0; c < columns; c++) {
          if (!(bedM[c]! > 0)) continue;
          const range = m * bedM[c]! - n * period * (1 + off);
          const row = Math.round((range - topM[c]!) / rowM);
          const away = Math.max(6, Math.round(1.2 / rowM));
          if (range <= 0 || row - away < Math.min(from[c]!, 2) || row + away > to[c]!) continue;
          looked++;
          sum += range;
          const drawnAt = (r: number): boolean => r >= 0 && r < rows && steps[c * rows + r]! > 0;
          if (drawnAt(row) || drawnAt(row + 1) || drawnAt(row + 2)) on++;
          if (drawnAt(row - away) || drawnAt(row + away)) beside++;
        }
        if (looked === 0 || looked < 0.3 * picture.columnsFilled) continue;
        const share = on / looked;
        if (share < FALSE_BED_SHARE || share - beside / looked < FALSE_BED_OVER) continue;
        // Its tail qualifies as well: the false bed begins where it is nearest.
        if (!nearest || sum / looked < nearest.rangeM!)
          nearest = { name: 'false-bed', measured: share, limit: FALSE_BED_SHARE, rangeM: sum / looked };
      }
      if (nearest) return nearest;
    }
  return null;
}

/** Share of columns without a bed, or where it leaps, from which it counts as lost. */
const LOST_SHARE = 0.2;
/** A leap is more than this share of the depth from one column to the next. */
const LEAP = 0.15;

function lostBed({ columns, columnsFilled, bedM }: Picture): Fault | null {
  let lost = 0;
  for (let c = columns - columnsFilled; c < columns; c++) {
    const here = bedM[c]!;
    const before = bedM[c - 1]!;
    if (!(here > 0) || (before > 0 && Math.abs(here - before) > LEAP * before)) lost++;
  }
  const share = columnsFilled > 0 ? lost / columnsFilled : 0;
  return share >= LOST_SHARE ? { name: 'lost-bed', measured: share, limit: LOST_SHARE, rangeM: null } : null;
}

const SPECK_SHARE = 0.05;

function specks(picture: Picture): Fault | null {
  const share = speckleShare(picture);
  return share >= SPECK_SHARE ? { name: 'specks', measured: share, limit: SPECK_SHARE, rangeM: null } : null;
}

/** The bed is one solid colour when this share of its columns is full and that share of all that is drawn. */
const SOLID_COLUMNS = 0.95;
const SOLID_CELLS = 0.35;

function solidBed(picture: Picture, settings: Settings): Fault | null {
  const all = bedSteps(picture);
  if (all.length < 10 || bedColours(picture, settings.palette) > 1) return null;
  const full = all.filter((s) => s >= PALETTE_STEPS).length / all.length;
  const cells = saturatedShare(picture);
  return full >= SOLID_COLUMNS && cells >= SOLID_CELLS
    ? { name: 'solid-bed', measured: cells, limit: SOLID_CELLS, rangeM: null }
    : null;
}

/** Open water with fewer drawn cells than this share is empty: a practised hand leaves a few specks. */
const EMPTY_SHARE = 2e-4;

function emptyWater(picture: Picture): Fault | null {
  const { rows, columns, steps } = picture;
  const { from, to, cells } = openWater(picture);
  if (cells < 1000) return null;
  let drawn = 0;
  for (let c = 0; c < columns; c++)
    for (let r = from[c]!; r <= to[c]!; r++) if (steps[c * rows + r]! > 0) drawn++;
  const share = drawn / cells;
  return share <= EMPTY_SHARE
    ? { name: 'empty-water', measured: share, limit: EMPTY_SHARE, rangeM: null }
    : null;
}

/** Clutter under the surface is one when it hangs this deep at the median, m, or this share of the depth. */
const MESS_M = 1.5;
const MESS_SHARE = 0.15;
/** Rows of nothing that end it. */
const MESS_GAP = 3;
/** Nearer than this the face's own ringing shows in any picture, m. */
const RINGING_M = 0.6;

function topMess({ rows, columns, columnsFilled, steps, rowM, topM, bedM }: Picture): Fault | null {
  const depths: number[] = [];
  const beds: number[] = [];
  for (let c = columns - columnsFilled; c < columns; c++) {
    if (topM[c]! > 0) return null;
    let last = Math.ceil(RINGING_M / rowM);
    for (let r = last, gap = 0; r < rows && gap < MESS_GAP; r++)
      if (steps[c * rows + r]! > 0) {
        last = r;
        gap = 0;
      } else gap++;
    depths.push(last * rowM);
    if (bedM[c]! > 0) beds.push(bedM[c]!);
  }
  const depth = median(depths);
  const limit = Math.min(MESS_M, MESS_SHARE * (beds.length > 0 ? median(beds) : rows * rowM));
  return depth >= limit ? { name: 'surface-clutter', measured: depth, limit, rangeM: depth } : null;
}

/** Marks that say anything about tilt: so many columns wide, with a rise of so many rows. */
const LEG_COLUMNS = 5;
const LEG_ROWS = 2;
const LEG_MARKS = 4;
const LEG_SHARE = 0.8;

/** Rows the top line of a mark climbs before and falls after its nearest point. */
function legs(blob: Blob): { before: number; after: number } {
  const { topRow } = blob;
  let nearest = 0;
  for (let k = 1; k < topRow.length; k++) if (topRow[k]! < topRow[nearest]!) nearest = k;
  const rise = (k: number): number => (topRow[k]! < 1e6 ? topRow[k]! - topRow[nearest]! : 0);
  let before = 0;
  let after = 0;
  for (let k = 0; k < topRow.length; k++)
    if (k < nearest) before = Math.max(before, rise(k));
    else after = Math.max(after, rise(k));
  return { before, after };
}

/** A tilted beam: of the marks that have a leg to show, nearly all have lost the same one. */
function oneLegged(picture: Picture): Fault | null {
  let leaning = 0;
  let first = 0;
  let last = 0;
  for (const blob of blobs(picture, 8)) {
    if (blob.toColumn - blob.fromColumn + 1 < LEG_COLUMNS) continue;
    const { before, after } = legs(blob);
    if (Math.max(before, after) < LEG_ROWS) continue;
    leaning++;
    if (before >= 2 * after + 1) first++;
    if (after >= 2 * before + 1) last++;
  }
  const share = leaning >= LEG_MARKS ? Math.max(first, last) / leaning : 0;
  return share >= LEG_SHARE ? { name: 'one-legged', measured: share, limit: LEG_SHARE, rangeM: null } : null;
}

/** All that is wrong with a picture, found from its cells and the settings alone. */
export function findFaults(picture: Picture, settings: Settings): Fault[] {
  if (picture.columnsFilled < 30) return [];
  return [
    slantingDashes(picture),
    electricalBars(picture),
    falseBed(picture, settings),
    lostBed(picture),
    specks(picture),
    solidBed(picture, settings),
    emptyWater(picture),
    topMess(picture),
    oneLegged(picture),
  ].filter((f) => f !== null);
}
