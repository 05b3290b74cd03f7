import { seededRandom } from '@/core/maths';
import {
  beamPattern,
  cone,
  faceBudget,
  faceOf,
  fan,
  GENERIC_RIG,
  pointEcho,
  type Face,
  type Rig,
} from '@/core/rig';
import { baitCloud, bedDepthAt, emptyScene, layBed, type Scene, type Track } from '@/core/scene';
import { patternTable, simulate } from '@/core/sounder';
import type { Channel } from '@/core/recording';
import type { BedMaterial } from '@/core/water';
import { degToRad } from '@/core/units';

const water = { temperatureC: 17, salinity: 0, thermoclineM: null, windMps: 0 };
const cone200 = faceOf(GENERIC_RIG, 'cone-200');
/** A rig as quiet as the bench allows, so that an echo's own level can be measured. */
const quiet: Rig = { ...GENERIC_RIG, excessNoiseDb: -20 };

function still(pings: number, pingRate = 5, speedMps = 0): Track {
  const row = (): Float32Array => new Float32Array(pings);
  return {
    timeS: Float64Array.from({ length: pings }, (_, i) => i / pingRate),
    xM: Float64Array.from({ length: pings }, (_, i) => (i * speedMps) / pingRate),
    yM: new Float64Array(pings),
    heaveM: row(),
    speedMps: row().fill(speedMps),
    headingRad: row(),
    pitchRad: row(),
    rollRad: row(),
    engine: new Uint8Array(pings),
  };
}

function sceneOf(part: Partial<Scene>, depthM = 60, material: BedMaterial = 'gravel'): Scene {
  return {
    ...emptyScene({
      id: 'test',
      title: 'test',
      teaches: '',
      water,
      origin: { latitudeDeg: 0, longitudeDeg: 0 },
      bed: layBed(
        { originXM: -100, originYM: -100, widthM: 300, heightM: 200, cellM: 2 },
        () => depthM,
        () => material,
      ),
    }),
    backgroundSvDb: -120,
    ...part,
  };
}

const sound = (scene: Scene, face: Face, track: Track, farM: number, rig = quiet, pingRate = 5): Channel =>
  simulate({ scene, track, rig, faces: [face], pingRate, farM, seed: 5 }).channels[0]!;

/** Mean power of a window of ranges over all pings, dB. */
function meanDb(channel: Channel, fromM: number, toM: number): number {
  let sum = 0;
  let count = 0;
  for (let p = 0; p < channel.pingCount; p++)
    for (let j = Math.ceil(fromM / channel.sampleStepM); j * channel.sampleStepM < toM; j++) {
      sum += 10 ** (channel.levelDb[p * channel.sampleCount + j]! / 10);
      count++;
    }
  return 10 * Math.log10(sum / count);
}

function peakDb(channel: Channel, ping: number, fromM: number, toM: number): number {
  let peak = -Infinity;
  for (let j = Math.ceil(fromM / channel.sampleStepM); j * channel.sampleStepM < toM; j++)
    peak = Math.max(peak, channel.levelDb[ping * channel.sampleCount + j]!);
  return peak;
}

