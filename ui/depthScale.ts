import { measure, type UnitSystem } from '@/core/units';
import type { ScaleMark } from './EchoCanvas';

/** Steps a depth scale may count in. */
const STEPS = [0.5, 1, 2, 5, 10, 20, 25, 50, 100, 200, 500];
/** About as many lines as fit a phone. */
const MOST_LINES = 8;

/** Lines of a depth scale over a window from the surface to `rangeM`, in round numbers of the user's unit. */
export function depthScale(rangeM: number, system: UnitSystem): ScaleMark[] {
  const { fromSi, unit } = measure(system, 'depth');
  const span = fromSi(rangeM);
  const step = STEPS.find((s) => span / s <= MOST_LINES) ?? 1000;
  const marks: ScaleMark[] = [];
  // A line closer to the foot than a third of a step would collide with nothing below it, but is cut.
  for (let value = 0; value <= span * 0.985; value += step)
    marks.push({ at: value / span, label: value === 0 ? `0 ${unit}` : String(Number(value.toFixed(1))) });
  return marks;
}
