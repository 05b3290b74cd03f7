import { lateRange, pingPeriodM } from './pingRate';

/** A late bed echo drawn in the water. */
export interface FalseBed {
  /** Which bed echo it is, and how many pings late. */
  bedEcho: number;
  pingsLate: number;
  rangeM: number;
}

/**
 * Where bed echoes that come too late for their own ping are drawn over the bed: at m·d − n·c/2f, for the first `bedEchoes`.
 * @throws RangeError unless depth and ping rate are above 0
 */
export function falseBeds(
  depthM: number,
  pingRate: number,
  soundSpeedMps: number,
  bedEchoes = 3,
): FalseBed[] {
  if (!(depthM > 0 && pingRate > 0))
    throw new RangeError(`false beds: depth and ping rate must be above 0, got ${depthM} m, ${pingRate}`);
  const period = pingPeriodM(pingRate, soundSpeedMps);
  const out: FalseBed[] = [];
  for (let m = 1; m <= bedEchoes; m++) {
    const late = Math.floor((m * depthM) / period);
    const rangeM = lateRange(m * depthM, late, period);
    if (late > 0 && rangeM < depthM) out.push({ bedEcho: m, pingsLate: late, rangeM });
  }
  return out;
}
