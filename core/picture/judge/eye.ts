import { clamp } from '@/core/maths';
import type { Picture } from '../draw';
import { labOf, type Lab } from '../lab';
import type { MarkPlace } from './meters';
import { openWater } from './openWater';
import {
  BED_RAMP_AT,
  PALETTE_STEPS,
  paletteColours,
  type PaletteColours,
  type PaletteName,
} from '../palette';
import { GLANCE, HALVING_SPECKS, RICCO_ARCMIN2, type Viewing } from './viewing';

/** What the eye makes of one mark. */
export interface SeenMark {
  place: MarkPlace;
  /** Colour difference to what surrounds it after the eye's blur (CIELAB ΔE), and how unquiet the surroundings are (its spread). */
  contrast: number;
  clutter: number;
  /** Chance that a person looking for it sees it, 0…1. */
  probability: number;
  /** Columns and rows in which it stands out. */
  columns: number;
  rows: number;
}

/** What the eye makes of a picture. */
export interface Sight {
  marks: SeenMark[];
  /** Specks of open water that would be taken for marks, a hundred by a hundred cells. */
  specks: number;
  /** Share of neighbouring marks told apart; 1 where no two are neighbours. */
  apart: number;
  /** How far the bed's trace is graded: 1 where half of its first metre or more is neither empty nor in the strongest colour. */
  bedRoom: number;
}

/** The eye spreads a point over this, standard deviation, arcmin (the optics and the cones together: Williams et al. 1994). */
const BLUR_ARCMIN = 0.8;
/** What varies around a mark hides it as far as so many of its standard deviations (Rosenholtz et al. 2007, clutter). */
const CLUTTER_SIGMAS = 2;
/** Steepness of the chance to see over contrast, an exponent (Weibull; Watson 1979 has 3 to 4). */
const STEEPNESS = 3;

/** Surroundings reach so many of a mark's own half sizes, at least these cells. */
const ROUND = 2.5;
const LEAST_ROUND = [8, 4] as const;

/** A palette's colours as CIELAB, in the order of its table. */
export function labTable({ ground, steps, bedSteps: under }: PaletteColours): Float32Array {
  const out = new Float32Array(3 * 2 * BED_RAMP_AT);
  const put = (k: number, lab: Lab): void => out.set(lab, 3 * k);
  put(0, labOf(ground));
  put(BED_RAMP_AT, labOf(ground));
  steps.forEach((rgb, i) => put(i + 1, labOf(rgb)));
  under.forEach((rgb, i) => put(BED_RAMP_AT + i + 1, labOf(rgb)));
  return out;
}

/** Weights of a Gaussian of a standard deviation in cells; a single 1 where it is too narrow to matter. */
function kernel(sigma: number): Float32Array {
  const reach = sigma < 0.25 ? 0 : Math.max(1, Math.round(2 * sigma));
  const out = Float32Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-0.5 * ((i - reach) / Math.max(sigma, 1e-3)) ** 2),
  );
  const sum = out.reduce((a, b) => a + b, 0);
  return out.map((w) => w / sum);
}

/** Each value of `from` as the weighted sum of those `stride` apart. Doubles, since converting costs more than adding. */
function blurInto(
  out: Float64Array,
  to: number,
  from: Float64Array,
  count: number,
  stride: number,
  blur: Float32Array,
): void {
  const reach = blur.length >> 1;
  const middle = reach * stride;
  const own = blur[reach]!;
  for (let i = 0; i < count; i++) out[to + i] = own * from[middle + i]!;
  // It is the same to either side.
  for (let k = 1; k <= reach; k++) {
    const weight = blur[reach - k]!;
    const before = middle - k * stride;
    const after = middle + k * stride;
    for (let i = 0; i < count; i++) out[to + i]! += weight * (from[before + i]! + from[after + i]!);
  }
}

/** A piece of the picture as CIELAB after the eye's blur: columns × rows, three a cell. */
interface Patch {
  c0: number;
  r0: number;
  columns: number;
  rows: number;
  lab: Float64Array;
}

function patchOf(
  picture: Picture,
  lab: Float32Array,
  bedRow: Int32Array | null,
  blur: Float32Array,
  [c0, c1]: readonly [number, number],
  [r0, r1]: readonly [number, number],
): Patch {
  const { rows: allRows, columns: allColumns, steps } = picture;
  const columns = c1 - c0 + 1;
  const rows = r1 - r0 + 1;
  const reach = blur.length >> 1;
  // Blurred along the rows first, with what lies beside the patch, then along the columns.
  const tall = new Float64Array(3 * (columns + 2 * reach) * rows);
  const strip = new Float64Array(3 * (rows + 2 * reach));
  for (let c = -reach; c < columns + reach; c++) {
    const col = clamp(c0 + c, 0, allColumns - 1);
    const under = bedRow ? bedRow[col]! : allRows;
    for (let r = -reach, i = 0; r < rows + reach; r++) {
      const row = clamp(r0 + r, 0, allRows - 1);
      const at = 3 * (steps[col * allRows + row]! + (row >= under ? BED_RAMP_AT : 0));
      strip[i++] = lab[at]!;
      strip[i++] = lab[at + 1]!;
      strip[i++] = lab[at + 2]!;
    }
    blurInto(tall, 3 * (c + reach) * rows, strip, 3 * rows, 3, blur);
  }
  const out = new Float64Array(3 * columns * rows);
  blurInto(out, 0, tall, out.length, 3 * rows, blur);
  return { c0, r0, columns, rows, lab: out };
}

