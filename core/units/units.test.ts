import {
  cToFahrenheit,
  fahrenheitToC,
  feetToM,
  format,
  formatBand,
  kmhToMps,
  knotsToMps,
  measure,
  mphToMps,
  mpsToKmh,
  mpsToKnots,
  mpsToMph,
  mToFeet,
  systemOfLocale,
} from '@/core/units';

it('converts by exact definitions and back', () => {
  expect(feetToM(1)).toBe(0.3048);
  expect(mphToMps(1)).toBeCloseTo(0.44704, 12);
  expect(knotsToMps(1)).toBeCloseTo(1852 / 3600, 12);
  for (const x of [0, 0.1, 3, 127.5]) {
    expect(mToFeet(feetToM(x))).toBeCloseTo(x, 12);
    expect(mpsToMph(mphToMps(x))).toBeCloseTo(x, 12);
    expect(mpsToKmh(kmhToMps(x))).toBeCloseTo(x, 12);
    expect(mpsToKnots(knotsToMps(x))).toBeCloseTo(x, 12);
    expect(fahrenheitToC(cToFahrenheit(x))).toBeCloseTo(x, 12);
  }
});

it('writes numbers with their unit', () => {
  expect(format('metric', 'depth', 12.34)).toBe('12.3\u00a0m');
  expect(format('feet', 'depth', 3.048)).toBe('10\u00a0ft');
  expect(format('metric', 'small', 0.021)).toBe('2.1\u00a0cm');
  expect(format('metric', 'temperature', -0.2)).toBe('0\u00a0°C');
  expect(format('metric', 'depth', 10, 0)).toBe('10\u00a0m');
  expect(formatBand('feet', 'depth', 6.096, 12.192, 0)).toBe('20–40\u00a0ft');
  expect(formatBand('metric', 'small', 0.112, 0.114, 0)).toBe('11\u00a0cm');
});

it('takes every measure there and back', () => {
  for (const system of ['metric', 'feet'] as const)
    for (const name of ['depth', 'small', 'speed', 'temperature'] as const) {
      const m = measure(system, name);
      expect(m.toSi(m.fromSi(7.3))).toBeCloseTo(7.3, 12);
    }
});

it.each([
  ['en-US', 'feet'],
  ['en-GB', 'metric'],
  ['de', 'metric'],
  ['zh-Hans-CN', 'metric'],
])('takes %s to use %s', (locale, system) => expect(systemOfLocale(locale)).toBe(system));
