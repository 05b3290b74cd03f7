/** Fastest ping rate at which no bed echo of the last ping comes back: c/(2·m·d), 1/s. @throws RangeError unless depth > 0, m ≥ 1 */
export function cleanPingRate(depthM: number, soundSpeedMps: number, bedEchoes = 2): number {
  if (!(depthM > 0)) throw new RangeError(`ping rate: depth must be above 0, got ${depthM} m`);
  if (!(bedEchoes >= 1)) throw new RangeError(`ping rate: bed echoes must be 1 or more, got ${bedEchoes}`);
  return soundSpeedMps / (2 * bedEchoes * depthM);
}

/** Range at which an echo from `rangeM` is drawn when pings follow each other at `pingRate`: folded into one period, m. */
export function foldedRange(rangeM: number, pingRate: number, soundSpeedMps: number): number {
  const period = soundSpeedMps / (2 * pingRate);
  return rangeM - Math.floor(rangeM / period) * period;
}
