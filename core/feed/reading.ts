/** What a boat can be asked, and the numbers that are believed of it: SI units, bearings clockwise from north. */
export const QUANTITIES = {
  latitudeDeg: [-90, 90],
  longitudeDeg: [-180, 180],
  /** Radius in which the antenna lies two times of three, m. */
  accuracyM: [0.01, 500],
  courseRad: [0, 2 * Math.PI],
  headingRad: [0, 2 * Math.PI],
  speedMps: [0, 40],
  /** Under the surface, m. */
  depthM: [0.1, 1000],
  temperatureC: [-3, 45],
  /** Bow up, starboard down, rad. */
  pitchRad: [-1.2, 1.2],
  rollRad: [-1.6, 1.6],
  supplyV: [3, 60],
} as const satisfies Record<string, readonly [low: number, high: number]>;
export type Quantity = keyof typeof QUANTITIES;

/** One thing a boat said of itself. */
export interface BoatReading {
  quantity: Quantity;
  value: number;
  /** Who said it: a talker and its sentence, or the device. */
  from: string;
}
