import { toDb } from '@/core/maths';
import { absorptionOf, soundSpeedOf } from '@/core/water';
import { DETECTION_DB, faceBudget, type Face, type Rig } from '@/core/rig';
import { ENGINES, fishAt, type Fish, type Scene, type Track } from '@/core/scene';
import { framesOf } from './frame';
import { patternTable } from './patternTable';
import { tracePoints } from './tracePoints';

/** What one fish would draw without noise: the truth a reading of it is held against. */
export interface VisibleFish {
  fish: Fish;
  /** Strongest ping over noise, dB, and the pings in which it stands 10 dB or more over it, in order. */
  peakDb: number;
  pings: number[];
  /** Range and level by those pings, m and dB re 1 µPa. */
  rangeM: number[];
  levelDb: number[];
  /** Nearest of them, m, and when, s. */
  nearestRangeM: number;
  nearestTimeS: number;
  /** Depth at that time, m. */
  depthM: number;
}

/**
 * What a face shows of each fish of a scene; nothing else in the water and no noise but its level.
 * @param showsDb over the noise from which a fish shows in a ping, dB
 */
export function visibleFish(
  scene: Scene,
  track: Track,
  rig: Rig,
  face: Face,
  showsDb = DETECTION_DB,
): VisibleFish[] {
  const pattern = patternTable(face.beam);
  const c = soundSpeedOf(scene.water);
  const alpha = absorptionOf(scene.water, face.frequencyHz).dbPerM;
  const frames = framesOf(track, rig.mount);
  const budgets = ENGINES.map((engine) => faceBudget(rig, face, scene.water, { engine }));
  const pings = track.timeS.length;
  const none = new Float32Array(4 * pings);
  const place = new Float64Array(6);
  return scene.fish.map((fish): VisibleFish => {
    const alone = { ...scene, fish: [fish], clouds: [], covers: [], gear: [], drifters: [], targets: [] };
    const { start, rangeM, re, im } = tracePoints(alone, track, frames, face, pattern, c, alpha, none, 1, 1);
    const shown: VisibleFish = {
      fish,
      peakDb: -Infinity,
      pings: [],
      rangeM: [],
      levelDb: [],
      nearestRangeM: Infinity,
      nearestTimeS: 0,
      depthM: 0,
    };
    for (let p = 0; p < pings; p++) {
      let x = 0;
      let y = 0;
      let nearest = Infinity;
      for (let k = start[p]!; k < start[p + 1]!; k++) {
        x += re[k]!;
        y += im[k]!;
        if (rangeM[k]! < nearest) nearest = rangeM[k]!;
      }
      const { sourceLevelDb, noiseLevelDb } = budgets[track.engine[p]!]!;
      const level = sourceLevelDb + toDb(x * x + y * y + 1e-30);
      const over = level - noiseLevelDb;
      if (over > shown.peakDb) shown.peakDb = over;
      if (over < showsDb) continue;
      shown.pings.push(p);
      shown.rangeM.push(nearest);
      shown.levelDb.push(level);
      if (nearest < shown.nearestRangeM) {
        shown.nearestRangeM = nearest;
        shown.nearestTimeS = track.timeS[p]!;
        fishAt(fish, track.timeS[p]!, place);
        shown.depthM = place[2]!;
      }
    }
    return shown;
  });
}
