import { syntheticRecording, type HandMade } from '@/core/testing/syntheticRecording';
import { trackBed } from '../bed/trackBed';
import { excessOf } from '../levels/background';
import { takeOffBars } from './artefacts';

/** Pings named as electrical bars where each ping's water is raised by so much, dB. */
function barsOf(raisedDb: (ping: number) => number, made: HandMade = {}): number[] {
  const { recording, channel } = syntheticRecording(made);
  const { pingCount, sampleCount: n, levelDb } = channel;
  const raised = {
    ...channel,
    levelDb: levelDb.map((level, i) => level + raisedDb(Math.floor(i / n))),
  };
  const bed = trackBed(raised);
  const named = takeOffBars(raised, bed, excessOf(raised, bed, recording.pingRate, 1));
  return Array.from({ length: pingCount }, (_, p) => p).filter((p) =>
    named.some(({ fromPing, toPing }) => p >= fromPing && p <= toPing),
  );
}

describe('electrical bars', () => {
  it('are whole pings raised at once, one alone, some together or every third', () => {
    expect(barsOf((p) => (p === 80 || (p > 149 && p < 154) ? 9 : 0))).toEqual([80, 150, 151, 152, 153]);
    const thirds = barsOf((p) => (p > 100 && p < 130 && p % 3 === 0 ? 12 : 0));
    expect(thirds).toEqual([102, 105, 108, 111, 114, 117, 120, 123, 126, 129]);
  });
  it('are not a gust of bubbles that comes and goes in seconds', () => {
    expect(barsOf((p) => Math.max(0, 6 - Math.abs(p - 150) / 5))).toEqual([]);
  });
  it('are not made by the chance of so few samples as shallow water holds', () => {
    expect(barsOf(() => 0, { samples: 100, bedAt: () => 2.6, pings: 1500 })).toEqual([]);
  });
});
