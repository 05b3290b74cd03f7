import type { Random } from '@/core/maths';
import { bedDepthAt } from '../bedField';
import { baitCloud } from '../bait';
import { wreck } from '../cover';
import { cruising, holding } from '../fish';
import { drift, idlePass } from '../track';
import { openWater, wayOf, type SceneRecipe } from './recipe';
import { bell, groundUnder, raggedEdge, swells } from './waters';

const cod = (random: Random) => ({ bladder: 'closed' as const, lengthM: random.between(0.5, 0.95) });
const tuna = (random: Random) => ({ bladder: 'closed' as const, lengthM: random.between(0.9, 1.6) });

export const THE_TOLLS_SCENES: readonly SceneRecipe[] = [
  {
    id: 'deep-hump',
    title: 'Hump on the bank, 70–90 m',
    teaches: 'Deep water: a low frequency, a long pulse and a window on the lowest part.',
    waterName: 'The Tolls',
    sections: idlePass(1.8, 130),
    windMps: 4,
    rangeM: 105,
    pingRate: 2.5,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 1.5, 60);
      const ragged = raggedEdge(random);
      const bed = groundUnder(
        way,
        92,
        (x, y) => 88 - 17 * bell((x - 0.55 * way) / 38) * bell(y / 60) + rough(x, y),
        (x, y) => (Math.abs(ragged(x, y) - 0.55 * way) < 36 ? 'rock' : 'sand'),
      );
      const fish = Array.from({ length: 16 }, () => {
        const x = way * random.between(0.3, 0.8);
        return holding(
          cod(random),
          [x, random.between(-6, 6), bedDepthAt(bed, x, 0) - random.between(1.5, 9)],
          random,
        );
      });
      return { ...openWater(recipe, bed), fish, backgroundSvDb: -90 };
    },
  },
  {
    id: 'deep-wreck',
    title: 'Wreck at 62 m',
    teaches: 'A wreck stands up hard and sudden; the fish hang over and down-tide of it.',
    waterName: 'The Tolls',
    sections: drift(0.9, 120),
    windMps: 3,
    rangeM: 72,
    pingRate: 3.6,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.8, 70);
      const bed = groundUnder(
        way,
        65,
        (x, y) => 62 + rough(x, y),
        () => 'sand',
      );
      const at = 0.5 * way;
      const hull = wreck(
        [at, 2],
        bedDepthAt(bed, at, 2),
        { lengthM: 26, beamM: 6, heightM: 5, headingRad: random.between(-0.5, 0.5) },
        random,
      );
      return {
        ...openWater(recipe, bed),
        covers: [hull],
        fish: Array.from({ length: 12 }, () =>
          holding(
            cod(random),
            [at + random.between(-8, 26), random.between(-4, 4), hull.topM + random.between(-5, 3)],
            random,
          ),
        ),
        clouds: [
          baitCloud(
            {
              mood: 'hunted',
              place: [at - 6, 0, 46],
              radiusM: 5,
              count: 1800,
              lengthM: 0.16,
              bladder: 'open',
            },
            random,
          ),
        ],
      };
    },
  },
  {
    id: 'deep-scatter',
    title: 'Scatter layer and deep runners',
    teaches: 'In deep water the arches come back: long paths, long legs, and a layer that is alive.',
    waterName: 'The Tolls',
    sections: idlePass(2.2, 130),
    windMps: 5,
    rangeM: 170,
    pingRate: 1.5,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 3, 120);
      const bed = groundUnder(
        way,
        160,
        (x, y) => 152 + rough(x, y),
        () => 'silt',
      );
      return {
        ...openWater(recipe, bed),
        layers: [
          { depthM: 58, thicknessM: 7, svDb: -56, swellM: 4, swellLengthM: 160, patchDb: 6 },
          { depthM: 96, thicknessM: 4, svDb: -62, swellM: 3, swellLengthM: 110, patchDb: 6 },
        ],
        fish: Array.from({ length: 8 }, (_, i) =>
          cruising(
            tuna(random),
            (i + 0.6) * 15,
            [(i + 0.6) * 33, random.between(-8, 8), random.between(25, 85)],
            [random.between(-0.8, 0.8), 0.1, 0],
            random,
          ),
        ),
        backgroundSvDb: -86,
      };
    },
  },
  {
    id: 'wide-school',
    title: 'School off the edge',
    teaches: 'A carpet on the bed and a stack above it are hints to the kind, never proof.',
    waterName: 'The Tolls',
    sections: drift(1, 110),
    windMps: 4,
    rangeM: 80,
    pingRate: 3.2,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 1, 80);
      const bed = groundUnder(
        way,
        72,
        (x, y) => 66 + (3 * x) / way + rough(x, y),
        () => 'gravel',
      );
      return {
        ...openWater(recipe, bed),
        clouds: [
          baitCloud(
            {
              mood: 'calm',
              place: [0.35 * way, 1, 55],
              radiusM: 8,
              radiusZM: 5,
              count: 4000,
              lengthM: 0.2,
              bladder: 'open',
            },
            random,
          ),
          baitCloud(
            {
              mood: 'calm',
              place: [0.75 * way, 0, 66],
              radiusM: 14,
              radiusZM: 1.6,
              count: 1500,
              lengthM: 0.25,
              bladder: 'closed',
            },
            random,
          ),
        ],
        fish: Array.from({ length: 6 }, () =>
          holding(
            cod(random),
            [way * random.between(0.1, 0.95), random.between(-5, 5), random.between(45, 62)],
            random,
          ),
        ),
      };
    },
  },
];
