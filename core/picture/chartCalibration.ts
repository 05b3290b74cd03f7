import type { ChartTiming } from '@/core/rig';

/** Columns a second by the number the unit shows. */
export interface ChartCalibration {
  columnsPerS: (shown: number) => number;
  /** The number for a wanted speed, not rounded. */
  shownFor: (columnsPerS: number) => number;
}

/**
 * A unit's chart speeds from two timings of one mark: columns a second grow evenly with the number shown, or, where an even line
 * would come to nothing inside the unit's range, by an even factor.
 * @param columns of the unit's screen @param lowest number the unit shows
 * @throws RangeError when the timings are of one setting, are not times, or are the same
 */
export function calibrateChart(
  columns: number,
  lowest: number,
  highest: number,
  a: ChartTiming,
  b: ChartTiming,
): ChartCalibration {
  if (!(a.acrossS > 0 && b.acrossS > 0 && Number.isFinite(a.acrossS) && Number.isFinite(b.acrossS)))
    throw new RangeError('chart speed: both times must be above 0 s');
  if (a.shown === b.shown) throw new RangeError('chart speed: the two settings must differ');
  const [va, vb] = [columns / a.acrossS, columns / b.acrossS];
  if (Math.abs(va - vb) < 1e-9 * va)
    throw new RangeError('chart speed: the two times must differ, or the setting does nothing');
  const slope = (vb - va) / (b.shown - a.shown);
  const even = (shown: number): number => va + slope * (shown - a.shown);
  if (even(lowest) > 0 && even(highest) > 0)
    return { columnsPerS: even, shownFor: (v) => a.shown + (v - va) / slope };
  const factor = Math.log(vb / va) / (b.shown - a.shown);
  return {
    columnsPerS: (shown) => va * Math.exp(factor * (shown - a.shown)),
    shownFor: (v) => a.shown + Math.log(v / va) / factor,
  };
}
