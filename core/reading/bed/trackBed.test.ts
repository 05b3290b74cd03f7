import { syntheticRecording } from '@/core/testing/syntheticRecording';
import { trackBed } from './trackBed';

const BED_M = 4;
const PULSE_M = 0.16;

/** A thin bed, and over it for a while what lies half way down to it, dB over noise. */
const halfWayDown = (bedDb: number, overDb: number) =>
  syntheticRecording({
    pings: 400,
    samples: 150,
    pulseM: PULSE_M,
    bedAt: () => NaN,
    paint: (put) => {
      for (let p = 0; p < 400; p++) {
        for (let r = BED_M; r < BED_M + 0.3; r += PULSE_M) put(p, r, bedDb);
        if (p >= 60 && p < 340) for (let r = BED_M / 2; r < BED_M / 2 + 0.9; r += PULSE_M) put(p, r, overDb);
      }
    },
  }).channel;

describe('what lies half way down to the bed', () => {
  it('is no first echo where the bed is far louder', () => {
    const { rangeM } = trackBed(halfWayDown(70, 35));
    for (const range of rangeM.subarray(5)) expect(Math.abs(range - BED_M)).toBeLessThan(0.2);
  });
  it('is one where it is as loud', () => {
    const { rangeM } = trackBed(halfWayDown(50, 50));
    for (const range of rangeM.subarray(100, 300)) expect(Math.abs(range - BED_M / 2)).toBeLessThan(0.2);
  });
});
