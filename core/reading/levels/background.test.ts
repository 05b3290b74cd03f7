import { strongestMean, toDb } from '@/core/maths';
import { excessOf } from './background';
import { cellsOf } from './cells';
import { syntheticRecording } from '@/core/testing/syntheticRecording';
import { readChannel } from '../readChannel';
import type { FishFinding } from '../finding';
import { localBackgroundDb, localCells } from './localBackground';
import { cellsToOne, workingChannel } from './workingChannel';

/** A fish passed at 6 m, and how finely it is sampled; the noise of each sample is its own. */
const water = (stepM: number, pulseM: number) =>
  syntheticRecording({
    stepM,
    pulseM,
    samples: Math.round(12 / stepM),
    paint: (put) => {
      for (let p = 120; p < 140; p++) put(p, Math.hypot(6, 0.15 * (p - 130)), 30);
    },
  });

/** Background and surroundings 2 m over that fish, dB. */
function around(stepM: number, pulseM: number): { k: number; backDb: number; localBackgroundDb: number } {
  const { recording, channel: measured } = water(stepM, pulseM);
  const channel = workingChannel(measured);
  const bed = { rangeM: new Float32Array(channel.pingCount).fill(10), contrastDb: new Float32Array(300) };
  const excess = excessOf(channel, bed, recording.pingRate, cellsToOne(measured));
  const cells = cellsOf(channel, bed, excess);
  const half = localCells(channel.sampleStepM);
  let [back, sum, count] = [0, 0, 0];
  for (let p = 20; p < 280; p += 10)
    for (let c = 25; c < 40; c++) {
      back += excess.backDb[(p >> 4) * channel.sampleCount + 3 * c]!;
      sum += localBackgroundDb(cells, half, p, c);
      count++;
    }
  return { k: cellsToOne(measured), backDb: back / count, localBackgroundDb: sum / count };
}

describe('background', () => {
  it.each([
    ['as coarse as it is read', 0.04, 0.08, 1],
    ['finer, of a long pulse: any sample will do', 0.01, 0.08, 1],
    ['finer, of a short pulse: the strongest of four', 0.01, 0.02, 4],
    ['much finer, of a sweep: the strongest of eight', 0.005, 0.01, 8],
  ])('is the mean of the noise that is kept, sampled %s', (_, stepM, pulseM, k) => {
    const found = around(stepM, pulseM);
    expect(found.k).toBe(k);
    // Noise lies about 60 dB; a quantile of some fifty pings is sure to a quarter of a decibel, smoothed along the range.
    expect(Math.abs(found.backDb - 60 - toDb(strongestMean(k)))).toBeLessThan(0.5);
    expect(found.localBackgroundDb).toBeLessThan(0.6);
  });

  it('lets a long pulse stand out as far however finely it is sampled, and a short one by the strongest noise less', () => {
    const over = (stepM: number, pulseM: number): number => {
      const { recording, channel } = water(stepM, pulseM);
      const fish = readChannel(recording, channel).findings.filter(
        (f): f is FishFinding => f.kind === 'fish',
      );
      expect(fish).toHaveLength(1);
      return fish[0]!.overBackgroundDb;
    };
    const coarse = over(0.04, 0.08);
    expect(Math.abs(over(0.01, 0.08) - coarse)).toBeLessThan(0.8);
    expect(Math.abs(over(0.01, 0.02) + toDb(strongestMean(4)) - coarse)).toBeLessThan(0.8);
  });
});
