import type { Dataset, File, Group } from 'h5wasm';
import * as v from 'valibot';
import { offsetFrom, placeFrom } from '@/core/maths';
import { recordingOf, type Channel, type Navigation, type Recording, type Stretch } from '@/core/recording';
import { NARROWEST_BEAM_RAD, WIDEST_BEAM_RAD } from '@/core/rig';
import { issueWords } from './issueWords';
import { recordingPlace } from './recordingPlaces';

/** Largest recording file opened, bytes, and most of what it may hold. */
export const LARGEST_RECORDING_FILE = 512e6;
const MOST_PINGS = 200_000;
const MOST_SAMPLES = 20_000;
/** Levels of all beams together: what a phone can hold. */
const MOST_LEVELS = 120e6;
/** Levels a byte of the file: echoes are noise and hardly pack, so more of them is no recording. */
const MOST_LEVELS_A_BYTE = 16;
/** Below this many nobody asks. */
const FEW_LEVELS = 4e6;
const MOST_CHANNELS = 8;
const MOST_CHUNK = 16e6;

/** Version 1 counted the heading from east to north; its times had no epoch. */
const VERSION = 2;

const DEG = 180 / Math.PI;

/** A recording file that cannot be read: one plain sentence that names the place. */
export class RecordingProblem extends Error {}

const refuse = (problem: string): never => {
  throw new RecordingProblem(`${problem} Nothing was changed.`);
};

/** What is said of a file the library cannot follow. */
export const DAMAGED = 'This recording is cut short or damaged, and cannot be opened. Nothing was changed.';

/** First bytes of every HDF5 file. */
const SIGNATURE = [0x89, 0x48, 0x44, 0x46, 0x0d, 0x0a, 0x1a, 0x0a];

/** Looks at a file's size and first bytes before it is given to the library. @throws RecordingProblem */
export function checkRecordingBytes(bytes: Uint8Array): void {
  if (bytes.length > LARGEST_RECORDING_FILE)
    refuse(
      `This file is ${Math.ceil(bytes.length / 1e6)} MB. A recording can be ${LARGEST_RECORDING_FILE / 1e6} MB at most.`,
    );
  if (bytes.length < 512 || SIGNATURE.some((b, i) => bytes[i] !== b))
    refuse('This is not a recording. Choose a NetCDF-4 file (.nc).');
}

/** A heading in radians from east to north as degrees clockwise from north, and back: its own inverse but for the unit. */
const northed = (fromEastRad: number): number => (((90 - fromEastRad * DEG) % 360) + 360) % 360;
const easted = (fromNorthDeg: number): number => (90 - fromNorthDeg) / DEG;

