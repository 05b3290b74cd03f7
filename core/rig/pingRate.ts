/** Fastest ping rate at which no bed echo of the last ping comes back: c/(2·m·d), 1/s. @throws RangeError unless depth > 0, m ≥ 1 */
export function cleanPingRate(depthM: number, soundSpeedMps: number, bedEchoes = 2): number {
  if (!(depthM > 0)) throw new RangeError(`ping rate: depth must be above 0, got ${depthM} m`);
  if (!(bedEchoes >= 1)) throw new RangeError(`ping rate: bed echoes must be 1 or more, got ${bedEchoes}`);
  return soundSpeedMps / (2 * bedEchoes * depthM);
}

/** Range from which an echo is back just as the next ping is sent, m: c/2f. Ping rate above 0. */
export const pingPeriodM = (pingRate: number, soundSpeedMps: number): number =>
  soundSpeedMps / (2 * pingRate);

/** Echoes of the bed a sounder hears: the first, and three more by way of the surface; each further bounce is weak over any bed. */
export const BED_ECHOES = 4;

/** Range at which an echo that comes `pingsLate` pings late is drawn, m: below 0 when it is not that late. */
export const lateRange = (rangeM: number, pingsLate: number, periodM: number): number =>
  rangeM - pingsLate * periodM;

/** Range at which an echo from `rangeM` is drawn when pings follow each other at `pingRate`: folded into one period, m. */
export function foldedRange(rangeM: number, pingRate: number, soundSpeedMps: number): number {
  const period = pingPeriodM(pingRate, soundSpeedMps);
  return lateRange(rangeM, Math.floor(rangeM / period), period);
}
