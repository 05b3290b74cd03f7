import type { Random } from '@/core/maths';
import { weightTargetStrength, lureTargetStrength } from '@/core/water';
import { bedDepthAt } from '../bedField';
import { baitCloud } from '../bait';
import { boulder, brush, crib, stump, timber, weedBed } from '../cover';
import { answering, cruising, holding, milling, turning, type Answer, type Fish } from '../fish';
import { rippedBubbles } from '../gear';
import { drift, holdingStill, idlePass, planing, stopAndBackUp } from '../track';
import type { ScatterLayer } from '../scene';
import { openWater, timeOf, wayOf, type SceneRecipe } from './recipe';
import { bell, groundUnder, raggedEdge, step, swells } from './waters';

const PERCH = { bladder: 'closed' } as const;
const perch = (random: Random) => ({ ...PERCH, lengthM: random.between(0.18, 0.32) });
const zander = (random: Random) => ({ ...PERCH, lengthM: random.between(0.45, 0.75) });
const burbot = (random: Random) => ({ ...PERCH, lengthM: random.between(0.4, 0.65) });
const pike = (random: Random) => ({ bladder: 'open' as const, lengthM: random.between(0.6, 0.95) });
const VENDACE = { lengthM: 0.13, bladder: 'open' } as const;

const summerLayer = (depthM = 9, svDb = -60): ScatterLayer => ({
  depthM,
  thicknessM: 0.4,
  svDb,
  swellM: 0.25,
  swellLengthM: 70,
  patchDb: 4,
});

/** Still fish past which the boat goes, at given depths; offsets within the narrow cone's reach. */
function strung(
  random: Random,
  count: number,
  fromX: number,
  toX: number,
  depthAt: (x: number) => number,
  size: (random: Random) => { lengthM: number; bladder: 'closed' | 'open' | 'small' },
  wide = 0.12,
): Fish[] {
  return Array.from({ length: count }, (_, i) => {
    const x = fromX + ((i + 0.5 + 0.6 * (random.uniform() - 0.5)) / count) * (toX - fromX);
    const z = depthAt(x);
    return holding(size(random), [x, wide * z * random.between(-1, 1), z], random);
  });
}

