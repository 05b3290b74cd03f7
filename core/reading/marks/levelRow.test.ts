import type { FishFinding } from '../finding';
import { findLevelRows } from './levelRow';

const PINGS = 2000;
let made = 0;
const mark = (ping: number, rangeM: number, overBackgroundDb = 12): FishFinding =>
  ({
    kind: 'fish',
    id: ++made,
    fromPing: ping - 4,
    toPing: ping + 4,
    rangeM,
    overBackgroundDb,
  }) as FishFinding;

/** Pieces of a lure at 12 m all through the pass. */
const pieces = Array.from({ length: 9 }, (_, k) => mark(100 + 210 * k, 12 + 0.05 * (k % 4)));
const fish = [3.1, 5.4, 7.2, 9.9, 14.6].map((rangeM, k) => mark(150 + 380 * k, rangeM, 30));

describe('marks in a row at one depth', () => {
  it('are one thing towed or let down, and the fish above and below are not of it', () => {
    const [row, ...more] = findLevelRows([...pieces, ...fish], PINGS);
    expect(more).toEqual([]);
    expect(new Set(row!.marks)).toEqual(new Set(pieces));
    expect(row!.rangeM).toEqual([12, 12 + 0.05 * 3]);
  });
  it('leave a fish that came by at the same depth, by how loud it is', () => {
    const bold = mark(900, 12.1, 34);
    expect(findLevelRows([...pieces, bold], PINGS)[0]!.marks).not.toContain(bold);
  });
  it('are no row when they keep to one part of the pass, or are few, or lie where all marks lie', () => {
    expect(findLevelRows([...pieces.map((_, k) => mark(700 + 20 * k, 12.1)), ...fish], PINGS)).toEqual([]);
    expect(findLevelRows([...pieces.slice(0, 5), ...fish], PINGS)).toEqual([]);
    const everywhere = Array.from({ length: 90 }, (_, k) => mark(20 + 21 * k, 4 + ((7.3 * k) % 9)));
    expect(findLevelRows(everywhere, PINGS)).toEqual([]);
  });
});
