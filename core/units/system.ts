import {
  cToFahrenheit,
  kmhToMps,
  mphToMps,
  mpsToKmh,
  mpsToMph,
  mToFeet,
  feetToM,
  M_PER_INCH,
  fahrenheitToC,
} from './convert';

/** The two ways a user may read numbers. */
export type UnitSystem = 'metric' | 'feet';

/** One measure in the user's units: its short name, how to get there from SI and back, and how many decimals help. */
export interface Measure {
  unit: string;
  /** Word for a screen reader. */
  spoken: string;
  fromSi(value: number): number;
  toSi(value: number): number;
  decimals: number;
}

const same = (x: number): number => x;

const METRIC = {
  depth: { unit: 'm', spoken: 'metres', fromSi: same, toSi: same, decimals: 1 },
  small: {
    unit: 'cm',
    spoken: 'centimetres',
    fromSi: (m: number) => m * 100,
    toSi: (cm: number) => cm / 100,
    decimals: 1,
  },
  speed: { unit: 'km/h', spoken: 'kilometres per hour', fromSi: mpsToKmh, toSi: kmhToMps, decimals: 1 },
  temperature: { unit: '°C', spoken: 'degrees Celsius', fromSi: same, toSi: same, decimals: 0 },
};
const FEET: typeof METRIC = {
  depth: { unit: 'ft', spoken: 'feet', fromSi: mToFeet, toSi: feetToM, decimals: 1 },
  small: {
    unit: 'in',
    spoken: 'inches',
    fromSi: (m: number) => m / M_PER_INCH,
    toSi: (inch: number) => inch * M_PER_INCH,
    decimals: 1,
  },
  speed: { unit: 'mph', spoken: 'miles per hour', fromSi: mpsToMph, toSi: mphToMps, decimals: 1 },
  temperature: {
    unit: '°F',
    spoken: 'degrees Fahrenheit',
    fromSi: cToFahrenheit,
    toSi: fahrenheitToC,
    decimals: 0,
  },
};

export type MeasureName = keyof typeof METRIC;

/** The measure of a name in a unit system. */
export const measure = (system: UnitSystem, name: MeasureName): Measure =>
  (system === 'feet' ? FEET : METRIC)[name];

/** Regions where depth is told in feet; a user may switch. */
const FEET_REGIONS = new Set(['US', 'LR', 'MM']);

/** The unit system a locale such as `en-US` is used to. */
export function systemOfLocale(locale: string): UnitSystem {
  const region = locale.split('-').find((part) => /^[A-Z]{2}$/.test(part));
  return region !== undefined && FEET_REGIONS.has(region) ? 'feet' : 'metric';
}

const trimZeros = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/** A number in the user's units, without its unit: `format('feet', 'depth', 3.048)` → `10`. */
export function formatNumber(system: UnitSystem, name: MeasureName, si: number, decimals?: number): string {
  const m = measure(system, name);
  const text = trimZeros(m.fromSi(si).toFixed(decimals ?? m.decimals));
  return (text === '-0' ? '0' : text).replace('-', '−');
}

/** A number with its unit: `format('metric', 'speed', 1.5)` → `5.4 km/h`. A non-breaking space stands between. */
export const format = (system: UnitSystem, name: MeasureName, si: number, decimals?: number): string =>
  `${formatNumber(system, name, si, decimals)}\u00a0${measure(system, name).unit}`;

/** A band of depths or sizes with one unit, `6–14 m`; one number where both ends read alike. */
export function formatBand(
  system: UnitSystem,
  name: MeasureName,
  low: number,
  high: number,
  decimals?: number,
): string {
  const from = formatNumber(system, name, low, decimals);
  const upTo = format(system, name, high, decimals);
  return from === formatNumber(system, name, high, decimals) ? upTo : `${from}–${upTo}`;
}
