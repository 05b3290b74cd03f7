import { measure, type UnitSystem } from '@/core/units';
import type { ScaleMark } from './EchoCanvas';
import { decimal } from './decimal';

/** Steps a depth scale may count in. */
const STEPS = [0.5, 1, 2, 5, 10, 20, 25, 50, 100, 200, 500];
/** About as many lines as fit a phone. */
const MOST_LINES = 8;

/** What a picture shows from top to foot: depths, or, locked to the bed, heights over it (negative under). */
export interface ScaleWindow {
  topM: number;
  spanM: number;
  overBed: boolean;
}

/** Lines of a scale over a window, in round numbers of the user's unit. */
export function depthScale({ topM, spanM, overBed }: ScaleWindow, system: UnitSystem): ScaleMark[] {
  const { fromSi, unit } = measure(system, 'depth');
  const span = fromSi(spanM);
  // Over a bed it counts up from it, and the bed lies under the top by as much.
  const top = overBed ? -fromSi(topM) : fromSi(topM);
  const step = STEPS.find((s) => span / s <= MOST_LINES) ?? 1000;
  const marks: ScaleMark[] = [];
  // A line closer to the foot than a third of a step would collide with nothing below it, but is cut.
  for (let k = Math.ceil(top / step); k * step <= top + span * 0.985; k++) {
    const value = k * step;
    const number = decimal(Math.abs(value), 1);
    marks.push({
      at: (value - top) / span,
      label: overBed && value === 0 ? 'bed' : marks.length === 0 ? `${number} ${unit}` : number,
    });
  }
  return marks;
}
