import { powerOf, toDb } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { fishAt } from '@/core/scene';
import { simulate, visibleFish, type VisibleFish } from '@/core/sounder';
import type { MadePass } from './passes';

/** What lies about an echo: so many pings to either side, and metres, but no less than a pulse. */
const ABOUT_PINGS = 8;
const ABOUT_M = 0.1;

/** The pings of a pass as they would be with no fish in the water and no other sounder. */
function withoutFish({ scene, track, face, recording, farM, rig }: MadePass): Channel {
  const water = { ...scene, fish: [], gear: [], targets: [], otherSounders: [] };
  return simulate({ scene: water, track, rig, faces: [face], pingRate: recording.pingRate, farM, seed: 1 })
    .channels[0]!;
}

/** Mean level of the water about a place, dB re 1 µPa. */
function aroundDb(
  { levelDb, pingCount, sampleCount: n, sampleStepM: step, firstRangeM, resolutionM }: Channel,
  ping: number,
  rangeM: number,
): number {
  const at = Math.round((rangeM - firstRangeM) / step);
  const half = Math.ceil(Math.max(ABOUT_M, resolutionM) / step);
  let sum = 0;
  let count = 0;
  for (let p = Math.max(0, ping - ABOUT_PINGS); p <= Math.min(pingCount - 1, ping + ABOUT_PINGS); p++)
    for (let j = Math.max(0, at - half); j <= Math.min(n - 1, at + half); j++) {
      sum += powerOf(levelDb[p * n + j]!);
      count++;
    }
  return count === 0 ? Infinity : toDb(sum / count);
}

/**
 * The fish of a pass as its picture shows them: in the pings in which their echo without noise stands so far over all else that the
 * picture has there, noise, bubbles, bait and bed.
 * @returns the same for any margin over that, dB, each from one simulation of the water
 */
export function seenFish(pass: MadePass): (showsDb: number) => VisibleFish[] {
  const { scene, track, rig, face } = pass;
  const water = withoutFish(pass);
  const overNoise = visibleFish(scene, track, rig, face, 0);
  const overs = overNoise.map((fish) =>
    fish.pings.map((p, i) => fish.levelDb[i]! - aroundDb(water, p, fish.rangeM[i]!)),
  );
  const place = new Float64Array(6);
  return (showsDb) =>
    overNoise.map((fish, f): VisibleFish => {
      const over = overs[f]!;
      const kept = fish.pings.map((_, i) => i).filter((i) => over[i]! >= showsDb);
      const rangeM = kept.map((i) => fish.rangeM[i]!);
      const nearestRangeM = Math.min(Infinity, ...rangeM);
      const nearest = kept[rangeM.indexOf(nearestRangeM)];
      const nearestTimeS = nearest === undefined ? 0 : track.timeS[fish.pings[nearest]!]!;
      fishAt(fish.fish, nearestTimeS, place);
      return {
        ...fish,
        peakDb: Math.max(-Infinity, ...over),
        pings: kept.map((i) => fish.pings[i]!),
        levelDb: kept.map((i) => fish.levelDb[i]!),
        rangeM,
        nearestRangeM,
        nearestTimeS,
        depthM: place[2]!,
      };
    });
}
