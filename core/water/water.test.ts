import {
  absorption,
  bedBackscatter,
  bedLoss,
  coherentShare,
  bedReflection,
  fishLengthOf,
  fishTargetStrength,
  lengthFactorOf,
  lureTargetStrength,
  noiseSpectrum,
  roughnessLoss,
  soundSpeed,
  squareOnGain,
  thermalNoise,
  tiltEffect,
  weightTargetStrength,
  windNoise,
} from '@/core/water';

describe('sound speed', () => {
  it('meets the check value of the published formula', () => {
    // The check is stated on IPTS-68, the function takes ITS-90.
    expect(soundSpeed(40 / 1.00024, 40, 1000)).toBeCloseTo(1731.995, 2);
  });
  it.each([
    [0, 1402.39],
    [20, 1482.35],
  ])('agrees with three pure-water formulas at %d °C', (t, c) => {
    expect(Math.abs(soundSpeed(t) - c)).toBeLessThan(0.1);
  });
  it('agrees with a straight evaluation of Del Grosso & Mader in fresh water', () => {
    for (let t = 0; t <= 35; t += 5) {
      const u = 1.00024 * t;
      const c =
        1402.38754 +
        5.03711129 * u -
        5.80852166e-2 * u ** 2 +
        3.34198834e-4 * u ** 3 -
        1.47800417e-6 * u ** 4 +
        3.14643091e-9 * u ** 5;
      expect(Math.abs(soundSpeed(t) / c - 1)).toBeLessThan(1e-4);
    }
  });
  it('refuses what it was not fitted to, and NaN', () => {
    expect(() => soundSpeed(50)).toThrow(RangeError);
    expect(() => soundSpeed(NaN)).toThrow(RangeError);
    expect(() => soundSpeed(10, -1)).toThrow(RangeError);
    expect(() => soundSpeed(10, 0, 2000)).toThrow(RangeError);
  });
});

describe('absorption', () => {
  it('is the water term alone in fresh water, evaluated straight', () => {
    // 200 kHz, 17 °C: A3 = 4.937e-4 − 2.59e-5·17 + 9.11e-7·17² − 1.5e-8·17³
    const a3 = 4.937e-4 - 2.59e-5 * 17 + 9.11e-7 * 17 ** 2 - 1.5e-8 * 17 ** 3;
    expect(absorption(200e3, 17).dbPerM).toBeCloseTo((a3 * 200 ** 2) / 1000, 8);
  });
  it('is within a tenth of Fisher & Simmons in pure water', () => {
    for (const t of [5, 15, 25]) {
      const np = (55.9 - 2.37 * t + 4.77e-2 * t ** 2 - 3.48e-4 * t ** 3) * 1e-15 * 200e3 ** 2;
      expect(absorption(200e3, t).dbPerM / (np * 8.6859)).toBeCloseTo(1, 0);
    }
  });
  it('is near Ainslie & McColm in the sea', () => {
    const [f, t, s] = [200, 10, 35];
    const f1 = 0.78 * Math.sqrt(s / 35) * Math.exp(t / 26);
    const f2 = 42 * Math.exp(t / 17);
    const am =
      (0.106 * f1 * f * f) / (f1 * f1 + f * f) +
      (0.52 * (1 + t / 43) * (s / 35) * f2 * f * f) / (f2 * f2 + f * f) +
      0.00049 * f * f * Math.exp(-t / 27);
    expect(Math.abs((absorption(f * 1000, t, { salinity: s }).dbPerM * 1000) / am - 1)).toBeLessThan(0.1);
  });
  it('grows with salinity from fresh to brackish without a jump', () => {
    const at = (salinity: number): number => absorption(100e3, 10, { salinity }).dbPerM;
    expect(at(4.999)).toBeCloseTo(at(5), 5);
    expect(at(2)).toBeGreaterThan(at(0));
  });
  it('labels what lies above 1 MHz and refuses nonsense', () => {
    expect(absorption(1.2e6, 15).extrapolated).toBe(true);
    expect(absorption(800e3, 15).extrapolated).toBe(false);
    expect(() => absorption(2e6, 15)).toThrow(/frequency/);
    expect(() => absorption(NaN, 15)).toThrow(RangeError);
  });
});

describe('noise', () => {
  it('is thermal by Mellen and wind by the fit of Coates', () => {
    expect(thermalNoise(100e3)).toBeCloseTo(25, 6);
    expect(windNoise(10e3, 4)).toBeCloseTo(50 + 15 + 20 - 40 * Math.log10(10.4), 6);
  });
  it('is ruled by own boat: the stated excess over thermal', () => {
    expect(noiseSpectrum(200e3, { excessDb: 47.5 }) - thermalNoise(200e3)).toBeCloseTo(47.5, 1);
    const gear = (f: number): number => noiseSpectrum(f, { engine: 'gear' }) - noiseSpectrum(f);
    expect(gear(200e3)).toBeCloseTo(3, 1);
    expect(gear(50e3)).toBeGreaterThan(gear(200e3) + 1);
    expect(noiseSpectrum(200e3, { engine: 'planing' })).toBeGreaterThan(noiseSpectrum(200e3) + 10);
  });
});

