import { fitCrossing, type Crossing } from './crossing';
import { fitted, type Fitted } from './fitted';
import type { EchoTrack } from './followEchoes';

/** One fish lies this near to its crossing's curve, pulses rms: of 3,000 tracks of one fish 99 % do. */
const OFF_PULSES = 0.6;
/** Each part of a track that went over from one fish to another has so many pings at least. */
const FEWEST_PINGS = 6;
/** Pings of a track at which parting it is tried: a long one's are spread evenly. */
const MOST_LOOKED_AT = 120;
/** Another track passes there so near, pulses, within so many pings: a fish may turn on its own way, too. */
const PASSES_PULSES = 3;
const PASSES_PINGS = 6;
/** Or between two nearest points it lies so many pulses farther off. */
const TWICE_PULSES = 0.8;
/** Parts are two fish where they lie nearer to their own curves, by this factor, than together to one. */
const NEARER = 0.5;

/** A track's ranges and their crossing's curve, with the heave taken off where it lies nearer to one so. */
function withoutHeave(
  { track, times, curve }: Fitted,
  heaveM: Float32Array,
  speedMps: number,
): { rangeM: number[]; curve: Crossing | null } {
  const still = track.rangeM.map((range, i) => range - heaveM[track.pings[i]!]!);
  const fit = fitCrossing(times, still, speedMps);
  return fit && curve && fit.offM < curve.offM
    ? { rangeM: still, curve: fit }
    : { rangeM: track.rangeM, curve };
}

/** Whether a track is too far from any crossing's curve to be one fish's. @param heaveM by ping, m */
export function isOffCurve(track: Fitted, heaveM: Float32Array, speedMps: number, pulseM: number): boolean {
  const mostM = OFF_PULSES * pulseM;
  if (!track.curve || track.curve.offM <= mostM) return false;
  return withoutHeave(track, heaveM, speedMps).curve!.offM > mostM;
}

const part = (track: EchoTrack, from: number, to: number): EchoTrack => ({
  pings: track.pings.slice(from, to),
  rangeM: track.rangeM.slice(from, to),
  thickM: track.thickM.slice(from, to),
  overDb: track.overDb.slice(from, to),
  peakSample: track.peakSample.slice(from, to),
});

/** Whether a track goes away from one nearest point and comes to another: no one fish is passed twice. */
function comesTwice(rangeM: readonly number[], at: number, pulseM: number): boolean {
  const nearest = (from: number, to: number): number =>
    rangeM.slice(from, to).reduce((least, range) => Math.min(least, range), Infinity);
  const most = TWICE_PULSES * pulseM;
  return rangeM[at - 1]! - nearest(0, at) > most && rangeM[at]! - nearest(at, rangeM.length) > most;
}

/** Whether a track passes near to another's point. */
const passes = ({ pings, rangeM }: EchoTrack, other: EchoTrack, at: number, pulseM: number): boolean =>
  pings.some(
    (ping, i) =>
      Math.abs(ping - other.pings[at]!) <= PASSES_PINGS &&
      Math.abs(rangeM[i]! - other.rangeM[at]!) < PASSES_PULSES * pulseM,
  );

/**
 * Tracks parted at the pings where one went over from one fish to another: where arches cross, the nearest echo may be either's.
 * @param timeS and @param heaveM by ping, s and m @param speedMps of the boat @param pulseM length of a pulse in range
 */
export const partedWhereCrossed = (
  tracks: readonly Fitted[],
  timeS: Float64Array,
  heaveM: Float32Array,
  speedMps: number,
  pulseM: number,
): Fitted[] => {
  const partsOf = (whole: Fitted, of: Fitted): Fitted[] => {
    const { track, times } = whole;
    const count = times.length;
    if (count < 2 * FEWEST_PINGS || !isOffCurve(whole, heaveM, speedMps, pulseM)) return [whole];
    const { rangeM, curve } = withoutHeave(whole, heaveM, speedMps);
    let at = -1;
    let least = (NEARER * curve!.offM) ** 2 * count;
    const step = Math.ceil(count / MOST_LOOKED_AT);
    for (let k = FEWEST_PINGS; k <= count - FEWEST_PINGS; k += step) {
      const before = fitCrossing(times.slice(0, k), rangeM.slice(0, k), speedMps);
      const after = fitCrossing(times.slice(k), rangeM.slice(k), speedMps);
      if (!before || !after) continue;
      const off = k * before.offM ** 2 + (count - k) * after.offM ** 2;
      if (off < least) [at, least] = [k, off];
    }
    if (at < 0) return [whole];
    const isPassed = (): boolean => tracks.some((t) => t !== of && passes(t.track, track, at, pulseM));
    if (!comesTwice(rangeM, at, pulseM) && !isPassed()) return [whole];
    return [part(track, 0, at), part(track, at, count)].flatMap((t) =>
      partsOf(fitted(t, timeS, speedMps), of),
    );
  };
  return tracks.flatMap((track) => partsOf(track, track));
};
