import type { NamedEcho } from '../artefacts/notFish';
import type { FishFinding } from '../finding';
import { isOnLine, rowNamed, rowsAtDepth } from './rowAtDepth';

const PINGS = 2000;
let made = 0;
const mark = (ping: number, rangeM: number, overBackgroundDb = 12): FishFinding =>
  ({
    kind: 'fish',
    id: ++made,
    fromPing: ping - 4,
    toPing: ping + 4,
    rangeM,
    gapToBedM: 8,
    overBackgroundDb,
  }) as FishFinding;

/** Pieces of a lure at 12 m all through the pass. */
const pieces = Array.from({ length: 9 }, (_, k) => mark(100 + 210 * k, 12 + 0.05 * (k % 4)));
const fish = [3.1, 5.4, 7.2, 9.9, 14.6].map((rangeM, k) => mark(150 + 380 * k, rangeM, 30));

describe('marks in a row at one depth', () => {
  it('are one thing towed or let down, and the fish above and below are not of it', () => {
    const [row, ...more] = rowsAtDepth([...pieces, ...fish], PINGS);
    expect(more).toEqual([]);
    expect(new Set(row)).toEqual(new Set(pieces));
    expect(rowNamed(row!)).toMatchObject({ kind: 'own-gear', rangeM: [12, 12 + 0.05 * 3] });
  });
  it('leave a fish that came by at the same depth, by how loud it is', () => {
    const bold = mark(900, 12.1, 34);
    expect(rowsAtDepth([...pieces, bold, ...fish], PINGS)[0]!).not.toContain(bold);
  });
  it('are no row when they keep to one part of the pass, or are few, or lie where all marks lie', () => {
    expect(rowsAtDepth([...pieces.map((_, k) => mark(700 + 20 * k, 12.1)), ...fish], PINGS)).toEqual([]);
    expect(rowsAtDepth([...pieces.slice(0, 5), ...fish], PINGS)).toEqual([]);
    const everywhere = Array.from({ length: 90 }, (_, k) => mark(20 + 21 * k, 4 + ((7.3 * k) % 9)));
    expect(rowsAtDepth(everywhere, PINGS)).toEqual([]);
    expect(rowsAtDepth(pieces, PINGS)).toEqual([]);
  });
  it('are fish where they keep to the bed', () => {
    const byBed = pieces.map((f) => ({ ...f, gapToBedM: 0.5 }));
    expect(rowsAtDepth([...byBed, ...fish], PINGS)).toEqual([]);
  });
});

describe('a mark on a line of own gear', () => {
  const line = (fromPing: number, toPing: number, near: number, far: number): NamedEcho => ({
    kind: 'own-gear',
    fromPing,
    toPing,
    rangeM: [near, far],
    steadyDb: 0,
    slantM: 0,
  });
  it('is the line’s where it goes through much of the pass, and a fish’s where it does not or lies off it', () => {
    const lines = [line(0, 400, 6.9, 7.3), line(900, 1200, 7, 7.3)];
    expect(isOnLine(mark(600, 7.2), lines, PINGS)).toBe(true);
    expect(isOnLine(mark(600, 8.2), lines, PINGS)).toBe(false);
    expect(isOnLine(mark(600, 7.2), lines.slice(1), PINGS)).toBe(false);
  });
  it('is a fish’s where the line was let out through its depth', () => {
    expect(isOnLine(mark(600, 4), [line(0, 1900, 1, 7.3)], PINGS)).toBe(false);
  });
});
