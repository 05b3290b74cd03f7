import { amplitudeFromDb, seededRandom, toDb } from '@/core/maths';
import {
  BEGIN_DB,
  FEW_STAND_OUT_DB,
  FEWEST_PINGS,
  GAP_PINGS,
  GO_ON_DB,
  LEAST_TRACK,
  LONG_PINGS,
  LOST_S,
  markEvidence,
  shapeOfLegs,
  USUAL_PINGS,
} from '@/core/reading/marks/markRules';
import type { MarkShape } from '@/core/reading';
import { beamPattern, BODY_M, echoMargin, strongestNoise } from '@/core/rig';
import { FISH_HIGHLIGHTS, squareOnGain, tiltLoss } from '@/core/water';
import { heldWay } from './heldWay';
import type { Prediction } from './prediction';

/** How one fish is met. */
export interface Meeting {
  lengthM: number;
  depthM: number;
  /** How far to the side of the boat's line it lies, m. */
  asideM: number;
  /** 0 for a boat that keeps still. */
  speedMps: number;
  pingRate: number;
}

/** Draws of noise, a power of two. */
const DRAWS = 4096;
/** Ways a fish may lie that are tried, under a moving boat and a still one; and how long a still one looks, s. */
const LIES = 80;
const STILL_LIES = 16;
export const STILL_S = 20;
/** It leans by up to this as it rises or sinks a little, rad, and rocks by this as it beats its tail, rad and s. */
const LEANS_RAD = 0.078;
const ROCKS_RAD = 0.07;
const ROCKS_S = 1.2;
/** Most pings walked through either side: of a slower boat every so many. */
const MOST_PINGS = 90;
/** Pings are walked through out to this far under what is heard at all, dB. */
const WALKED_UNDER_DB = 5;
/** Steps of what is looked up. */
const STEPS = 400;
/** A level off by noise moves an edge by this share of a pulse where echo and noise are alike (rise time over amplitude ratio). */
const EDGE_NOISE = 0.35;
/** What an echo itself adds to the water it is held against, dB. */
const OWN_SHARE_DB = 0.4;
/** Share of all passes that go as walked through here: in the rest something plays a part that is left out. From simulated passes. */
const FORESEEN = 0.98;
/** How far along its length from its middle a fish still answers. */
const FARTHEST_PART = Math.max(...FISH_HIGHLIGHTS.map(({ along }) => Math.abs(along)));
/** Legs are never measured finer than this, m. */
const FINEST_M = BODY_M;

/** A function of |x| out to `reach`, worked out beforehand in steps; and its value at x, a share of the reach. */
const tableOf = (reach: number, of: (x: number) => number): Float64Array =>
  Float64Array.from({ length: STEPS + 1 }, (_, k) => of((k / STEPS) * reach));
const lookUp = (table: Float64Array, share: number): number =>
  table[Math.min(STEPS, Math.round(Math.abs(share) * STEPS))]!;

