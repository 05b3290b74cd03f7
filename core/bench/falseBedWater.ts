import type { Brief } from '@/core/advice';
import { unitOf, type Rig } from '@/core/rig';

/** A ping rate whose late echoes fall into the water of a hard bed, 1/s. */
const HASTY_PINGS = 24;
/** Nominal sound speed, m/s. */
const SOUND_MPS = 1480;
/** Where the second bed echo comes in late, as a share of the depth. */
const LATE_AT = 0.55;
const DEEPEST_M = 80;

/** As hasty as a boat's unit pings, 1/s. */
export const hastyRate = (rig: Rig): number => Math.min(HASTY_PINGS, unitOf(rig).fastestPingRate);

/** A brief's water over rock so deep, m, that its second echo, heard after the next ping, lies in the middle: 2d − c/2f = 0.55 d. */
export function rockUnder(pingRate: number, brief: Brief): Brief {
  const toM = Math.min(DEEPEST_M, SOUND_MPS / (2 * pingRate) / (2 - LATE_AT));
  return { ...brief, bed: 'rock', fromM: 0.2 * toM, fishToM: 0.4 * toM, toM };
}
