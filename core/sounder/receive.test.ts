import { recordingOf } from '@/core/recording';
import { equivalentBeamAngle, faceBudget, GENERIC_RIG, RECEIVER_CEILING_DB } from '@/core/rig';
import { PALETTE_STEPS, PLAIN_SETTINGS } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { fishTargetStrength, weightTargetStrength } from '@/core/water';
import { simulate } from './';
import {
  cone200,
  meanDb,
  meanPower,
  peakOf,
  quiet,
  sceneOf,
  sound,
  straight,
  water,
  NO_BED,
} from '@/core/testing/testWater';

const noisy = faceBudget(GENERIC_RIG, cone200, water);

describe('noise', () => {
  it('is the stated level in the band', () => {
    const channel = sound(sceneOf({}, NO_BED), cone200, straight(80), 60, GENERIC_RIG, 1);
    expect(Math.abs(meanDb(channel, 40, 60) - noisy.noiseLevelDb)).toBeLessThan(0.3);
  });
  it('costs usable gain when the engine is put in gear', () => {
    const track = straight(160, 5);
    track.engine.fill(1, 80);
    const channel = sound(sceneOf({}, NO_BED), cone200, track, 40, GENERIC_RIG, 1);
    const half = (from: number) => ({
      ...channel,
      pingCount: 80,
      levelDb: channel.levelDb.subarray(from * channel.sampleCount, (from + 80) * channel.sampleCount),
    });
    expect(meanDb(half(80), 20, 35) - meanDb(half(0), 20, 35)).toBeGreaterThan(2);
  });
  it('fills whole pings with what is electrical on board', () => {
    const scene = sceneOf({ electrical: { everyS: 5, lengthS: 0.6, overNoiseDb: 15 } }, NO_BED);
    const channel = sound(scene, cone200, straight(200, 5), 30, GENERIC_RIG, 1);
    const loud = Array.from({ length: 200 }, (_, p) =>
      meanDb({ ...channel, pingCount: 1, levelDb: channel.levelDb.subarray(p * channel.sampleCount) }, 5, 25),
    ).filter((level) => level > noisy.noiseLevelDb + 10).length;
    // Eight beats of three pings.
    expect(loud).toBeGreaterThanOrEqual(16);
    expect(loud).toBeLessThanOrEqual(32);
  });
});

describe('volume scatter', () => {
  it('of a stated Sv is recovered after 20 log R and 2αR', () => {
    const svDb = -50;
    const channel = sound(sceneOf({ backgroundSvDb: svDb }, 190), cone200, straight(200, 3, 1), 30, quiet, 1);
    const budget = faceBudget(quiet, cone200, water);
    for (const range of [8, 20, 28]) {
      const expected =
        budget.sourceLevelDb -
        20 * Math.log10(range) -
        2 * budget.absorptionDbPerM * range +
        svDb +
        10 * Math.log10(budget.resolutionM * equivalentBeamAngle(cone200.beam));
      expect(Math.abs(meanDb(channel, range - 0.5, range + 0.5) - expected)).toBeLessThan(0.5);
    }
  });
});

describe('bubbles under a wind', () => {
  it('fade with range and leave no line at one range', () => {
    const scene = sceneOf({ water: { ...water, windMps: 8 } }, 190);
    const channel = sound(scene, cone200, straight(300, 5, 2), 14);
    const mean = meanPower(channel);
    const at = (rangeM: number): number => Math.round(rangeM / channel.sampleStepM);
    expect(mean[at(2)]!).toBeGreaterThan(100 * mean[at(10)]!);
    const around = 8;
    for (let j = at(4); j < at(12); j++) {
      const near = mean.slice(j - around, j + around + 1).reduce((a, b) => a + b, 0) / (2 * around + 1);
      expect(mean[j]! / near).toBeLessThan(1.7);
    }
  });
});

describe('another sounder', () => {
  it.each([0.01, 0.02])('%f Hz faster draws dashes of the foretold slant', (apart) => {
    const rate = 10;
    const other = rate + apart;
    const scene = sceneOf({ otherSounders: [{ pingRate: other, overNoiseDb: 30, pulseS: 2e-4 }] }, NO_BED);
    const track = straight(600, rate);
    const channel = sound(scene, cone200, track, 60, GENERIC_RIG, rate);
    const slant = -((channel.soundSpeedMps / 2) * apart) / (rate * other);
    const slopes: number[] = [];
    let before: number | null = null;
    for (let p = 0; p < 600; p++) {
      const peak = peakOf(channel, p, 3, 57);
      const here = peak.db > noisy.noiseLevelDb + 22 ? peak.rangeM : null;
      if (here !== null && before !== null && Math.abs(here - before) < 1) slopes.push(here - before);
      before = here;
    }
    expect(slopes.length).toBeGreaterThan(50);
    const mean = slopes.reduce((a, b) => a + b) / slopes.length;
    expect(Math.abs(mean - slant)).toBeLessThan(0.15 * Math.abs(slant));
  });
});