/** What the pings that stand out make, by the rules of a mark. @param room pings the beam has room for */
function judged(
  overDb: Float64Array,
  rangeM: Float64Array,
  room: number,
  pulseM: number,
  slice: boolean,
  speedMps: number,
  bridged: number,
): MarkShape {
  const still = speedMps === 0;
  let best: MarkShape = 'nothing';
  let most = 0;
  let [pings, peak, nearest, before, after] = [0, 0, Infinity, 0, 0];
  const close = (): void => {
    const few = pings >= FEWEST_PINGS && pings >= Math.floor(room) && peak >= FEW_STAND_OUT_DB;
    if ((pings >= USUAL_PINGS || few) && pings > most) {
      const shape =
        still && pings > LONG_PINGS
          ? 'line'
          : shapeOfLegs(pings, before / pulseM, after / pulseM, slice && !still);
      const look = { peakOverDb: peak, pings, shape, speedMps, fan: slice };
      if (markEvidence(look) > 0) [best, most] = [shape, pings];
    }
    [pings, peak, nearest, before, after] = [0, 0, Infinity, 0, 0];
  };
  let last = -Infinity;
  for (let i = 0; i < overDb.length;) {
    if (overDb[i]! < BEGIN_DB) {
      i++;
      continue;
    }
    // A piece: from an echo that stands out to the last before a gap.
    let to = i;
    let count = 0;
    let top = 0;
    for (let k = i; k < overDb.length && k - to <= GAP_PINGS; k++)
      if (overDb[k]! >= GO_ON_DB) {
        to = k;
        count++;
        top = Math.max(top, overDb[k]!);
      }
    if (count >= LEAST_TRACK || (count >= FEWEST_PINGS && top >= FEW_STAND_OUT_DB)) {
      if (i - last > bridged) close();
      for (let k = i; k <= to; k++)
        if (overDb[k]! >= GO_ON_DB) {
          const r = rangeM[k]!;
          if (r < nearest) {
            // What rose before the nearest point is its leg.
            before = Math.max(before, after) + (pings > 0 ? nearest - r : 0);
            nearest = r;
            after = 0;
          } else after = Math.max(after, r - nearest);
          pings++;
        }
      peak = Math.max(peak, top);
      last = to;
    }
    i = to + GAP_PINGS + 1;
  }
  close();
  return best;
}

/**
 * What a fish may be drawn as, as shares of the ways it may lie and fade, 0.98 in all: its heading and lean are not known, and its
 * own directivity (Nakken & Olsen 1977) decides which leg is heard. Each way is walked through ping by ping: the sonar equation
 * (Urick 1983), its parts adding up in step or out of it, noise of exponential power; what stands out is judged by the rules of a
 * mark. The same answer each time. Depths and lengths above 0; throws nothing.
 */
