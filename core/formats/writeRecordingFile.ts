import type { Dataset, File, Group } from 'h5wasm';
import { placeFrom } from '@/core/maths';
import type { Recording } from '@/core/recording';
import {
  rowCrc32,
  DEG,
  northed,
  NUMBERS,
  PLATFORM,
  PULSE_TYPE,
  scaled,
  VERSION,
  type NumberName,
} from './recordingLayout';

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

function putNumber(group: Group, name: string, value: number, units: string, about: string): void {
  const dataset = group.create_dataset({ name, data: value, shape: [], dtype: '<d' });
  dataset.create_attribute('units', units);
  dataset.create_attribute('long_name', about);
}

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
    levels.create_attribute('crc32', rowCrc32(channel.levelDb));
    levels.attach_scale(0, `${path}/ping_time`);
    levels.attach_scale(1, `${path}/range`);
  });
}
