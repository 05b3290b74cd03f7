import {
  channelOf,
  navigationOf,
  withoutGain,
  type Channel,
  type Navigation,
  type Recording,
  type Stretch,
} from '@/core/recording';
import { autoGain } from './autoGain';
import { colourScale, type ColourScale } from './colourScale';
import { cellStrengths, type CellStrengths } from './cellStrengths';
import { chartPosition, columnPings, type Columns } from './columns';
import { BED_RAMP_AT, PALETTE_STEPS, paletteTable, type PaletteName, type PaletteTable } from './palette';
import { filteredLevels, pingFilters, type Filtered } from './pingFilters';
import type { Settings } from './settings';
import { dropSpecks } from './specks';
import { sampleGain } from './strength';
import { unitBed } from './unitBed';
import { windowOf, windowSpan, type Window } from './window';

/** A drawn picture at the unit's own rows and columns. */
export interface Picture {
  rows: number;
  columns: number;
  /** rows × columns, row by row, 0xAABBGGRR. */
  pixels: Uint32Array;
  /** columns × rows, column by column: 0 = not drawn, 1…PALETTE_STEPS weak to strong. */
  steps: Uint16Array;
  /** Strength of the newest ping by row, in the same steps. */
  liveColumn: Uint16Array;
  /** What the steps stand for; on auto gain of the newest ping. */
  scale: ColourScale;
  /** Water a row shows, m, and range at the top of each column, m. */
  rowM: number;
  topM: Float32Array;
  /** Range of the bed the unit found, by column, m; NaN where it is lost. */
  bedM: Float32Array;
  /** Time at the right edge of each column and of the picture, s into the recording. */
  timeS: Float64Array;
  nowS: number;
  /** Columns that hold pings; they are the rightmost. */
  columnsFilled: number;
}

interface Bed {
  channel: Channel;
  lookNoDeeperM: number | null;
  bedM: Float32Array;
}

/** What a draughtsman keeps between pictures, so that drawing again costs little. Keyed by stretch and channel. */
export interface Desk {
  filtered: Map<string, Filtered>;
  cells: Map<string, CellStrengths>;
  beds: Map<string, Bed>;
  palettes: Map<PaletteName, PaletteTable>;
  drawn: Uint8Array;
}

export const newDesk = (): Desk => ({
  filtered: new Map(),
  cells: new Map(),
  beds: new Map(),
  palettes: new Map(),
  drawn: new Uint8Array(0),
});

function bedFor(desk: Desk, key: string, channel: Channel, lookNoDeeperM: number | null): Float32Array {
  const held = desk.beds.get(key);
  if (held?.channel === channel && held.lookNoDeeperM === lookNoDeeperM) return held.bedM;
  const bedM = unitBed(channel, lookNoDeeperM);
  desk.beds.set(key, { channel, lookNoDeeperM, bedM });
  return bedM;
}

function tableOf({ palettes }: Desk, name: PaletteName): PaletteTable {
  const held = palettes.get(name) ?? paletteTable(name);
  palettes.set(name, held);
  return held;
}

/** What turns a strength into a step of the palette. */
interface Ink {
  bottomDb: number;
  perDb: number;
  /** Under this nothing is drawn: the first colour. */
  leastDb: number;
}

/** Steps of some strengths, 0 where nothing is drawn. @param from and @param end cells, the last one not @param moreDb added to all */
function stepsInto(
  db: Float32Array,
  { bottomDb, perDb, leastDb }: Ink,
  moreDb: number,
  out: Uint16Array,
  from: number,
  end: number,
): void {
  const most = PALETTE_STEPS;
  const least = leastDb - moreDb;
  const bottom = bottomDb - moreDb;
  for (let i = from; i < end; i++) {
    const x = db[i]!;
    if (x < least) continue;
    const step = ((x - bottom) * perDb + 1) | 0;
    out[i] = step < 1 ? 1 : step > most ? most : step;
  }
}

/** All that drawing one channel's steps needs. */
interface Sheet {
  /** Where the desk keeps what belongs to it. */
  key: string;
  navigation: Navigation;
  channel: Channel;
  settings: Settings;
  rows: number;
  columns: Columns;
  window: Window;
  bedM: Float32Array;
  desk: Desk;
}

/** Pings whose levels a picture needs, the last one not: those of its columns; all where the unit sets gain or contrast by itself. */
function pingsNeeded(
  { gainMode, contrastMode }: Settings,
  { from, to }: Columns,
  pingCount: number,
): [number, number] {
  if (gainMode === 'auto' || contrastMode === 'auto') return [0, pingCount];
  let first = pingCount;
  let last = -1;
  for (let c = 0; c < to.length; c++) {
    if (to[c]! < 0) continue;
    first = Math.min(first, from[c]!);
    last = Math.max(last, to[c]!);
  }
  // A blend looks one ping further.
  return [Math.min(first, last + 1), Math.min(pingCount, last + 2)];
}

