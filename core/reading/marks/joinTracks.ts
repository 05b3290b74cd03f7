import { clamp, median } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { SWIM_MPS, type Crossing } from './crossing';
import { isOffCurve } from './crossedTracks';
import { fitted, type Fitted } from './fitted';
import type { EchoTrack } from './followEchoes';
import { LOST_S } from './markRules';
import { JOIN_WEIGHTS } from './weights';
import { STILL_MPS } from '@/core/rig';

function joined(a: EchoTrack, b: EchoTrack): EchoTrack {
  const order = [
    ...a.pings.map((ping, i) => ({ from: a, ping, i })),
    ...b.pings.map((ping, i) => ({ from: b, ping, i })),
  ].sort((x, y) => x.ping - y.ping);
  return {
    pings: order.map((o) => o.ping),
    rangeM: order.map((o) => o.from.rangeM[o.i]!),
    thickM: order.map((o) => o.from.thickM[o.i]!),
    overDb: order.map((o) => o.from.overDb[o.i]!),
    peakSample: order.map((o) => o.from.peakSample[o.i]!),
    ...(a.nats !== undefined && b.nats !== undefined ? { nats: a.nats + b.nats } : {}),
  };
}

const peakOver = (track: EchoTrack): number => track.overDb.reduce((a, b) => Math.max(a, b), -Infinity);

/** How far the parts of one body lie apart in range, by the sine of the angle it is seen aslant at, m; they are this much weaker, dB. */
const BODY_M = 0.45;
const LESSER_DB = 3;
/** Straight above nothing of a body lies farther from its echo than so many pulses. */
const ABOVE_PULSES = 1.3;
/** What a swept pulse leaves to either side of a loud echo: within this, m, and this much weaker, dB. */
const RANGE_LOBES_M = 0.45;
const RANGE_LOBES_DB = 13;
/** Two that run through the same pings, in this share of the lesser one's, are two. */
const SAME_PINGS = 0.3;
/** What comes in by the beam's side lobes is at least this much weaker than in its main lobe, dB. */
const SIDE_LOBE_DB = 14;
/** Seen aslant, another part of a body may answer than from above: by so much of the sine of the angle, m. */
const ASLANT_M = 0.3;
/** How far off the axis, in widths of the beam, a strong fish is still seen. */
const SEEN_OUT_TO = 1.25;
/** Beyond this off the axis nothing is looked for, as a tangent. */
export const FARTHEST = Math.tan((65 * Math.PI) / 180);

/** How far off where it was, in pulses, a mark of a still boat goes on that was lost for a while (LOST_S). */
const LOST_PULSES = 4;
/** Where pings are slow it may be lost for so many. */
const LOST_PINGS = 12;

/** Whether a piece begins soon after another's end and near it. */
function carriesOn(later: Fitted, earlier: Fitted, pulseM: number, pingS: number): boolean {
  const gap = later.times[0]! - earlier.times[earlier.times.length - 1]!;
  const off = Math.abs(later.track.rangeM[0]! - earlier.track.rangeM[earlier.track.rangeM.length - 1]!);
  return gap > 0 && gap < Math.max(LOST_S, LOST_PINGS * pingS) && off < LOST_PULSES * pulseM;
}

/** How far a piece lies from a mark in the pings they share, m, and what share of its own those are. */
function beside(piece: Fitted, mark: Fitted): { apartM: number; share: number } {
  const at = new Map(mark.track.pings.map((p, i) => [p, mark.track.rangeM[i]!]));
  const apart: number[] = [];
  piece.track.pings.forEach((p, i) => {
    const range = at.get(p);
    if (range !== undefined) apart.push(Math.abs(piece.track.rangeM[i]! - range));
  });
  return {
    apartM: apart.length > 0 ? median(apart) : Infinity,
    share: apart.length / piece.track.pings.length,
  };
}

/** Whether what runs beside a mark is a lesser part of the same body, or left by the pulse. @param aslant sine of the angle it is seen at */
function isItsOwn(apartM: number, weakerDb: number, pulseM: number, aslant: number): boolean {
  return (
    (weakerDb > LESSER_DB && apartM < ABOVE_PULSES * pulseM + BODY_M * aslant) ||
    (weakerDb > RANGE_LOBES_DB && apartM < Math.max(JOIN_WEIGHTS.lobePulses * pulseM, RANGE_LOBES_M))
  );
}

/** How far along the way from a mark's nearest point the middle of a piece is, m; 0 where nothing is known of that point. */
const awayFrom = (piece: Fitted, { curve }: Fitted): number =>
  curve ? curve.speedMps * Math.abs(piece.times[piece.times.length >> 1]! - curve.nearestTimeS) : 0;

