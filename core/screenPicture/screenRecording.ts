import { clamp } from '@/core/maths';
import { labOf, PALETTE_BOTTOM_DB, timeVariedGain, type Rgb } from '@/core/picture';
import { recordingOf, straightWay, type Channel, type Recording } from '@/core/recording';
import { singlePulse, type Face } from '@/core/rig';
import type { Panel, Point, ScreenCalibration } from './calibration';
import { addedLight } from './addedLight';
import { GROUND, MIXED, OVERLAY, rampLookup, rampOf } from './colourRamp';
import { squareToQuad } from './straighten';

/** Pixels of a picture, RGBA, row by row. */
export interface PixelImage {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/** Most rows and columns of a panel that are read: a screen has no more. */
const MOST_ROWS = 1200;
const MOST_COLUMNS = 2400;
/**
 * What a legend is taken to span, dB, weak to strong, and how far nothing drawn lies under its weakest colour. The weakest lies where
 * ours does, so that it is drawn again as it was.
 */
export const RAMP_DB = 40;
const UNDER_DB = 7;
const WEAKEST_DB =
  PALETTE_BOTTOM_DB - timeVariedGain({ calibration: null, resolutionM: 1 } as Channel, 1, 'flat');
/** Pixels a file compresses together, and the share of a square of them that must be overlay for all of it to be. */
const BLOCK = 8;
const SOLID = 0.3;
/** A grid line is thinner than this, rows, and is seen over so much of the panel's width, or over so much in a colour of its own. */
const THIN = 3;
const GRID_SHARE = 0.4;
const LAID_SHARE = 0.1;
/** Cells beside any overlay that its colour runs into. */
const FRINGE = 1;
/** So far it may turn the ground into what looks like a weak echo. */
const MIXED_FRINGE = 3;
const WEAK = 0.3;
/** An overlay is filled from what is beside it within so many cells. */
const FILL_CELLS = 12;
/** The screen draws an echo at least so many rows thick. */
const PULSE_ROWS = 2;
const SOUND_MPS = 1470;

/** The colour that fills most of the panel's upper half: what is drawn where nothing answers. */
function groundOf(colours: readonly Rgb[]): Rgb {
  const counts = new Map<number, { count: number; sum: [number, number, number] }>();
  for (const [r, g, b] of colours) {
    const key = ((r >> 4) << 8) | ((g >> 4) << 4) | (b >> 4);
    const cell = counts.get(key) ?? { count: 0, sum: [0, 0, 0] };
    cell.count++;
    cell.sum[0] += r;
    cell.sum[1] += g;
    cell.sum[2] += b;
    counts.set(key, cell);
  }
  const [most] = [...counts.values()].sort((a, b) => b.count - a.count);
  const { count, sum } = most!;
  return [sum[0] / count, sum[1] / count, sum[2] / count];
}

type PictureFace = Pick<Face, 'id' | 'label' | 'frequencyHz' | 'beam'>;

/** The corners of a panel on a picture, pixels, and how far it is across and down. */
function panelOf({ width, height }: PixelImage, { corners }: Panel) {
  const [a, b, c, d] = corners.map(({ x, y }) => ({ x: x * (width - 1), y: y * (height - 1) })) as [
    Point,
    Point,
    Point,
    Point,
  ];
  const side = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y);
  return {
    place: squareToQuad([a, b, c, d]),
    columns: Math.min(MOST_COLUMNS, Math.round(Math.max(side(a, b), side(d, c))) + 1),
    rows: Math.min(MOST_ROWS, Math.round(Math.max(side(a, d), side(b, c))) + 1),
  };
}

/**
 * A picture of a sounder's screen as pings in relative levels: each column one ping, each row one sample, colours as their place
 * on the legend. Levels mean nothing beyond weaker and stronger; what is laid over the echoes is filled from beside it. Each panel is
 * a channel.
 * @param face the beam that drew the first panel, by whose width marks are read @param more those of the further panels
 * @throws RangeError for corners on one line, a panel of no size, a legend of one colour, or a panel without a beam
 */
export function screenRecording(
  image: PixelImage,
  cal: ScreenCalibration,
  face: PictureFace,
  title: string,
  more: readonly PictureFace[] = [],
): Recording {
  if (more.length !== cal.panels.length)
    throw new RangeError('screen picture: each panel needs a beam of its own');
  const panels: readonly Panel[] = [cal, ...cal.panels];
  // All panels show the same time: each is read at as many columns as the widest has.
  const columns = Math.max(...panels.map((panel) => panelOf(image, panel).columns));
  const faces = [face, ...more];
  const ids = faces.map(({ id }, k) =>
    faces.findIndex((f) => f.id === id) === k ? id : `${id.slice(0, 36)}-${k + 1}`,
  );
  const timeS = Float64Array.from({ length: columns }, (_, p) => (p / (columns - 1)) * cal.acrossS);
  return recordingOf([
    {
      title,
      pingRate: (columns - 1) / cal.acrossS,
      origin: { latitudeDeg: 0, longitudeDeg: 0 },
      navigation: straightWay(timeS, cal.speedMps),
      channels: panels.map((panel, k) =>
        panelChannel(image, panel, cal.now, { ...faces[k]!, id: ids[k]! }, columns),
      ),
    },
  ]);
}

