import { calibrateChart } from '@/core/picture';

it('gives seconds a column for all settings from two timings', () => {
  // 640 columns: 64 s at 3 is 10 a second, 32 s at 6 is 20; 5 is between at 16.7.
  const chart = calibrateChart(640, 1, 10, { shown: 3, acrossS: 64 }, { shown: 6, acrossS: 32 });
  expect(chart.columnsPerS(3)).toBeCloseTo(10, 9);
  expect(chart.columnsPerS(6)).toBeCloseTo(20, 9);
  expect(chart.columnsPerS(5)).toBeCloseTo(16.667, 3);
  expect(chart.shownFor(chart.columnsPerS(8))).toBeCloseTo(8, 9);
});
it('never comes to a standstill inside the unit’s range', () => {
  const chart = calibrateChart(640, 1, 10, { shown: 5, acrossS: 320 }, { shown: 10, acrossS: 20 });
  expect(chart.columnsPerS(1)).toBeGreaterThan(0);
  expect(chart.shownFor(chart.columnsPerS(2))).toBeCloseTo(2, 9);
});
it('refuses timings that tell nothing', () => {
  const a = { shown: 3, acrossS: 60 };
  expect(() => calibrateChart(640, 1, 10, a, { shown: 3, acrossS: 30 })).toThrow(/settings/);
  expect(() => calibrateChart(640, 1, 10, a, { shown: 6, acrossS: 60 })).toThrow(/times must differ/);
  expect(() => calibrateChart(640, 1, 10, a, { shown: 6, acrossS: 0 })).toThrow(/above 0/);
});