/** How far a piece lies off a mark's curve at a relative speed, m. */
const offCurve = ({ track, times }: Fitted, { nearestRangeM, nearestTimeS }: Crossing, mps: number): number =>
  median(
    times.map((t, i) => Math.abs(track.rangeM[i]! - Math.hypot(nearestRangeM, mps * (t - nearestTimeS)))),
  );

/** The relative speed at which a piece would lie on a mark's curve, as near to the boat's own as a fish can bring it, m/s. */
function speedTold(
  { track, times }: Fitted,
  { nearestRangeM, nearestTimeS }: Crossing,
  boatMps: number,
): number {
  const told = median(
    times.map(
      (t, i) =>
        Math.sqrt(Math.max(0, track.rangeM[i]! ** 2 - nearestRangeM ** 2)) /
        Math.max(1e-3, Math.abs(t - nearestTimeS)),
    ),
  );
  return clamp(told, Math.max(0, boatMps - SWIM_MPS), boatMps + SWIM_MPS);
}

/**
 * Puts the pieces of one mark together: a piece joins another when its ranges lie on the other's curve, or when both
 * curves have the same nearest point (the two legs of an arch whose middle faded). Lesser parts of the same body, and faint
 * legs far out that the side lobes of the beam bring in, are taken for the mark's own and add nothing to it.
 */
export function joinTracks(
  pieces: Fitted[],
  timeS: Float64Array,
  speed: number,
  { resolutionM: pulseM, beam }: Channel,
  heaveM: Float32Array,
): Fitted[] {
  const w = JOIN_WEIGHTS;
  const pingS = (timeS[timeS.length - 1]! - timeS[0]!) / Math.max(1, timeS.length - 1);
  // A curve is only believed as far out as a strong fish can still be in the beam.
  const reach = Math.tan(Math.min(1.2, SEEN_OUT_TO * beam.alongRad));
  const sorted = pieces.slice().sort((a, b) => b.track.pings.length - a.track.pings.length);
  const out: Fitted[] = [];
  for (const piece of sorted) {
    let home = -1;
    let own = false;
    let together: Fitted | null = null;
    for (let k = 0; k < out.length && home < 0 && !own; k++) {
      const mark = out[k]!;
      const { curve } = mark;
      const { apartM, share } = beside(piece, mark);
      const weakerDb = peakOver(mark.track) - peakOver(piece.track);
      const away = awayFrom(piece, mark);
      const aslant = curve ? away / Math.hypot(curve.nearestRangeM, away) : 0;
      if (share >= w.besideShare && isItsOwn(apartM, weakerDb, pulseM, aslant)) {
        own = true;
        break;
      }
      if (speed < STILL_MPS) {
        if (carriesOn(piece, mark, pulseM, pingS) || carriesOn(mark, piece, pulseM, pingS)) home = k;
        continue;
      }
      if (!curve) continue;
      if (away > FARTHEST * curve.nearestRangeM) continue;
      const off = offCurve(piece, curve, curve.speedMps);
      const rise = median(piece.track.rangeM.map((r) => r - curve.nearestRangeM));
      // The farther out, the less well the curve is known.
      if (
        off < Math.max(w.offPulses * pulseM, w.offLeastM) + w.offPerRise * Math.max(0, rise) &&
        weakerDb > SIDE_LOBE_DB
      ) {
        own = true;
        break;
      }
      if (away > reach * curve.nearestRangeM || share > SAME_PINGS) continue;
      // A mark that hardly rises knows little of its speed: its legs may know it better.
      const sameCurve =
        off < w.offPulses * pulseM + ASLANT_M * aslant ||
        offCurve(piece, curve, speedTold(piece, curve, speed)) < pulseM;
      const fit = piece.curve;
      const sameApex =
        fit !== null &&
        fit.offM < pulseM &&
        Math.abs(fit.nearestRangeM - curve.nearestRangeM) < w.apexPulses * pulseM &&
        Math.abs(fit.nearestTimeS - curve.nearestTimeS) * speed < w.apexShare * curve.nearestRangeM;
      if (!sameCurve && !sameApex) continue;
      // Two that cross lie each on a curve of its own, and on none together.
      const both = fitted(joined(mark.track, piece.track), timeS, speed);
      if (isOffCurve(both, heaveM, speed, pulseM) && both.curve!.offM > curve.offM) continue;
      home = k;
      together = both;
    }
    if (own) continue;
    if (home < 0) out.push(piece);
    else out[home] = together ?? fitted(joined(out[home]!.track, piece.track), timeS, speed);
  }
  return out;
}
