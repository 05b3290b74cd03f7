import { madeCoverPass } from '@/scripts/accuracy/coverPasses';
import { madePass } from '@/scripts/accuracy/passes';
import { lateRange, pingPeriodM } from '@/core/rig';
import { readChannel, type FishFinding } from '..';
import { findFalseBeds, isOnFalseBed } from './falseBeds';

/** Soft line of the fourth bed echo of the ping before, at a third of the depth. */
const pass = madeCoverPass(201_039, 'brush');
const channel = pass.recording.channels[0]!;
const reading = readChannel(pass.recording, channel);
const late = (p: number): number =>
  lateRange(4 * reading.bed.rangeM[p - 1]!, 1, pingPeriodM(pass.recording.pingRate, channel.soundSpeedMps));

describe('a false bed', () => {
  it('is named where geometry puts it, however weak', () => {
    const falseBeds = reading.named.filter((echo) => echo.kind === 'false-bed');
    expect(falseBeds).toHaveLength(1);
    const middle = channel.pingCount >> 1;
    expect(falseBeds[0]!.rangeM[0]).toBeLessThan(late(middle) + 0.1);
    expect(falseBeds[0]!.rangeM[1]).toBeGreaterThan(late(middle) - 0.1);
  });

  it('is no row of fish', () => {
    expect(reading.findings.filter((f) => f.kind === 'fish')).toHaveLength(0);
  });

  it('is no bait where it is thick', () => {
    // Late echoes of a hard bed that come in for metres.
    const { recording } = madeCoverPass(7_720_069, 'brush');
    const { named, findings } = readChannel(recording, recording.channels[0]!);
    expect(named.map((echo) => echo.kind)).toContain('false-bed');
    expect(findings.filter((f) => f.kind === 'cloud')).toHaveLength(0);
  });

  it('is no fish where it slants through for a few seconds', () => {
    const { recording } = madePass(6_840_006, { cloudy: true });
    const { named, findings } = readChannel(recording, recording.channels[0]!);
    expect(named.map((echo) => echo.kind)).toContain('false-bed');
    // The first fish is passed after it.
    expect(findings.filter((f) => f.kind === 'fish' && f.fromPing < 100)).toHaveLength(0);
  });

  it('is no row of fish where it is over after eight seconds', () => {
    const { recording } = madePass(31_020_001, { otherSounder: true });
    const { named, findings } = readChannel(recording, recording.channels[0]!);
    expect(named.map((echo) => echo.kind)).toContain('false-bed');
    // The one fish there is passed under it.
    expect(findings.filter((f) => f.kind === 'fish' && f.fromPing < 150)).toHaveLength(1);
  });

  it('takes what keeps to its line, and leaves what crosses it', () => {
    const falseBeds = findFalseBeds(channel, reading.bed, pass.recording.pingRate);
    const mark = (path: (ping: number) => number) =>
      ({
        kind: 'fish',
        fromPing: 200,
        toPing: 239,
        path: Float32Array.from({ length: 40 }, (_, k) => path(200 + k)),
      }) as unknown as FishFinding;
    expect(isOnFalseBed(mark(late), falseBeds, channel)).toBe(true);
    expect(
      isOnFalseBed(
        mark((p) => late(p) + 0.1 * (p - 220)),
        falseBeds,
        channel,
      ),
    ).toBe(false);
    expect(isOnFalseBed(mark(late), [], channel)).toBe(false);
  });

  it('is not named over a bed whose late echoes are not heard', () => {
    const slow = { ...reading.bed };
    expect(findFalseBeds(channel, slow, 0.5 * pass.recording.pingRate)).toHaveLength(0);
  });
});