describe('a single target', () => {
  const budget = faceBudget(quiet, cone200, water);
  const target = (x: number, y: number, z: number) =>
    sceneOf({ targets: [{ x, y, z, targetStrengthDb: -40 }] }, 150);

  it.each([10, 30, 60])('of −40 dB returns the sonar equation’s level on the axis at %d m', (z) => {
    const channel = sound(target(0, 0, z), cone200, still(1), 70, quiet, 1);
    expect(Math.abs(peakDb(channel, 0, z - 0.2, z + 0.3) - pointEcho(budget, z, -40))).toBeLessThan(0.1);
  });
  it('is 6 dB weaker at the −3 dB angle, at the same range', () => {
    const at = degToRad(10);
    const channel = sound(target(0, 20 * Math.sin(at), 20 * Math.cos(at)), cone200, still(1), 40, quiet, 1);
    expect(Math.abs(peakDb(channel, 0, 19.8, 20.3) - pointEcho(budget, 20, -40) + 6.02)).toBeLessThan(0.2);
  });
  it('is seen by a fan by its two widths', () => {
    const slice = faceOf(GENERIC_RIG, 'slice-455');
    const level = (along: number, athwart: number): number => {
      const [u, w] = [Math.sin(along), Math.sin(athwart)];
      const scene = target(10 * u, 10 * w, 10 * Math.sqrt(1 - u * u - w * w));
      return peakDb(sound(scene, slice, still(1), 15, quiet, 1), 0, 9.9, 10.1);
    };
    const axis = level(0, 0);
    expect(Math.abs(axis - level(degToRad(0.8), 0) - 6.02)).toBeLessThan(0.2);
    expect(Math.abs(axis - level(0, degToRad(25)) - 6.02)).toBeLessThan(0.2);
  });

  it('is drawn at its slant range to within half a sample', () => {
    const z = 12;
    const y = 1.5;
    const channel = sound(target(0, y, z), cone200, still(1), 30);
    const range = Math.hypot(z, y);
    const peak = peakDb(channel, 0, range - 0.3, range + 0.3);
    let edge = Math.floor((range - 0.3) / channel.sampleStepM);
    while (channel.levelDb[edge]! < peak - 6) edge++;
    const [a, b] = [channel.levelDb[edge - 1]!, channel.levelDb[edge]!];
    const found = (edge - (b - (peak - 6)) / (b - a)) * channel.sampleStepM;
    expect(Math.abs(found - range)).toBeLessThan(0.5 * channel.sampleStepM + 0.02);
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

describe('the bed', () => {
  const flat = sound(sceneOf({}, 15), cone200, still(60, 5, 1), 40);
  it('begins at its depth', () => {
    expect(meanDb(flat, 14.2, 14.9)).toBeLessThan(meanDb(flat, 15.02, 15.2) - 20);
  });
  it('comes again from twice its depth, weaker by the bounce', () => {
    const first = meanDb(flat, 15, 15.3);
    const second = meanDb(flat, 30, 30.5);
    // −30 log 2, the bed's reflection (gravel: −4 dB), the surface (−2 dB) and absorption: about 15 dB, in a mean over the trace.
    expect(first - second).toBeGreaterThan(11);
    expect(first - second).toBeLessThan(21);
    expect(second).toBeGreaterThan(meanDb(flat, 27, 29) + 3);
  });
  it('is weaker when soft, by about the loss at reflection', () => {
    const soft = sound(sceneOf({}, 15, 'mud'), cone200, still(60, 5, 1), 40);
    const apart = meanDb(flat, 15, 15.2) - meanDb(soft, 15, 15.2);
    expect(apart).toBeGreaterThan(7);
    expect(apart).toBeLessThan(15);
  });
  it('is nearer than the depth below on a slope', () => {
    const s = degToRad(8);
    const slope = sceneOf({
      bed: layBed(
        { originXM: -100, originYM: -100, widthM: 200, heightM: 200, cellM: 1 },
        (x) => 20 + x * Math.tan(s),
        () => 'gravel',
      ),
    });
    expect(bedDepthAt(slope.bed, 0, 0)).toBeCloseTo(20, 3);
    const channel = sound(slope, cone200, still(40), 40);
    const nearest = 20 * Math.cos(s);
    expect(meanDb(channel, nearest + 0.02, nearest + 0.17)).toBeGreaterThan(
      meanDb(channel, nearest - 0.5, nearest - 0.05) + 10,
    );
  });
  it('folds into the next ping when pinged too fast', () => {
    const d = 15;
    const c = flat.soundSpeedMps;
    const rate = (1.3 * c) / (2 * d);
    const channel = sound(sceneOf({}, d), cone200, still(60, rate), 11, quiet, rate);
    const folded = (1 - 1 / 1.3) * d;
    expect(meanDb(channel, folded + 0.02, folded + 0.2)).toBeGreaterThan(
      meanDb(channel, folded - 0.6, folded - 0.1) + 10,
    );
  });
});

describe('noise', () => {
  it('is the stated level in the band', () => {
    const channel = sound(sceneOf({}, 80), cone200, still(80), 60, GENERIC_RIG);
    expect(
      Math.abs(meanDb(channel, 40, 60) - faceBudget(GENERIC_RIG, cone200, water).noiseLevelDb),
    ).toBeLessThan(0.3);
  });
});

describe('a layer', () => {
  it('returns its volume backscatter after 20 log R and 2αR', () => {
    const svDb = -50;
    const layer = { depthM: 20, thicknessM: 200, svDb, swellM: 0, swellLengthM: 50, patchDb: 0 };
    // Thick enough to be uniform water; the bed is out of hearing.
    const channel = sound(sceneOf({ layers: [layer] }, 190), cone200, still(150, 3, 1), 30);
    const budget = faceBudget(quiet, cone200, water);
    const range = 20;
    const psi = 10 * Math.log10(5.78 / (1.61634 / Math.sin(degToRad(10))) ** 2);
    const expected =
      budget.sourceLevelDb -
      20 * Math.log10(range) -
      2 * budget.absorptionDbPerM * range +
      svDb +
      10 * Math.log10(budget.resolutionM) +
      psi;
    expect(Math.abs(meanDb(channel, range - 0.5, range + 0.5) - expected)).toBeLessThan(0.6);
  });
});

describe('a cloud', () => {
  it('fluctuates as many scatterers do: exponential intensity', () => {
    const cloud = baitCloud(
      {
        mood: 'calm',
        place: [0, 0, 12],
        velocity: [0.4, 0],
        radiusM: 1.4,
        radiusZM: 1.4,
        count: 1500,
        lengthM: 0.06,
        bladder: 'open',
      },
      seededRandom(8),
    );
    const channel = sound(sceneOf({ clouds: [cloud] }), cone200, still(200, 100, -0.4), 30, quiet, 10);
    const powers: number[] = [];
    for (let p = 0; p < 200; p += 4)
      for (let r = 11.4; r < 12.6; r += 0.2)
        powers.push(
          10 ** (channel.levelDb[p * channel.sampleCount + Math.round(r / channel.sampleStepM)]! / 10),
        );
    const mean = powers.reduce((a, b) => a + b) / powers.length;
    const sd = Math.sqrt(powers.reduce((a, b) => a + (b - mean) ** 2, 0) / powers.length);
    // 350 draws, neighbours somewhat alike: the coefficient of variation of an exponential is 1.
    expect(sd / mean).toBeGreaterThan(0.75);
    expect(sd / mean).toBeLessThan(1.3);
  });
});

describe('repetition', () => {
  const same = (x: Float32Array, y: Float32Array): boolean =>
    x.length === y.length && x.every((v, i) => v === y[i]);

  it('gives the same levels for the same seed and others for another', () => {
    const request = {
      scene: sceneOf({}, 15),
      track: still(4),
      rig: GENERIC_RIG,
      faces: [cone200],
      pingRate: 5,
      farM: 20,
    };
    const a = simulate({ ...request, seed: 3 }).channels[0]!.levelDb;
    expect(same(simulate({ ...request, seed: 3 }).channels[0]!.levelDb, a)).toBe(true);
    expect(same(simulate({ ...request, seed: 4 }).channels[0]!.levelDb, a)).toBe(false);
  });
  it('refuses a window it cannot listen to', () => {
    const request = {
      scene: sceneOf({}, 15),
      track: still(2),
      rig: quiet,
      faces: [cone200],
      pingRate: 5,
      seed: 1,
    };
    expect(() => simulate({ ...request, farM: -1 })).toThrow(RangeError);
    expect(() => simulate({ ...request, farM: 1e6 })).toThrow(/2000 m/);
  });
});
