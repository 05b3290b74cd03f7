import {
  blindHeight,
  excessNoiseFromWeight,
  falseBeds,
  footprintAt,
  leanAfloat,
  lureInView,
  pointingAt,
  detectionRange,
  faceBudget,
  GENERIC_RIG,
  LEVEL_MOUNT,
  transducerOf,
} from '@/core/rig';
import { weightTargetStrength } from '@/core/water';

const [cone20, cone60] = transducerOf('twin-83-200').faces;
const [slice] = transducerOf('imaging').faces;
const water = { temperatureC: 15, salinity: 0, thermoclineM: null, windMps: 2 };

/** Worked out by hand from the sines and tangents of these angles. */
describe('what a boat’s beams cover', () => {
  it('is 2 d tan of half the angle', () => {
    // tan 10° = 0.17633, tan 30° = 0.57735, tan 0.8° = 0.013964, tan 25° = 0.46631
    expect(footprintAt(cone20!, 10).athwartM).toBeCloseTo(3.527, 3);
    expect(footprintAt(cone60!, 10).offLineM).toBeCloseTo(5.774, 3);
    expect(footprintAt(slice!, 10).alongM).toBeCloseTo(0.279, 3);
    expect(footprintAt(slice!, 10).athwartM).toBeCloseTo(9.326, 3);
  });

  it('moves by d tan t where the face is tilted', () => {
    const mount = { ...LEVEL_MOUNT, alongRad: (5 * Math.PI) / 180 };
    // tan 5° = 0.087489, 1 / cos 5° = 1.003820
    expect(pointingAt(mount, 20).forwardM).toBeCloseTo(1.75, 2);
    expect(pointingAt(mount, 20).tooDeepM).toBeCloseTo(0.076, 3);
    expect(pointingAt(LEVEL_MOUNT, 20)).toEqual({ forwardM: 0, portM: 0, tooDeepM: 0 });
  });
});

describe('a lure', () => {
  it('comes into a level cone at k / tan of half the angle', () => {
    // 1 m off, 20°: 1 / 0.17633 = 5.67 m; 60°: 1.73 m
    expect(lureInView(cone20!, LEVEL_MOUNT, { x: 0.6, y: -0.8 })!.fromM).toBeCloseTo(5.67, 1);
    expect(lureInView(cone60!, LEVEL_MOUNT, { x: 0, y: 1 })!.fromM).toBeCloseTo(1.73, 1);
    expect(lureInView(cone20!, LEVEL_MOUNT, { x: 0, y: 0 })).toEqual({ fromM: 0, toM: null });
  });

  it('is lost again, or never seen, where the beam is tilted away', () => {
    const ahead = { ...LEVEL_MOUNT, alongRad: (15 * Math.PI) / 180 };
    const view = lureInView(cone20!, ahead, { x: 2, y: 0 })!;
    // Between 25° and 5° off the vertical: 2 / tan 25° = 4.29 m to 2 / tan 5° = 22.9 m
    expect(view.fromM).toBeCloseTo(4.29, 1);
    expect(view.toM).toBeCloseTo(22.9, 1);
    expect(lureInView(cone20!, ahead, { x: -1, y: 0 })).toBeNull();
  });
});

describe('what hides', () => {
  it('on a slope is all below its first touch', () => {
    // 10 m, 8° inside a 20° beam: 10 (1 − cos 8°) = 0.097 m and half of the pulse's length in water
    const level = blindHeight(cone20!, 10, 0, 1480);
    expect(blindHeight(cone20!, 10, (8 * Math.PI) / 180, 1480) - level).toBeCloseTo(0.097, 3);
    // 20° is beyond it: 10 − 10 cos 20° / cos 10° = 0.458 m
    expect(blindHeight(cone20!, 10, (20 * Math.PI) / 180, 1480) - level).toBeCloseTo(0.458, 2);
  });

  it('false beds stand where m·d − n·c/2f says', () => {
    // 10 m at 90 a second, 1480 m/s: a period of 8.222 m
    expect(falseBeds(10, 90, 1480)).toEqual([
      { bedEcho: 1, pingsLate: 1, rangeM: expect.closeTo(1.778, 3) as number },
      { bedEcho: 2, pingsLate: 2, rangeM: expect.closeTo(3.556, 3) as number },
      { bedEcho: 3, pingsLate: 3, rangeM: expect.closeTo(5.333, 3) as number },
    ]);
    expect(falseBeds(10, 20, 1480)).toEqual([]);
    expect(() => falseBeds(0, 20, 1480)).toThrow(RangeError);
  });
});

describe('the noise check', () => {
  it('gives back the noise of the rig that lost the weight there', () => {
    for (const excessNoiseDb of [40, 55])
      for (const engine of ['off', 'gear'] as const) {
        const rig = { ...GENERIC_RIG, excessNoiseDb };
        const budget = faceBudget(rig, cone20!, water, { engine });
        const lostAtM = detectionRange(budget, weightTargetStrength(0.0035));
        const measured = excessNoiseFromWeight(GENERIC_RIG, cone20!, water, {
          massKg: 0.0035,
          lostAtM,
          engine,
        });
        expect(Math.abs(measured - excessNoiseDb)).toBeLessThan(0.3);
      }
  });

  it('says a quiet rig and a hopeless one without falling over', () => {
    expect(excessNoiseFromWeight(GENERIC_RIG, cone20!, water, { massKg: 0.0004, lostAtM: 400 })).toBe(0);
    expect(excessNoiseFromWeight(GENERIC_RIG, cone20!, water, { massKg: 0.5, lostAtM: 0.02 })).toBe(100);
    expect(() => excessNoiseFromWeight(GENERIC_RIG, cone20!, water, { massKg: 0.01, lostAtM: 0 })).toThrow(
      RangeError,
    );
  });
});

it('carries a lean from the trailer to the water', () => {
  // Deck 4° bow up on the trailer and 1° afloat; a face that is level there looks 3° astern afloat.
  const deg = Math.PI / 180;
  const lean = leanAfloat(
    { alongRad: deg, athwartRad: 0 },
    { alongRad: 4 * deg, athwartRad: 2 * deg },
    { alongRad: 0, athwartRad: 2 * deg },
  );
  expect(lean.alongRad / deg).toBeCloseTo(-3, 9);
  expect(lean.athwartRad / deg).toBeCloseTo(0, 9);
});
