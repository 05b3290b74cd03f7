import { boatInWaves } from '@/core/water';
import type { Random } from '@/core/maths';
import type { BoatPlace } from '@/core/rig';
import type { Engine } from '@/core/water';

export const ENGINES: readonly Engine[] = ['off', 'gear', 'planing'];

/** The boat's way, a row a ping; arrays of equal length. Metres, seconds, radians. */
export interface Track {
  timeS: Float64Array;
  xM: Float64Array;
  yM: Float64Array;
  /** Face below its place at rest, m. */
  heaveM: Float32Array;
  /** Way made, negative astern. */
  speedMps: Float32Array;
  headingRad: Float32Array;
  /** Bow up and starboard down, rad. */
  pitchRad: Float32Array;
  rollRad: Float32Array;
  /** Index into ENGINES. */
  engine: Uint8Array;
}

/** A stretch of the way at one command; speed changes over `easeS` from that of the section before. */
export interface TrackSection {
  durationS: number;
  /** Negative astern. */
  speedMps: number;
  engine: Engine;
  /** Rate of turn to port, rad/s. */
  turnRadPerS?: number;
  easeS?: number;
  /** Boat's head off its course, rad: a drifting boat lies across. */
  crabRad?: number;
  /** Bow up, rad: a boat that starts to plane squats. */
  trimRad?: number;
}

/** The ways of a boat the scenes are made for. */
export const idlePass = (speedMps: number, durationS: number): TrackSection[] => [
  { durationS, speedMps, engine: 'gear' },
];
export const drift = (speedMps: number, durationS: number): TrackSection[] => [
  { durationS, speedMps, engine: 'off', crabRad: Math.PI / 2 },
];
export const holdingStill = (durationS: number): TrackSection[] => [
  { durationS, speedMps: 0, engine: 'off' },
];
/** Bow up at a planing boat's speed, rad. */
export const PLANE_TRIM_RAD = 0.07;
export const planing = (speedMps: number, durationS: number): TrackSection[] => [
  { durationS, speedMps, engine: 'planing', trimRad: PLANE_TRIM_RAD },
];
/** Past a fish, off the throttle, the way run off, and back onto it. */
export const stopAndBackUp = (speedMps: number, passS: number, holdS: number): TrackSection[] => [
  { durationS: passS, speedMps, engine: 'gear' },
  { durationS: 6, speedMps: 0.1, engine: 'gear', easeS: 5 },
  { durationS: 14, speedMps: -0.6, engine: 'gear', easeS: 3 },
  { durationS: holdS, speedMps: 0, engine: 'off', easeS: 3 },
];

/** Most pings of one track. */
const MOST_PINGS = 40_000;

/**
 * Lays the boat's way section after section. Waves grow with the wind: heave, pitch and roll are each two sines of periods
 * typical of a small boat (2–4 s) with random phase; a boat that holds still wanders a little about its place.
 * @param sections from place 0, 0 along x
 * @throws RangeError unless there are 1 to 40,000 pings
 */
