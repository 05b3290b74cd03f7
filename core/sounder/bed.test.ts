import { firstBedRange, pistonKa, pistonPattern, transducerOf } from '@/core/rig';
import { bedBackscatter, bedLoss } from '@/core/water';
import { degToRad } from '@/core/units';
import {
  cone200,
  meanDb,
  meanPower,
  powerAt,
  quiet,
  sceneOf,
  slopingBed,
  sound,
  straight,
  variation,
} from '@/core/testing/testWater';

const db = (power: number): number => 10 * Math.log10(power);
/** Moving, so that speckle averages out. */
const moving = straight(400, 5, 1);
const DEPTH = 15;

describe('a flat bed', () => {
  const hard = sound(sceneOf({}, DEPTH), cone200, moving, 40);
  const mean = meanPower(hard);
  const step = hard.sampleStepM;
  const peakSample = mean.indexOf(Math.max(...mean.slice(Math.floor(14 / step))));
  const peak = mean[peakSample]!;

  it('returns first from its depth, within half a sample', () => {
    const first = mean.findIndex((p, j) => j * step > DEPTH - 1 && p > peak * 1e-2);
    // A diffuse bed gathers in proportion to the water the pulse has covered: back along that line to nothing.
    const onset = first * step - (mean[first]! / (mean[first + 1]! - mean[first]!)) * step;
    expect(Math.abs(onset - DEPTH)).toBeLessThan(step / 2);
  });
  it('has a trace as long as the beam’s pattern and the bed’s own make it', () => {
    // Straight from the geometry: rings at range r under angle i, cos i = d/r, weighed by σ(i)·b²(i)·r dr/r⁴ over a pulse.
    const ka = pistonKa(cone200.beam.alongRad);
    const density = (r: number): number => {
      const i = Math.acos(DEPTH / r);
      return (bedBackscatter('gravel', i) * pistonPattern(ka, Math.sin(i)) ** 2) / r ** 3;
    };
    const over = (r: number): number => {
      let sum = 0;
      for (let k = 0; k < 40; k++) {
        const at = r - ((k + 0.5) / 40) * hard.resolutionM;
        if (at > DEPTH) sum += density(at);
      }
      return sum;
    };
    let most = 0;
    for (let r = DEPTH; r < 18; r += 0.01) most = Math.max(most, over(r));
    let expected = DEPTH + 0.1;
    while (over(expected) > most * 1e-2) expected += 0.005;
    let found = peakSample;
    while (mean[found]! > peak * 1e-2) found++;
    // Speckle of 400 pings leaves a tenth; a range step is a tenth of the trace.
    expect(Math.abs(found * step - expected)).toBeLessThan(0.12 * (expected - DEPTH) + step);
  });
  it('differs hard from soft by the loss at reflection', () => {
    const soft = sound(sceneOf({}, DEPTH, 'mud'), cone200, moving, 40);
    const apart = meanDb(hard, DEPTH + 0.03, DEPTH + 0.12) - meanDb(soft, DEPTH + 0.03, DEPTH + 0.12);
    expect(Math.abs(apart - db(bedBackscatter('gravel', 0) / bedBackscatter('mud', 0)))).toBeLessThan(1);
    // The facets of the two beds differ a little too, by under 2 dB.
    expect(Math.abs(apart - (bedLoss('mud') - bedLoss('gravel')))).toBeLessThan(3);
  });
  it('rings a second time from twice its depth with its level: 30 log 2, the bounce, the surface, absorption', () => {
    const second = Math.max(...mean.slice(Math.floor(29.9 / step), Math.floor(30.6 / step)));
    const alpha = hard.calibration!.absorptionDbPerM;
    const expected = 30 * Math.log10(2) + bedLoss('gravel') + 2 + 2 * alpha * DEPTH;
    expect(Math.abs(db(peak / second) - expected)).toBeLessThan(1);
  });
  it('twinkles as speckle does when rough, and hardly when it mirrors a low frequency', () => {
    const low = transducerOf('offshore-50-200').faces[0]!;
    const mirror = sound(sceneOf({}, DEPTH, 'mud'), low, moving, 25);
    const at = (channel: typeof hard, r: number): number[] =>
      Array.from({ length: 400 }, (_, p) => powerAt(channel, p, Math.round(r / channel.sampleStepM)));
    expect(Math.abs(variation(at(hard, DEPTH + 0.1)) - 1)).toBeLessThan(0.2);
    // Half of what this mud reflects at 50 kHz is coherent: no longer speckle, not yet a mirror.
    expect(variation(at(mirror, DEPTH + 0.15))).toBeLessThan(0.8);
  });
});