/** A panel of a picture as a channel of so many pings. */
function panelChannel(
  image: PixelImage,
  panel: Panel,
  now: ScreenCalibration['now'],
  face: PictureFace,
  columns: number,
): Channel {
  const { width, height, data } = image;
  const indexAt = (x: number, y: number): number =>
    4 * (clamp(Math.round(y), 0, height - 1) * width + clamp(Math.round(x), 0, width - 1));
  const pixelAt = (x: number, y: number): Rgb => {
    const i = indexAt(x, y);
    return [data[i]!, data[i + 1]!, data[i + 2]!];
  };
  const { place, columns: own, rows: allRows } = panelOf(image, panel);
  if (own < 20 || allRows < 20) throw new RangeError('screen picture: the panel is too small to read');

  const [one, two] = panel.depths;
  const perShare = (two.depthM - one.depthM) / (two.down - one.down);
  const depthAt = (down: number): number => one.depthM + (down - one.down) * perShare;
  const stepM = perShare / (allRows - 1);
  // What lies over the surface is the frame of the picture.
  const firstRow = Math.max(0, Math.ceil(-depthAt(0) / stepM));
  const rows = allRows - firstRow;
  if (rows < 20) throw new RangeError('screen picture: hardly any of the panel lies under the surface');

  const ramp = rampOf((s) => {
    const { weak, strong } = panel.legend;
    return pixelAt(
      (weak.x + s * (strong.x - weak.x)) * (width - 1),
      (weak.y + s * (strong.y - weak.y)) * (height - 1),
    );
  });
  if (ramp.length < 2) throw new RangeError('screen picture: the legend shows one colour only');
  const upper: Rgb[] = [];
  for (let i = 0; i < 4000; i++) {
    const { x, y } = place(((i * 7919) % 1000) / 999, (0.5 * ((i * 104729) % 997)) / 996);
    upper.push(pixelAt(x, y));
  }
  const ground = groundOf(upper);
  const lookup = rampLookup(ramp, labOf(ground));
  const lightAt = addedLight((u, v) => {
    const { x, y } = place(u, v);
    return pixelAt(x, y);
  }, ground);

  const levelDb = new Float32Array(columns * rows);
  const at = { x: 0, y: 0 };
  for (let p = 0; p < columns; p++) {
    // Time runs towards the side the newest echoes are on.
    const u = (now === 'right' ? p : columns - 1 - p) / (columns - 1);
    for (let j = 0; j < rows; j++) {
      place(u, (firstRow + j) / (allRows - 1), at);
      const i = indexAt(at.x, at.y);
      const light = lightAt(u, (firstRow + j) / (allRows - 1));
      levelDb[p * rows + j] = lookup(
        Math.max(0, data[i]! - light),
        Math.max(0, data[i + 1]! - light),
        Math.max(0, data[i + 2]! - light),
      );
    }
  }
  layGridLines(levelDb, columns, rows);
  widenOverlays(levelDb, columns, rows);
  fillOverlays(levelDb, columns, rows);
  fillMixed(levelDb, columns, rows);
  for (let i = 0; i < levelDb.length; i++) {
    const onRamp = levelDb[i]!;
    levelDb[i] = WEAKEST_DB + (onRamp === GROUND ? -UNDER_DB : RAMP_DB * onRamp);
  }
  const pulseM = PULSE_ROWS * stepM;
  return {
    id: face.id,
    label: face.label,
    frequencyHz: face.frequencyHz,
    beam: face.beam,
    pulse: singlePulse((2 * pulseM) / SOUND_MPS, face.frequencyHz, 20),
    resolutionM: pulseM,
    soundSpeedMps: SOUND_MPS,
    firstRangeM: Math.max(0, depthAt(firstRow / (allRows - 1))),
    sampleStepM: stepM,
    pingCount: columns,
    sampleCount: rows,
    levelDb,
    calibration: null,
  };
}

/**
 * Takes thin lines at one row for a grid's, whatever their colour: compression greys a line of a pixel until it looks like an echo.
 * Echoes at one depth are thicker, or keep to it over less of the panel.
 */
function layGridLines(at: Float32Array, columns: number, rows: number): void {
  const thin = (p: number, j: number): boolean => {
    const cell = p * rows + j;
    return (
      at[cell] !== GROUND &&
      (j < THIN || at[cell - THIN] === GROUND) &&
      (j + THIN >= rows || at[cell + THIN] === GROUND)
    );
  };
  for (let j = 0; j < rows; j++) {
    let drawn = 0;
    let laid = 0;
    for (let p = 0; p < columns; p++)
      if (thin(p, j)) {
        drawn++;
        if (at[p * rows + j] === OVERLAY) laid++;
      }
    if (drawn < GRID_SHARE * columns && laid < LAID_SHARE * columns) continue;
    for (let p = 0; p < columns; p++) if (thin(p, j)) at[p * rows + j] = OVERLAY;
  }
}

