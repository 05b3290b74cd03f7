import type { Random } from '@/core/maths';
import { weightTargetStrength } from '@/core/water';
import { bedDepthAt } from '../bedField';
import { baitCloud } from '../bait';
import { boulder } from '../cover';
import { cruising, holding } from '../fish';
import { driftingDebris } from '../gear';
import { drift, idlePass } from '../track';
import { openWater, wayOf, type SceneRecipe } from './recipe';
import { groundUnder, raggedEdge, step, swells } from './waters';

const bass = (random: Random) => ({ bladder: 'closed' as const, lengthM: random.between(0.4, 0.75) });
const HERRING = { lengthM: 0.11, bladder: 'open' } as const;

export const CORRIE_SOUND_SCENES: readonly SceneRecipe[] = [
  {
    id: 'salt-under-fresh',
    title: 'Salt under fresh',
    teaches: 'In an estuary the band is where salt water begins; it rises and falls with the tide.',
    waterName: 'Corrie Sound',
    sections: drift(0.7, 110),
    windMps: 4,
    rangeM: 16,
    pingRate: 9,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.5, 35);
      const ragged = raggedEdge(random);
      const bed = groundUnder(
        way,
        14,
        (x, y) => 12 + (1.2 * x) / way + rough(x, y),
        (x, y) => (ragged(x, y) < 0.5 * way ? 'sand' : 'mud'),
      );
      return {
        ...openWater(recipe, bed),
        layers: [{ depthM: 4, thicknessM: 0.3, svDb: -52, swellM: 0.6, swellLengthM: 45, patchDb: 3 }],
        fish: Array.from({ length: 8 }, (_, i) =>
          cruising(
            bass(random),
            (i + 1) * 12,
            [(i + 1) * 8.4, random.between(-1, 1), random.between(5.5, 11)],
            [random.between(-0.3, 0.3), 0.05, 0],
            random,
          ),
        ),
        clouds: [
          baitCloud(
            { mood: 'calm', place: [0.6 * way, 0, 2.6], radiusM: 1.8, radiusZM: 0.7, count: 500, ...HERRING },
            random,
          ),
        ],
      };
    },
  },
  {
    id: 'towed-weight',
    title: 'Trolling with a weight',
    teaches: 'A straight line at one depth is one’s own weight on its wire, not a row of fish.',
    waterName: 'Corrie Sound',
    sections: idlePass(1.1, 100),
    windMps: 3,
    rangeM: 22,
    pingRate: 9,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.8, 60);
      const bed = groundUnder(
        way,
        21,
        (x, y) => 18.5 + rough(x, y),
        () => 'sand',
      );
      const line = random.between(9, 11);
      return {
        ...openWater(recipe, bed),
        gear: [
          {
            kind: 'towed-weight',
            targetStrengthDb: weightTargetStrength(4.5),
            from: { x: 0.3, y: 0.4 },
            lineOut: [
              [0, line],
              [60, line],
              [66, line + 2],
            ],
            swing: 0.03,
          },
          {
            kind: 'lure',
            targetStrengthDb: -46,
            from: { x: 0.1, y: 0.4 },
            lineOut: [
              [0, line - 0.8],
              [60, line - 0.8],
              [66, line + 1.2],
            ],
            swing: 0.06,
          },
        ],
        fish: Array.from({ length: 6 }, (_, i) =>
          cruising(
            bass(random),
            (i + 0.8) * 16,
            [(i + 0.8) * 17.6, random.between(-1.2, 1.2), random.between(7, 15)],
            [random.between(0, 0.5), 0, 0],
            random,
          ),
        ),
      };
    },
  },
  {
    id: 'silty-channel',
    title: 'Silt and drift in the channel',
    teaches: 'Stirred silt lifts off the bed and drifting leaves look like small fish: less gain, low power.',
    waterName: 'Corrie Sound',
    sections: drift(0.9, 100),
    windMps: 5,
    rangeM: 13,
    pingRate: 10,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.4, 30);
      const bed = groundUnder(
        way,
        11,
        (x, y) => 9 + 1.2 * step(x, 0.5 * way, 20) + rough(x, y),
        () => 'mud',
      );
      return {
        ...openWater(recipe, bed),
        silt: { svDb: -46, heightM: 0.8 },
        backgroundSvDb: -70,
        drifters: driftingDebris({ fromX: 0, toX: way, halfWidthM: 2, fromZ: 1, toZ: 8 }, 70, random),
        fish: Array.from({ length: 5 }, (_, i) =>
          holding(
            bass(random),
            [((i + 0.5) / 5) * way, random.between(-0.8, 0.8), random.between(4, 8)],
            random,
          ),
        ),
      };
    },
  },
  {
    id: 'reef-bass',
    title: 'Bass over the reef',
    teaches: 'Rock draws a bright, ragged bed; fish stand up-current of the high stones.',
    waterName: 'Corrie Sound',
    sections: idlePass(1.4, 90),
    windMps: 4,
    rangeM: 17,
    pingRate: 10,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.9, 15);
      const bed = groundUnder(
        way,
        15,
        (x, y) => 12 - 3 * step(x, 0.3 * way, 15) + 3 * step(x, 0.65 * way, 15) + rough(x, y),
        () => 'rock',
      );
      const covers = Array.from({ length: 9 }, () => {
        const x = random.between(0.3, 0.8) * way;
        const y = random.between(-2, 2);
        return boulder([x, y], bedDepthAt(bed, x, y), random.between(0.5, 1.5), random);
      });
      return {
        ...openWater(recipe, bed),
        covers,
        fish: covers.flatMap((c) =>
          random.uniform() < 0.7
            ? [
                holding(
                  bass(random),
                  [c.x - random.between(0.5, 2.5), 0.5 * c.y, c.topM - random.between(0.6, 2)],
                  random,
                ),
              ]
            : [],
        ),
      };
    },
  },
];
