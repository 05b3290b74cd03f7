import { fitCrossing, type Crossing } from './crossing';
import type { EchoTrack } from './followEchoes';

/** A track with the curve fitted to it. */
export interface Fitted {
  track: EchoTrack;
  times: number[];
  curve: Crossing | null;
}

/** Fits a track's crossing. @param timeS of every ping, s @param speed of the boat, m/s */
export function fitted(track: EchoTrack, timeS: Float64Array, speed: number): Fitted {
  const times = track.pings.map((p) => timeS[p]!);
  return { track, times, curve: fitCrossing(times, track.rangeM, speed) };
}
