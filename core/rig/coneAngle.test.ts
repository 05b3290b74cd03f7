import { coneFromWeight, coneOfShare, coneSpan } from '@/core/rig';
import { radToDeg } from '@/core/units';

it('turns a rule of thumb into degrees', () => {
  // A third of the depth: 2 atan(1/6) = 18.92°.
  expect(radToDeg(coneOfShare(1 / 3))).toBeCloseTo(18.92, 2);
  expect(() => coneOfShare(0)).toThrow(RangeError);
});
it('tells a cone from a weight moved aside until it is lost', () => {
  // 1 m aside at 5 m: 2 atan(0.2) = 22.62°.
  expect(radToDeg(coneFromWeight(1, 5))).toBeCloseTo(22.62, 2);
  expect(() => coneFromWeight(1, 0)).toThrow(RangeError);
});
it('carries widest and narrowest of what is quoted', () => {
  const [low, high] = coneSpan((12.5 * Math.PI) / 180).map(radToDeg);
  expect(low).toBeCloseTo(8, 1);
  expect(high).toBeCloseTo(20, 1);
});
