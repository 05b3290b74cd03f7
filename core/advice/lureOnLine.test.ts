import { hangingLure, lureDepth, rodReach, sinkSpeed, type Tackle } from './lureOnLine';

const JIG: Tackle = { massKg: 0.014, dressed: false, lineM: 0.0002 };

describe('a lure on its line', () => {
  it('sinks as a ball of lead does', () => {
    // r = 6.654 mm; W = 0.1252 N; v = √(2W / ρ·Cd·πr²).
    const area = Math.PI * 6.654e-3 ** 2;
    const wanted = Math.sqrt((2 * 0.014 * 9.81 * (1 - 1000 / 11340)) / (1000 * 0.47 * area));
    expect(sinkSpeed(JIG)).toBeCloseTo(wanted, 2);
    expect(sinkSpeed({ ...JIG, dressed: true })).toBeCloseTo(wanted / 2, 2);
    expect(() => sinkSpeed({ ...JIG, massKg: 0 })).toThrow(/above 0/);
  });
  it('hangs aft by its drag over its weight where the line is thin', () => {
    const thin = { ...JIG, lineM: 0 };
    const { aftM, lineOutM } = hangingLure(thin, 10, 0.5);
    // At half a metre a second drag is (0.5 / v)² of the weight.
    const slope = (0.5 / sinkSpeed(thin)) ** 2;
    expect(aftM).toBeCloseTo(10 * slope, 9);
    expect(lineOutM).toBeCloseTo(10 * Math.hypot(1, slope), 9);
  });
  it('hangs farther aft on thicker line, at more speed, with less weight, and not at all at rest', () => {
    const aft = (change: Partial<Tackle>, speed = 0.5): number =>
      hangingLure({ ...JIG, ...change }, 10, speed).aftM;
    expect(aft({ lineM: 0.0004 })).toBeGreaterThan(aft({}));
    expect(aft({}, 1)).toBeGreaterThan(2 * aft({}));
    expect(aft({ massKg: 0.028 })).toBeLessThan(aft({}));
    expect(aft({}, 0)).toBe(0);
  });
  it('is seen from a rod near enough, and hangs over cover and fish', () => {
    expect(rodReach(8, (20 * Math.PI) / 180)).toBeCloseTo(8 * Math.tan((10 * Math.PI) / 180), 9);
    expect(lureDepth({ topM: 1.8 })).toBeCloseTo(1.5, 9);
    expect(lureDepth({ fishM: 10 })).toBeCloseTo(9.4, 9);
    expect(lureDepth({ topM: 0.2 })).toBe(0.3);
  });
});
