import type { Channel } from '@/core/recording';
import type { Columns } from './columns';
import type { Window } from './window';

/** What the strengths of a picture's cells hang on; gain, colours and contrast come later. */
export interface CellsOf {
  channel: Channel;
  /** Names how `level` was filtered. */
  filterKey: string;
  /** Pings × samples, dB. */
  level: Float32Array;
  /** What is added to each sample, dB. */
  gain: Float32Array;
  rows: number;
  columns: Columns;
  window: Window;
  /** Steps of sharpening. */
  sharpening: number;
  /** Whether columns between two pings blend them. */
  blend: boolean;
}

/** The strongest echo of each cell, dB, −Infinity where there is none: columns × rows, column by column; and of the newest ping by row. */
export interface CellStrengths extends Omit<CellsOf, 'level'> {
  db: Float32Array;
  liveDb: Float32Array;
  /** Room for the next picture's. */
  spare: Float32Array;
}

/** Sharpening: how much of a sample's rise over its neighbours is added, a step. */
const SHARPEN = 0.35;

/** Which samples each row of a window shows; none where first is beyond last. */
interface RowSamples {
  /** Samples from the surface to the window's top. */
  shift: number;
  first: Int32Array;
  last: Int32Array;
}

/** Fills the samples of each row for a window that begins `shift` samples down. A row finer than a sample shows the one it lies in. */
function fillRows(
  rowSamples: RowSamples,
  rowM: number,
  { sampleStepM, sampleCount }: Channel,
  shift: number,
): void {
  rowSamples.shift = shift;
  const { first, last } = rowSamples;
  for (let r = 0; r < first.length; r++) {
    const from = Math.ceil((r * rowM) / sampleStepM);
    const to = Math.max(0, Math.ceil(((r + 1) * rowM) / sampleStepM) - 1);
    first[r] = Math.max(0, Math.min(from, to) + shift);
    last[r] = Math.min(sampleCount - 1, to + shift);
  }
}

/** One column's cells: the strongest sample of each row's water. @param level dB by sample from `base` on */
function columnInto(
  level: Float32Array,
  base: number,
  gain: Float32Array,
  { first, last }: RowSamples,
  out: Float32Array,
  at: number,
): void {
  const rows = first.length;
  for (let r = 0; r < rows; r++) {
    let j = first[r]!;
    const to = last[r]!;
    if (j > to) {
      out[at + r] = -Infinity;
      continue;
    }
    let strongest = level[base + j]! + gain[j]!;
    while (j < to) {
      j++;
      const x = level[base + j]! + gain[j]!;
      if (x > strongest) strongest = x;
    }
    out[at + r] = strongest;
  }
}

const same = (a: ArrayLike<number>, b: ArrayLike<number>): boolean => {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
};

/** Whether a column of the one shows what a column of the other does, where both draw the same water alike. */
const alike = (as: CellStrengths, of: CellsOf): boolean =>
  as.channel === of.channel &&
  as.filterKey === of.filterKey &&
  as.rows === of.rows &&
  as.sharpening === of.sharpening &&
  as.blend === of.blend &&
  as.window.spanM === of.window.spanM &&
  same(as.window.topM, of.window.topM) &&
  same(as.gain, of.gain);

/** How far a column lies between its ping and the next, where it blends them; 0 where it does not. */
const shareOf = (
  { blend, channel }: Pick<CellsOf, 'blend' | 'channel'>,
  { from, to, part }: Columns,
  c: number,
) => (blend && from[c] === to[c] && to[c]! + 1 < channel.pingCount ? part[c]! : 0);

/**
 * The strengths of a picture's cells. Columns that `last` has already are taken from it, so that a turn of gain or colours makes
 * none anew and a moving picture only those that are new.
 * @param of its level and gain dB, its window m
 * @param last of the picture before, whose room is used again; it may be read no more, unless it is what comes back
 * @returns dB, columns × rows
 */