export const VESSMERE_SCENES: readonly SceneRecipe[] = [
  {
    id: 'east-shelf',
    title: 'East shelf, singles',
    teaches: 'Most marks are flat, broken or clipped; a full arch is rare in shallow water.',
    waterName: 'Vessmere',
    sections: idlePass(1.5, 100),
    windMps: 2,
    rangeM: 15,
    pingRate: 10,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.5, 40);
      const edge = raggedEdge(random);
      const bed = groundUnder(
        way,
        15,
        (x, y) => 9.5 + (3 * x) / way + 0.02 * y + rough(x, y),
        (x, y) => (edge(x, y) < 0.55 * way ? 'sand' : 'silt'),
      );
      const fish = Array.from({ length: 11 }, (_, i) => {
        const x = 6 + ((i + 0.8 * random.uniform()) / 11) * (way - 12);
        const z = bedDepthAt(bed, x, 0) * random.between(0.35, 0.9);
        // Half of them swim, and every one passes at its own distance from the middle of the beam.
        const pace = random.uniform() < 0.5 ? 0 : random.between(0.2, 0.7);
        const way0 = random.between(0, 2 * Math.PI);
        return cruising(
          perch(random),
          x / 1.5,
          [x, 0.17 * z * random.between(-1, 1), z],
          [pace * Math.cos(way0), pace * Math.sin(way0), 0.05 * random.normal()],
          random,
        );
      });
      return { ...openWater(recipe, bed), fish, backgroundSvDb: -86 };
    },
  },
  {
    id: 'sunk-crib',
    title: 'Crib at 18 m, calm',
    teaches: 'Cover joined to the bed, and the fish that stand off it and over it.',
    waterName: 'Vessmere',
    sections: idlePass(1.2, 90),
    windMps: 1,
    rangeM: 23,
    pingRate: 9,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.5, 50);
      const bed = groundUnder(
        way,
        20,
        (x, y) => 18 + rough(x, y),
        () => 'silt',
      );
      const at = 0.5 * way;
      const foot = bedDepthAt(bed, at, 0.5);
      const cover = crib([at, 0.5], foot, { sideM: 4, heightM: 2.8, ageYears: 2 }, random);
      const off = (): number => at + (random.uniform() < 0.5 ? -1 : 1) * random.between(3, 12);
      const fish = [
        ...Array.from({ length: 5 }, () =>
          holding(
            perch(random),
            [at + random.between(-3, 3), random.between(-1.5, 1.5), foot - random.between(3.2, 5)],
            random,
          ),
        ),
        ...Array.from({ length: 3 }, () => {
          const x = off();
          return holding(
            zander(random),
            [x, random.between(-1.2, 1.2), bedDepthAt(bed, x, 0) - random.between(0.7, 1.6)],
            random,
          );
        }),
      ];
      return { ...openWater(recipe, bed), covers: [cover], fish, layers: [summerLayer()] };
    },
  },
  {
    id: 'shell-bar',
    title: 'Shell bar',
    teaches: 'A thin hard line on a soft trace is a skin of shell; plain hard bed also rings a second time.',
    waterName: 'Vessmere',
    sections: idlePass(1.5, 90),
    windMps: 2,
    rangeM: 24,
    pingRate: 8,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.3, 40);
      const edge = raggedEdge(random);
      const [from, to] = [0.34 * way, 0.64 * way];
      const bed = groundUnder(
        way,
        12,
        (x, y) => 10 - 1.6 * bell((x - (from + to) / 2) / (0.26 * way)) + rough(x, y),
        (x, y) => {
          const at = edge(x, y);
          return at > from && at < to ? 'shell' : at > 0.84 * way ? 'gravel' : 'mud';
        },
      );
      const fish = strung(
        random,
        7,
        from,
        to,
        (x) => bedDepthAt(bed, x, 0) - random.between(0.6, 1.8),
        perch,
      );
      return { ...openWater(recipe, bed), fish };
    },
  },
  {
    id: 'channel-ledge',
    title: 'River channel with a ledge',
    teaches: 'On a steep edge the first touch hides everything deeper inside the cone.',
    waterName: 'Vessmere',
    sections: idlePass(1.3, 90),
    windMps: 2,
    rangeM: 20,
    pingRate: 9,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.35, 30);
      const ragged = raggedEdge(random);
      const edge = 0.36 * way;
      const bed = groundUnder(
        way,
        17,
        (x, y) => 8 + 6.5 * step(x + 0.1 * y, edge, 4.5) - 4 * step(x, 0.78 * way, 16) + rough(x, y),
        (x, y) => (x < edge + 2 ? 'gravel' : ragged(x, y) < 0.7 * way ? 'silt' : 'sand'),
      );
      const fish = [
        ...strung(
          random,
          4,
          edge - 12,
          edge - 1,
          (x) => bedDepthAt(bed, x, 0) - random.between(0.6, 1.5),
          zander,
        ),
        ...strung(
          random,
          4,
          edge + 7,
          edge + 26,
          (x) => bedDepthAt(bed, x, 0) - random.between(0.6, 4),
          zander,
        ),
        // Right under the lip, inside what the first touch hides.
        holding(zander(random), [edge + 5, 0, 13.6], random),
      ];
      return { ...openWater(recipe, bed), fish, layers: [summerLayer(6)] };
    },
  },
  {
    id: 'soft-basin',
    title: 'Soft basin, fish on the bed',
    teaches: 'A fish lying on soft bed is only a bump: zoom, or lock the window to the bed.',
    waterName: 'Vessmere',
    sections: idlePass(1.1, 90),
    windMps: 1,
    rangeM: 36,
    pingRate: 7,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.25, 70);
      const bed = groundUnder(
        way,
        33,
        (x, y) => 31.5 - 1.5 * bell((x - way / 2) / way) + rough(x, y),
        () => 'mud',
      );
      const fish = strung(
        random,
        10,
        6,
        way - 6,
        (x) => bedDepthAt(bed, x, 0) - random.between(0.15, 0.7),
        burbot,
        0.06,
      );
      return { ...openWater(recipe, bed), fish, layers: [summerLayer()] };
    },
  },
  {
    id: 'vendace-calm',
    title: 'Vendace, undisturbed',
    teaches: 'Compact and round: bait at ease, nobody is eating.',
    waterName: 'Vessmere',
    sections: idlePass(1.4, 90),
    windMps: 1,
    rangeM: 24,
    pingRate: 9,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.4, 60);
      const bed = groundUnder(
        way,
        22,
        (x, y) => 20.5 + rough(x, y),
        () => 'silt',
      );
      const clouds = [0.22, 0.52, 0.82].map((u) =>
        baitCloud(
          {
            mood: 'calm',
            place: [u * way, random.between(-1, 1), random.between(8.5, 12.5)],
            radiusM: random.between(2, 3.4),
            count: 700,
            ...VENDACE,
          },
          random,
        ),
      );
      return { ...openWater(recipe, bed), clouds, layers: [summerLayer(9, -64)] };
    },
  },
  {
    id: 'vendace-hunted',
    title: 'Vendace, hunted',
    teaches: 'Stretched and torn with larger marks near: this is the one to fish.',
    waterName: 'Vessmere',
    sections: idlePass(1.4, 90),
    windMps: 1,
    rangeM: 24,
    pingRate: 9,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.4, 60);
      const bed = groundUnder(
        way,
        22,
        (x, y) => 20.5 + rough(x, y),
        () => 'silt',
      );
      const clouds = [0.3, 0.7].map((u) =>
        baitCloud(
          {
            mood: 'hunted',
            place: [u * way, random.between(-1, 1), random.between(9, 12)],
            radiusM: random.between(2.6, 3.6),
            count: 900,
            ...VENDACE,
          },
          random,
        ),
      );
      const fish = clouds.flatMap((cloud) =>
        Array.from({ length: 6 }, () => {
          const x = cloud.x + random.between(-1.2, 1.2) * cloud.radiusXM;
          const speed = random.between(0.2, 0.5) * (random.uniform() < 0.5 ? -1 : 1);
          return cruising(
            zander(random),
            x / 1.4,
            [x, random.between(-1, 1), cloud.z + random.between(0.7, 1.6) * cloud.radiusZM],
            [speed, 0.1 * random.normal(), -0.1],
            random,
          );
        }),
      );
      return { ...openWater(recipe, bed), clouds, fish };
    },
  },
  {
    id: 'thermocline',
    title: 'Layer over the basin',
    teaches: 'A band at one depth over the whole lake is a layer; fish keep to one side of it.',
    waterName: 'Vessmere',
    sections: idlePass(1.6, 90),
    windMps: 2,
    rangeM: 32,
    pingRate: 8,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.6, 80);
      const bed = groundUnder(
        way,
        29,
        (x, y) => 27 + rough(x, y),
        () => 'mud',
      );
      return {
        ...openWater(recipe, bed),
        fish: strung(random, 9, 6, way - 6, () => random.between(5, 8.2), perch, 0.15),
        layers: [summerLayer(9.4, -47), { ...summerLayer(10.6, -52), thicknessM: 0.9, patchDb: 6 }],
      };
    },
  },
  {
    id: 'weed-edge',
    title: 'Weed edge',
    teaches: 'Fuzz joined to the bed is weed; the fish wait along its edge.',
    waterName: 'Vessmere',
    sections: idlePass(1.2, 90),
    windMps: 2,
    rangeM: 8,
    pingRate: 12,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.3, 25);
      const ragged = raggedEdge(random);
      const bed = groundUnder(
        way,
        7,
        (x, y) => 4.2 + (1.6 * x) / way + rough(x, y),
        (x, y) => (ragged(x, y) < 0.6 * way ? 'silt' : 'sand'),
      );
      const depth = (x: number, y: number): number => bedDepthAt(bed, x, y);
      const edge = 0.55 * way;
      return {
        ...openWater(recipe, bed),
        covers: [weedBed([edge / 2, 0], depth, { lengthM: edge, widthM: 14, heightM: 1.7 }, random)],
        fish: [
          ...strung(random, 2, edge - 1, edge + 5, (x) => depth(x, 0) - random.between(0.9, 1.6), pike, 0.08),
          ...strung(random, 5, edge + 4, way - 5, (x) => depth(x, 0) - random.between(0.5, 2.2), perch, 0.1),
        ],
      };
    },
  },
  {
    id: 'brush-by-age',
    title: 'New brush, old brush',
    teaches: 'Fresh branches echo hard; wood that has soaked ten years hardly shows.',
    waterName: 'Vessmere',
    sections: idlePass(1.2, 90),
    windMps: 1,
    rangeM: 12,
    pingRate: 11,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.3, 35);
      const bed = groundUnder(
        way,
        11,
        (x, y) => 9 + rough(x, y),
        () => 'silt',
      );
      const pile = (u: number, ageYears: number) =>
        brush(
          [u * way, random.between(-0.6, 0.6)],
          bedDepthAt(bed, u * way, 0),
          { radiusM: 1.8, heightM: 2, ageYears },
          random,
        );
      const covers = [
        pile(0.22, 0),
        pile(0.5, 3),
        pile(0.76, 10),
        stump([0.93 * way, 0.2], bedDepthAt(bed, 0.93 * way, 0), 0.8, 6, random),
      ];
      const fish = covers
        .slice(0, 3)
        .flatMap((c) =>
          Array.from({ length: 3 }, () =>
            holding(
              perch(random),
              [c.x + random.between(-2.2, 2.2), random.between(-0.7, 0.7), c.topM - random.between(0.35, 1)],
              random,
            ),
          ),
        );
      return { ...openWater(recipe, bed), covers, fish };
    },
  },
  {
    id: 'drowned-timber',
    title: 'Drowned timber',
    teaches: 'Upright, joined to the bed and thin: trees; their limbs are not fish.',
    waterName: 'Vessmere',
    sections: idlePass(1.1, 90),
    windMps: 1,
    rangeM: 14,
    pingRate: 11,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.5, 35);
      const bed = groundUnder(
        way,
        13,
        (x, y) => 11 + rough(x, y),
        () => 'mud',
      );
      const covers = Array.from({ length: 8 }, (_, i) => {
        const x = ((i + 0.6 + 0.4 * random.uniform()) / 9) * way;
        const y = random.between(-1.4, 1.4);
        return timber([x, y], bedDepthAt(bed, x, y), random.between(3, 7), random.between(4, 14), random);
      });
      const fish = Array.from({ length: 7 }, () => {
        const c = covers[random.integer(covers.length)]!;
        return holding(
          perch(random),
          [c.x + random.between(-2.4, 2.4), random.between(-0.8, 0.8), c.topM + random.between(-0.8, 2.5)],
          random,
        );
      });
      return { ...openWater(recipe, bed), covers, fish };
    },
  },
  {
    id: 'holding-over-perch',
    title: 'Holding over perch',
    teaches: 'Boat still: fish draw lines and threads, and length on the chart is time, not size.',
    waterName: 'Vessmere',
    sections: holdingStill(90),
    windMps: 1,
    rangeM: 11,
    pingRate: 10,
    build(random, recipe) {
      const time = timeOf(recipe.sections);
      const rough = swells(random, 0.2, 30);
      const bed = groundUnder(
        4,
        9,
        (x, y) => 8.6 + rough(x, y),
        () => 'sand',
      );
      const fish = [
        ...Array.from({ length: 5 }, () =>
          milling(
            perch(random),
            [random.between(-0.4, 0.4), random.between(-0.4, 0.4), random.between(5, 8)],
            random.between(0.5, 1.1),
            time,
            random,
          ),
        ),
        holding(perch(random), [0.3, 0.2, 7.4], random),
        cruising(pike(random), 0.6 * time, [0, 0.3, 4.2], [0.22, 0.02, 0], random),
      ];
      const gear = [
        {
          kind: 'lure' as const,
          targetStrengthDb: weightTargetStrength(7e-3),
          from: { x: 0.2, y: -0.3 },
          lineOut: [
            [0, 0],
            [6, 0],
            [16, 6.4],
            [44, 6.4],
            [45, 5.9],
            [47, 6.4],
            [90, 6.4],
          ] as const,
          swing: 0.1,
        },
      ];
      return { ...openWater(recipe, bed), fish, gear };
    },
  },
  {
    id: 'lure-answered',
    title: 'Followed, refused, taken',
    teaches: 'Fish rise to a lure and follow, refuse or take it; a ripped lure sheds bubbles.',
    waterName: 'Vessmere',
    sections: holdingStill(120),
    windMps: 0.5,
    rangeM: 15,
    pingRate: 10,
    build(random, recipe) {
      const rough = swells(random, 0.2, 40);
      const bed = groundUnder(
        4,
        13,
        (x, y) => 12.6 + rough(x, y),
        () => 'silt',
      );
      const depth = random.between(7, 8);
      const place: readonly [number, number, number] = [0.2, -0.2, depth];
      const answers: [Answer, number][] = [
        ['refusing', 38],
        ['following', 58],
        ['taking', 104],
      ];
      return {
        ...openWater(recipe, bed),
        fish: answers.map(([answer, at]) =>
          answering(zander(random), answer, at + random.between(-3, 3), place, 11.6, random),
        ),
        gear: [
          {
            kind: 'lure',
            targetStrengthDb: lureTargetStrength(0.11, 'hard'),
            from: { x: 0.2, y: -0.2 },
            lineOut: [
              [0, 0.3],
              [4, 0.3],
              [16, depth],
              [72, depth],
              [72.8, depth - 1.2],
              [75, depth],
              [84, depth],
              [84.8, depth - 1.2],
              [87, depth],
              [104, depth],
              [110, 0.5],
            ],
            swing: 0.1,
          },
        ],
        drifters: [...rippedBubbles(72, place, 14, random), ...rippedBubbles(84, place, 14, random)],
      };
    },
  },
  {
    id: 'half-arches',
    title: 'Shy of the boat',
    teaches: 'A section is missing when the fish turned away under the boat.',
    waterName: 'Vessmere',
    sections: idlePass(1.3, 90),
    windMps: 1,
    rangeM: 19,
    pingRate: 10,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.4, 50);
      const bed = groundUnder(
        way,
        17,
        (x, y) => 16 + rough(x, y),
        () => 'sand',
      );
      const fish = Array.from({ length: 7 }, (_, i) => {
        const x = ((i + 0.7) / 7.4) * way;
        const z = random.between(6, 14);
        const place = [x, random.between(-0.4, 0.4), z] as const;
        return i % 3 === 2
          ? holding(zander(random), place, random)
          : turning(zander(random), x / 1.3, place, 1.3, random.uniform() < 0.5 ? -1 : 1, random);
      });
      return { ...openWater(recipe, bed), fish };
    },
  },
  {
    id: 'boulder-field',
    title: 'Boulders on gravel',
    teaches: 'Rounded bumps joined to a hard bed are stones; the gap tells the fish from them.',
    waterName: 'Vessmere',
    sections: drift(0.6, 110),
    windMps: 4,
    rangeM: 11,
    pingRate: 11,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.35, 14);
      const ragged = raggedEdge(random);
      const bed = groundUnder(
        way,
        9,
        (x, y) => 7.4 + (0.8 * x) / way + rough(x, y),
        (x, y) => (ragged(x, y) < 0.7 * way ? 'gravel' : 'rock'),
      );
      const covers = Array.from({ length: 12 }, (_, i) => {
        const x = ((i + random.uniform()) / 12) * way;
        const y = random.between(-1.8, 1.8);
        return boulder([x, y], bedDepthAt(bed, x, y), random.between(0.35, 1.1), random);
      });
      const fish = covers
        .slice(2, 8)
        .map((c) =>
          holding(
            perch(random),
            [c.x + random.between(-1, 1), 0.4 * c.y, c.topM - random.between(0.4, 1)],
            random,
          ),
        );
      return { ...openWater(recipe, bed), covers, fish };
    },
  },
  {
    id: 'crowded-ramp',
    title: 'Busy morning off the ramp',
    teaches:
      'Slanting dashes are another sounder, vertical bars are electrical, the clutter on top is wind and wash.',
    waterName: 'Vessmere',
    sections: idlePass(1.6, 90),
    windMps: 7,
    rangeM: 16,
    pingRate: 10,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.5, 45);
      const bed = groundUnder(
        way,
        14,
        (x, y) => 12.5 + rough(x, y),
        () => 'sand',
      );
      return {
        ...openWater(recipe, bed),
        fish: strung(random, 6, 8, way - 8, () => random.between(4, 11), perch),
        otherSounders: [
          { pingRate: recipe.pingRate + random.between(0.08, 0.16), overNoiseDb: 26, pulseS: 2.5e-4 },
          { pingRate: 7.3, overNoiseDb: 20, pulseS: 4e-4 },
        ],
        electrical: { everyS: random.between(7, 11), lengthS: 0.35, overNoiseDb: 14 },
      };
    },
  },
  {
    id: 'planing-over',
    title: 'Planing across the basin',
    teaches: 'At speed a fish is a streak at best: only schools are worth looking for.',
    waterName: 'Vessmere',
    sections: planing(9, 60),
    windMps: 2,
    rangeM: 24,
    pingRate: 11,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 1.5, 90);
      const bed = groundUnder(
        way,
        24,
        (x, y) => 20 + rough(x, y),
        () => 'silt',
      );
      return {
        ...openWater(recipe, bed),
        fish: strung(random, 14, 20, way - 20, () => random.between(5, 17), zander),
        clouds: [0.35, 0.75].map((u) =>
          baitCloud(
            { mood: 'calm', place: [u * way, 0, 11], radiusM: 6, radiusZM: 2.4, count: 2200, ...VENDACE },
            random,
          ),
        ),
      };
    },
  },
  {
    id: 'back-onto-it',
    title: 'Stop and back up',
    teaches: 'A boat runs on after the throttle: back up onto the fish, the mark comes again.',
    waterName: 'Vessmere',
    sections: stopAndBackUp(1.4, 34, 46),
    windMps: 1,
    rangeM: 18,
    pingRate: 10,
    build(random, recipe) {
      const way = wayOf(recipe.sections);
      const rough = swells(random, 0.3, 50);
      const bed = groundUnder(
        way,
        16,
        (x, y) => 15 + rough(x, y),
        () => 'sand',
      );
      // Passed two seconds before the throttle comes off; the run-on and the way back bring the boat over it again.
      const x = 1.4 * 32;
      return {
        ...openWater(recipe, bed),
        fish: [
          holding(zander(random), [x, 0.3, random.between(9, 12)], random),
          ...strung(random, 3, 4, x - 10, () => random.between(6, 13), perch),
        ],
      };
    },
  },
];
