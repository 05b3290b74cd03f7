import { isGap } from '@/core/maths';
import { benchPass } from '@/core/bench';
import { FIRST_BRIEF, startSetup } from '@/core/advice';
import { fitCrossing, readChannel } from '@/core/reading';
import { faceOf, GENERIC_RIG } from '@/core/rig';
import { truthOf } from '@/core/scene';
import { simulate } from '@/core/sounder';

const SEEDS = [1, 2, 3];

function passOf(seed: number) {
  const setup = startSetup(FIRST_BRIEF, GENERIC_RIG);
  const request = benchPass(FIRST_BRIEF, GENERIC_RIG, setup.settings, seed);
  const recording = simulate(request);
  const face = faceOf(GENERIC_RIG, setup.settings.faceId);
  const truth = truthOf(request.scene, request.track, face.beam.alongRad / 2);
  return { reading: readChannel(recording, recording.channels[0]!), truth, recording };
}

describe.each(SEEDS)('the pass at the start setup, seed %d', (seed) => {
  const { reading, truth } = passOf(seed);
  const marks = reading.findings.filter((f) => f.kind === 'fish');
  // A mark is a fish's when it is nearest within a second of it and within the water a neighbour could not be in.
  const matched = truth.fish.map((fish) =>
    marks.find((m) => Math.abs(m.timeS - fish.timeS) < 1 && Math.abs(m.rangeM - fish.nearestRangeM) < 0.5),
  );
  const found = matched.filter((m) => m !== undefined);

  it('finds at least seven of the eight fish and at most one that is not there', () => {
    expect(new Set(found).size).toBeGreaterThanOrEqual(7);
    expect(marks.length - new Set(found).size).toBeLessThanOrEqual(1);
  });
  it('draws each within 0.15 m of its nearest slant range', () => {
    matched.forEach((m, i) => {
      if (m) expect(Math.abs(m.rangeM - truth.fish[i]!.nearestRangeM)).toBeLessThan(0.15);
    });
  });
  it('holds the true depth in the stated interval', () => {
    matched.forEach((m, i) => {
      if (!m) return;
      expect(truth.fish[i]!.depthM).toBeGreaterThan(m.depthM[0] - 0.15);
      expect(truth.fish[i]!.depthM).toBeLessThan(m.depthM[1] + 0.15);
    });
  });
  it('follows the first bed echo within 0.1 m', () => {
    const off = Array.from(reading.bed.rangeM, (r, p) => Math.abs(r - truth.firstBedRangeM[p]!));
    expect(off.every((d) => !isGap(d))).toBe(true);
    expect(Math.sqrt(off.reduce((s, d) => s + d * d, 0) / off.length)).toBeLessThan(0.1);
    expect(Math.max(...off)).toBeLessThan(0.35);
  });
  it('takes the cloud for a cloud, where it is', () => {
    const clouds = reading.findings.filter((f) => f.kind === 'cloud');
    expect(clouds).toHaveLength(1);
    expect(Math.abs(clouds[0]!.timeS - truth.clouds[0]!.timeS)).toBeLessThan(6);
    expect(Math.abs(clouds[0]!.rangeM - truth.clouds[0]!.topM)).toBeLessThan(1);
  });
  it('gives every finding two reasons or more, a rival, and never certainty', () => {
    for (const f of reading.findings) {
      expect(f.reasons.length).toBeGreaterThanOrEqual(2);
      expect(f.rival.reading).toBeTruthy();
      expect(f.confidence).toBeLessThan(0.99);
    }
  });
});

it('finds the same shapes on levels that are only relative, and gives no lengths', () => {
  const { recording, reading } = passOf(1);
  const channel = recording.channels[0]!;
  const relative = { ...channel, calibration: null, levelDb: channel.levelDb.map((x) => x - 80) };
  const again = readChannel({ ...recording, channels: [relative] }, relative);
  expect(again.findings.length).toBeGreaterThanOrEqual(reading.findings.length - 1);
  for (const f of again.findings) if (f.kind === 'fish') expect(f.lengthM).toBeNull();
});

it('finds nothing in noise alone', () => {
  const setup = startSetup(FIRST_BRIEF, GENERIC_RIG);
  const request = benchPass(FIRST_BRIEF, GENERIC_RIG, setup.settings, 9, 1);
  const empty = { ...request.scene, fish: [], clouds: [], layers: [], otherSounders: [] };
  const recording = simulate({ ...request, scene: empty });
  expect(readChannel(recording, recording.channels[0]!).findings).toEqual([]);
});

describe('the crossing curve', () => {
  const crossing = (t: number): number => Math.hypot(9, 1.5 * (t - 4));
  const times = Array.from({ length: 30 }, (_, i) => 2.5 + i / 10);
  it('is found from clean ranges', () => {
    const fit = fitCrossing(times, times.map(crossing), 1.5)!;
    expect(fit.nearestRangeM).toBeCloseTo(9, 3);
    expect(fit.nearestTimeS).toBeCloseTo(4, 2);
    expect(fit.offM).toBeLessThan(1e-3);
  });
  it('is found from one leg, with the boat’s speed', () => {
    const leg = times.filter((t) => t > 4.3);
    const fit = fitCrossing(leg, leg.map(crossing), 1.5)!;
    expect(Math.abs(fit.nearestRangeM - 9)).toBeLessThan(0.05);
  });
  it('needs three points', () => expect(fitCrossing([1, 2], [3, 3], 1)).toBeNull());
});