/** Chance to see a contrast over a clutter, at a drawn area. */
function chanceOf(contrast: number, clutter: number, arcmin2: number): number {
  const threshold = Math.hypot(
    GLANCE * (1 + RICCO_ARCMIN2 / Math.max(arcmin2, 1e-3)),
    CLUTTER_SIGMAS * clutter,
  );
  return 1 - Math.pow(2, -Math.pow(contrast / threshold, STEEPNESS));
}

/** Of a colour or a difference of two. Math.hypot is many times slower than this. */
const lengthSquared = ([l, a, b]: Lab): number => l * l + a * a + b * b;

function seenMark(
  picture: Picture,
  lab: Float32Array,
  bedRow: Int32Array | null,
  blur: Float32Array,
  place: MarkPlace,
  { cellArcmin }: Viewing,
): SeenMark {
  const { rows, columns } = picture;
  const reachC = Math.round(place.halfColumns + Math.max(LEAST_ROUND[0], ROUND * place.halfColumns));
  const reachR = Math.round(place.halfRows + Math.max(LEAST_ROUND[1], ROUND * place.halfRows));
  const lost: SeenMark = { place, contrast: 0, clutter: 0, probability: 0, columns: 0, rows: 0 };
  const c0 = Math.max(columns - picture.columnsFilled, place.column - reachC);
  const c1 = Math.min(columns - 1, place.column + reachC);
  const r0 = Math.max(0, place.row - reachR);
  const r1 = Math.min(rows - 1, place.row + reachR);
  if (
    c1 - c0 < 2 ||
    r1 - r0 < 2 ||
    place.column < c0 ||
    place.column > c1 ||
    place.row < r0 ||
    place.row > r1
  )
    return lost;
  const patch = patchOf(picture, lab, bedRow, blur, [c0, c1], [r0, r1]);
  // What surrounds it at its own depth: above and below it the picture is another.
  let n = 0;
  let [sumL, sumA, sumB, squares] = [0, 0, 0, 0];
  const seen = patch.lab;
  for (let c = c0; c <= c1; c++) {
    const beside = Math.abs(c - place.column) > place.halfColumns;
    for (let r = r0, at = 3 * (c - c0) * patch.rows; r <= r1; r++, at += 3) {
      if (!beside && Math.abs(r - place.row) <= place.halfRows) continue;
      const [l, a, b] = [seen[at]!, seen[at + 1]!, seen[at + 2]!];
      n++;
      sumL += l;
      sumA += a;
      sumB += b;
      squares += l * l + a * a + b * b;
    }
  }
  if (n < 8) return lost;
  const mean: Lab = [sumL / n, sumA / n, sumB / n];
  // Mean square of the distances from the mean.
  const clutter = Math.sqrt(Math.max(0, squares / n - lengthSquared(mean)));
  const off = (at: number): number =>
    Math.sqrt(lengthSquared([seen[at]! - mean[0], seen[at + 1]! - mean[1], seen[at + 2]! - mean[2]]));
  const own: { off: number; c: number; r: number }[] = [];
  for (
    let c = Math.max(c0, place.column - place.halfColumns);
    c <= Math.min(c1, place.column + place.halfColumns);
    c++
  )
    for (let r = Math.max(r0, place.row - place.halfRows); r <= Math.min(r1, place.row + place.halfRows); r++)
      own.push({ off: off(3 * ((c - c0) * patch.rows + (r - r0))), c, r });
  own.sort((a, b) => b.off - a.off);
  const core = own.slice(0, Math.max(3, Math.round(CORE_SHARE * own.length)));
  const contrast = core.reduce((sum, x) => sum + x.off, 0) / core.length;
  const standing = own.filter((x) => x.off > Math.max(contrast / 2, clutter));
  const wide = new Set(standing.map((x) => x.c)).size;
  const tall = new Set(standing.map((x) => x.r)).size;
  return {
    place,
    contrast,
    clutter,
    probability: chanceOf(contrast, clutter, standing.length * cellArcmin * cellArcmin),
    columns: wide,
    rows: tall,
  };
}

