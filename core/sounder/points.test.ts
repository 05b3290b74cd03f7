import { seededRandom } from '@/core/maths';
import {
  beamPattern,
  cone,
  faceBudget,
  faceOf,
  fan,
  GENERIC_RIG,
  pointEcho,
  transducerOf,
  type Rig,
} from '@/core/rig';
import { baitCloud, holding, turning, type Fish } from '@/core/scene';
import { patternTable } from '@/core/sounder';
import type { Channel } from '@/core/recording';
import { degToRad } from '@/core/units';
import {
  cone200,
  leadingEdge,
  peakOf,
  powerAt,
  quiet,
  sceneOf,
  sound,
  straight,
  variation,
  water,
  NO_BED,
} from '@/core/testing/testWater';

const budget = faceBudget(quiet, cone200, water);
/** A target over a bed far out of hearing. */
const target = (x: number, y: number, z: number, targetStrengthDb = -40) =>
  sceneOf({ targets: [{ x, y, z, targetStrengthDb }] }, NO_BED);

describe('a single target', () => {
  it.each([10, 30, 60])('of −40 dB returns the sonar equation’s level on the axis at %d m', (z) => {
    const channel = sound(target(0, 0, z), cone200, straight(1), 70, quiet, 1);
    expect(Math.abs(peakOf(channel, 0, z - 0.2, z + 0.3).db - pointEcho(budget, z, -40))).toBeLessThan(0.1);
  });
  it('is 6 dB weaker at the −3 dB angle, at the same range', () => {
    const at = degToRad(10);
    const channel = sound(
      target(0, 20 * Math.sin(at), 20 * Math.cos(at)),
      cone200,
      straight(1),
      40,
      quiet,
      1,
    );
    expect(Math.abs(peakOf(channel, 0, 19.8, 20.3).db - pointEcho(budget, 20, -40) + 6.02)).toBeLessThan(0.2);
  });
  it('is met sooner by a face that hangs ahead, and aside by one that hangs aside; gear keeps its place on the boat', () => {
    const [pingRate, speed, hang] = [20, 2, 3];
    const nearestPing = (rig: Rig): number => {
      // The boat passes over the target, at 4 m, after 4 s.
      const channel = sound(target(8, 0, 10), cone200, straight(160, pingRate, speed), 15, rig, 1);
      const levels = Array.from({ length: 160 }, (_, p) => peakOf(channel, p, 9.8, 10.2).db);
      return levels.indexOf(Math.max(...levels));
    };
    const ahead = { ...quiet, hangs: { 'cone-200': { x: hang, y: 0 } } };
    // Three metres at a tenth of a metre a ping, and a ping or two for the flat top of the beam.
    expect(Math.abs(nearestPing(quiet) - 80)).toBeLessThanOrEqual(2);
    expect(Math.abs(nearestPing(quiet) - nearestPing(ahead) - (hang * pingRate) / speed)).toBeLessThanOrEqual(
      3,
    );
    const aside = { ...quiet, hangs: { 'cone-200': { x: 0, y: 4 } } };
    const at = (rig: Rig, scene: ReturnType<typeof target>): number =>
      peakOf(sound(scene, cone200, straight(1), 30, rig, 1), 0, 19.7, 20.6).db;
    expect(at(aside, target(0, 4, 20))).toBeCloseTo(at(quiet, target(0, 0, 20)), 3);
    const lure = (x: number) =>
      sceneOf(
        {
          gear: [{ kind: 'lure', targetStrengthDb: -40, from: { x, y: 0 }, lineOut: [[0, 20]], swing: 0 }],
        },
        NO_BED,
      );
    expect(at(ahead, lure(hang))).toBeCloseTo(at(quiet, lure(0)), 3);
  });
  it('is seen by a fan by its two widths', () => {
    const slice = faceOf(GENERIC_RIG, 'slice-455');
    const level = (along: number, athwart: number): number => {
      const [u, w] = [Math.sin(along), Math.sin(athwart)];
      const scene = target(10 * u, 10 * w, 10 * Math.sqrt(1 - u * u - w * w));
      return peakOf(sound(scene, slice, straight(1), 15, quiet, 1), 0, 9.9, 10.1).db;
    };
    const axis = level(0, 0);
    expect(Math.abs(axis - level(degToRad(0.8), 0) - 6.02)).toBeLessThan(0.2);
    expect(Math.abs(axis - level(0, degToRad(25)) - 6.02)).toBeLessThan(0.2);
  });
  it('is never lost between samples, in a long window either', () => {
    for (const [z, farM] of [
      [20.013, 24],
      [20.026, 24],
      [90.04, 160],
      [90.07, 160],
    ] as const) {
      const slice = { ...faceOf(GENERIC_RIG, 'slice-455'), frequencyHz: 200e3 };
      const channel = sound(target(0, 0, z, -20), slice, straight(1), farM, quiet, 1);
      const expected = pointEcho(faceBudget(quiet, slice, water), z, -20);
      expect(Math.abs(peakOf(channel, 0, z - 0.4, z + 0.6).db - expected)).toBeLessThan(0.3);
      expect(channel.sampleStepM).toBeLessThanOrEqual(channel.resolutionM / 2 + 1e-9);
    }
  });
});

