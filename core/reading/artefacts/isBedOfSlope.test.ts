import type { Channel } from '@/core/recording';
import { madePass } from '@/scripts/accuracy/passes';
import { readChannel } from '..';
import { isBedOfSlope } from './isBedOfSlope';

const PINGS = 60;
const DEG = Math.PI / 180;
const channel = {
  beam: { shape: 'cone', alongRad: 10 * DEG, athwartRad: 10 * DEG },
  resolutionM: 0.1,
} as Channel;
const line = (rangeAt: (ping: number) => number) => ({
  rangeM: Float32Array.from({ length: PINGS }, (_, p) => rangeAt(p)),
  contrastDb: new Float32Array(PINGS).fill(40),
});
const cloud = (fromPing: number, toPing: number, topAt: (ping: number) => number) => ({
  fromPing,
  toPing,
  top: Float32Array.from({ length: toPing - fromPing + 1 }, (_, k) => topAt(fromPing + k)),
});
const slope = (degrees: number): Float32Array => new Float32Array(PINGS).fill(degrees * DEG);

describe('a cloud over a slope', () => {
  const falling = line((p) => 20 + 0.1 * p);
  // At 18° the perpendicular is 5 % nearer than what lies straight below.
  const before = cloud(10, 40, (p) => 0.96 * (20 + 0.1 * p));
  it('is its own echo between the perpendicular and the line, where the beam does not reach that', () => {
    expect(isBedOfSlope(before, channel, falling, slope(18))).toBe(true);
    expect(isBedOfSlope(before, channel, falling, slope(4))).toBe(false);
    const wide = { ...channel, beam: { ...channel.beam, alongRad: 40 * DEG } };
    expect(isBedOfSlope(before, wide, falling, slope(18))).toBe(false);
  });
  it('is bait where it stands higher', () => {
    const higher = cloud(10, 40, (p) => 0.85 * (20 + 0.1 * p));
    expect(isBedOfSlope(higher, channel, falling, slope(18))).toBe(false);
  });
  it('is the face of a ledge where it grows from the line and ends where that jumps to', () => {
    const ledges = line((p) => (p < 40 ? 30 : 27));
    const face = cloud(20, 39, (p) => 30 - 0.15 * (p - 19));
    expect(isBedOfSlope(face, channel, ledges, slope(0))).toBe(true);
    // Over a flat bed the same is bait that rests on it.
    expect(
      isBedOfSlope(
        face,
        channel,
        line(() => 30),
        slope(0),
      ),
    ).toBe(false);
  });
  it.each([7_930_052, 7_560_007])('of the simulator’s is no bait, in pass %i', (seed) => {
    const { recording, scene } = madePass(seed, { steepest: Math.tan(18 * DEG) });
    const { findings } = readChannel(recording, recording.channels[0]!);
    expect(scene.clouds).toHaveLength(0);
    expect(findings.filter((f) => f.kind === 'cloud')).toHaveLength(0);
  });
});
