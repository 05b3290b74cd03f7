import type { Dataset, File, Group } from 'h5wasm';
import * as v from 'valibot';
import { offsetFrom } from '@/core/maths';
import { recordingOf, type Channel, type Navigation, type Recording, type Stretch } from '@/core/recording';
import { issueWords } from './issueWords';
import {
  rowCrc32,
  DEG,
  easted,
  NUMBERS,
  PLATFORM,
  scaled,
  VERSION,
  type NumberName,
} from './recordingLayout';
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
/** Lowest and highest level, dB. */
const LEVELS_DB = [-1000, 1000] as const;
const MOST_CHUNK = 16e6;
/** Levels taken out of the file at a time. */
const BLOCK_LEVELS = 1e6;
/** Pings of a long recording that are told of before the rest is read, and how many times as long it must be. */
const BEGINNING_PINGS = 300;
const LONG = 8;

/** A recording file that cannot be read: one plain sentence that names the place. */
export class RecordingProblem extends Error {}

const refuse = (problem: string): never => {
  throw new RecordingProblem(`${problem} Nothing was changed.`);
};

/** What is said of a file the library cannot follow. */
export const DAMAGED = 'This recording is cut short or damaged, and cannot be opened. Nothing was changed.';

/** First bytes of every HDF5 file. */
const SIGNATURE = [0x89, 0x48, 0x44, 0x46, 0x0d, 0x0a, 0x1a, 0x0a];

/**
 * Looks at a file's size and first bytes before it is given to the library.
 * @param head its first bytes, 512 at least where it has them @param fileBytes its size @throws RecordingProblem
 */
export function checkRecordingBytes(head: Uint8Array, fileBytes: number): void {
  if (fileBytes > LARGEST_RECORDING_FILE)
    refuse(
      `This file is ${Math.ceil(fileBytes / 1e6)} MB. A recording can be ${LARGEST_RECORDING_FILE / 1e6} MB at most.`,
    );
  if (head.length < 512 || SIGNATURE.some((b, i) => head[i] !== b))
    refuse('This is not a recording. Choose a NetCDF-4 file (.nc).');
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

function valuesOf(
  dataset: Dataset,
  place: string,
  read: (dataset: Dataset) => unknown = (d) => d.value,
): ArrayLike<number> {
  let value: unknown;
  try {
    value = read(dataset);
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
  const empty = into(0);
  // Values that are of that kind already, a copy of the file's, need no second one: levels fill a hundred megabytes.
  const out = values.constructor === empty.constructor ? (values as unknown as T) : into(values.length);
  const same = out === (values as unknown);
  for (let i = 0; i < out.length; i++) {
    const x = same ? out[i]! : Number(values[i]);
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

/** The levels of a beam, taken out of the file a range of pings at a time. */
interface Levels {
  channel: Omit<Channel, 'levelDb'>;
  /** Pings that lie together in the file: less than so many cannot be had alone. */
  together: number;
  /** Takes a range of pings into the levels of all. @throws RecordingProblem for levels out of bounds */
  fill: (levelDb: Float32Array, fromPing: number, toPing: number) => void;
  /** Holds all of them to their checksum, where the file has one. @throws RecordingProblem */
  check: (levelDb: Float32Array) => void;
}

function levelsOf(dataset: Dataset, path: string, channel: Levels['channel']): Levels {
  const { sampleCount } = channel;
  const together = Math.max(1, dataset.metadata.chunks?.[0] ?? 1);
  const block = Math.max(1, Math.round(BLOCK_LEVELS / sampleCount / together)) * together;
  const [low, high] = LEVELS_DB;
  return {
    channel,
    together,
    fill: (levelDb, fromPing, toPing) => {
      for (let ping = fromPing; ping < toPing; ping += block) {
        const to = Math.min(toPing, ping + block);
        const values = valuesOf(dataset, path, (d) =>
          d.slice([
            [ping, to],
            [0, sampleCount],
          ]),
        );
        if (values.length !== (to - ping) * sampleCount)
          refuse(`The recording is cut short or damaged. It cannot be read from ${recordingPlace(path)} on.`);
        const at = ping * sampleCount;
        for (let i = 0; i < values.length; i++) {
          const x = Number(values[i]);
          if (!(x >= low && x <= high))
            refuse(
              `In the recording, ${recordingPlace(path)}: number ${at + i + 1} is ${x}. It can be ${low} to ${high}.`,
            );
          levelDb[at + i] = x;
        }
      }
    },
    check: (levelDb) => {
      const written = dataset.attrs.crc32;
      if (written && (written.metadata.size > 64 || written.value !== rowCrc32(levelDb)))
        refuse(
          `In the recording, ${recordingPlace(path)} are not as they were written. The file has been damaged.`,
        );
    },
  };
}

function levelsAt(group: Group, path: string, pings: number): Levels {
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
  return levelsOf(levels, `${path}/backscatter_r`, {
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
    calibration: calibrated
      ? {
          sourceLevelDb: numberAt(group, 'source_level', path, 0, 300),
          absorptionDbPerM: numberAt(group, 'absorption', path, 0, 10),
        }
      : null,
  });
}

/** Where the boat was in the first pings. */
const firstOf = (navigation: Navigation, count: number): Navigation =>
  Object.fromEntries(
    Object.entries(navigation).map(([name, row]) => [
      name,
      (row as Float64Array | Float32Array).slice(0, count),
    ]),
  ) as unknown as Navigation;

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
 * @param begun told the first pings of a long one, with the length of all of it, s, before the rest is read; what comes of the rest
 * is not known then
 * @throws RecordingProblem with one plain sentence
 */
export function readRecordingFile(
  file: File,
  fileBytes: number,
  begun: (beginning: Recording, durationS: number) => void = () => undefined,
): Recording {
  try {
    return recordingIn(file, fileBytes, begun);
  } catch (error) {
    if (error instanceof RecordingProblem) throw error;
    // The library’s own words are a page of addresses.
    throw new RecordingProblem(DAMAGED);
  }
}

function recordingIn(
  file: File,
  fileBytes: number,
  begun: (beginning: Recording, durationS: number) => void,
): Recording {
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
  const levels = names.map((name) =>
    levelsAt(groupAt(sonar, name, `/Sonar/${name}`), `/Sonar/${name}`, pings),
  );
  const navigation: Navigation = { timeS, eastM, northM, ...boat };
  /** The recording as far as its levels were read. */
  const recordingTo = (count: number, read: readonly Float32Array[]): Recording => {
    const stretch: Stretch = {
      title: words.title,
      pingRate: words.ping_rate,
      origin,
      navigation: count === pings ? navigation : firstOf(navigation, count),
      channels: levels.map(({ channel }, k) => ({ ...channel, pingCount: count, levelDb: read[k]! })),
    };
    return recordingOf([stretch], words.time_coverage_start);
  };
  const first = Math.max(...levels.map((l) => Math.ceil(BEGINNING_PINGS / l.together) * l.together));
  const begins = LONG * first <= pings ? first : 0;
  const beginning = levels.map(({ channel, fill }) => {
    const levelDb = floats(begins * channel.sampleCount);
    fill(levelDb, 0, begins);
    return levelDb;
  });
  if (begins > 0) begun(recordingTo(begins, beginning), timeS[pings - 1]!);
  const whole = levels.map(({ channel, fill, check }, k) => {
    const levelDb = floats(pings * channel.sampleCount);
    levelDb.set(beginning[k]!);
    fill(levelDb, begins, pings);
    check(levelDb);
    return levelDb;
  });
  return recordingTo(pings, whole);
}
