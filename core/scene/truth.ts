import { bedDepthAt } from './bedField';
import { fishAt } from './fish';
import type { Scene } from './scene';
import type { Track } from './track';

/** When and how near one fish passed the face. */
export interface FishPass {
  /** Nearest slant range, m, and when, s. */
  nearestRangeM: number;
  timeS: number;
  depthM: number;
  /** Angle off the vertical at the nearest point, rad. */
  angleRad: number;
  lengthM: number;
}

/** What was really there, for judging a reader. Never handed to one. */
export interface Truth {
  fish: FishPass[];
  /** Range of the nearest bed inside the beam by ping, m. */
  firstBedRangeM: Float32Array;
  clouds: { timeS: number; topM: number; bottomM: number }[];
}

/** Places inside the beam the nearest bed is sought at; a bed turns little between two of them. */
const RINGS = 10;
const SPOKES = 12;

/** The truth of a pass as a beam of half width `halfWidthRad` could see it. */
export function truthOf(scene: Scene, track: Track, halfWidthRad: number): Truth {
  const at = new Float64Array(6);
  const pings = track.timeS.length;
  const fish = scene.fish.map((f): FishPass => {
    let best: FishPass = { nearestRangeM: Infinity, timeS: 0, depthM: 0, angleRad: 0, lengthM: f.lengthM };
    for (let p = 0; p < pings; p++) {
      fishAt(f, track.timeS[p]!, at);
      const dz = at[2]! - track.heaveM[p]!;
      const across = Math.hypot(at[0]! - track.xM[p]!, at[1]! - track.yM[p]!);
      const range = Math.hypot(across, dz);
      if (range < best.nearestRangeM)
        best = {
          nearestRangeM: range,
          timeS: track.timeS[p]!,
          depthM: at[2]!,
          angleRad: Math.atan2(across, dz),
          lengthM: f.lengthM,
        };
    }
    return best;
  });
  const firstBedRangeM = new Float32Array(pings);
  for (let p = 0; p < pings; p++) {
    const x = track.xM[p]!;
    const y = track.yM[p]!;
    const below = bedDepthAt(scene.bed, x, y) - track.heaveM[p]!;
    let nearest = below;
    for (let ring = 1; ring <= RINGS; ring++) {
      const across = below * Math.tan(halfWidthRad) * (ring / RINGS);
      for (let a = 0; a < SPOKES; a++) {
        const angle = (2 * a * Math.PI) / SPOKES;
        const depth =
          bedDepthAt(scene.bed, x + across * Math.cos(angle), y + across * Math.sin(angle)) -
          track.heaveM[p]!;
        nearest = Math.min(nearest, Math.hypot(across, depth));
      }
    }
    firstBedRangeM[p] = nearest;
  }
  return {
    fish,
    firstBedRangeM,
    clouds: scene.clouds.map((c) => {
      const aside = (p: number): number => Math.abs(track.xM[p]! - c.x - c.vx * track.timeS[p]!);
      let nearestP = 0;
      for (let p = 1; p < pings; p++) if (aside(p) < aside(nearestP)) nearestP = p;
      return { timeS: track.timeS[nearestP]!, topM: c.z - c.radiusZM, bottomM: c.z + c.radiusZM };
    }),
  };
}