/** Share of a mark's box its strongest cells are taken from. */
const CORE_SHARE = 0.12;

/** Specks of open water that would be taken for marks, per hundred by hundred cells, away from the marks themselves. */
function specksOf(picture: Picture, lab: Float32Array, marks: readonly MarkPlace[]): number {
  const { rows, columns, steps } = picture;
  const { from, to, cells } = openWater(picture);
  if (cells === 0) return 0;
  const away = Float32Array.from({ length: PALETTE_STEPS + 1 }, (_, s) =>
    Math.hypot(lab[3 * s]! - lab[0]!, lab[3 * s + 1]! - lab[1]!, lab[3 * s + 2]! - lab[2]!),
  );
  // Blocks of three by three are as fine as a mark is sought; a block that stands out over its neighbours is a speck.
  const across = Math.floor(columns / BLOCK);
  const down = Math.floor(rows / BLOCK);
  const mean = new Float32Array(across * down);
  for (let i = 0; i < across; i++)
    for (let k = 0; k < down; k++) {
      const c = i * BLOCK;
      const r = k * BLOCK;
      if (r < from[c]! || r + BLOCK - 1 > to[c]!) continue;
      let sum = 0;
      for (let dc = 0; dc < BLOCK; dc++) {
        const at = (c + dc) * rows + r;
        for (let dr = 0; dr < BLOCK; dr++) sum += away[steps[at + dr]!]!;
      }
      mean[i * down + k] = sum / (BLOCK * BLOCK);
    }
  for (const m of marks) {
    const i0 = Math.max(0, Math.floor((m.column - 2 * m.halfColumns - BLOCK) / BLOCK));
    const i1 = Math.min(across - 1, Math.ceil((m.column + 2 * m.halfColumns + BLOCK) / BLOCK));
    const k0 = Math.max(0, Math.floor((m.row - 2 * m.halfRows - BLOCK) / BLOCK));
    const k1 = Math.min(down - 1, Math.ceil((m.row + 2 * m.halfRows + BLOCK) / BLOCK));
    for (let i = i0; i <= i1; i++) for (let k = k0; k <= k1; k++) mean[i * down + k] = 0;
  }
  let count = 0;
  for (let i = ROUND_BLOCKS; i + ROUND_BLOCKS < across; i++)
    for (let k = ROUND_BLOCKS; k + ROUND_BLOCKS < down; k++) {
      const here = mean[i * down + k]!;
      if (here < SPECK) continue;
      let highest = true;
      let around = 0;
      for (let di = -ROUND_BLOCKS; di <= ROUND_BLOCKS; di++)
        for (let dk = -ROUND_BLOCKS; dk <= ROUND_BLOCKS; dk++) {
          const other = mean[(i + di) * down + k + dk]!;
          around += other;
          if (Math.abs(di) <= 1 && Math.abs(dk) <= 1 && other > here) highest = false;
        }
      // An even haze hides marks, but none of it is taken for one.
      around = (around - here) / ((2 * ROUND_BLOCKS + 1) ** 2 - 1);
      if (highest && here - around >= SPECK) count++;
    }
  return (count * 10_000) / cells;
}

/** Edge of a block, cells, and mean colour difference to what is around it from which it is a speck, ΔE. */
const BLOCK = 3;
const SPECK = 2 * GLANCE;
/** Blocks to either side a speck is held against. */
const ROUND_BLOCKS = 3;

/** Marks this near each other, in their own sizes, are neighbours. */
const NEIGHBOURS = 2.2;

/** Share of neighbouring marks between which the picture falls back by a third of the weaker one's contrast. */
function apartOf(
  picture: Picture,
  lab: Float32Array,
  bedRow: Int32Array | null,
  blur: Float32Array,
  marks: readonly SeenMark[],
): number {
  let pairs = 0;
  let told = 0;
  const at = (patch: Patch, c: number, r: number): number =>
    3 * ((c - patch.c0) * patch.rows + (r - patch.r0));
  marks.forEach((m, i) => {
    for (const o of marks.slice(i + 1)) {
      const dc = Math.abs(m.place.column - o.place.column);
      const dr = Math.abs(m.place.row - o.place.row);
      if (
        dc > NEIGHBOURS * (m.place.halfColumns + o.place.halfColumns) ||
        dr > NEIGHBOURS * (m.place.halfRows + o.place.halfRows)
      )
        continue;
      if (m.probability < 0.5 || o.probability < 0.5) continue;
      pairs++;
      const cs = [m.place.column, o.place.column].sort((a, b) => a - b) as [number, number];
      const rs = [m.place.row, o.place.row].sort((a, b) => a - b) as [number, number];
      const patch = patchOf(picture, lab, bedRow, blur, cs, rs);
      const steps = Math.max(dc, dr);
      const first = at(patch, m.place.column, m.place.row);
      let dip = 0;
      for (let s = 1; s < steps; s++) {
        const c = Math.round(m.place.column + ((o.place.column - m.place.column) * s) / steps);
        const r = Math.round(m.place.row + ((o.place.row - m.place.row) * s) / steps);
        const here = at(patch, c, r);
        dip = Math.max(
          dip,
          Math.hypot(
            patch.lab[here]! - patch.lab[first]!,
            patch.lab[here + 1]! - patch.lab[first + 1]!,
            patch.lab[here + 2]! - patch.lab[first + 2]!,
          ),
        );
      }
      if (dip > Math.max(GLANCE, Math.min(m.contrast, o.contrast) / 3)) told++;
    }
  });
  return pairs > 0 ? told / pairs : 1;
}

