import type { MarkShape } from '../finding';
import { STILL_MPS } from '@/core/rig';
import { MARK_WEIGHTS } from './weights';

/** How far from where it is foretold an echo is still a track's, m. */
export const gateM = (sampleStepM: number, resolutionM: number): number =>
  Math.max(2.2 * sampleStepM, 0.8 * resolutionM);

/** A peak must stand this far over the background to begin a mark, and this far to go on with one, dB. */
export const BEGIN_DB = 10;
export const GO_ON_DB = 7.5;
/** One that nowhere stands out by this must be longer, pings: noise keeps to a line for a few. */
export const WEAK_DB = 11;
export const WEAK_PINGS = 10;
/** Pings a mark may be missing before it ends. */
export const GAP_PINGS = 3;
/** Pings a mark needs, where the beam has room for so many: two may be another sounder's, four in step are not. */
export const USUAL_PINGS = 4;
/** Pieces of a mark may be shorter by one. */
export const LEAST_TRACK = USUAL_PINGS - 1;
/** A mark can have no more pings than its beam has room for: then so few do, when its echo stands out this far, dB. */
export const FEWEST_PINGS = 2;
export const FEW_STAND_OUT_DB = 18;
/** A mark of a still boat that was lost for up to this long goes on, s. */
export const LOST_S = 2.5;
/** Pings beyond which a mark under a still boat is a line or a thread. */
export const LONG_PINGS = 40;

/** Rise of a leg from which it is one, in pulse lengths. */
const RISES = 0.8;

/** A leg is missing when the other rises by so many pulses more: less is how noise and few pings draw an arch. */
const LOPSIDED = 1.2;

/** What a passed mark is called. @param before and after: how far its legs rise, in pulse lengths @param slice drawn by a fan */
export function shapeOfLegs(pings: number, before: number, after: number, slice: boolean): MarkShape {
  const most = Math.max(before, after);
  const least = Math.min(before, after);
  if (pings <= FEWEST_PINGS) return 'dot';
  if (least < RISES && most - least > LOPSIDED) return 'half';
  if (least + most > 2 * RISES) return 'arch';
  // A slice is so thin fore and aft that what is passed in it has no edge to clip.
  return pings <= USUAL_PINGS || slice ? 'dash' : 'clip';
}

/** What is looked at of a mark before its place and its strength. */
export interface MarkLook {
  /** Strongest over the water around it, dB, pings of it, and its shape. */
  peakOverDb: number;
  pings: number;
  shape: MarkShape;
  /** Speed of the boat, m/s, and whether its beam is a slice. */
  speedMps: number;
  fan: boolean;
}

/** What speaks for a mark being a fish by its look, units of log odds. */
export function markEvidence({ peakOverDb, pings, shape, speedMps, fan }: MarkLook): number {
  const w = MARK_WEIGHTS;
  const still = speedMps < STILL_MPS;
  return (
    w.usual +
    w.perDb * (Math.min(peakOverDb, w.loudestDb) - w.usualDb) +
    w.perPings * Math.log(Math.min(pings, w.mostPings) / w.usualPings) -
    (shape === 'half' && !still ? w.oneLeg : 0) -
    (still ? w.still : w.perSlow * Math.max(0, Math.log(w.slowMps / speedMps))) -
    (fan ? w.fan : 0)
  );
}
