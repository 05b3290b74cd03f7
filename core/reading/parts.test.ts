import { FIRST_BRIEF, startSetup } from '@/core/advice';
import { benchPass } from '@/core/bench';
import { recordingOf } from '@/core/recording';
import { GENERIC_RIG } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { repeated } from '@/core/testing/repeated';
import { readRecording, type Reading } from './index';

describe('a long recording read part by part', () => {
  const { settings } = startSetup(FIRST_BRIEF, GENERIC_RIG);
  const once = recordingOf([simulate(benchPass(FIRST_BRIEF, GENERIC_RIG, settings, 3))]);
  const long = repeated(once, 4);
  const pings = long.stretches[0]!.navigation.timeS.length;

  it('tells what it has found so far, and comes to the same as told of nothing', () => {
    const told: { part: Reading; share: number }[] = [];
    const whole = readRecording(long, settings.faceId, (part, share) => told.push({ part, share }));
    expect(told.length).toBeGreaterThan(1);
    expect(whole).toEqual(readRecording(long, settings.faceId));
    for (const { part, share } of told) {
      const upTo = Math.round(share * pings);
      // What was found by then is what is found there in the end, but for what lies at the seam.
      const early = part.findings.filter((f) => f.toPing < upTo - 300);
      expect(early.length).toBeGreaterThan(0);
      for (const f of early)
        expect(
          whole.findings.some(
            (w) =>
              w.kind === f.kind && Math.abs(w.timeS - f.timeS) < 0.5 && Math.abs(w.rangeM - f.rangeM) < 0.3,
          ),
        ).toBe(true);
      expect(part.findings.map((f) => f.id)).toEqual(part.findings.map((_, k) => k + 1));
    }
    expect(told.map((t) => t.share)).toEqual([...told.map((t) => t.share)].sort((a, b) => a - b));
  });
  it('counts parts of several stretches through all of them', () => {
    const [stretch] = once.stretches;
    const later = {
      ...stretch!,
      navigation: {
        ...stretch!.navigation,
        timeS: stretch!.navigation.timeS.map((t) => t + 1000),
      },
    };
    const shares: number[] = [];
    const whole = readRecording(recordingOf([stretch!, later]), settings.faceId, (part, share) => {
      shares.push(share);
      expect(part.bed.rangeM).toHaveLength(2 * stretch!.navigation.timeS.length);
    });
    expect(shares).toEqual([0.5]);
    expect(whole.findings.length).toBeGreaterThan(0);
  });
});
