import type { Channel } from '@/core/recording';
import { cone, singlePulse } from '@/core/rig';
import { degToRad } from '@/core/units';
import type { EchoTrack } from './followEchoes';
import { fitted } from './fitted';
import { joinTracks } from './joinTracks';

const [PING_RATE, SPEED, PULSE_M] = [10, 1.5, 0.075];
const timeS = Float64Array.from({ length: 400 }, (_, p) => p / PING_RATE);
const channel = {
  beam: cone(degToRad(20)),
  pulse: singlePulse(1e-4, 200e3, 20),
  resolutionM: PULSE_M,
} as Channel;

/** The pings of a point passed `nearestM` off at `atS`, and how loud they are. */
const passed = (from: number, to: number, nearestM: number, atS: number, overDb = 20): EchoTrack => {
  const pings = Array.from({ length: to - from + 1 }, (_, k) => from + k);
  return {
    pings,
    rangeM: pings.map((p) => Math.hypot(nearestM, SPEED * (timeS[p]! - atS))),
    thickM: pings.map(() => PULSE_M),
    overDb: pings.map(() => overDb),
    peakSample: pings.map(() => 0),
  };
};
const level = (from: number, to: number, rangeM: number, overDb = 20): EchoTrack => ({
  ...passed(from, to, rangeM, 0, overDb),
  rangeM: Array.from({ length: to - from + 1 }, () => rangeM),
});
const join = (tracks: EchoTrack[], speed = SPEED) =>
  joinTracks(
    tracks.map((t) => fitted(t, timeS, speed)),
    timeS,
    speed,
    channel,
    new Float32Array(timeS.length),
  );

describe('tracks of one mark', () => {
  it('are one where both legs lie on one crossing, whatever faded between them', () => {
    const [one, ...more] = join([passed(92, 99, 10, 10), passed(103, 112, 10, 10)]);
    expect(more).toEqual([]);
    expect(one!.track.pings).toEqual([...passed(92, 99, 10, 10).pings, ...passed(103, 112, 10, 10).pings]);
  });
  it('are two where two fish follow each other at one depth', () => {
    // 6 m of way apart: no one point is nearest at both.
    expect(join([passed(92, 108, 10, 10), passed(132, 148, 10, 14)])).toHaveLength(2);
  });
  it('are two where two fish lie over each other', () => {
    expect(join([passed(92, 108, 10, 10), passed(92, 108, 11, 10)])).toHaveLength(2);
  });
  it('are two where two fish cross, each on a curve of its own', () => {
    // One curve would lie nearly a pulse off the two together.
    expect(join([passed(80, 96, 10, 8.8), passed(100, 130, 9.8, 11.5)])).toHaveLength(2);
  });
  it('leave out a lesser part of the same body: close beside, weaker by more than 3 dB', () => {
    const loud = passed(92, 108, 10, 10, 30);
    expect(join([loud, passed(94, 106, 10.08, 10, 25)])).toHaveLength(1);
    // As loud, it is another fish.
    expect(join([loud, passed(94, 106, 10.25, 10, 29)])).toHaveLength(2);
  });
  it('under a still boat go on where one was lost for up to 2.5 s, and not farther off than four pulses', () => {
    expect(join([level(10, 60, 8), level(75, 140, 8.1)], 0)).toHaveLength(1);
    expect(join([level(10, 60, 8), level(90, 140, 8.1)], 0)).toHaveLength(2);
    expect(join([level(10, 60, 8), level(75, 140, 8.5)], 0)).toHaveLength(2);
  });
});