/** Boat variables of /Platform: name in the file, unit, what it is, and the factor from the recording's row. */
const PLATFORM = [
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
const NUMBERS = {
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
type NumberName = keyof typeof NUMBERS;

const PULSE_TYPE = { single: 'CW', swept: 'LFM' } as const;

function put(
  group: Group,
  name: string,
  data: Float32Array | Float64Array,
  units: string,
  about: string,
  scales: string[],
): Dataset {
  const dataset = group.create_dataset({ name, data });
  dataset.create_attribute('units', units);
  dataset.create_attribute('long_name', about);
  scales.forEach((scale, i) => dataset.attach_scale(i, scale));
  return dataset;
}

/** Pings' times, a dimension too. A recording without a date counts from 1970, and says that this is no date. */
function putTime(group: Group, timeS: Float64Array, startedAt: string | null): void {
  const dataset = put(
    group,
    'ping_time',
    timeS,
    `seconds since ${startedAt ?? '1970-01-01T00:00:00Z'}`,
    'time of the ping, from when the recording began',
    [],
  );
  dataset.create_attribute('standard_name', 'time');
  dataset.create_attribute('calendar', 'standard');
  dataset.create_attribute('axis', 'T');
  if (startedAt === null) dataset.create_attribute('comment', 'It has no date; the year 1970 is a stand-in.');
  dataset.make_scale('ping_time');
}

/** CRC-32 of a row's bytes as they lie in the file, little-endian (ISO 3309), as eight hex digits. */
function crc32(row: Float32Array): string {
  const bytes = new DataView(new ArrayBuffer(4));
  let crc = -1;
  for (const x of row) {
    bytes.setFloat32(0, x, true);
    for (let i = 0; i < 4; i++) crc = (crc >>> 8) ^ CRC_OF[(crc ^ bytes.getUint8(i)) & 0xff]!;
  }
  return (~crc >>> 0).toString(16).padStart(8, '0');
}
const CRC_OF = Int32Array.from({ length: 256 }, (_, byte) => {
  let crc = byte;
  for (let bit = 0; bit < 8; bit++) crc = (crc >>> 1) ^ (crc & 1 ? 0xedb88320 : 0);
  return crc;
});

function putNumber(group: Group, name: string, value: number, units: string, about: string): void {
  const dataset = group.create_dataset({ name, data: value, shape: [], dtype: '<d' });
  dataset.create_attribute('units', units);
  dataset.create_attribute('long_name', about);
}

const scaled = (row: Float32Array | Float64Array, by: number): Float32Array =>
  Float32Array.from(row, (x) => x * by);

/**
 * Writes a recording of one stretch into an empty HDF5 file as docs/formats.md says: groups and names of the open SONAR-netCDF4 convention as
 * far as they fit, dimension scales so that NetCDF-4 readers see dimensions.
 * @param provenance how it came about, one line: simulated and its seed, or measured
 * @throws RangeError for a recording of several stretches
 */
export function writeRecordingFile(
  file: File,
  { stretches, startedAt }: Recording,
  provenance = 'unknown',
): void {
  if (stretches.length !== 1)
    throw new RangeError(`recording file: it holds one stretch, got ${stretches.length}`);
  const recording = stretches[0]!;
  const { navigation, origin } = recording;
  file.create_attribute('Conventions', 'CF-1.8');
  file.create_attribute('title', recording.title);
  file.create_attribute('source', provenance);
  if (startedAt !== null) file.create_attribute('time_coverage_start', startedAt);
  file.create_attribute('recording_version', VERSION, null, '<i');
  file.create_attribute('ping_rate', recording.pingRate, null, '<d');

  const platform = file.create_group('Platform');
  putTime(platform, navigation.timeS, startedAt);
  const time = ['/Platform/ping_time'];
  const latitude = new Float64Array(navigation.timeS.length);
  const longitude = new Float64Array(navigation.timeS.length);
  for (let p = 0; p < latitude.length; p++) {
    const place = placeFrom(origin, navigation.eastM[p]!, navigation.northM[p]!);
    latitude[p] = place.latitudeDeg;
    longitude[p] = place.longitudeDeg;
  }
  const places = [
    put(platform, 'latitude', latitude, 'degrees_north', 'latitude of the antenna', time),
    put(platform, 'longitude', longitude, 'degrees_east', 'longitude of the antenna', time),
  ];
  places.forEach((dataset, i) => dataset.create_attribute('standard_name', ['latitude', 'longitude'][i]!));
  for (const { row, name, units, about, scale } of PLATFORM) {
    const values = row === 'headingRad' ? navigation[row].map(northed) : scaled(navigation[row], scale);
    put(platform, name, values, units, about, time).create_attribute('coordinates', 'latitude longitude');
  }

  const sonar = file.create_group('Sonar');
  recording.channels.forEach((channel, k) => {
    const path = `/Sonar/Beam_group${k + 1}`;
    const group = sonar.create_group(`Beam_group${k + 1}`);
    group.create_attribute('channel_id', channel.id);
    group.create_attribute('channel_label', channel.label);
    group.create_attribute('beam_type', channel.beam.shape);
    group.create_attribute('transmit_type', PULSE_TYPE[channel.pulse.kind]);
    putTime(group, navigation.timeS, startedAt);
    const ranges = Float32Array.from(
      { length: channel.sampleCount },
      (_, j) => channel.firstRangeM + j * channel.sampleStepM,
    );
    put(group, 'range', ranges, 'm', 'range of the sample', []).make_scale('range');
    const numbers: Record<NumberName, number> = {
      transmit_frequency: channel.frequencyHz,
      beamwidth_receive_minor: channel.beam.alongRad * DEG,
      beamwidth_receive_major: channel.beam.athwartRad * DEG,
      transmit_duration_nominal: channel.pulse.durationS,
      transmit_bandwidth: channel.pulse.bandwidthHz,
      range_resolution: channel.resolutionM,
      sound_speed: channel.soundSpeedMps,
      sample_range_first: channel.firstRangeM,
      sample_range_interval: channel.sampleStepM,
    };
    for (const [name, value] of Object.entries(numbers)) {
      const [units, about] = NUMBERS[name as NumberName];
      putNumber(group, name, value, units, about);
    }
    if (channel.calibration) {
      putNumber(
        group,
        'source_level',
        channel.calibration.sourceLevelDb,
        '0.1 lg(re 1 uPa2.m2)',
        'source level on the axis, dB re 1 µPa at 1 m',
      );
      putNumber(
        group,
        'absorption',
        channel.calibration.absorptionDbPerM,
        'm-1',
        'one-way absorption, dB per metre',
      );
    }
    const levels = group.create_dataset({
      name: 'backscatter_r',
      data: channel.levelDb,
      shape: [channel.pingCount, channel.sampleCount],
      chunks: [Math.min(64, channel.pingCount), channel.sampleCount],
      compression: 'gzip',
      compression_opts: 4,
    });
    levels.create_attribute('units', channel.calibration ? '0.1 lg(re 1 uPa2)' : '0.1 lg(re 1)');
    levels.create_attribute(
      'long_name',
      channel.calibration ? 'received level, dB re 1 µPa' : 'received level, dB, relative only',
    );
    levels.create_attribute('_FillValue', new Float32Array([NaN]), [1], '<f');
    levels.create_attribute('coordinates', '/Platform/latitude /Platform/longitude');
    levels.create_attribute('crc32', crc32(channel.levelDb));
    levels.attach_scale(0, `${path}/ping_time`);
    levels.attach_scale(1, `${path}/range`);
  });
}

/** What a name in the file stands for; links to other files are neither a group nor a data set. */
const kindOf = (entity: unknown): unknown => (entity as { type?: unknown } | null)?.type;

function groupAt(parent: Group, name: string, path: string): Group {
  const entity = parent.get(name);
  if (kindOf(entity) !== 'Group') refuse(`The recording lacks ${recordingPlace(path)}.`);
  return entity as Group;
}

/** A data set whose kind and shape are known before any of it is read. */
function dataAt(group: Group, name: string, path: string, shape: readonly (number | null)[]): Dataset {
  const entity = group.get(name);
  if (kindOf(entity) !== 'Dataset') refuse(`The recording lacks ${recordingPlace(`${path}/${name}`)}.`);
  const dataset = entity as Dataset;
  const { metadata } = dataset;
  // 0 and 1 are HDF5's classes of whole and of floating numbers.
  if ((metadata.type !== 0 && metadata.type !== 1) || metadata.size > 8)
    refuse(`In the recording, ${recordingPlace(`${path}/${name}`)} should be plain numbers.`);
  const found = metadata.shape ?? [];
  if (found.length !== shape.length || shape.some((n, i) => n !== null && n !== found[i]))
    refuse(
      `In the recording, ${recordingPlace(`${path}/${name}`)}: ${found.join(' × ') || 'one number'}, not ${shape.map((n) => n ?? 'any').join(' × ') || 'one number'}.`,
    );
  const chunk = (metadata.chunks ?? []).reduce((a, b) => a * b, 1);
  if (chunk > MOST_CHUNK)
    refuse(`In the recording, ${recordingPlace(`${path}/${name}`)}: packed in pieces too large to open.`);
  return dataset;
}

function valuesOf(dataset: Dataset, place: string): ArrayLike<number> {
  let value: unknown;
  try {
    value = dataset.value;
  } catch {
    refuse(`The recording is cut short or damaged. It cannot be read from ${recordingPlace(place)} on.`);
  }
  if (typeof value === 'number') return [value];
  if (!ArrayBuffer.isView(value) || value instanceof BigInt64Array || value instanceof BigUint64Array)
    refuse(`The recording is cut short or damaged. It cannot be read from ${recordingPlace(place)} on.`);
  return value as unknown as ArrayLike<number>;
}

/** Values of a data set as one kind of array, every one within bounds. */
function held<T extends Float32Array | Float64Array>(
  dataset: Dataset,
  place: string,
  low: number,
  high: number,
  into: (length: number) => T,
): T {
  const values = valuesOf(dataset, place);
  const out = into(values.length);
  for (let i = 0; i < out.length; i++) {
    const x = Number(values[i]);
    if (!(x >= low && x <= high))
      refuse(
        `In the recording, ${recordingPlace(place)}: number ${i + 1} is ${x}. It can be ${low} to ${high}.`,
      );
    out[i] = x;
  }
  return out;
}

const floats = (length: number): Float32Array<ArrayBuffer> => new Float32Array(length);
const doubles = (length: number): Float64Array<ArrayBuffer> => new Float64Array(length);

function numberAt(group: Group, name: string, path: string, low: number, high: number): number {
  return held(dataAt(group, name, path, []), `${path}/${name}`, low, high, doubles)[0]!;
}

const Word = (most: number) => v.pipe(v.string(), v.minLength(1), v.maxLength(most));
const ChannelWords = v.object({
  channel_id: Word(40),
  channel_label: Word(60),
  beam_type: v.picklist(['cone', 'fan']),
  transmit_type: v.picklist(['CW', 'LFM']),
});
const FileWords = v.object({
  title: v.optional(v.pipe(v.string(), v.maxLength(200)), ''),
  time_coverage_start: v.optional(v.nullable(v.pipe(v.string(), v.isoTimestamp())), null),
  recording_version: v.pipe(v.number(), v.picklist([1, VERSION], `only versions 1 and ${VERSION} are known`)),
  ping_rate: v.pipe(v.number(), v.finite(), v.minValue(0.05), v.maxValue(200)),
});

/** Attributes by a schema, said in one sentence when they are wrong. */
function wordsOf<T>(group: Group, path: string, schema: v.GenericSchema<unknown, T>): T {
  const raw: Record<string, unknown> = {};
  for (const [name, attribute] of Object.entries(group.attrs)) {
    const size = (attribute.shape ?? []).reduce((a, b) => a * b, 1) * attribute.metadata.size;
    if (size <= 4096) raw[name] = attribute.value;
  }
  const result = v.safeParse(schema, raw);
  if (result.success) return result.output;
  return refuse(
    `In the recording, ${issueWords(result.issues, (name) => recordingPlace(`${path}/${name}`))}.`,
  );
}

/** Levels of a beam, held to their checksum where the file has one. */
function levelsAt(dataset: Dataset, path: string): Float32Array<ArrayBuffer> {
  const levelDb = held(dataset, path, -1000, 1000, floats);
  const written = dataset.attrs.crc32;
  if (written && (written.metadata.size > 64 || written.value !== crc32(levelDb)))
    refuse(
      `In the recording, ${recordingPlace(path)} are not as they were written. The file has been damaged.`,
    );
  return levelDb;
}

function channelAt(group: Group, path: string, pings: number): Channel {
  const words = wordsOf(group, path, ChannelWords);
  const number = (name: NumberName): number =>
    numberAt(group, name, path, NUMBERS[name][2], NUMBERS[name][3]);
  const levels = dataAt(group, 'backscatter_r', path, [pings, null]);
  const sampleCount = levels.metadata.shape![1]!;
  if (!(sampleCount >= 2 && sampleCount <= MOST_SAMPLES))
    refuse(
      `In the recording, ${recordingPlace(path)} has ${sampleCount} levels a ping. It can have 2 to ${MOST_SAMPLES}.`,
    );
  const calibrated = group.get('source_level') !== null;
  return {
    id: words.channel_id,
    label: words.channel_label,
    frequencyHz: number('transmit_frequency'),
    beam: {
      shape: words.beam_type,
      alongRad: number('beamwidth_receive_minor') / DEG,
      athwartRad: number('beamwidth_receive_major') / DEG,
    },
    pulse: {
      kind: words.transmit_type === 'CW' ? 'single' : 'swept',
      durationS: number('transmit_duration_nominal'),
      bandwidthHz: number('transmit_bandwidth'),
    },
    resolutionM: number('range_resolution'),
    soundSpeedMps: number('sound_speed'),
    firstRangeM: number('sample_range_first'),
    sampleStepM: number('sample_range_interval'),
    pingCount: pings,
    sampleCount,
    levelDb: levelsAt(levels, `${path}/backscatter_r`),
    calibration: calibrated
      ? {
          sourceLevelDb: numberAt(group, 'source_level', path, 0, 300),
          absorptionDbPerM: numberAt(group, 'absorption', path, 0, 10),
        }
      : null,
  };
}

/** Counts the levels of all beams, before any is read. */
function checkLevelCount(sonar: Group, names: readonly string[], fileBytes: number): void {
  let count = 0;
  for (const name of names) {
    const path = `/Sonar/${name}`;
    const { metadata } = dataAt(groupAt(sonar, name, path), 'backscatter_r', path, [null, null]);
    count += metadata.shape![0]! * metadata.shape![1]!;
  }
  if (!(count <= MOST_LEVELS))
    refuse(
      `The recording has ${Math.ceil(count / 1e6)} million levels. It can have ${MOST_LEVELS / 1e6} million.`,
    );
  if (count > FEW_LEVELS && count > MOST_LEVELS_A_BYTE * fileBytes)
    refuse(
      `The recording has ${Math.ceil(count / 1e6)} million levels in ${Math.ceil(fileBytes / 1e3)} kB. No echoes pack that small.`,
    );
}

/**
 * Reads a recording from an open HDF5 file, whole or not at all. Kinds, shapes and counts are looked at before any values are.
 * @param fileBytes size of the file, as packed
 * @throws RecordingProblem with one plain sentence
 */
export function readRecordingFile(file: File, fileBytes: number): Recording {
  try {
    return recordingIn(file, fileBytes);
  } catch (error) {
    if (error instanceof RecordingProblem) throw error;
    // The library’s own words are a page of addresses.
    throw new RecordingProblem(DAMAGED);
  }
}

function recordingIn(file: File, fileBytes: number): Recording {
  const words = wordsOf(file, '', FileWords);
  const platform = groupAt(file, 'Platform', '/Platform');
  const timeSet = dataAt(platform, 'ping_time', '/Platform', [null]);
  const pings = timeSet.metadata.shape![0]!;
  if (!(pings >= 1 && pings <= MOST_PINGS))
    refuse(`The recording has ${pings} pings. It can have 1 to ${MOST_PINGS}.`);
  const timeS = held(timeSet, '/Platform/ping_time', 0, 1e7, doubles);
  for (let p = 1; p < pings; p++)
    if (!(timeS[p]! > timeS[p - 1]!))
      refuse(`In the recording, ping ${p + 1} is earlier than the one before it.`);
  const at = (name: string, low: number, high: number): Float64Array<ArrayBuffer> =>
    held(dataAt(platform, name, '/Platform', [pings]), `/Platform/${name}`, low, high, doubles);
  const latitude = at('latitude', -90, 90);
  const longitude = at('longitude', -180, 180);
  const origin = { latitudeDeg: latitude[0]!, longitudeDeg: longitude[0]! };
  const eastM = new Float64Array(pings);
  const northM = new Float64Array(pings);
  for (let p = 0; p < pings; p++) {
    const offset = offsetFrom(origin, { latitudeDeg: latitude[p]!, longitudeDeg: longitude[p]! });
    eastM[p] = offset.eastM;
    northM[p] = offset.northM;
  }
  const boat = Object.fromEntries(
    PLATFORM.map(({ row: key, name, scale, low, high }) => [key, scaled(at(name, low, high), 1 / scale)]),
  ) as Record<(typeof PLATFORM)[number]['row'], Float32Array>;
  if (words.recording_version > 1) boat.headingRad = Float32Array.from(at('heading', -1e5, 1e5), easted);

  const sonar = groupAt(file, 'Sonar', '/Sonar');
  const names = sonar.keys().filter((name) => /^Beam_group\d+$/.test(name));
  if (!(names.length >= 1 && names.length <= MOST_CHANNELS))
    refuse(`The recording has ${names.length} beams. It can have 1 to ${MOST_CHANNELS}.`);
  checkLevelCount(sonar, names, fileBytes);
  const stretch: Stretch = {
    title: words.title,
    pingRate: words.ping_rate,
    origin,
    navigation: { timeS, eastM, northM, ...boat },
    channels: names.map((name) => channelAt(groupAt(sonar, name, `/Sonar/${name}`), `/Sonar/${name}`, pings)),
  };
  return recordingOf([stretch], words.time_coverage_start);
}
