import type { Random } from '@/core/maths';

/** The boat's way, a row a ping; arrays of equal length. Metres, seconds, radians. */
export interface Track {
  timeS: Float64Array;
  xM: Float64Array;
  yM: Float64Array;
  /** Face below its place at rest, m. */
  heaveM: Float32Array;
  speedMps: Float32Array;
  headingRad: Float32Array;
  /** Bow up and starboard down, rad. */
  pitchRad: Float32Array;
  rollRad: Float32Array;
}

/**
 * A straight pass along x at one speed. Waves grow with the wind: heave, pitch and roll are each two sines of
 * periods typical of a small boat (2–4 s) with random phase.
 * @throws RangeError unless rate and duration are above 0 and there are at most 20,000 pings
 */
export function straightPass(
  {
    speedMps,
    durationS,
    pingRate,
    windMps,
  }: { speedMps: number; durationS: number; pingRate: number; windMps: number },
  random: Random,
): Track {
  const count = Math.floor(durationS * pingRate);
  if (!(count >= 1 && count <= 20_000)) throw new RangeError(`track: 1 to 20,000 pings, got ${count}`);
  const track: Track = {
    timeS: new Float64Array(count),
    xM: new Float64Array(count),
    yM: new Float64Array(count),
    heaveM: new Float32Array(count),
    speedMps: new Float32Array(count).fill(speedMps),
    headingRad: new Float32Array(count),
    pitchRad: new Float32Array(count),
    rollRad: new Float32Array(count),
  };
  const waves = Array.from({ length: 6 }, () => ({
    rate: (2 * Math.PI) / random.between(2, 4),
    phase: random.between(0, 2 * Math.PI),
  }));
  const pair = (at: number, t: number): number =>
    0.5 *
    (Math.sin(waves[at]!.rate * t + waves[at]!.phase) +
      Math.sin(waves[at + 1]!.rate * t + waves[at + 1]!.phase));
  const heave = 0.01 * windMps;
  const pitch = 0.003 * windMps;
  const roll = 0.005 * windMps;
  for (let i = 0; i < count; i++) {
    const t = i / pingRate;
    track.timeS[i] = t;
    track.xM[i] = speedMps * t;
    track.heaveM[i] = heave * pair(0, t);
    track.pitchRad[i] = pitch * pair(2, t);
    track.rollRad[i] = roll * pair(4, t);
  }
  return track;
}
