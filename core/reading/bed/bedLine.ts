import { isGap } from '@/core/maths';
/** The bed as the sounder draws it. */
export interface BedLine {
  /** Range of the first echo by ping, m; NaN where there is none. */
  rangeM: Float32Array;
  /** How far the bed echo stands over the water above it, dB, by ping. */
  contrastDb: Float32Array;
}

/** Water between a range and the bed at a ping, m; null where no bed is known. */
export function gapTo(bed: BedLine, ping: number, range: number): number | null {
  const at = bed.rangeM[ping]!;
  return !isGap(at) ? at - range : null;
}
