import { phaseOfSpeed } from './phaseOfSpeed';

const DAY = [
  { presentation: 'run', speedMps: 6 },
  { presentation: 'search', speedMps: 1.5 },
  { presentation: 'vertical', speedMps: 0 },
] as const;

it('a speed names a phase where no other is near', () => {
  expect(phaseOfSpeed(DAY, 6.4)).toBe('run');
  expect(phaseOfSpeed(DAY, 1.5)).toBe('search');
  expect(phaseOfSpeed(DAY, 0.1)).toBe('vertical');
});
it('a speed between two names none, and so does one that two share', () => {
  expect(phaseOfSpeed(DAY, 3)).toBeNull();
  expect(phaseOfSpeed(DAY, 0.6)).toBeNull();
  expect(phaseOfSpeed([...DAY, { presentation: 'troll', speedMps: 1.2 }], 1.4)).toBeNull();
  expect(phaseOfSpeed([], 1)).toBeNull();
});
