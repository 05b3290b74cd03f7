import { median } from '@/core/maths';
import { STILL_MPS } from '@/core/rig';
import type { Crossing } from './crossing';
import type { Fitted } from './fitted';
import type { EchoTrack } from './followEchoes';
import { FARTHEST } from './joinTracks';
import { JOIN_WEIGHTS } from './weights';

/** How a mark's legs are drawn on beyond its own pings: their rises over its nearest range, m, 0 where they are not, and their pings. */
export interface FarLegs {
  before: number;
  after: number;
  pings: number;
}

export const NO_FAR_LEGS: FarLegs = { before: 0, after: 0, pings: 0 };

/** A single echo may be a speck of noise; at this over the water, dB, one in 400 million is. */
const SINGLE_DB = 13;

const key = (ping: number, sample: number): number => ping * 65536 + sample;

/** How far an echo lies off a curve that passes at a speed, m. */
const offCurve = (rangeM: number, { nearestRangeM }: Crossing, mps: number, awayS: number): number =>
  Math.abs(rangeM - Math.hypot(nearestRangeM, mps * awayS));

/**
 * The legs of each mark that its beam's side lobes draw on beyond a gap, or that were too short to be followed: they make an arch of what
 * the main lobe alone leaves half. Echoes count that lie on the mark's curve, farther out than its pings, weaker, and on no other mark.
 * @param followed all echoes that were followed, short ones too @param timeS of every ping, s
 * @param boatMps speed of the boat @param pulseM length of a pulse in range, m
 */
export function farLegs(
  marks: readonly Fitted[],
  followed: readonly EchoTrack[],
  timeS: Float64Array,
  boatMps: number,
  pulseM: number,
): FarLegs[] {
  // Under a boat that keeps still nothing has legs.
  if (boatMps < STILL_MPS) return marks.map(() => NO_FAR_LEGS);
  const w = JOIN_WEIGHTS;
  const taken = new Set(
    marks.flatMap(({ track }) => track.pings.map((p, i) => key(p, track.peakSample[i]!))),
  );
  const free = followed.filter(
    (track) => !track.pings.some((p, i) => taken.has(key(p, track.peakSample[i]!))),
  );
  return marks.map(({ track, curve }): FarLegs => {
    if (!curve) return NO_FAR_LEGS;
    const legs = { ...NO_FAR_LEGS };
    const peak = Math.max(...track.overDb);
    const first = track.pings[0]!;
    const last = track.pings[track.pings.length - 1]!;
    const reachS = (FARTHEST * curve.nearestRangeM) / Math.max(curve.speedMps, 0.1);
    for (const piece of free) {
      const from = piece.pings[0]!;
      const to = piece.pings[piece.pings.length - 1]!;
      if (to >= first && from <= last) continue;
      const middle = piece.pings.length >> 1;
      const awayS = timeS[piece.pings[middle]!]! - curve.nearestTimeS;
      if (Math.abs(awayS) > reachS || awayS > 0 !== from > last) continue;
      const loudest = Math.max(...piece.overDb);
      if (loudest > peak || (piece.pings.length === 1 && loudest < SINGLE_DB)) continue;
      const rise = median(piece.rangeM) - curve.nearestRangeM;
      const most = Math.max(w.offPulses * pulseM, w.offLeastM) + w.offPerRise * Math.max(0, rise);
      const off = (mps: number): number =>
        median(
          piece.pings.map((p, i) => offCurve(piece.rangeM[i]!, curve, mps, timeS[p]! - curve.nearestTimeS)),
        );
      if (Math.min(off(curve.speedMps), off(boatMps)) > most) continue;
      const side = from > last ? 'after' : 'before';
      legs.pings += piece.pings.length;
      legs[side] = Math.max(legs[side], ...piece.rangeM.map((r) => r - curve.nearestRangeM));
    }
    return legs;
  });
}