describe('with default noise', () => {
  /** Range from which the mean echo of a target on the axis is under 10 dB over noise, m. */
  const lostAt = (targetStrengthDb: number): number => {
    for (let z = 4; z < 80; z += 1) {
      const scene = sceneOf({ targets: [{ x: 0, y: 0, z, targetStrengthDb }] }, 190);
      const mean = meanPower(sound(scene, cone200, straight(30), z + 4, GENERIC_RIG, 1));
      const step = (z + 4) / (mean.length - 1);
      const echo = Math.max(...mean.slice(Math.floor((z - 0.1) / step), Math.ceil((z + 0.2) / step)));
      if (10 * Math.log10(echo) - noisy.noiseLevelDb < 10) return z;
    }
    return Infinity;
  };
  it('a 25 cm perch is lost between 30 and 45 m', () => {
    const lost = lostAt(fishTargetStrength(0.25, 200e3));
    expect(lost).toBeGreaterThanOrEqual(30);
    expect(lost).toBeLessThanOrEqual(45);
  });
  it('a 3.5 g jig is faint at 3 m, where a perch is not', () => {
    const stepOf = (targetStrengthDb: number): number => {
      const scene = sceneOf({ targets: [{ x: 0, y: 0, z: 3, targetStrengthDb }] }, NO_BED);
      const recording = simulate({
        scene,
        track: straight(40, 5),
        rig: GENERIC_RIG,
        faces: [cone200],
        pingRate: 1,
        farM: 12,
        seed: 2,
      });
      // A gain that draws a −60 dB target in the first colour, and a perch well up the palette.
      const settings = { ...PLAIN_SETTINGS, faceId: cone200.id, rangeM: 12, chartSpeed: 5, pingRate: 5 };
      const { steps, columns, rows } = drawPicture(
        recordingOf([recording]),
        settings,
        { rows: 240, columns: 30 },
        7.8,
      );
      return Math.max(...steps.subarray((columns - 1) * rows + 58, (columns - 1) * rows + 66));
    };
    const jig = stepOf(weightTargetStrength(3.5e-3));
    expect(jig).toBeGreaterThan(0);
    expect(jig).toBeLessThan(PALETTE_STEPS / 4);
    expect(stepOf(fishTargetStrength(0.25, 200e3))).toBeGreaterThan(PALETTE_STEPS / 2);
  });
  it('a 3.5 g jig is lost near 16 m', () => {
    const lost = lostAt(weightTargetStrength(3.5e-3));
    expect(Math.abs(lost - 16)).toBeLessThanOrEqual(3);
  });
});

describe('the receiver', () => {
  it('is overloaded by a shallow hard bed at full power, not at low', () => {
    const shallow = sceneOf({}, 2, 'rock');
    const track = straight(60, 5, 1);
    const clipped = (power: 'full' | 'low'): number => {
      const channel = sound(shallow, cone200, track, 6, GENERIC_RIG, 5, { power });
      const tops = Array.from({ length: 60 }, (_, p) => peakOf(channel, p, 1.9, 2.4).db);
      expect(Math.max(...tops)).toBeLessThanOrEqual(RECEIVER_CEILING_DB + 1e-3);
      return tops.filter((db) => db > RECEIVER_CEILING_DB - 1e-3).length / 60;
    };
    expect(clipped('full')).toBeGreaterThan(0.5);
    expect(clipped('low')).toBeLessThan(0.1);
  });
  it('hears its own face ring near the surface and nowhere else', () => {
    const channel = sound(sceneOf({}, NO_BED), cone200, straight(20), 20, GENERIC_RIG, 1);
    expect(meanDb(channel, 0, 0.2)).toBeGreaterThan(noisy.noiseLevelDb + 30);
    expect(meanDb(channel, 3, 10)).toBeLessThan(noisy.noiseLevelDb + 0.5);
  });
});

describe('the mount', () => {
  const target = sceneOf({ targets: [{ x: 0, y: 0, z: 10, targetStrengthDb: -35 }] }, NO_BED);
  const levels = (mount: Partial<typeof GENERIC_RIG.mount>): number[] => {
    const rig = { ...GENERIC_RIG, mount: { ...GENERIC_RIG.mount, ...mount } };
    const channel = sound(target, cone200, straight(80), 14, rig, 1);
    return Array.from({ length: 80 }, (_, p) => peakOf(channel, p, 9.9, 10.2).db);
  };
  it('that works loose makes a steady echo flicker', () => {
    const spread = (list: number[]): number => Math.max(...list) - Math.min(...list);
    expect(spread(levels({}))).toBeLessThan(2.5);
    expect(spread(levels({ looseRad: 0.1 }))).toBeGreaterThan(6);
  });
  it('in churned water loses up to 30 dB', () => {
    const mean = (list: number[]): number => list.reduce((a, b) => a + b) / list.length;
    expect(mean(levels({})) - mean(levels({ churn: 0.5 }))).toBeGreaterThan(14);
  });
});

describe('repetition', () => {
  const same = (x: Float32Array, y: Float32Array): boolean =>
    x.length === y.length && x.every((v, i) => v === y[i]);
  const request = {
    scene: sceneOf({}, 15),
    track: straight(4),
    rig: GENERIC_RIG,
    faces: [cone200],
    pingRate: 5,
    farM: 20,
  };

  it('gives the same levels for the same seed and others for another', () => {
    const a = simulate({ ...request, seed: 3 }).channels[0]!.levelDb;
    expect(same(simulate({ ...request, seed: 3 }).channels[0]!.levelDb, a)).toBe(true);
    expect(same(simulate({ ...request, seed: 4 }).channels[0]!.levelDb, a)).toBe(false);
  });
  it('refuses a window it cannot listen to', () => {
    expect(() => simulate({ ...request, seed: 1, farM: -1 })).toThrow(RangeError);
    expect(() => simulate({ ...request, seed: 1, farM: 1e6 })).toThrow(/2000 m/);
  });
});
