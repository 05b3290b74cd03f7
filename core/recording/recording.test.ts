import { PLAIN_SETTINGS } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { readChannel, readRecording } from '@/core/reading';
import {
  channelOf,
  durationOf,
  navigationOf,
  pingCountOf,
  recordingOf,
  type Stretch,
} from '@/core/recording';
import { faceOf, GENERIC_RIG } from '@/core/rig';
import { makeScene, recipeOf, trackOver } from '@/core/scene';
import { simulate } from '@/core/sounder';

const ID = 'east-shelf';
const face = faceOf(GENERIC_RIG, 'cone-200');
const made = (farM: number, pulseS: number): Stretch =>
  simulate({
    scene: makeScene(ID, 2),
    track: trackOver(ID, 2),
    rig: GENERIC_RIG,
    faces: [{ ...face, pulseS }],
    pingRate: recipeOf(ID).pingRate,
    farM,
    seed: 2,
  });

/** Pings from…to − 1 of a stretch. */
function part(stretch: Stretch, from: number, to: number): Stretch {
  const navigation = Object.fromEntries(
    Object.entries(stretch.navigation).map(([name, row]) => [name, (row as Float32Array).slice(from, to)]),
  ) as unknown as Stretch['navigation'];
  return {
    ...stretch,
    navigation,
    channels: stretch.channels.map((c) => ({
      ...c,
      pingCount: to - from,
      levelDb: c.levelDb.slice(from * c.sampleCount, to * c.sampleCount),
    })),
  };
}

describe('a recording of two stretches', () => {
  const fine = made(20, 1e-4);
  const coarse = made(44, 3e-4);
  const pings = fine.navigation.timeS.length;
  const middle = pings >> 1;
  const gained = part(coarse, middle, pings);
  // Half way the range, the pulse and the receiver's gain were changed.
  const recording = recordingOf(
    [
      part(fine, 0, middle),
      {
        ...gained,
        channels: gained.channels.map((c) => ({ ...c, gainDb: 12, levelDb: c.levelDb.map((x) => x + 12) })),
      },
    ],
    '2026-09-02T06:00:00.000Z',
  );
  const settings = { ...PLAIN_SETTINGS, faceId: 'cone-200', rangeM: 18, chartSpeed: 2 };

  it('counts pings and time through both', () => {
    expect(pingCountOf(recording)).toBe(pings);
    expect(durationOf(recording)).toBe(fine.navigation.timeS[pings - 1]);
    expect([...navigationOf(recording).timeS]).toEqual([...fine.navigation.timeS]);
    expect(recording.startedAt).toBe('2026-09-02T06:00:00.000Z');
  });

  it('is drawn side by side, each part as it would be alone', () => {
    const screen = { rows: 120, columns: 200 };
    const now = durationOf(recording);
    const both = drawPicture(recording, settings, screen, now);
    const first = drawPicture(recordingOf([fine]), settings, screen, now);
    const second = drawPicture(recordingOf([coarse]), settings, screen, now);
    const seam = both.timeS.findIndex((t) => t >= fine.navigation.timeS[middle]!);
    expect(seam).toBeGreaterThan(20);
    const column = (p: typeof both, c: number): number[] => [...p.steps.subarray(c * 120, (c + 1) * 120)];
    for (const c of [seam - 30, seam - 12, seam - 3]) expect(column(both, c)).toEqual(column(first, c));
    for (const c of [seam + 2, seam + 20, 199]) expect(column(both, c)).toEqual(column(second, c));
    expect(column(both, seam - 3).some((s) => s > 0)).toBe(true);
  });

  it('is read each by its own step, pulse and gain, with pings counted through', () => {
    const reading = readRecording(recording, 'cone-200');
    expect(reading.bed.rangeM).toHaveLength(pings);
    const alone = recording.stretches.map((s) => readChannel(s, channelOf(s, 'cone-200')));
    expect(reading.findings.length).toBe(alone[0]!.findings.length + alone[1]!.findings.length);
    expect(reading.findings.length).toBeGreaterThan(2);
    for (const f of reading.findings)
      expect(navigationOf(recording).timeS[f.fromPing]!).toBeLessThanOrEqual(f.timeS + 0.5);
    // The bed goes on where it was: within the longer pulse and a sample.
    const [before, after] = [reading.bed.rangeM[middle - 3]!, reading.bed.rangeM[middle + 3]!];
    expect(Math.abs(after - before)).toBeLessThan(0.6);
    // The gain is off: a mark is as strong as without it.
    const plain = readChannel(gained, channelOf(gained, 'cone-200')).findings;
    expect(alone[1]!.findings).toHaveLength(plain.length);
    // Levels rounded with a gain in them and without differ in the last bits.
    alone[1]!.findings.forEach((f, i) =>
      expect(f.overBackgroundDb).toBeCloseTo(plain[i]!.overBackgroundDb, 3),
    );
  });

  it('is refused where stretches do not follow each other', () => {
    expect(() => recordingOf([])).toThrow(/at least one/);
    expect(() => recordingOf([part(fine, middle, pings), part(fine, 0, middle)])).toThrow(/follow/);
  });
});