/** A channel's steps, column by column, and its newest ping's. */
function stepsOf({ key, navigation, channel, settings, rows, columns, window, bedM, desk }: Sheet): {
  steps: Uint16Array;
  live: Uint16Array;
  scale: ColourScale;
} {
  const filtered = pingFilters(channel, settings, desk.filtered.get(key) ?? null);
  desk.filtered.set(key, filtered);
  const level = filteredLevels(filtered, ...pingsNeeded(settings, columns, channel.pingCount));
  const gain = sampleGain(channel, settings);
  const scale = colourScale(channel, settings, level, gain);
  const auto = settings.gainMode === 'auto' ? autoGain(channel, level, gain, bedM, navigation.timeS) : null;
  const cells = cellStrengths(
    {
      channel,
      filterKey: filtered.key,
      level,
      gain,
      rows,
      columns,
      window,
      sharpening: settings.sharpening,
      blend: settings.between === 'blend',
    },
    desk.cells.get(key) ?? null,
  );
  desk.cells.set(key, cells);
  const ink: Ink = { bottomDb: scale.bottomDb, leastDb: scale.leastDb, perDb: scale.stepsPerDb };
  const { to } = columns;
  const count = to.length;
  const newest = to[count - 1]!;
  const steps = new Uint16Array(count * rows);
  const live = new Uint16Array(rows);
  const moreOf = (ping: number): number => (auto && ping >= 0 ? auto[ping]! + settings.gainDb : 0);
  if (auto)
    for (let c = 0; c < count; c++) stepsInto(cells.db, ink, moreOf(to[c]!), steps, c * rows, (c + 1) * rows);
  else stepsInto(cells.db, ink, 0, steps, 0, steps.length);
  stepsInto(cells.liveDb, ink, moreOf(newest), live, 0, rows);
  if (settings.noiseRejection > 0) {
    if (desk.drawn.length !== steps.length) desk.drawn = new Uint8Array(steps.length);
    dropSpecks(steps, rows, count, settings.noiseRejection, desk.drawn);
  }
  const now = moreOf(newest);
  return {
    steps,
    live,
    scale: { ...scale, bottomDb: scale.bottomDb - now, leastDb: scale.leastDb - now },
  };
}

/** Columns turned at a time into rows, so that both stay in the nearest memory. */
const TILE = 16;

/** Colours the steps: column by column in, row by row out. */
function colour(
  steps: Uint16Array,
  rows: number,
  columns: number,
  rgba: Uint32Array,
  bedRow: Int32Array | null,
): Uint32Array {
  const pixels = new Uint32Array(rows * columns);
  for (let c0 = 0; c0 < columns; c0 += TILE) {
    const c1 = Math.min(columns, c0 + TILE);
    for (let r = 0; r < rows; r++) {
      const row = r * columns;
      for (let c = c0; c < c1; c++) pixels[row + c] = rgba[steps[c * rows + r]!]!;
    }
  }
  if (bedRow) {
    const ramp = BED_RAMP_AT;
    for (let c = 0; c < columns; c++)
      for (let r = bedRow[c]!; r < rows; r++) pixels[r * columns + c] = rgba[ramp + steps[c * rows + r]!]!;
  }
  return pixels;
}

/** One stretch's part of a picture: its own columns filled, the others left empty. */
interface Part {
  steps: Uint16Array;
  live: Uint16Array;
  scale: ColourScale;
  window: Window;
  bedByPing: Float32Array;
  columns: Columns;
}

/** The columns that show a stretch's pings, counted from its first; of a column over a change of stretch the later part. */
function columnsWithin({ from, to, ...rest }: Columns, first: number, count: number): Columns {
  const ownFrom = new Int32Array(from.length).fill(-1);
  const ownTo = new Int32Array(to.length).fill(-1);
  for (let c = 0; c < to.length; c++) {
    const last = to[c]! - first;
    if (to[c]! < 0 || last < 0 || last >= count) continue;
    ownTo[c] = last;
    ownFrom[c] = Math.max(0, from[c]! - first);
  }
  return { from: ownFrom, to: ownTo, ...rest };
}

function drawStretch(
  stretch: Stretch,
  index: number,
  settings: Settings,
  rows: number,
  columns: Columns,
  desk: Desk,
): Part {
  const channel = withoutGain(channelOf(stretch, settings.faceId));
  const key = `${index}:${channel.id}`;
  const bedByPing = bedFor(desk, key, channel, settings.lookNoDeeperM);
  const window = windowOf(settings, bedByPing);
  const sheet = {
    key,
    navigation: stretch.navigation,
    channel,
    settings,
    rows,
    columns,
    window,
    bedM: bedByPing,
    desk,
  };
  const { steps, live, scale } = stepsOf(sheet);
  if (settings.blend) {
    const other = withoutGain(channelOf(stretch, settings.blend.faceId));
    const second = stepsOf({ ...sheet, key: `${index}:${other.id}`, channel: other });
    const share = settings.blend.share;
    for (let i = 0; i < steps.length; i++)
      steps[i] = (steps[i]! * (1 - share) + second.steps[i]! * share + 0.5) | 0;
    for (let r = 0; r < rows; r++) live[r] = (live[r]! * (1 - share) + second.live[r]! * share + 0.5) | 0;
  }
  return { steps, live, scale, window, bedByPing, columns };
}