describe('a target crossed at speed', () => {
  const [z, y, v, rate, apexS] = [12, 1.1, 1.6, 20, 6];
  const track = straight(240, rate, v, apexS);
  const channel = sound(target(0, y, z), cone200, track, 24, quiet, rate);
  const range = (p: number): number => Math.hypot(z, y, v * (track.timeS[p]! - apexS));
  /** Strength on the axis the level of a ping would stand for, dB. */
  const strength = (p: number): number => {
    const r = range(p);
    return peakOf(channel, p, r - 0.1, r + 0.2).db - pointEcho(budget, r, -40);
  };
  it('follows √(z² + y² + (vt)²) within a sample', () => {
    for (let p = 0; p < 240; p++) {
      if (strength(p) < -20) continue;
      const peak = peakOf(channel, p, range(p) - 0.1, range(p) + 0.2);
      let first = Math.floor((range(p) - 0.1) / channel.sampleStepM);
      while (channel.levelDb[p * channel.sampleCount + first]! < peak.db - 6) first++;
      expect(Math.abs(first * channel.sampleStepM - range(p))).toBeLessThanOrEqual(channel.sampleStepM);
    }
  });
  it('is in the cone for the chord’s length, in time and width within a ping', () => {
    // Down to the two-way −6 dB of the cone’s edge.
    const inside = Array.from({ length: 240 }, (_, p) => p).filter((p) => strength(p) > -6.02);
    const chord = 2 * Math.sqrt((z * Math.tan(degToRad(10))) ** 2 - y * y);
    expect(Math.abs(inside.length - (rate * chord) / v)).toBeLessThanOrEqual(1);
    expect(Math.abs((inside[0]! + inside[inside.length - 1]!) / 2 - apexS * rate)).toBeLessThanOrEqual(1);
  });
});

/** Pings before and after the nearest in which the first fish stands out of the noise by 10 dB. */
function sectionsOf(channel: Channel, ranges: number[]): { before: number; after: number } {
  let nearest = 0;
  ranges.forEach((r, p) => {
    if (r < ranges[nearest]!) nearest = p;
  });
  const noise = peakOf(channel, 0, 2, 4).db;
  const shows = ranges.map((r, p) => peakOf(channel, p, r - 0.3, r + 0.5).db > noise + 10);
  return {
    before: shows.slice(0, nearest).filter(Boolean).length,
    after: shows.slice(nearest + 1).filter(Boolean).length,
  };
}

describe('sections', () => {
  const track = straight(200, 10, 1.3, 10);
  const still: Fish = {
    ...holding({ lengthM: 0.5, bladder: 'closed' }, [0, 0.2, 10], seededRandom(3)),
    restHeadingRad: Math.PI / 2,
  };
  const wayTo = (fishX: number, y: number, z: number): number[] =>
    Array.from(track.xM, (x) => Math.hypot(fishX - x, y, z));
  it('are alike for a still fish under a level beam', () => {
    const channel = sound(sceneOf({ fish: [still] }, NO_BED), cone200, track, 24, GENERIC_RIG, 3);
    const { before, after } = sectionsOf(channel, wayTo(0, 0.2, 10));
    expect(before).toBeGreaterThan(8);
    expect(Math.abs(before - after)).toBeLessThan(0.35 * before);
  });
  it('are one when the fish turns away in the beam', () => {
    const fish = turning({ lengthM: 0.5, bladder: 'closed' }, 10, [0, 0.2, 10], 1.3, 1, seededRandom(3));
    const channel = sound(sceneOf({ fish: [fish] }, NO_BED), cone200, track, 24, GENERIC_RIG, 3);
    const { before, after } = sectionsOf(channel, wayTo(0, 0.2, 10));
    expect(after).toBeLessThan(0.5 * before);
  });
  it('are always the same one when the beam is tilted', () => {
    for (const [tilt, more] of [
      [15, 'before'],
      [-15, 'after'],
    ] as const) {
      const tilted: Rig = { ...GENERIC_RIG, mount: { ...GENERIC_RIG.mount, alongRad: degToRad(tilt) } };
      const channel = sound(sceneOf({ fish: [still] }, NO_BED), cone200, track, 24, tilted, 3);
      const sections = sectionsOf(channel, wayTo(0, 0.2, 10));
      const less = more === 'before' ? 'after' : 'before';
      expect(sections[less]).toBeLessThan(0.5 * sections[more]);
    }
  });
});

