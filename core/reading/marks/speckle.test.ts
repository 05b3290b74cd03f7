import { seededRandom } from '@/core/maths';
import type { EchoTrack } from './followEchoes';
import { outOfSpecks } from './speckle';

const channel = { sampleStepM: 0.05, resolutionM: 0.1, pingCount: 600 };
const SAMPLES = 400;

/** A track through so many pings in which each is filled by so much chance, along one range. */
function track(
  seed: number,
  from: number,
  pings: number,
  filled: number,
  sample: number,
  overDb: number,
): EchoTrack {
  const random = seededRandom(seed).fork('filled');
  const its = Array.from({ length: pings }, (_, i) => from + i).filter(
    (_, i) => i === 0 || i === pings - 1 || random.uniform() < filled,
  );
  return {
    pings: its,
    rangeM: its.map(() => sample * channel.sampleStepM),
    thickM: its.map(() => channel.resolutionM),
    overDb: its.map(() => overDb),
    peakSample: its.map(() => sample),
  };
}

/** Specks in so large a share of all samples, each alone. */
function specks(share: number, overDb: number): EchoTrack[] {
  const random = seededRandom(7).fork('specks');
  return Array.from({ length: Math.round(share * channel.pingCount * SAMPLES) }, () =>
    track(
      1,
      Math.floor(random.uniform() * channel.pingCount),
      1,
      1,
      Math.floor(random.uniform() * SAMPLES),
      overDb,
    ),
  );
}

const standsOut = (its: EchoTrack, about: EchoTrack[]): boolean =>
  outOfSpecks(channel, [its, ...about]).includes(its);

describe('tracks among specks of noise', () => {
  test('stand out when they are filled far more than the water about them, and do not when they are filled no more', () => {
    const about = specks(0.04, 16);
    for (let seed = 0; seed < 12; seed++) {
      expect(standsOut(track(seed, 200, 30, 0.95, 150, 16), about)).toBe(true);
      expect(standsOut(track(seed, 200, 30, 0.2, 150, 16), about)).toBe(false);
    }
  });

  test('in clear water the shortest stands out', () => {
    expect(standsOut(track(1, 200, 3, 1, 150, 16), [])).toBe(true);
    expect(standsOut(track(1, 200, 3, 1, 150, 16), specks(0.0001, 16))).toBe(true);
  });

  test('specks far weaker than a track explain none of it', () => {
    expect(standsOut(track(1, 200, 3, 1, 150, 16), specks(0.04, 16))).toBe(false);
    expect(standsOut(track(1, 200, 3, 1, 150, 28), specks(0.04, 16))).toBe(true);
  });

  test('a column drawn three times over says no more than one', () => {
    const thrice = specks(0.0033, 16).map(({ pings, ...its }) => ({
      pings: [pings[0]!, pings[0]! + 1, pings[0]! + 2],
      rangeM: [0, 1, 2].map(() => its.rangeM[0]!),
      thickM: [0, 1, 2].map(() => its.thickM[0]!),
      overDb: [16, 16, 16],
      peakSample: [0, 1, 2].map(() => its.peakSample[0]!),
    }));
    const short = track(1, 200, 6, 1, 150, 16);
    expect(standsOut(short, specks(0.01, 16))).toBe(true);
    expect(standsOut(short, thrice)).toBe(false);
  });
});
