import { crc32 } from '@/core/maths';
import type { Navigation } from '@/core/recording';
import { NARROWEST_BEAM_RAD, WIDEST_BEAM_RAD } from '@/core/rig';

/** Version 1 counted the heading from east to north; its times had no epoch. */
export const VERSION = 2;

export const DEG = 180 / Math.PI;

/** A heading in radians from east to north as degrees clockwise from north, and back: its own inverse but for the unit. */
export const northed = (fromEastRad: number): number => (((90 - fromEastRad * DEG) % 360) + 360) % 360;
export const easted = (fromNorthDeg: number): number => (90 - fromNorthDeg) / DEG;

/** Boat variables of /Platform: name in the file, unit, what it is, and the factor from the recording's row. */
export const PLATFORM = [
  {
    row: 'speedMps',
    name: 'speed_ground',
    units: 'm/s',
    about: 'speed over ground',
    scale: 1,
    low: -60,
    high: 60,
  },
  {
    row: 'headingRad',
    name: 'heading',
    units: 'degree',
    about: 'heading, clockwise from north',
    scale: DEG,
    low: -1e5,
    high: 1e5,
  },
  { row: 'pitchRad', name: 'pitch', units: 'arc_degree', about: 'bow up', scale: DEG, low: -90, high: 90 },
  {
    row: 'rollRad',
    name: 'roll',
    units: 'arc_degree',
    about: 'starboard down',
    scale: DEG,
    low: -180,
    high: 180,
  },
  {
    row: 'heaveM',
    name: 'vertical_offset',
    units: 'm',
    about: 'transducer below its place at rest',
    scale: 1,
    low: -30,
    high: 30,
  },
  {
    row: 'temperatureC',
    name: 'water_temperature',
    units: 'degC',
    about: 'water temperature at the transducer',
    scale: 1,
    low: -5,
    high: 60,
  },
  {
    row: 'supplyV',
    name: 'supply_voltage',
    units: 'V',
    about: 'supply voltage of the sounder',
    scale: 1,
    low: 0,
    high: 100,
  },
] as const satisfies readonly { row: keyof Navigation; [key: string]: unknown }[];

/** What is said of a channel, one number each: name in the file, unit, what it is, and the bounds a reader holds it to. */
export const NUMBERS = {
  transmit_frequency: ['Hz', 'frequency, of a sweep the middle', 1e3, 2e6],
  beamwidth_receive_minor: [
    'arc_degree',
    'full −3 dB width fore and aft',
    NARROWEST_BEAM_RAD * DEG,
    WIDEST_BEAM_RAD * DEG,
  ],
  beamwidth_receive_major: [
    'arc_degree',
    'full −3 dB width athwart',
    NARROWEST_BEAM_RAD * DEG,
    WIDEST_BEAM_RAD * DEG,
  ],
  transmit_duration_nominal: ['s', 'length of the pulse', 1e-6, 1],
  transmit_bandwidth: ['Hz', 'width of the pulse', 1, 2e6],
  range_resolution: ['m', 'length of a point’s echo', 1e-4, 50],
  sound_speed: ['m/s', 'sound speed ranges were worked out with', 1300, 1700],
  sample_range_first: ['m', 'range of the first sample', -10, 2000],
  sample_range_interval: ['m', 'range between samples', 1e-4, 10],
} as const satisfies Record<string, readonly [string, string, number, number]>;
export type NumberName = keyof typeof NUMBERS;

export const PULSE_TYPE = { single: 'CW', swept: 'LFM' } as const;

export const scaled = (row: Float32Array | Float64Array, by: number): Float32Array =>
  Float32Array.from(row, (x) => x * by);

/** CRC-32 of a row's bytes as they lie in the file, little-endian as on every machine that runs WebAssembly. */
export const rowCrc32 = (row: Float32Array): string =>
  crc32(new Uint8Array(row.buffer, row.byteOffset, row.byteLength));