describe('fluctuation', () => {
  it('of a dense cloud is that of many scatterers: exponential intensity', () => {
    const powers: number[] = [];
    for (let seed = 1; seed <= 12; seed++) {
      const cloud = baitCloud(
        {
          mood: 'calm',
          place: [0, 0, 12],
          radiusM: 1.5,
          radiusZM: 1.5,
          count: 2000,
          lengthM: 0.06,
          bladder: 'open',
        },
        seededRandom(seed),
      );
      const channel = sound(
        sceneOf({ clouds: [cloud] }, NO_BED),
        cone200,
        straight(60, 1, 0.3, 30),
        24,
        quiet,
        1,
      );
      for (let p = 25; p < 35; p++)
        for (let r = 11.4; r < 12.6; r += 0.08)
          powers.push(powerAt(channel, p, Math.round(r / channel.sampleStepM)));
    }
    // 1,800 draws, most of them independent: the coefficient of variation of an exponential is 1.
    expect(Math.abs(variation(powers) - 1)).toBeLessThan(0.1);
  });
  it('of one steady strong target is next to nothing', () => {
    const channel = sound(target(0, 0, 10, -30), cone200, straight(100, 10), 15, GENERIC_RIG, 3);
    const powers = Array.from({ length: 100 }, (_, p) => 10 ** (peakOf(channel, p, 9.9, 10.2).db / 10));
    expect(variation(powers)).toBeLessThan(0.05);
  });
});

describe('a swept pulse', () => {
  const swept = transducerOf('swept-high').faces[0]!;
  const delta = budget.soundSpeedMps / (2 * swept.sweepHz);
  const pair = (gapM: number) =>
    sceneOf(
      {
        targets: [
          { x: 0, y: 0, z: 12, targetStrengthDb: -40 },
          { x: 0, y: 0, z: 12 + gapM, targetStrengthDb: -40 },
        ],
      },
      NO_BED,
    );
  /** How deep the valley between two echoes is under the weaker of them, dB. */
  const valley = (channel: Channel, gapM: number): number => {
    const [a, b] = [
      peakOf(channel, 0, 11.97, 12 + gapM / 2),
      peakOf(channel, 0, 12 + gapM / 2, 12.05 + gapM),
    ];
    let low = Infinity;
    for (let j = Math.round(a.rangeM / channel.sampleStepM); j * channel.sampleStepM < b.rangeM; j++)
      low = Math.min(low, channel.levelDb[j]!);
    return Math.min(a.db, b.db) - low;
  };
  it('resolves c/2B: its echo is 6 dB down half of that to either side', () => {
    const channel = sound(target(0, 0, 6), swept, straight(1), 8, quiet, 1);
    const edge = leadingEdge(channel, 0, 5.97, 6.03);
    expect(Math.abs(6 - edge - delta / 2)).toBeLessThan(channel.sampleStepM / 2);
  });
  it('separates two targets that one frequency runs together', () => {
    const gap = 0.05;
    expect(valley(sound(pair(gap), swept, straight(1), 14, quiet, 1), gap)).toBeGreaterThan(6);
    expect(valley(sound(pair(gap), cone200, straight(1), 14, quiet, 1), gap)).toBeLessThan(6);
  });
  it('has range side lobes, the highest 31.5 dB down', () => {
    const channel = sound(target(0, 0, 6, -20), swept, straight(1), 8, quiet, 1);
    const peak = peakOf(channel, 0, 5.97, 6.03).db;
    const lobe = peakOf(channel, 0, 6 + 1.05 * delta, 6 + 1.9 * delta).db;
    expect(peak - lobe).toBeGreaterThan(30);
    expect(peak - lobe).toBeLessThan(36);
  });
});

describe('pattern table', () => {
  it.each([
    ['cone', cone(degToRad(20))],
    ['wide cone', cone(degToRad(60))],
    ['fan', fan(degToRad(1.6), degToRad(50))],
  ])('%s is 6 dB down two-way at the half width, each axis its own', (_name, beam) => {
    const table = patternTable(beam);
    const u = Math.sin(beam.alongRad / 2) ** 2;
    const w = Math.sin(beam.athwartRad / 2) ** 2;
    expect(20 * Math.log10(table.pressure(u, 0))).toBeCloseTo(-6.02, 1);
    expect(20 * Math.log10(table.pressure(0, w))).toBeCloseTo(-6.02, 1);
    const [a, b] = [0.4 * Math.sqrt(u), 0.3 * Math.sqrt(w)];
    expect(20 * Math.log10(table.pressure(a * a, b * b))).toBeCloseTo(
      20 * Math.log10(beamPattern(beam, a, b)),
      1,
    );
  });
});
