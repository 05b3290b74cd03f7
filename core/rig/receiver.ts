/** Level of a face's ringing at the moment its pulse ends, dB under the source level, and its fall per ring time. */
const RING_START_DB = -70;
const RING_FALL_DB = 6;

/**
 * Level of the face's own ringing, dB re 1 µPa, `pastS` after its pulse has ended (0 or more). A face of high quality
 * factor rings long: 6 dB are lost a ring time Q/f.
 */
export const ringDown = (sourceLevelDb: number, ringS: number, pastS: number): number =>
  sourceLevelDb + RING_START_DB - (RING_FALL_DB * pastS) / ringS;

/** Strongest level the receiver of a small unit passes on, dB re 1 µPa; all above is held there. */
export const RECEIVER_CEILING_DB = 192;

/** How much less low power sends than full power, dB. */
export const LOW_POWER_DB = -10;

export type PowerMode = 'full' | 'low';
