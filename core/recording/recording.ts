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
  /** Receiver gain the levels still have in them, dB; left out for none. Levels of stretches with other gains compare once it is off. */
  gainDb?: number;
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
 * Pings made without a change of range step, window, pulse or gain, and what a sounder knows with them. All channels ping
 * together, a navigation row a ping.
 */
export interface Stretch {
  title: string;
  pingRate: number;
  /** Where east and north count from. */
  origin: Position;
  /** Times count from the start of the recording, places from `origin`. */
  navigation: Navigation;
  channels: readonly Channel[];
}

/**
 * A recording: stretches one after the other, each with a range step, window, pulse and gain of its own. The one thing that
 * crosses from what was made (or measured) to what draws and reads. Times rise from stretch to stretch; all count places
 * from one origin.
 */
export interface Recording {
  title: string;
  /** When it began, ISO 8601 in UTC; null when it has no date, as a simulated one. */
  startedAt: string | null;
  /** At least one. */
  stretches: readonly Stretch[];
}

/** A recording of stretches in their order. @throws RangeError for none, or times that do not rise from one to the next */
export function recordingOf(stretches: readonly Stretch[], startedAt: string | null = null): Recording {
  const [first] = stretches;
  if (!first) throw new RangeError('recording: it needs at least one stretch');
  let last = -Infinity;
  for (const { navigation } of stretches) {
    if (!(navigation.timeS[0]! > last))
      throw new RangeError(
        `recording: stretches must follow each other, got one from ${navigation.timeS[0]} s`,
      );
    last = navigation.timeS[navigation.timeS.length - 1]!;
  }
  return { title: first.title, startedAt, stretches };
}

/** Pings of a recording. */
export const pingCountOf = ({ stretches }: Recording): number =>
  stretches.reduce((sum, { navigation }) => sum + navigation.timeS.length, 0);

/** Time of a recording's last ping, s. */
export function durationOf({ stretches }: Recording): number {
  const { timeS } = stretches[stretches.length - 1]!.navigation;
  return timeS[timeS.length - 1] ?? 0;
}

/** Where the boat was, over all stretches, a row a ping. */
export function navigationOf({ stretches }: Recording): Navigation {
  if (stretches.length === 1) return stretches[0]!.navigation;
  const out: Record<string, Float64Array | Float32Array> = {};
  for (const name of Object.keys(stretches[0]!.navigation) as (keyof Navigation)[]) {
    const rows = stretches.map(({ navigation }) => navigation[name]);
    const Kind = rows[0]!.constructor as Float32ArrayConstructor | Float64ArrayConstructor;
    const whole = new Kind(rows.reduce((sum, row) => sum + row.length, 0));
    let at = 0;
    for (const row of rows) {
      whole.set(row, at);
      at += row.length;
    }
    out[name] = whole;
  }
  return out as unknown as Navigation;
}

/** Way of the boat from the first ping to each, m. */
export function wayOf({ eastM, northM }: Pick<Navigation, 'eastM' | 'northM'>): Float64Array {
  const way = new Float64Array(eastM.length);
  for (let p = 1; p < way.length; p++)
    way[p] = way[p - 1]! + Math.hypot(eastM[p]! - eastM[p - 1]!, northM[p]! - northM[p - 1]!);
  return way;
}

/** The channel of an id. @throws RangeError when there is none */
export function channelOf({ channels }: Pick<Stretch, 'channels'>, id: string): Channel {
  const channel = channels.find((c) => c.id === id);
  if (!channel) throw new RangeError(`recording: no channel named ${id}`);
  return channel;
}

const taken = new WeakMap<Channel, Channel>();

/** A channel with its receiver gain taken off its levels; the channel itself where it has none. The same each time. */
export function withoutGain(channel: Channel): Channel {
  const { gainDb = 0 } = channel;
  if (gainDb === 0) return channel;
  let clean = taken.get(channel);
  if (!clean) {
    clean = { ...channel, levelDb: channel.levelDb.map((level) => level - gainDb), gainDb: 0 };
    taken.set(channel, clean);
  }
  return clean;
}
