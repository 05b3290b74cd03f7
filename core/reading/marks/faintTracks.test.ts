import { passed, syntheticRecording, type HandMade } from '@/core/testing/syntheticRecording';
import { readChannel } from '../readChannel';
import type { FishFinding } from '../finding';
import { echoOdds, logBesselI0, oddsAt } from './echoOdds';

const fishOf = (made: HandMade): FishFinding[] => {
  const { recording, channel } = syntheticRecording(made);
  return readChannel(recording, channel).findings.filter((f): f is FishFinding => f.kind === 'fish');
};

describe('odds of an echo', () => {
  it('use the Bessel function of the tables', () => {
    // Abramowitz and Stegun 1964, tables 9.8 and 9.11.
    expect(Math.exp(logBesselI0(0))).toBeCloseTo(1, 6);
    expect(Math.exp(logBesselI0(1))).toBeCloseTo(1.266065878, 6);
    expect(Math.exp(logBesselI0(5)) / 27.23987182).toBeCloseTo(1, 6);
  });
  it('rise with the level, speak against an echo in weak noise, and weigh one sample no more than so much', () => {
    for (const samples of [1, 3]) {
      const odds = echoOdds(1, samples);
      expect(oddsAt(odds, -6)).toBeLessThan(0);
      expect(oddsAt(odds, 9)).toBeGreaterThan(1);
      expect(oddsAt(odds, 90)).toBeLessThanOrEqual(4);
      for (let db = -6; db < 20; db++) expect(oddsAt(odds, db + 1)).toBeGreaterThanOrEqual(oddsAt(odds, db));
    }
    // Of more samples the strongest is high by chance.
    expect(oddsAt(echoOdds(1, 3), 6)).toBeLessThan(oddsAt(echoOdds(1, 1), 6));
  });
});

describe('faint marks', () => {
  it('are found where no ping alone would tell them', () => {
    const found = [1, 2, 3, 4, 5, 6].filter((seed) =>
      fishOf({ seed, paint: (put) => passed(put, 150, 6, { overDb: 8 }) }).some(
        (f) => Math.abs(f.rangeM - 6) < 0.3 && f.fromPing < 155 && f.toPing > 145,
      ),
    );
    expect(found.length).toBeGreaterThanOrEqual(5);
  });
  it('are none in noise alone, in pings full of bursts, nor along a straight slant of single loud ones', () => {
    for (const seed of [1, 2, 3, 4, 5, 6, 7, 8]) expect(fishOf({ seed })).toEqual([]);
    const bursts: HandMade['paint'] = (put) => {
      for (let p = 5; p < 300; p += 23) for (let r = 2; r < 8; r += 0.08) put(p, r, 18);
    };
    expect(fishOf({ paint: bursts })).toEqual([]);
  });
  it('are less sure than plain ones', () => {
    const [faint, plain] = [8, 24].map(
      (overDb) => fishOf({ paint: (put) => passed(put, 150, 6, { overDb }) })[0]!,
    );
    expect(faint!.confidence).toBeLessThan(plain!.confidence);
    expect(faint!.overBackgroundDb).toBeLessThan(14);
  });
});
