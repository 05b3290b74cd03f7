import { absorption, type Absorption } from './absorption';
import { soundSpeed } from './soundSpeed';

/** The water a pass is made in. */
export interface Water {
  temperatureC: number;
  /** Practical salinity, 0 for a lake. */
  salinity: number;
  /** Depth of the warm-to-cold step, m; null when the water is mixed. */
  thermoclineM: number | null;
  /** Wind over the water, m/s. */
  windMps: number;
}

/** Sound speed of a water at its surface, m/s; a lake's depth changes it by less than a part in a thousand. */
export const soundSpeedOf = (water: Water): number => soundSpeed(water.temperatureC, water.salinity);

/** Absorption of a water at a frequency. */
export const absorptionOf = (water: Water, frequencyHz: number): Absorption =>
  absorption(frequencyHz, water.temperatureC, { salinity: water.salinity });