/** Length of a bed's trace that is looked at, m, and fewest rows. */
const TRACE_M = 1;
const TRACE_ROWS = 6;

function bedRoomOf(picture: Picture): number {
  const { rows, columns, rowM, steps } = picture;
  const first = bedRows(picture);
  const length = Math.max(TRACE_ROWS, Math.round(TRACE_M / rowM));
  let graded = 0;
  let all = 0;
  for (let c = columns - picture.columnsFilled; c < columns; c++)
    for (let r = first[c]!; r < Math.min(rows, first[c]! + length); r++) {
      const s = steps[c * rows + r]!;
      all++;
      if (s > 0 && s < PALETTE_STEPS) graded++;
    }
  return all > 0 ? Math.min(1, (2 * graded) / all) : 0;
}

/** First row under the bed of each column. */
function bedRows({ rows, columns, rowM, topM, bedM }: Picture): Int32Array {
  return Int32Array.from({ length: columns }, (_, c) =>
    bedM[c]! > 0 ? clamp(Math.ceil((bedM[c]! - topM[c]!) / rowM), 0, rows) : rows,
  );
}

/**
 * What a person could see in a picture: contrast in CIELAB against the surroundings after the eye's own blur (Zhang & Wandell
 * 1996 for blurring colour planes before taking differences), size as visual angle, clutter, specks that look like marks.
 * @param bedRamp whether what lies under the bed is drawn in its own ramp
 * @param known what is neither looked for nor taken for a mark: own tackle
 */
export function see(
  picture: Picture,
  palette: PaletteName | PaletteColours,
  bedRamp: boolean,
  places: readonly MarkPlace[],
  view: Viewing,
  known: readonly MarkPlace[] = [],
): Sight {
  const lab = labTable(typeof palette === 'string' ? paletteColours(palette) : palette);
  const blur = kernel(BLUR_ARCMIN / view.cellArcmin);
  const bedRow = bedRamp ? bedRows(picture) : null;
  const marks = places.map((place) => seenMark(picture, lab, bedRow, blur, place, view));
  return {
    marks,
    specks: specksOf(picture, lab, [...places, ...known]),
    apart: apartOf(picture, lab, bedRow, blur, marks),
    bedRoom: bedRoomOf(picture),
  };
}

/** What the picture is for: finding, fishing straight down, or judging the bed. */
export type SightFor = 'search' | 'vertical' | 'bed';

/** A shape is legible over so many columns and rows. */
const LEGIBLE = [8, 3] as const;

/** What each part may take away, by what the picture is for (nominal). */
const WEIGHTS: Record<SightFor, { quiet: number; shape: number; apart: number; bed: number }> = {
  search: { quiet: 0.6, shape: 0.45, apart: 0.2, bed: 0.3 },
  vertical: { quiet: 0.5, shape: 0.4, apart: 0.45, bed: 0.2 },
  bed: { quiet: 0.2, shape: 0.2, apart: 0.2, bed: 0.7 },
};

/**
 * One number for a picture, 0…1: how surely the marks are seen, times what specks, cramped shapes, marks run together and a bed
 * without grades each leave of it.
 */
export function sightScore({ marks, specks, apart, bedRoom }: Sight, purpose: SightFor): number {
  if (marks.length === 0) return 0;
  const found = marks.reduce((sum, m) => sum + m.probability, 0) / marks.length;
  const seen = marks.filter((m) => m.probability > 0.2);
  const shape =
    seen.length === 0
      ? 0
      : seen.reduce(
          (sum, m) => sum + Math.min(1, m.columns / LEGIBLE[0]) * Math.min(1, m.rows / LEGIBLE[1]),
          0,
        ) / seen.length;
  const quiet = 1 / (1 + specks / HALVING_SPECKS);
  const w = WEIGHTS[purpose];
  const left = (weight: number, part: number): number => 1 - weight * (1 - part);
  return found * left(w.quiet, quiet) * left(w.shape, shape) * left(w.apart, apart) * left(w.bed, bedRoom);
}