/** Parts of a picture laid into one; those with no column in it are left out. */
function drawParts(
  { stretches }: Recording,
  settings: Settings,
  rows: number,
  columns: Columns,
  desk: Desk,
): Part[] {
  if (stretches.length === 1) return [drawStretch(stretches[0]!, 0, settings, rows, columns, desk)];
  const parts: Part[] = [];
  let first = 0;
  stretches.forEach((stretch, index) => {
    const own = columnsWithin(columns, first, stretch.navigation.timeS.length);
    first += stretch.navigation.timeS.length;
    const shown = own.to.some((ping) => ping >= 0);
    // A beam that was not recorded in a stretch leaves its columns empty.
    if (shown && stretch.channels.some((c) => c.id === settings.faceId))
      parts.push(drawStretch(stretch, index, settings, rows, own, desk));
  });
  return parts;
}

/**
 * Draws the pings of one beam as a unit does: filters from ping to ping (other sounders, noise rejection, averaging),
 * TVG with tail-off and top water, gain by hand or auto, columns and rows that keep the strongest of what falls in a cell,
 * first colour, colour spread and contrast, specks, blend with a second channel, palette. Stretches stand side by side, each
 * drawn by what it was made with.
 * @param nowS time at the right edge, s into the recording
 * @param coloured whether its pixels are wanted; none where only its steps are
 * @throws RangeError for a screen beyond 1…4096 pixels a side or a channel no stretch has
 */
export function drawPicture(
  recording: Recording,
  settings: Settings,
  screen: { rows: number; columns: number },
  nowS: number,
  desk: Desk = newDesk(),
  coloured = true,
): Picture {
  const { rows, columns: count } = screen;
  if (!(rows >= 1 && rows <= 4096 && count >= 1 && count <= 4096))
    throw new RangeError(`picture: rows and columns must be 1 to 4096, got ${rows} × ${count}`);
  const { stretches } = recording;
  if (!stretches.some(({ channels }) => channels.some((c) => c.id === settings.faceId)))
    throw new RangeError(`recording: no channel named ${settings.faceId}`);
  const spanM = windowSpan(settings);
  const rowM = spanM / rows;
  const navigation = navigationOf(recording);
  const columns = columnPings(
    navigation.timeS,
    chartPosition(navigation, settings.chartSpeed, settings.chartSync ? rowM : null),
    nowS,
    count,
  );
  const parts = drawParts(recording, settings, rows, columns, desk);

  const topM = new Float32Array(count).fill(settings.topM);
  const bedM = new Float32Array(count).fill(NaN);
  const bedRow = new Int32Array(count).fill(rows);
  const [newest] = parts.slice(-1);
  const steps = parts.length === 1 ? parts[0]!.steps : new Uint16Array(count * rows);
  let columnsFilled = 0;
  for (const part of parts) {
    const { window, columns: own } = part;
    const steady = window.topM.length === 1;
    for (let c = 0; c < count; c++) {
      const ping = own.to[c]!;
      if (ping < 0) {
        if (parts.length === 1) topM[c] = window.topM[0]!;
        continue;
      }
      columnsFilled++;
      topM[c] = steady ? window.topM[0]! : window.topM[ping]!;
      bedM[c] = part.bedByPing[ping]!;
      if (bedM[c]! > 0) bedRow[c] = Math.max(0, Math.min(rows, Math.ceil((bedM[c]! - topM[c]!) / rowM)));
      if (parts.length > 1) steps.set(part.steps.subarray(c * rows, (c + 1) * rows), c * rows);
    }
  }
  const pixels = coloured
    ? colour(steps, rows, count, tableOf(desk, settings.palette).rgba, settings.bedRamp ? bedRow : null)
    : new Uint32Array(0);
  return {
    rows,
    columns: count,
    pixels,
    steps,
    liveColumn: newest?.live ?? new Uint16Array(rows),
    scale: newest?.scale ?? emptyScale(recording, settings),
    rowM,
    topM,
    bedM,
    timeS: columns.timeS,
    nowS,
    columnsFilled,
  };
}

/** What the steps would stand for where nothing is drawn yet. */
function emptyScale({ stretches }: Recording, settings: Settings): ColourScale {
  const stretch = stretches.find(({ channels }) => channels.some((c) => c.id === settings.faceId))!;
  const channel = withoutGain(channelOf(stretch, settings.faceId));
  return colourScale(channel, settings, channel.levelDb, sampleGain(channel, settings));
}
