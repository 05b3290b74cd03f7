import { seededRandom } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { EchoTrack } from './followEchoes';
import { withWaterUnder } from './withWaterUnder';

const PINGS = 20;
const SAMPLES = 400;
const STEP_M = 0.05;
const PULSE_M = 0.1;
const PEAK = 200;

/** Pings of noise with a mark at 10 m, and under it echo as loud as told from so many samples on, and to so many. */
function water(underDb: number, fromSample: number, toSample = SAMPLES): Channel {
  const random = seededRandom(3).fork('noise');
  const levelDb = Float32Array.from({ length: PINGS * SAMPLES }, (_, at) => {
    const sample = at % SAMPLES;
    const level =
      sample === PEAK ? 40 : sample >= PEAK + fromSample && sample < PEAK + toSample ? underDb : 0;
    return level + 2 * random.normal();
  });
  return {
    sampleCount: SAMPLES,
    pingCount: PINGS,
    sampleStepM: STEP_M,
    firstRangeM: 0,
    resolutionM: PULSE_M,
    levelDb,
  } as Channel;
}

const mark = {
  pings: Array.from({ length: PINGS }, (_, p) => p),
  peakSample: Array(PINGS).fill(PEAK),
} as unknown as EchoTrack;
const bedAt = (rangeM: number): { rangeM: Float32Array; contrastDb: Float32Array } => ({
  rangeM: new Float32Array(PINGS).fill(rangeM),
  contrastDb: new Float32Array(PINGS).fill(30),
});

const rests = (channel: Channel, bed: ReturnType<typeof bedAt>): boolean =>
  withWaterUnder([{ track: mark }], channel, bed).length === 0;

describe('a mark with no water under it', () => {
  it('is a speck of a slope or of the top of what stands there', () => {
    expect(rests(water(36, 3), bedAt(14))).toBe(true);
    // Branches weaker than the topmost, all the way down.
    expect(rests(water(25, 3), bedAt(14))).toBe(true);
  });
  it('is told from a fish over water, over weaker clutter, and over cover with water between', () => {
    expect(rests(water(0, 3), bedAt(14))).toBe(false);
    expect(rests(water(25, 3, 40), bedAt(14))).toBe(false);
    expect(rests(water(40, 12), bedAt(14))).toBe(false);
  });
  it('is not told where the bed follows at once', () => {
    expect(rests(water(36, 3), bedAt(10.2))).toBe(false);
  });
  it('is not told by another with water under it', () => {
    const [underDb, fromSample, toSample] = [36, 3, 7] as const;
    const channel = water(underDb, fromSample, toSample);
    const second = { ...mark, peakSample: Array<number>(PINGS).fill(PEAK + 5) };
    expect(rests(channel, bedAt(14))).toBe(true);
    const both = [{ track: mark }, { track: second }];
    expect(withWaterUnder(both, channel, bedAt(14))).toEqual(both);
    // Nor is one that has none itself any help.
    expect(withWaterUnder(both, water(36, 3), bedAt(14))).toEqual([]);
  });
});