describe('target strength', () => {
  it('follows Love 1977 for a closed bladder', () => {
    expect(fishTargetStrength(0.25, 200e3)).toBeCloseTo(
      19.1 * Math.log10(25) - 0.9 * Math.log10(200) - 62,
      6,
    );
  });
  it('puts open bladders 4.5 dB lower', () => {
    expect(fishTargetStrength(0.3, 38e3) - fishTargetStrength(0.3, 38e3, 'open')).toBeCloseTo(4.5, 6);
  });
  it('turns back into a length', () => {
    for (const bladder of ['closed', 'open', 'small'] as const)
      expect(fishLengthOf(fishTargetStrength(0.4, 83e3, bladder), 83e3, bladder)).toBeCloseTo(0.4, 6);
  });
  it('says how unsure a length is', () => {
    expect(lengthFactorOf(19.1)).toBeCloseTo(10, 6);
    expect(lengthFactorOf(5.5)).toBeCloseTo(1.94, 1);
  });
  it.each([
    [0.4e-3, -60],
    [3.5e-3, -54],
    [28e-3, -48],
  ])('gives a lead weight of %f kg about %d dB', (kg, db) => {
    expect(Math.abs(weightTargetStrength(kg) - db)).toBeLessThan(1);
  });
});

describe('bed', () => {
  it('reflects as the impedances say', () => {
    const z = 1.962 * 1.152;
    expect(bedReflection('sand')).toBeCloseTo((z - 1) / (z + 1), 9);
    expect(bedLoss('mud')).toBeGreaterThan(bedLoss('gravel') + 8);
  });
  it('loses its mirror part with roughness as Eckart says', () => {
    const k = (2 * Math.PI * 50e3) / 1500;
    expect(roughnessLoss('silt', 50e3, 1500)).toBeCloseTo(17.37 * (k * 0.003) ** 2, 6);
  });
});

describe('a fish’s tilt', () => {
  it('leaves the mean over usual tilts where Love puts it', () => {
    const wavelength = 1480 / 120e3;
    let power = 0;
    let weight = 0;
    for (let deg = -40; deg <= 40; deg += 0.5) {
      const w = Math.exp(-0.5 * (deg / 8) ** 2);
      power += w * 10 ** (tiltEffect(0.4, wavelength, (deg * Math.PI) / 180) / 10);
      weight += w;
    }
    expect(Math.abs(10 * Math.log10(power / weight))).toBeLessThan(0.1);
  });
  it('costs 3 dB at the edge of its lobe and never more than 12', () => {
    const at = (deg: number): number => tiltEffect(0.5, 1480 / 200e3, (deg * Math.PI) / 180);
    expect(at(0) - at(7)).toBeCloseTo(3, 6);
    expect(at(0) - at(60)).toBeCloseTo(12, 6);
    expect(at(0)).toBeCloseTo(squareOnGain(0.5, 1480 / 200e3), 9);
    expect(at(0)).toBeGreaterThan(2);
  });
  it('matters less for a small fish at a low frequency', () => {
    const lost = (lengthM: number, f: number): number =>
      tiltEffect(lengthM, 1480 / f, 0) - tiltEffect(lengthM, 1480 / f, 0.2);
    expect(lost(0.1, 50e3)).toBeLessThan(lost(0.5, 200e3));
  });
});

it('a soft bait echoes far less than a metal spoon of its size', () => {
  expect(lureTargetStrength(0.1, 'metal') - lureTargetStrength(0.1, 'soft')).toBeCloseTo(15, 6);
  expect(lureTargetStrength(0.1, 'hard')).toBeGreaterThan(-45);
  expect(lureTargetStrength(0.1, 'hard')).toBeLessThan(-35);
  expect(() => lureTargetStrength(0, 'hard')).toThrow(RangeError);
});

it('a bed mirrors only where its roughness is small against the wave', () => {
  expect(coherentShare('rock', 200e3, 1480)).toBeLessThan(1e-9);
  const k = (2 * Math.PI * 50e3) / 1480;
  expect(coherentShare('mud', 50e3, 1480)).toBeCloseTo(Math.exp(-4 * (k * 0.002) ** 2), 3);
  expect(bedBackscatter('mud', 0, 0.5)).toBeLessThan(bedBackscatter('mud', 0));
});
