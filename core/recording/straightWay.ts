import type { Navigation } from './recording';

/** A boat that goes straight east at one speed, level and without waves: all that is known where no instruments were kept. */
export function straightWay(timeS: Float64Array, speedMps: number): Navigation {
  const zeros = new Float32Array(timeS.length);
  return {
    timeS,
    eastM: timeS.map((t) => t * speedMps),
    northM: new Float64Array(timeS.length),
    speedMps: new Float32Array(timeS.length).fill(speedMps),
    headingRad: zeros,
    pitchRad: zeros,
    rollRad: zeros,
    heaveM: zeros,
    temperatureC: zeros,
    supplyV: zeros,
  };
}
