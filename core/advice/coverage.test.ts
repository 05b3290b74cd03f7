import { driftOver, lanesOver, type Ground } from '@/core/advice';
import { faceOf, GENERIC_RIG } from '@/core/rig';

const wide = faceOf(GENERIC_RIG, 'cone-83');
const GROUND: Ground = {
  lengthM: 200,
  widthM: 80,
  depthM: 10,
  overlap: 0.25,
  speedMps: 1.5,
  fuelLph: 2,
  coverM: 3,
};

describe('lanes', () => {
  it('are as many as a beam with its overlap needs', () => {
    // 60° at 10 m: 2 · 10 · tan 30° = 11.55 m; with a quarter in common 8.66 m apart; (80 − 11.55) / 8.66 = 7.9, so 8 + 1.
    const lanes = lanesOver(wide, GROUND);
    expect(lanes.swathM).toBeCloseTo(11.547, 3);
    expect(lanes.count).toBe(9);
    expect(lanes.spacingM).toBeCloseTo((80 - 11.547) / 8, 3);
    expect(lanes.distanceM).toBeCloseTo(9 * 200 + 8 * lanes.spacingM, 6);
    expect(lanes.timeS).toBeCloseTo(lanes.distanceM / 1.5, 6);
    expect(lanes.fuelL).toBeCloseTo((2 * lanes.timeS) / 3600, 9);
    expect(lanes.crossed).toBe(1);
  });
  it('cover all of the ground, to its edges', () => {
    for (const overlap of [0, 0.3, 0.6]) {
      const { acrossM, swathM, spacingM } = lanesOver(wide, { ...GROUND, overlap });
      expect(acrossM[0]! - swathM / 2).toBeCloseTo(-40, 6);
      expect(acrossM[acrossM.length - 1]! + swathM / 2).toBeCloseTo(40, 6);
      expect(spacingM).toBeLessThanOrEqual(swathM * (1 - overlap) + 1e-9);
    }
  });
  it('with gaps cross a piece of cover with a chance', () => {
    // Asked 11.55 · 2 = 23.1 m apart over 80 m: 4 lanes, 22.8 m apart; (11.55 + 3) / 22.8 = 0.64.
    const lanes = lanesOver(wide, { ...GROUND, overlap: -1 });
    expect(lanes.count).toBe(4);
    expect(lanes.crossed).toBeCloseTo((11.547 + 3) / ((80 - 11.547) / 3), 3);
  });
  it('are one over ground narrower than the beam', () => {
    expect(lanesOver(wide, { ...GROUND, widthM: 8 })).toMatchObject({
      count: 1,
      acrossM: [0],
      distanceM: 200,
    });
  });
  it('refuse what cannot be gone over', () => {
    expect(() => lanesOver(wide, { ...GROUND, speedMps: 0 })).toThrow(RangeError);
    expect(() => lanesOver(wide, { ...GROUND, overlap: 1 })).toThrow(/overlap/);
    expect(() => lanesOver(wide, { ...GROUND, widthM: 1e6 })).toThrow(/too many/);
  });
});

describe('drifts', () => {
  it('go at a share of the wind and come back under power', () => {
    const drift = driftOver(wide, GROUND, 5);
    expect(drift.driftMps).toBeCloseTo(0.2, 9);
    expect(drift.timeS - drift.backS).toBeCloseTo((9 * 200) / 0.2, 6);
    expect(drift.backS).toBeCloseTo((8 * Math.hypot(200, drift.spacingM)) / 1.5, 6);
    expect(() => driftOver(wide, GROUND, 0)).toThrow(/wind/);
  });
});
