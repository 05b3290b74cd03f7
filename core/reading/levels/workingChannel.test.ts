import type { Channel } from '@/core/recording';
import { cone, singlePulse } from '@/core/rig';
import { degToRad } from '@/core/units';
import { workingChannel } from './workingChannel';

function channelOf(levelDb: Float32Array, sampleCount: number, sampleStepM: number): Channel {
  return {
    id: 'a',
    label: 'a',
    frequencyHz: 200e3,
    beam: cone(degToRad(20)),
    pulse: singlePulse(1e-4, 200e3, 20),
    resolutionM: 0.01,
    soundSpeedMps: 1480,
    firstRangeM: 0,
    sampleStepM,
    pingCount: levelDb.length / sampleCount,
    sampleCount,
    levelDb,
    calibration: null,
  };
}

describe('working fineness', () => {
  it('keeps the strongest of each group of fine samples, and says how fine it is', () => {
    const level = Float32Array.from({ length: 40 }, (_, i) => (i % 20 === 7 ? 50 : 0));
    const working = workingChannel(channelOf(level, 20, 0.01));
    expect(working.sampleStepM).toBeCloseTo(0.04, 9);
    expect([...working.levelDb]).toEqual([0, 50, 0, 0, 0, 0, 50, 0, 0, 0]);
    expect(working.resolutionM).toBeCloseTo(0.08, 9);
  });
  it('leaves a coarse channel as it is', () => {
    const coarse = channelOf(new Float32Array(10), 5, 0.05);
    expect(workingChannel(coarse)).toBe(coarse);
  });
});