/** How many cells of a kind lie in the square about a cell, by sums over the rectangle from the corner. */
function countsWithin(
  columns: number,
  rows: number,
  is: (cell: number) => boolean,
): (p: number, j: number, half: number) => number {
  const sums = new Int32Array((columns + 1) * (rows + 1));
  const high = rows + 1;
  for (let p = 0; p < columns; p++)
    for (let j = 0; j < rows; j++)
      sums[(p + 1) * high + j + 1] =
        (is(p * rows + j) ? 1 : 0) +
        sums[p * high + j + 1]! +
        sums[(p + 1) * high + j]! -
        sums[p * high + j]!;
  return (p, j, half) => {
    const [p0, p1] = [Math.max(0, p - half), Math.min(columns, p + half + 1)];
    const [j0, j1] = [Math.max(0, j - half), Math.min(rows, j + half + 1)];
    return sums[p1 * high + j1]! - sums[p0 * high + j1]! - sums[p1 * high + j0]! + sums[p0 * high + j0]!;
  };
}

/**
 * Takes what borders on an overlay for a part of it, about a solid one (a menu, a box of digits) more of it: a file's compression
 * lets its colours run over into blocks of so many pixels.
 */
function widenOverlays(at: Float32Array, columns: number, rows: number): void {
  const laid = countsWithin(columns, rows, (cell) => at[cell] === OVERLAY);
  const solid = SOLID * (2 * BLOCK + 1) ** 2;
  const wider: number[] = [];
  for (let p = 0; p < columns; p++)
    for (let j = 0; j < rows; j++) {
      const cell = p * rows + j;
      const value = at[cell]!;
      const reach = value === MIXED || (value >= 0 && value < WEAK) ? MIXED_FRINGE : FRINGE;
      if (laid(p, j, reach) > 0 || laid(p, j, BLOCK) >= solid) wider.push(cell);
    }
  for (const cell of wider) at[cell] = OVERLAY;
}

/** Length of each run of overlay a cell is in, along steps of `stride` in lines of `length`. */
function overlayRuns(
  at: Float32Array,
  lines: number,
  length: number,
  of: (line: number, k: number) => number,
): Uint16Array {
  const runs = new Uint16Array(at.length);
  for (let line = 0; line < lines; line++)
    for (let k = 0; k < length; k++) {
      if (at[of(line, k)] !== OVERLAY) continue;
      const from = k;
      while (k + 1 < length && at[of(line, k + 1)] === OVERLAY) k++;
      for (let q = from; q <= k; q++) runs[of(line, q)] = k - from + 1;
    }
  return runs;
}

/** Puts the nearest echo in place of what is laid over it, across the overlay where it is thinner; over a wide one the weaker of both sides. */
function fillOverlays(at: Float32Array, columns: number, rows: number): void {
  const alongRow = (j: number, p: number): number => p * rows + j;
  const downColumn = (p: number, j: number): number => p * rows + j;
  const wide = overlayRuns(at, rows, columns, alongRow);
  const high = overlayRuns(at, columns, rows, downColumn);
  const before = at.slice();
  const fill = (
    lines: number,
    length: number,
    of: (line: number, k: number) => number,
    mine: Uint16Array,
    other: Uint16Array,
  ): void => {
    for (let line = 0; line < lines; line++)
      for (let k = 0; k < length; k++) {
        if (before[of(line, k)] !== OVERLAY) continue;
        const from = k;
        while (k + 1 < length && before[of(line, k + 1)] === OVERLAY) k++;
        const after = k + 1 < length ? before[of(line, k + 1)]! : GROUND;
        const first = from > 0 ? before[of(line, from - 1)]! : after;
        const middle = (from + k) / 2;
        for (let q = from; q <= k; q++) {
          const cell = of(line, q);
          if (mine[cell]! <= other[cell]! && at[cell] === OVERLAY)
            at[cell] = mine[cell]! > FILL_CELLS ? Math.min(first, after) : q < middle ? first : after;
        }
      }
  };
  fill(columns, rows, downColumn, high, wide);
  fill(rows, columns, alongRow, wide, high);
}

/** A colour between echo and ground is what is beside it along the row; of a long run of them the weaker of both sides. */
function fillMixed(at: Float32Array, columns: number, rows: number): void {
  for (let j = 0; j < rows; j++)
    for (let p = 0; p < columns; p++) {
      if (at[p * rows + j] !== MIXED) continue;
      const from = p;
      while (p + 1 < columns && at[(p + 1) * rows + j] === MIXED) p++;
      const after = p + 1 < columns ? at[(p + 1) * rows + j]! : GROUND;
      const before = from > 0 ? at[(from - 1) * rows + j]! : after;
      const wide = p - from + 1 > FILL_CELLS;
      const middle = (from + p) / 2;
      for (let q = from; q <= p; q++)
        at[q * rows + j] = wide ? Math.min(before, after) : q < middle ? before : after;
    }
}