describe('a slope', () => {
  const [depth, phi] = [20, degToRad(10)];
  it('is touched first at d cos s inside the beam', () => {
    const s = degToRad(8);
    const channel = sound(sceneOf({ bed: slopingBed(depth, s) }), cone200, straight(60, 5, 1), 40);
    const nearest = firstBedRange(depth, s, phi);
    expect(meanDb(channel, nearest + 0.02, nearest + 0.17)).toBeGreaterThan(
      meanDb(channel, nearest - 0.5, nearest - 0.05) + 10,
    );
  });
  it('is touched first at the beam’s edge when steeper, d cos s / cos(s − φ)', () => {
    const s = degToRad(22);
    const mean = meanPower(sound(sceneOf({ bed: slopingBed(depth, s) }), cone200, straight(400, 5, 1), 40));
    const step = 40 / (mean.length - 1);
    const peak = Math.max(...mean.slice(Math.floor(10 / step)));
    // The −3 dB angle is where the two-way level has lost 6 dB.
    const first = mean.findIndex((p, j) => j * step > 10 && p > peak / 4) * step;
    expect(Math.abs(first / firstBedRange(depth, s, phi) - 1)).toBeLessThan(0.03);
  });
  it('hides a fish that is deeper than its first touch, and not one clear of it', () => {
    const s = degToRad(15);
    const touch = firstBedRange(depth, s, phi);
    const gap = (z: number): number => {
      // Carried along under the boat, so that the bed's speckle averages out and the target stays.
      const target = {
        kind: 'towed-weight' as const,
        targetStrengthDb: -38,
        from: { x: 0, y: 0 },
        lineOut: [[0, z]] as const,
        swing: 0,
      };
      const channel = sound(
        sceneOf({ bed: slopingBed(depth, s), gear: [target] }),
        cone200,
        straight(200, 5, 1),
        40,
      );
      const echo = meanDb(channel, z + 0.02, z + 0.06);
      // Quietest water between the fish's echo and the first strong bed.
      let low = Infinity;
      for (let r = z + 1.3 * channel.resolutionM; r < Math.max(touch, z + 0.3); r += 0.04)
        low = Math.min(low, meanDb(channel, r, r + 0.05));
      return echo - low;
    };
    expect(depth - 0.3).toBeGreaterThan(touch);
    expect(gap(depth - 0.3)).toBeLessThan(3);
    expect(gap(touch - 1.4)).toBeGreaterThan(8);
  });
});

describe('late echoes', () => {
  const c = 1472;
  it('of the first bed echo, at 1.3 × c/2d, stand at 0.23 d', () => {
    const rate = (1.3 * c) / (2 * DEPTH);
    const channel = sound(sceneOf({}, DEPTH), cone200, straight(60, rate), 11, quiet, rate);
    const folded = (1 - 1 / 1.3) * DEPTH;
    expect(folded / DEPTH).toBeCloseTo(0.23, 2);
    expect(meanDb(channel, folded + 0.06, folded + 0.2)).toBeGreaterThan(
      meanDb(channel, folded - 0.6, folded - 0.15) + 10,
    );
  });
  it('of the second bed echo of 10 m in an 18 m window stand at 2 m', () => {
    const rate = c / (2 * 18);
    const channel = sound(sceneOf({}, 10, 'rock'), cone200, straight(60, rate, 1), 17.5, quiet, rate);
    const found = meanDb(channel, 2.05, 2.25);
    expect(found).toBeGreaterThan(meanDb(channel, 1.5, 1.85) + 8);
    expect(found).toBeGreaterThan(meanDb(channel, 5, 8) + 8);
  });
});
