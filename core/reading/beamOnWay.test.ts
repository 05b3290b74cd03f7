import type { Navigation } from '@/core/recording';
import { cone, fan } from '@/core/rig';
import { degToRad } from '@/core/units';
import { beamOnWay } from './beamOnWay';

const slice = fan(degToRad(1.2), degToRad(50));

/** A boat that goes east by half a metre a ping with its bow so far off that way. */
const goingEast = (bowRad: number): Navigation => {
  const of = (value: (p: number) => number): Float32Array =>
    Float32Array.from({ length: 60 }, (_, p) => value(p));
  const none = of(() => 0);
  return {
    timeS: Float64Array.from({ length: 60 }, (_, p) => p),
    eastM: Float64Array.from({ length: 60 }, (_, p) => 0.5 * p),
    northM: new Float64Array(60),
    speedMps: of(() => 0.5),
    headingRad: of(() => bowRad),
    pitchRad: none,
    rollRad: none,
    heaveM: none,
    temperatureC: none,
    supplyV: none,
  };
};

describe('a beam on the way of its boat', () => {
  it('is as wide along the way as athwart where the boat drifts abeam', () => {
    for (const bow of [Math.PI / 2, -Math.PI / 2]) {
      const turned = beamOnWay(slice, goingEast(bow), 0.5);
      expect(turned.alongRad).toBeCloseTo(slice.athwartRad, 6);
      expect(turned.athwartRad).toBeCloseTo(slice.alongRad, 6);
    }
  });
  it('is itself where the bow points along the way, forward or astern', () => {
    for (const bow of [0.02, Math.PI]) expect(beamOnWay(slice, goingEast(bow), 0.5)).toBe(slice);
  });
  it('lies between where the bow is off by a part, and never beyond its own widths', () => {
    const { alongRad } = beamOnWay(slice, goingEast(degToRad(80)), 0.5);
    // Ten degrees from abeam the fan is cut at its thickness over the sine of that.
    expect(alongRad).toBeCloseTo(slice.alongRad / Math.sin(degToRad(10)), 2);
    expect(alongRad).toBeLessThan(slice.athwartRad);
  });
  it('is left as it is where a cone looks, the boat keeps still, or no compass was there', () => {
    const abeam = goingEast(Math.PI / 2);
    expect(beamOnWay(cone(0.3), abeam, 0.5)).toEqual(cone(0.3));
    expect(beamOnWay(slice, abeam, 0)).toBe(slice);
    expect(beamOnWay(slice, { ...goingEast(0), northM: abeam.eastM, eastM: abeam.northM }, 0.5)).toBe(slice);
  });
});