export function likelyShapes(p: Prediction, meeting: Meeting): Partial<Record<MarkShape, number>> {
  const { lengthM, depthM, asideM, speedMps, pingRate } = meeting;
  const { budget, face, targetStrengthDb } = p;
  const still = speedMps === 0;
  const wave = budget.soundSpeedMps / face.frequencyHz;
  const squareDb = targetStrengthDb + squareOnGain(lengthM, wave);
  const noiseDb = strongestNoise(budget.resolutionM) + OWN_SHARE_DB;
  const way = heldWay(p, depthM, {
    asideM,
    strengthFromDb: () => squareDb,
    needDb: GO_ON_DB + noiseDb - WALKED_UNDER_DB,
    gapM: depthM,
  });
  if (way === 0) return { nothing: FORESEEN };
  // A thin beam meets the parts of a long body one after the other.
  const half = way + FARTHEST_PART * lengthM;
  const step = Math.max(speedMps / pingRate, half / MOST_PINGS);
  const count = still ? Math.round(STILL_S * pingRate) : 2 * Math.ceil(half / step) + 1;
  const seconds = still ? 1 / pingRate : step / speedMps;
  const room = still ? Infinity : (2 * depthM * Math.tan(face.beam.alongRad / 2) * pingRate) / speedMps;
  const pulseM = Math.max(budget.resolutionM, FINEST_M);
  // There and back, by the way from its nearest point.
  const reach = half + lengthM + step;
  const pattern = tableOf(reach, (x) => {
    const r = Math.hypot(depthM, asideM, x);
    return beamPattern(face.beam, x / r, asideM / r);
  });
  // Met square on, as pressure over the noise; and the share of it that is left by the sine of how far off square it is met.
  const square = tableOf(reach, (x) =>
    amplitudeFromDb(echoMargin(budget, Math.hypot(depthM, asideM, x), squareDb)),
  );
  const tilt = tableOf(1, (sin) => amplitudeFromDb(-tiltLoss(lengthM, wave, Math.asin(sin))));
  const alongM = FISH_HIGHLIGHTS.map(({ along }) => along * lengthM);
  const weights = FISH_HIGHLIGHTS.map(({ share }) => Math.sqrt(share));
  const turns = FISH_HIGHLIGHTS.map((part) => part.turns);
  const parts = FISH_HIGHLIGHTS.length;
  const random = seededRandom(1);
  // Drawn once: each ping takes the next of them.
  const draws = Float64Array.from({ length: DRAWS }, () => random.normal());
  let drawn = 0;
  // A pulse longer than a body is met in two halves; of a shorter one the strongest is taken anyway, and its noise booked.
  const halves = strongestNoise(budget.resolutionM) > 0 ? 1 : 2;
  const lies = still ? STILL_LIES : LIES;
  const over = new Float64Array(count);
  const range = new Float64Array(count);
  const shares: Partial<Record<MarkShape, number>> = {};
  /** Walks one way through the beam, ping by ping, into `over` and `range`. */
  const walk = (first: number, heading: number, lean: number, rock: number): void => {
    const ahead = Math.cos(heading);
    const athwart = Math.sin(heading);
    let lead = 0;
    for (let i = 0; i < count; i++) {
      const x = still ? 0 : first + i * step;
      const r = Math.sqrt(depthM * depthM + asideM * asideM + x * x);
      const pitch = lean + ROCKS_RAD * Math.sin(rock + (2 * Math.PI * i * seconds) / ROCKS_S);
      // The fish lies ahead of a boat that has not reached it.
      const flat = Math.cos(pitch);
      const up = Math.sin(pitch);
      const sinOff = ((athwart * asideM - ahead * x) * flat - depthM * up) / r;
      const amplitude = lookUp(square, x / reach) * lookUp(tilt, sinOff);
      let re = 0;
      let im = 0;
      for (let h = 0; h < parts; h++) {
        const l = alongM[h]!;
        // Close by, a body's parts are met on a curve, not on a plane.
        const dx = x - l * ahead * flat;
        const dy = asideM + l * athwart * flat;
        const dz = depthM - l * up;
        const part = Math.sqrt(dx * dx + dy * dy + dz * dz);
        if (h === 0) lead = part;
        // What lies farther from the leading part than a pulse is an echo by itself.
        if (Math.abs(part - lead) > budget.resolutionM) continue;
        const turn = 2 * Math.PI * ((2 * (part - lead)) / wave + turns[h]!);
        const strength = amplitude * weights[h]! * lookUp(pattern, dx / reach);
        re += strength * Math.cos(turn);
        im += strength * Math.sin(turn);
      }
      // Noise is another every half pulse: the stronger of both is the peak.
      let power = 0;
      for (let k = 0; k < halves; k++) {
        const heardRe = re + draws[drawn++ & (DRAWS - 1)]! * Math.SQRT1_2;
        const heardIm = im + draws[drawn++ & (DRAWS - 1)]! * Math.SQRT1_2;
        power = Math.max(power, heardRe * heardRe + heardIm * heardIm);
      }
      over[i] = toDb(power + 1e-12) - noiseDb;
      range[i] = r + (draws[drawn++ & (DRAWS - 1)]! * EDGE_NOISE * pulseM) / Math.max(1, Math.sqrt(power));
    }
  };
  for (let lie = 0; lie < lies; lie++) {
    const first = still ? 0 : (random.uniform() - 0.5 - (count >> 1)) * step;
    const heading = (2 * Math.PI * (lie + random.uniform())) / lies;
    drawn = random.integer(DRAWS);
    const lean = LEANS_RAD * Math.sin(2 * Math.PI * random.uniform());
    walk(first, heading, lean, 2 * Math.PI * random.uniform());
    const shape = judged(
      over,
      range,
      room,
      pulseM,
      face.beam.shape === 'fan',
      speedMps,
      still ? LOST_S * pingRate : Infinity,
    );
    shares[shape] = (shares[shape] ?? 0) + FORESEEN / lies;
  }
  return shares;
}
