import { seededRandom, type Random } from '@/core/maths';
import { SILT, smallLifeDb, type BedMaterial, type LifeBrief } from '@/core/water';
import { bedDepthAt } from './bedField';
import { GROUNDS, type Ground } from './choices';
import { brush, timber, type Cover } from './cover';
import { firstPass, passDuration, type PassBrief, type PassGround } from './firstPass';
import { bell, step, swells } from './library/waters';
import type { Scene } from './scene';

/** What a brief says of its water besides what every pass has. */
export interface WaterBrief extends Omit<PassBrief, 'hour'>, LifeBrief {
  bed: BedMaterial | 'unknown';
  /** Other sounders within earshot. */
  othersNear: boolean;
  /** How the ground lies; by the seed where it is left out. */
  ground?: Ground | undefined;
  /** Whether the fish keeps in cover, which then stands on the bed. */
  inCover: boolean;
}

/** How far the ground rises over its deepest, as a share of how far it may, along the way 0…1. */
const RISES: Record<Ground, (along: number) => number> = {
  shelf: (u) => 1 - u,
  basin: () => 0.1,
  hump: (u) => bell((u - 0.55) / 0.16),
  ledge: (u) => 1 - step(u, 0.42, 0.1),
  channel: (u) => 1 - bell((u - 0.5) / 0.2),
};

/** The ground may rise by this share of the depth, and by this much of the water between fish and bed. */
const MOST_RISE = 0.22;
const RISE_OF_BAND = 0.4;
const UNEVEN = 0.012;

function groundOf({ fromM, toM, bed, ground }: WaterBrief, wayM: number, random: Random): PassGround {
  const bySeed = GROUNDS[random.integer(GROUNDS.length)]!;
  const lie = ground ?? bySeed;
  const riseAt = RISES[lie];
  const riseM = Math.min(MOST_RISE * toM, RISE_OF_BAND * (toM - fromM), 0.08 * Math.max(wayM, 40));
  const uneven = swells(random, UNEVEN * toM, Math.max(20, toM));
  const hardFirst = random.uniform() < 0.5;
  return {
    title: `Your water: a ${lie}`,
    depthAt: (x, y) => {
      const along = Math.min(1, Math.max(0, x / Math.max(wayM, 40)));
      return toM - (0.2 + UNEVEN * toM) - riseM * riseAt(along) + uneven(x, y) + 0.01 * y;
    },
    // A bed that is not known is some of each.
    materialAt: bed === 'unknown' ? (x) => (x < wayM / 2 === hardFirst ? 'gravel' : 'mud') : () => bed,
  };
}

/** Boats in earshot: how often they ping, 1/s, and how loud they are, dB over our noise at rest. */
const NEIGHBOURS = [
  { pingRate: 11.3, overNoiseDb: 22, pulseS: 3e-4 },
  { pingRate: 7.1, overNoiseDb: 17, pulseS: 2e-4 },
] as const;

/** Heaps of brush and standing timber along the way, a little to its sides. */
function coverAlong(brief: WaterBrief, scene: Scene, random: Random): Cover[] {
  const wayM = brief.speedMps * passDuration(brief);
  return [0.22, 0.48, 0.79].map((share, k) => {
    const x = wayM > 0 ? share * wayM : random.between(-0.1, 0.1) * brief.toM;
    const y = random.between(-0.08, 0.08) * brief.toM;
    const foot = bedDepthAt(scene.bed, x, y);
    const heightM = Math.min(0.25 * foot, random.between(1.2, 2.6));
    return k === 1
      ? timber([x, y], foot, heightM, 2, random)
      : brush(
          [x, y],
          foot,
          { radiusM: random.between(1, 2), heightM, ageYears: random.between(0.5, 6) },
          random,
        );
  });
}

/**
 * The water of a brief, all of it: its depths, bed, clarity, layer, boats near, cover where its fish keeps in some, and a
 * lie of the ground of its own by seed. Same brief and seed, same water.
 * @throws RangeError unless 0.5 ≤ fromM < toM ≤ 300
 */
export function briefWater(brief: WaterBrief, seed: number): Scene {
  const scene = firstPass(brief, seed, (wayM, random) => groundOf(brief, wayM, random));
  return {
    ...scene,
    id: 'brief-water',
    teaches: 'Water made from your plan: single fish, a cloud of bait, and the bed you named.',
    covers: brief.inCover ? coverAlong(brief, scene, seededRandom(seed).fork('cover')) : [],
    silt: brief.clarity === 'silty' ? SILT : null,
    backgroundSvDb: smallLifeDb(brief),
    otherSounders: brief.othersNear ? [...NEIGHBOURS] : [],
  };
}
