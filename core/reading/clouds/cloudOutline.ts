/** A cloud's outline by ping. */
export interface CloudOutline {
  fromPing: number;
  toPing: number;
  /** Samples, −1 where it has a gap; rows of fromPing…toPing. */
  top: Int32Array;
  bottom: Int32Array;
  /** Mean level over background inside, dB, and the share of samples inside that stand out. */
  overDb: number;
  fill: number;
}
