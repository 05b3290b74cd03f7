/** What is sent. */
export interface Pulse {
  kind: 'single' | 'swept';
  durationS: number;
  /** Swept width between half-power points, Hz; for a single frequency the band the pulse fills, 1/duration. */
  bandwidthHz: number;
}

/** Shortest pulse worth having on a face of quality factor Q: its ring time Q/f, s. */
export const ringTime = (frequencyHz: number, quality: number): number => quality / frequencyHz;

function checkDuration(durationS: number): void {
  if (!(durationS > 0)) throw new RangeError(`pulse: duration must be above 0, got ${durationS} s`);
}

/** Single-frequency pulse, no shorter than the face's ring time. @throws RangeError unless the duration is above 0 */
export function singlePulse(durationS: number, frequencyHz: number, quality: number): Pulse {
  checkDuration(durationS);
  const duration = Math.max(durationS, ringTime(frequencyHz, quality));
  return { kind: 'single', durationS: duration, bandwidthHz: 1 / duration };
}

/** Sweep times duration under which a pulse is not worth compressing. */
export const LEAST_COMPRESSION = 2;

/**
 * Swept pulse: compressed on reception, so that it resolves as finely as its width says while being as long as its
 * energy asks. @throws RangeError unless the duration is above 0 and the sweep wide enough to be worth compressing
 */
export function sweptPulse(durationS: number, bandwidthHz: number): Pulse {
  checkDuration(durationS);
  if (!(bandwidthHz * durationS >= LEAST_COMPRESSION))
    throw new RangeError(
      `pulse: a sweep of ${bandwidthHz} Hz over ${durationS} s is too narrow to be compressed`,
    );
  return { kind: 'swept', durationS, bandwidthHz };
}

/** Range resolution δ, m: cτ/2 of a single frequency; c/2B of a swept pulse after compression (its width at −6 dB). */
export const rangeResolution = (pulse: Pulse, soundSpeedMps: number): number =>
  pulse.kind === 'single' ? (soundSpeedMps * pulse.durationS) / 2 : soundSpeedMps / (2 * pulse.bandwidthHz);

/** Share of a single pulse's length over which the ring of the face rounds each edge of its echo. */
const EDGE = 0.25;

/**
 * Amplitude of a point's echo behind its range, x in resolutions δ: how a receiver matched to the pulse leaves it.
 * Single: flat over [0, 1] with cosine edges centred on 0 and 1. Swept: the band weighted by a raised cosine of twice
 * the stated width, whose transform, sin(2πx)/(2πx(1 − 4x²)), is 6 dB down at ±½ and has its highest range side lobe
 * at −31.5 dB (Harris 1978, Proc. IEEE 66:51, Hann window).
 */
export function echoEnvelope(kind: Pulse['kind'], x: number): number {
  if (kind === 'single') {
    if (x < -EDGE / 2 || x > 1 + EDGE / 2) return 0;
    if (x < EDGE / 2) return 0.5 - 0.5 * Math.cos((Math.PI * (x + EDGE / 2)) / EDGE);
    if (x > 1 - EDGE / 2) return 0.5 - 0.5 * Math.cos((Math.PI * (1 + EDGE / 2 - x)) / EDGE);
    return 1;
  }
  const u = 2 * x;
  if (Math.abs(u) < 1e-6) return 1;
  const left = 1 - u * u;
  // At u = ±1 both go to zero; the limit is a half.
  if (Math.abs(left) < 1e-6) return 0.5;
  return Math.sin(Math.PI * u) / (Math.PI * u * left);
}

/** How far an echo's envelope reaches before and behind its range, in resolutions δ. */
export const envelopeReach = (kind: Pulse['kind']): readonly [before: number, behind: number] =>
  kind === 'single' ? [EDGE / 2, 1 + EDGE / 2] : [3.5, 3.5];
