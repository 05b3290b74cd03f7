import { seededRandom } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { overAt, type Excess } from './background';
import { CELL, cellsOf, STANDS_OUT_DB } from './cells';
import { scratchBytes, scratchFloats } from './scratch';
import { localBackgroundDb, localCells } from './localBackground';

const PINGS = 40;
const SAMPLES = 100;
const channel = {
  id: 'c',
  pingCount: PINGS,
  sampleCount: SAMPLES,
  firstRangeM: 0,
  sampleStepM: 0.04,
  resolutionM: 0.08,
} as unknown as Channel;

/** Excess of noise alone, and a bed that lies at different samples. */
function made(): { over: Float32Array; bed: { rangeM: Float32Array; contrastDb: Float32Array } } {
  const random = seededRandom(5);
  const over = Float32Array.from(
    { length: PINGS * SAMPLES },
    () => 10 * Math.log10(-Math.log(1 - random.uniform())),
  );
  const rangeM = Float32Array.from({ length: PINGS }, (_, p) => (p === 7 ? NaN : 2.5 + 0.02 * p));
  return { over, bed: { rangeM, contrastDb: new Float32Array(PINGS) } };
}

/** The excess of levels over a background of nothing, down to the last sample. */
const excessOver = (levelDb: Float32Array): Excess => ({
  sampleCount: SAMPLES,
  levelDb,
  backDb: new Float32Array(Math.ceil(PINGS / 16) * SAMPLES),
  barDb: new Float32Array(PINGS),
  end: new Int32Array(PINGS).fill(SAMPLES),
  lid: new Int32Array(PINGS).fill(SAMPLES),
  cellsToOne: 1,
});

describe('excess', () => {
  const excess = excessOver(new Float32Array(PINGS * SAMPLES).fill(20));
  excess.backDb.fill(4, SAMPLES);
  excess.barDb[20] = 3;
  excess.lid[21] = 50;
  excess.end[21] = 80;
  it('is the level less the background of its pings and what is taken off a whole ping', () => {
    expect(overAt(excess, 3, 7)).toBe(20);
    expect(overAt(excess, 19, 7)).toBe(16);
    expect(overAt(excess, 20, 7)).toBe(13);
  });
  it('is nothing under the lid of what stands on the bed, but what is less than nothing stays, and none past the end', () => {
    expect(overAt(excess, 21, 49)).toBe(16);
    expect(overAt(excess, 21, 50)).toBe(0);
    excess.levelDb[21 * SAMPLES + 60] = -5;
    expect(overAt(excess, 21, 60)).toBe(-9);
    excess.levelDb[21 * SAMPLES + 90] = -5;
    expect(overAt(excess, 21, 90)).toBe(0);
  });
});

describe('cells', () => {
  const { over, bed } = made();
  over[12 * SAMPLES + 31] = 25;
  const cells = cellsOf(channel, bed, excessOver(over));
  const half = localCells(channel.sampleStepM);
  const meanOf = ({ runDb }: typeof cells, at: number, c: number): number =>
    runDb[at]! - (c > 0 ? runDb[at - 1]! : 0);

  it('say of each three samples what those say', () => {
    for (let p = 0; p < PINGS; p++)
      for (let c = 0; c < cells.used[p]!; c++) {
        const mine = over.subarray(
          p * SAMPLES + c * CELL,
          p * SAMPLES + Math.min((c + 1) * CELL, cells.ends[p]!),
        );
        const at = p * cells.cells + c;
        expect(cells.mostDb[at]).toBeCloseTo(Math.max(...mine), 5);
        expect(cells.full[at]).toBe([...mine].filter((x) => x >= STANDS_OUT_DB).length);
        const capped = [...mine].map((x) => Math.min(x, 12));
        expect(meanOf(cells, at, c)).toBeCloseTo(capped.reduce((a, x) => a + x, 0) / mine.length, 4);
      }
  });
  it('end over the bed, or with the window where there is none', () => {
    expect(cells.ends[0]).toBe(Math.floor(2.5 / 0.04 + 1e-6) - 3);
    expect(cells.ends[7]).toBe(SAMPLES);
  });
  it('have surroundings near noise’s own mean, which a lone echo hardly moves', () => {
    const all: number[] = [];
    for (let p = 10; p < 30; p++) for (let c = 5; c < 12; c++) all.push(localBackgroundDb(cells, half, p, c));
    const mean = all.reduce((a, x) => a + x, 0) / all.length;
    // The logarithm's mean lies 2.51 dB under the mean and is put back; what falls under 0 is held there.
    expect(mean).toBeGreaterThanOrEqual(0);
    expect(mean).toBeLessThan(0.6);
    // One capped echo among a window of some 17 samples by 11 pings: at most 12 / 187 dB and its own share.
    expect(localBackgroundDb(cells, half, 12, 10)).toBeLessThan(mean + 0.5);
  });
  it('have surroundings of a few pings and no more, each by its own mean', () => {
    const flat = new Float32Array(PINGS * SAMPLES).fill(-2.51);
    for (let j = 0; j < SAMPLES; j++) flat[3 * SAMPLES + j] = 10;
    const quiet = cellsOf(channel, bed, excessOver(flat));
    // One of nine pings (the window is cut at the first) is loud: 10 / 9 dB over, the rest at nothing.
    expect(localBackgroundDb(quiet, half, 3, 10)).toBeCloseTo((10 + 8 * -2.51) / 9 + 2.51, 2);
    // Twelve pings on, the loud one is out of it.
    expect(localBackgroundDb(quiet, half, 15, 10)).toBeCloseTo(0, 3);
  });
});

describe('working arrays', () => {
  it('are the same memory for the same name, and apart for others', () => {
    const a = scratchFloats('test-a', 10);
    a[3] = 7;
    expect(scratchFloats('test-a', 8)[3]).toBe(7);
    expect(scratchFloats('test-b', 10)[3]).toBe(0);
    expect(scratchBytes('test-c', 5)).toHaveLength(5);
  });
});