export function cellStrengths(of: CellsOf, last: CellStrengths | null): CellStrengths {
  const { channel, level, gain, rows, columns, window, sharpening } = of;
  const { from, to } = columns;
  const count = from.length;
  const size = count * rows;
  const held = last && alike(last, of) ? last : null;
  if (
    held &&
    same(held.columns.from, from) &&
    same(held.columns.to, to) &&
    (!of.blend || same(held.columns.part, columns.part))
  )
    return held;

  const { level: _, ...kept } = of;
  const out: CellStrengths = {
    ...kept,
    db: last?.spare.length === size ? last.spare : new Float32Array(size),
    liveDb: new Float32Array(rows),
    spare: last?.db.length === size ? last.db : new Float32Array(size),
  };
  const { db } = out;
  const n = channel.sampleCount;
  const rowM = window.spanM / rows;
  const rowSamples: RowSamples = { shift: NaN, first: new Int32Array(rows), last: new Int32Array(rows) };
  const levels = new Float32Array(n);
  const sharp = sharpening > 0 ? new Float32Array(n) : null;
  const beside = Math.max(1, Math.round(channel.resolutionM / channel.sampleStepM));
  const steady = window.topM.length === 1;
  const topOf = (ping: number): number => (steady ? window.topM[0]! : window.topM[ping]!);

  /** Fills `levels` with the strongest of some pings, or a blend of one and the next. */
  const gather = (first: number, end: number, share: number): Float32Array => {
    const row = first * n;
    if (share > 0) {
      const next = row + n;
      for (let j = 0; j < n; j++) levels[j] = level[row + j]! + (level[next + j]! - level[row + j]!) * share;
    } else {
      levels.set(level.subarray(row, row + n));
      for (let p = first + 1; p <= end; p++) {
        const more = p * n;
        for (let j = 0; j < n; j++) {
          const x = level[more + j]!;
          if (x > levels[j]!) levels[j] = x;
        }
      }
    }
    if (!sharp) return levels;
    const amount = SHARPEN * sharpening;
    for (let j = 0; j < n; j++) {
      const a = levels[j < beside ? 0 : j - beside]!;
      const b = levels[j + beside < n ? j + beside : n - 1]!;
      sharp[j] = levels[j]! + amount * (levels[j]! - (a + b) / 2);
    }
    return sharp;
  };
  const put = (first: number, end: number, share: number, into: Float32Array, at: number): void => {
    const shift = Math.round((topOf(end) - channel.firstRangeM) / channel.sampleStepM);
    if (shift !== rowSamples.shift) fillRows(rowSamples, rowM, channel, shift);
    // One ping as it is needs no gathering.
    const plain = first === end && share === 0 && !sharp;
    columnInto(plain ? level : gather(first, end, share), plain ? first * n : 0, gain, rowSamples, into, at);
  };

  // Both lists rise, so that one walk along the held columns finds what is alike.
  let h = 0;
  for (let c = 0; c < count; c++) {
    const at = c * rows;
    if (to[c]! < 0) {
      db.fill(-Infinity, at, at + rows);
      continue;
    }
    const share = shareOf(of, columns, c);
    if (
      c > 0 &&
      share === 0 &&
      to[c] === to[c - 1] &&
      from[c - 1] === from[c] &&
      shareOf(of, columns, c - 1) === 0
    ) {
      db.copyWithin(at, at - rows, at);
      continue;
    }
    if (held) {
      const { from: heldFrom, to: heldTo } = held.columns;
      while (h < count && heldTo[h]! < to[c]!) h++;
      // Columns of one ping lie side by side, and may differ in how they blend it.
      let k = h;
      while (
        k < count &&
        heldTo[k] === to[c] &&
        !(heldFrom[k] === from[c] && shareOf(held, held.columns, k) === share)
      )
        k++;
      if (k < count && heldTo[k] === to[c]) {
        db.set(held.db.subarray(k * rows, (k + 1) * rows), at);
        continue;
      }
    }
    put(from[c]!, to[c]!, share, db, at);
  }
  const newest = to[count - 1]!;
  if (newest >= 0) put(newest, newest, 0, out.liveDb, 0);
  else out.liveDb.fill(-Infinity);
  return out;
}
