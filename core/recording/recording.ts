import type { Position } from '@/core/maths';
import type { Beam, Pulse } from '@/core/rig';

/** What the levels of a channel mean when they are calibrated. */
export interface Calibration {
  /** Source level on the axis, dB re 1 µPa at 1 m. */
  sourceLevelDb: number;
  /** One-way absorption, dB/m. */
  absorptionDbPerM: number;
}

/** One beam's pings: a row of levels a ping. */
export interface Channel {
  id: string;
  label: string;
  frequencyHz: number;
  beam: Beam;
  pulse: Pulse;
  /** Range resolution δ, m. */
  resolutionM: number;
  soundSpeedMps: number;
  /** Range of sample 0 and the step between samples, m. */
  firstRangeM: number;
  sampleStepM: number;
  pingCount: number;
  sampleCount: number;
  /** pings × samples, row-major: received level, dB re 1 µPa, or dB of nothing stated when not calibrated. */
  levelDb: Float32Array;
  calibration: Calibration | null;
}

/** Where the boat was and how it sat, a row a ping. */
export interface Navigation {
  timeS: Float64Array;
  eastM: Float64Array;
  northM: Float64Array;
  speedMps: Float32Array;
  headingRad: Float32Array;
  pitchRad: Float32Array;
  rollRad: Float32Array;
  heaveM: Float32Array;
  temperatureC: Float32Array;
  supplyV: Float32Array;
}

/**
 * A stretch of pings and what a sounder knows with them: the one thing that crosses from what was made (or measured)
 * to what draws and reads. All channels ping together, a navigation row a ping.
 */
export interface Recording {
  version: 1;
  title: string;
  pingRate: number;
  /** Where east and north count from. */
  origin: Position;
  navigation: Navigation;
  channels: readonly Channel[];
}

/** The channel of an id. @throws RangeError when there is none */
export function channelOf(recording: Recording, id: string): Channel {
  const channel = recording.channels.find((c) => c.id === id);
  if (!channel) throw new RangeError(`recording: no channel named ${id}`);
  return channel;
}

/** Range of a sample, m. */
export const rangeOfSample = (channel: Channel, sample: number): number =>
  channel.firstRangeM + sample * channel.sampleStepM;

/** Sample nearest a range, not held to the channel's length. */
export const sampleOfRange = (channel: Channel, rangeM: number): number =>
  Math.round((rangeM - channel.firstRangeM) / channel.sampleStepM);