export function layTrack(
  { sections, pingRate, windMps }: { sections: readonly TrackSection[]; pingRate: number; windMps: number },
  random: Random,
): Track {
  const durationS = sections.reduce((sum, section) => sum + section.durationS, 0);
  const count = Math.floor(durationS * pingRate);
  if (!(count >= 1 && count <= MOST_PINGS))
    throw new RangeError(`track: 1 to ${MOST_PINGS} pings, got ${count}`);
  const track: Track = {
    timeS: new Float64Array(count),
    xM: new Float64Array(count),
    yM: new Float64Array(count),
    heaveM: new Float32Array(count),
    speedMps: new Float32Array(count),
    headingRad: new Float32Array(count),
    pitchRad: new Float32Array(count),
    rollRad: new Float32Array(count),
    engine: new Uint8Array(count),
  };
  const waves = Array.from({ length: 6 }, () => ({
    rate: (2 * Math.PI) / random.between(2, 4),
    phase: random.between(0, 2 * Math.PI),
  }));
  const pair = (at: number, t: number): number =>
    0.5 *
    (Math.sin(waves[at]!.rate * t + waves[at]!.phase) +
      Math.sin(waves[at + 1]!.rate * t + waves[at + 1]!.phase));
  const wander = [random.between(20, 40), random.between(20, 40)] as const;
  const { heaveM: heave, pitchRad: pitch, rollRad: roll } = boatInWaves(windMps);
  let x = 0;
  let y = 0;
  let courseBefore = 0;
  let speed = sections[0]!.speedMps;
  let k = 0;
  let sectionStart = 0;
  let speedBefore = speed;
  for (let i = 0; i < count; i++) {
    const t = i / pingRate;
    while (k < sections.length - 1 && t >= sectionStart + sections[k]!.durationS) {
      sectionStart += sections[k]!.durationS;
      courseBefore += (sections[k]!.turnRadPerS ?? 0) * sections[k]!.durationS;
      speedBefore = speed;
      k++;
    }
    const section = sections[k]!;
    const ease = section.easeS ? Math.min(1, (t - sectionStart) / section.easeS) : 1;
    speed = speedBefore + (section.speedMps - speedBefore) * ease;
    // From the section's beginning rather than ping by ping: a turn ends where it should at any ping rate.
    const course = courseBefore + (section.turnRadPerS ?? 0) * (t - sectionStart);
    if (i > 0) {
      x += (speed / pingRate) * Math.cos(course);
      y += (speed / pingRate) * Math.sin(course);
    }
    // A boat kept on the spot goes about it a little, more in wind.
    const sway = Math.abs(speed) < 0.05 ? 0.15 + 0.05 * windMps : 0;
    track.timeS[i] = t;
    track.xM[i] = x + sway * Math.sin((2 * Math.PI * t) / wander[0]);
    track.yM[i] = y + sway * Math.sin((2 * Math.PI * t) / wander[1]);
    track.speedMps[i] = speed;
    track.headingRad[i] = course + (section.crabRad ?? 0);
    track.heaveM[i] = heave * pair(0, t);
    track.pitchRad[i] = pitch * pair(2, t) + (section.trimRad ?? 0);
    track.rollRad[i] = roll * pair(4, t);
    track.engine[i] = ENGINES.indexOf(section.engine);
  }
  return track;
}

/** Every `every`-th ping of a track: for a coarse first picture. */
export function thinned(track: Track, every: number): Track {
  const count = Math.ceil(track.timeS.length / every);
  const pick = <T extends Float64Array | Float32Array | Uint8Array>(row: T, fresh: T): T => {
    for (let i = 0; i < count; i++) fresh[i] = row[i * every]!;
    return fresh;
  };
  return {
    timeS: pick(track.timeS, new Float64Array(count)),
    xM: pick(track.xM, new Float64Array(count)),
    yM: pick(track.yM, new Float64Array(count)),
    heaveM: pick(track.heaveM, new Float32Array(count)),
    speedMps: pick(track.speedMps, new Float32Array(count)),
    headingRad: pick(track.headingRad, new Float32Array(count)),
    pitchRad: pick(track.pitchRad, new Float32Array(count)),
    rollRad: pick(track.rollRad, new Float32Array(count)),
    engine: pick(track.engine, new Uint8Array(count)),
  };
}

/** The way of another place on the same boat, m forward of the one whose way it is and to port: turned by the heading of each ping. */
export function trackOfPlace(track: Track, { x, y }: BoatPlace): Track {
  if (x === 0 && y === 0) return track;
  const xM = track.xM.slice();
  const yM = track.yM.slice();
  for (let p = 0; p < xM.length; p++) {
    const c = Math.cos(track.headingRad[p]!);
    const s = Math.sin(track.headingRad[p]!);
    xM[p]! += x * c - y * s;
    yM[p]! += x * s + y * c;
  }
  return { ...track, xM, yM };
}
