import { channelOf, type Channel, type Recording } from '@/core/recording';
import { columnPings } from './columns';
import { PALETTE_STEPS, paletteTable, type PaletteName, type PaletteTable } from './palette';
import { PALETTE_BOTTOM_DB, type Settings } from './settings';
import { dropOtherSounders, sampleGain } from './strength';

/** A drawn picture at the unit's own rows and columns. */
export interface Picture {
  rows: number;
  columns: number;
  /** rows × columns, 0xAABBGGRR. */
  pixels: Uint32Array;
  /** Strength of the newest ping by row: 0 = not drawn, 1…PALETTE_STEPS. */
  liveColumn: Uint16Array;
  /** Time at the right edge, s into the recording, and columns that hold pings. */
  nowS: number;
  columnsFilled: number;
}

/** Buffers and tables a draughtsman keeps between pictures, so that drawing again allocates little. */
export interface Desk {
  filtered: { channel: Channel; step: number; level: Float32Array } | null;
  palettes: Map<PaletteName, PaletteTable>;
  index: Uint16Array;
}

export const newDesk = (): Desk => ({ filtered: null, palettes: new Map(), index: new Uint16Array(0) });

function filteredLevels(desk: Desk, channel: Channel, step: number): Float32Array {
  if (step === 0) return channel.levelDb;
  if (desk.filtered?.channel !== channel || desk.filtered.step !== step) {
    const level =
      desk.filtered?.level.length === channel.levelDb.length
        ? desk.filtered.level
        : new Float32Array(channel.levelDb.length);
    dropOtherSounders(channel, step, level);
    desk.filtered = { channel, step, level };
  }
  return desk.filtered.level;
}

/** Noise rejection: takes out drawn pixels with fewer than `least` drawn neighbours among their eight. In place. */
function dropSpecks(
  index: Uint16Array,
  rows: number,
  columns: number,
  least: number,
  drawn: Uint8Array,
): void {
  for (let i = 0; i < index.length; i++) drawn[i] = index[i]! > 0 ? 1 : 0;
  for (let r = 0; r < rows; r++) {
    const up = r > 0 ? -columns : 0;
    const down = r < rows - 1 ? columns : 0;
    for (let c = 0; c < columns; c++) {
      const at = r * columns + c;
      if (drawn[at] === 0) continue;
      const left = c > 0 ? -1 : 0;
      const right = c < columns - 1 ? 1 : 0;
      // At an edge a pixel stands in for its missing neighbour, which only makes the filter milder there.
      const neighbours =
        drawn[at + up + left]! +
        drawn[at + up]! +
        drawn[at + up + right]! +
        drawn[at + left]! +
        drawn[at + right]! +
        drawn[at + down + left]! +
        drawn[at + down]! +
        drawn[at + down + right]!;
      if (neighbours < least) index[at] = 0;
    }
  }
}

/**
 * Draws the pings of one channel: other-sounders filter, TVG and top water, gain, colours, specks, palette. Each cell
 * keeps the strongest sample of its rows' water and its column's pings, so that no echo falls between two.
 * @param nowS time at the right edge, s into the recording
 * @throws RangeError for a screen beyond 1…4096 pixels a side or a channel the recording lacks
 */
export function drawPicture(
  recording: Recording,
  settings: Settings,
  screen: { rows: number; columns: number },
  nowS: number,
  desk: Desk = newDesk(),
): Picture {
  const { rows, columns } = screen;
  if (!(rows >= 1 && rows <= 4096 && columns >= 1 && columns <= 4096))
    throw new RangeError(`picture: rows and columns must be 1 to 4096, got ${rows} × ${columns}`);
  const channel = channelOf(recording, settings.faceId);
  const level = filteredLevels(desk, channel, settings.otherSounders);
  const gain = sampleGain(channel, settings.topWater);
  const { from, to } = columnPings(recording, nowS, settings.chartSpeed, columns);
  if (desk.index.length !== rows * columns) desk.index = new Uint16Array(rows * columns);
  const index = desk.index;
  index.fill(0);

  const n = channel.sampleCount;
  const rowM = settings.rangeM / rows;
  const firstSample = new Int32Array(rows);
  const lastSample = new Int32Array(rows);
  for (let r = 0; r < rows; r++) {
    firstSample[r] = Math.ceil((r * rowM - channel.firstRangeM) / channel.sampleStepM);
    lastSample[r] = Math.ceil(((r + 1) * rowM - channel.firstRangeM) / channel.sampleStepM) - 1;
    // A row finer than a sample shows the sample it lies in.
    if (lastSample[r]! < firstSample[r]!) firstSample[r] = lastSample[r] = Math.max(0, lastSample[r]!);
    if (lastSample[r]! >= n) lastSample[r] = n - 1;
  }
  const bottom = PALETTE_BOTTOM_DB - settings.gainDb;
  const least = bottom + settings.firstColourDb;
  const top = PALETTE_STEPS;
  const scale = (top - 1) / settings.colourSpreadDb;

  const strongest = new Float32Array(n);
  const column = (fromPing: number, toPing: number): void => {
    const first = fromPing * n;
    for (let j = 0; j < n; j++) strongest[j] = level[first + j]!;
    for (let p = fromPing + 1; p <= toPing; p++) {
      const row = p * n;
      for (let j = 0; j < n; j++) if (level[row + j]! > strongest[j]!) strongest[j] = level[row + j]!;
    }
    for (let j = 0; j < n; j++) strongest[j]! += gain[j]!;
  };
  const cells = (out: Uint16Array, at: number, stride: number): void => {
    for (let r = 0; r < rows; r++) {
      let most = -1e9;
      for (let j = firstSample[r]!; j <= lastSample[r]!; j++) if (strongest[j]! > most) most = strongest[j]!;
      if (most >= least) {
        const step = 1 + (((most - bottom) * scale) | 0);
        out[at + r * stride] = step < 1 ? 1 : step > top ? top : step;
      } else out[at + r * stride] = 0;
    }
  };

  let columnsFilled = 0;
  let doneFrom = -2;
  let doneTo = -2;
  for (let c = 0; c < columns; c++) {
    if (to[c]! < 0) continue;
    columnsFilled++;
    if (from[c] === doneFrom && to[c] === doneTo) {
      for (let r = 0; r < rows; r++) index[r * columns + c] = index[r * columns + c - 1]!;
      continue;
    }
    doneFrom = from[c]!;
    doneTo = to[c]!;
    column(doneFrom, doneTo);
    cells(index, c, columns);
  }
  if (settings.noiseRejection > 0)
    dropSpecks(index, rows, columns, settings.noiseRejection, new Uint8Array(index.length));

  let palette = desk.palettes.get(settings.palette);
  if (!palette) desk.palettes.set(settings.palette, (palette = paletteTable(settings.palette)));
  const { rgba } = palette;
  const pixels = new Uint32Array(rows * columns);
  for (let i = 0; i < pixels.length; i++) pixels[i] = rgba[index[i]!]!;

  const liveColumn = new Uint16Array(rows);
  const newest = to[columns - 1]!;
  if (newest >= 0) {
    column(newest, newest);
    cells(liveColumn, 0, 1);
  }
  return { rows, columns, pixels, liveColumn, nowS, columnsFilled };
}
