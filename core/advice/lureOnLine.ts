/** A lure and its line. */
export interface Tackle {
  massKg: number;
  /** Bare metal, or with soft bait, feathers or a skirt about it. */
  dressed: boolean;
  /** Thickness of the line, m. */
  lineM: number;
}

/** A jig, kg, and a line's thickness, m, where nobody said. */
export const USUAL_LURE_KG = 0.014;
export const USUAL_LINE_M = 0.0002;

/** Lead, kg/m³, and water; gravity, m/s². */
const LEAD = 11_340;
const WATER = 1000;
const G = 9.81;
/** Drag of a sphere at Reynolds numbers of 10³–10⁵ and of a cylinder across the flow (Hoerner 1965). */
const SPHERE_DRAG = 0.47;
const LINE_DRAG = 1.1;
/** A dressing drags as so many times the bare weight's face; measured ones lie about there, within a factor of two. */
const DRESSED = 4;
/** Pieces a hanging line is worked out in. */
const PIECES = 60;

/** Drag of the lure for each (m/s)², N; and its weight in water, N. */
function forces({ massKg, dressed }: Tackle): { dragPer: number; weightN: number } {
  const radius = Math.cbrt((3 * massKg) / (4 * Math.PI * LEAD));
  const area = Math.PI * radius ** 2 * (dressed ? DRESSED : 1);
  return { dragPer: 0.5 * WATER * SPHERE_DRAG * area, weightN: massKg * G * (1 - WATER / LEAD) };
}

/** Speed a lure sinks at on a free line, m/s: its drag is its weight in water. @throws RangeError unless the mass is above 0 */
export function sinkSpeed(tackle: Tackle): number {
  if (!(tackle.massKg > 0)) throw new RangeError(`lure: its mass must be above 0, got ${tackle.massKg}`);
  const { dragPer, weightN } = forces(tackle);
  return Math.sqrt(weightN / dragPer);
}

/**
 * How far aft a lure hangs at a depth while the water passes at a speed, and the line out for it, m: the line's shape piece by piece from the
 * lure up, each piece dragged across its length. Depth in m, speed of the water past the boat in m/s.
 */
export function hangingLure(
  tackle: Tackle,
  depthM: number,
  speedMps: number,
): { aftM: number; lineOutM: number } {
  const { dragPer, weightN } = forces(tackle);
  let sideways = dragPer * speedMps ** 2;
  const piece = depthM / PIECES;
  let aftM = 0;
  let lineOutM = 0;
  for (let k = 0; k < PIECES; k++) {
    const slope = sideways / weightN;
    const length = piece * Math.hypot(1, slope);
    aftM += piece * slope;
    lineOutM += length;
    // Only the flow across the piece drags it: cos² of its lean, over its length, along the flow.
    sideways += 0.5 * WATER * LINE_DRAG * tackle.lineM * speedMps ** 2 * (piece / length) ** 2 * length;
  }
  return { aftM, lineOutM };
}

/** How far from the transducer a rod tip may be so that a lure straight under it is in a level beam at a depth, m. */
export const rodReach = (depthM: number, beamRad: number): number => depthM * Math.tan(beamRad / 2);

/** A lure hangs this far over the top of cover or over the fish, m: fish look up. */
const OVER_M = 0.3;
const OVER_FISH = 0.06;

/** Depth to hang a lure at: over the cover, or a little over the fish, m. */
export const lureDepth = (over: { topM: number } | { fishM: number }): number =>
  'topM' in over
    ? Math.max(0.3, over.topM - OVER_M)
    : Math.max(0.3, over.fishM - Math.max(OVER_M, OVER_FISH * over.fishM));
