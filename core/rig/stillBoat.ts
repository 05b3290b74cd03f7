/** A boat slower than this over the ground keeps still, m/s: nothing is passed, and no mark has the curve of a thing passed. */
export const STILL_MPS = 0.25;
