import type { Channel } from '@/core/recording';
import { STILL_MPS, type Beam } from '@/core/rig';
import type { EchoTrack } from './followEchoes';
import { FEW_STAND_OUT_DB, FEWEST_PINGS, USUAL_PINGS, WEAK_DB, WEAK_PINGS } from './markRules';

/** Pings a fish at a track's range stays in the beam for, when it is passed over its middle. */
export const roomFor = (
  { rangeM }: EchoTrack,
  { alongRad }: Beam,
  speedMps: number,
  pingRate: number,
): number => ((2 * rangeM[0]! * Math.tan(alongRad / 2)) / speedMps) * pingRate;

/**
 * Whether a track has the pings a fish at its range would leave, as far as the beam has room for them.
 * @param speedMps of the boat @param pingRate pings a second @param clutterM reach of the clutter under the surface
 */
export function longEnough(
  track: EchoTrack,
  { beam }: Channel,
  speedMps: number,
  pingRate: number,
  clutterM: number,
): boolean {
  const pings = track.pings.length;
  if (pings >= WEAK_PINGS) return true;
  if (pings >= USUAL_PINGS) return Math.max(...track.overDb) >= WEAK_DB;
  // Bubbles under the surface are full of pairs.
  if (pings < FEWEST_PINGS || speedMps < STILL_MPS || track.rangeM[0]! < clutterM) return false;
  return (
    pings >= Math.floor(roomFor(track, beam, speedMps, pingRate)) &&
    Math.max(...track.overDb) >= FEW_STAND_OUT_DB
  );
}
