/** What is sent. */
export interface Pulse {
  kind: 'single' | 'swept';
  durationS: number;
  /** Swept width, Hz; for a single frequency the band the pulse fills, 1/duration. */
  bandwidthHz: number;
}

/** Shortest pulse worth having on a face of quality factor Q: its ring time Q/f, s. */
export const ringTime = (frequencyHz: number, quality: number): number => quality / frequencyHz;

/** Single-frequency pulse, no shorter than the face's ring time. @throws RangeError unless the duration is above 0 */
export function singlePulse(durationS: number, frequencyHz: number, quality: number): Pulse {
  if (!(durationS > 0)) throw new RangeError(`pulse: duration must be above 0, got ${durationS} s`);
  const duration = Math.max(durationS, ringTime(frequencyHz, quality));
  return { kind: 'single', durationS: duration, bandwidthHz: 1 / duration };
}

/** Range resolution in metres: cτ/2 of a single frequency, c/2B of a swept pulse after compression. */
export const rangeResolution = (pulse: Pulse, soundSpeedMps: number): number =>
  pulse.kind === 'single' ? (soundSpeedMps * pulse.durationS) / 2 : soundSpeedMps / (2 * pulse.bandwidthHz);
