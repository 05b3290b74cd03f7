import { seededRandom, type Random } from '@/core/maths';
import { baitCloud, type BaitCloud } from './bait';
import { bedDepthAt } from './bedField';
import type { ExtraBait, ExtraCover, WaterExtras } from './choices';
import { brush, crib, timber, weedBed, type Cover } from './cover';
import { driftingDebris, rippedBubbles } from './gear';
import type { Scene } from './scene';

/** Where things stand, as shares of the way. */
const COVER_AT = [0.2, 0.45, 0.75];
const BAIT_AT = [0.3, 0.7];
const SPRINGS_AT = [0.35, 0.6];
/** Bubbles of a spring, each rise of them, and how often they rise, s. */
const BUBBLES = 14;
const RISE_EVERY_S = 6;
const SPRING_S = 600;
/** Electrical bursts: an ignition or a pump nearby (nominal). */
const ELECTRICAL = { everyS: 8, lengthS: 0.35, overNoiseDb: 24 } as const;
const AGE_YEARS = 2;

function coverAt(scene: Scene, kind: ExtraCover, x: number, ageYears: number, random: Random): Cover[] {
  const place = [x, random.between(-0.5, 0.5)] as const;
  const footM = bedDepthAt(scene.bed, ...place);
  const heightM = Math.min(0.3 * footM, random.between(1.5, 2.8));
  switch (kind) {
    case 'none':
      return [];
    case 'brush':
      return [brush(place, footM, { radiusM: 1.6, heightM, ageYears }, random)];
    case 'crib':
      return [crib(place, footM, { sideM: 3, heightM, ageYears }, random)];
    case 'timber':
      return [timber(place, footM, Math.min(0.4 * footM, 4), ageYears, random)];
    case 'weed':
      return [
        weedBed(
          place,
          (px, py) => bedDepthAt(scene.bed, px, py),
          { lengthM: 10, widthM: 8, heightM },
          random,
        ),
      ];
  }
}

const baitAt = (scene: Scene, mood: ExtraBait, x: number, random: Random): BaitCloud[] => {
  if (mood === 'none') return [];
  const bedM = bedDepthAt(scene.bed, x, 0);
  const radiusZM = Math.min(1.4, 0.1 * bedM);
  return [
    baitCloud(
      {
        mood,
        place: [x, 0, Math.max(radiusZM + 0.5, 0.5 * bedM)],
        radiusM: Math.min(4, 0.25 * bedM),
        radiusZM,
        count: 900,
        lengthM: 0.08,
        bladder: 'open',
      },
      random,
    ),
  ];
};

/**
 * A scene with more in it. What is not named stays as it was; same extras and seed, same water.
 * @param wayM length of the boat's way, along which things are laid
 */
export function withExtras(scene: Scene, extras: WaterExtras, wayM: number, seed: number): Scene {
  const { cover, coverAgeYears = AGE_YEARS, bait, planktonDb, drifting, upwelling, electrical } = extras;
  const random = seededRandom(seed).fork('extras');
  const placed = <T>(name: string, shares: readonly number[], make: (x: number, r: Random) => T[]): T[] => {
    const own = random.fork(name);
    return shares.flatMap((share) => make(share * wayM, own));
  };
  const debris = drifting
    ? driftingDebris(
        {
          fromX: -5,
          toX: wayM + 5,
          halfWidthM: 3,
          fromZ: 0.5,
          toZ: 0.8 * bedDepthAt(scene.bed, wayM / 2, 0),
        },
        drifting,
        random.fork('drifting'),
      )
    : [];
  const springs = upwelling
    ? placed('upwelling', SPRINGS_AT, (x, own) =>
        Array.from({ length: SPRING_S / RISE_EVERY_S }, (_, k) =>
          rippedBubbles(k * RISE_EVERY_S, [x, 0, bedDepthAt(scene.bed, x, 0)], BUBBLES, own),
        ).flat(),
      )
    : [];
  return {
    ...scene,
    ...(cover === undefined
      ? {}
      : { covers: placed('cover', COVER_AT, (x, own) => coverAt(scene, cover, x, coverAgeYears, own)) }),
    ...(bait === undefined
      ? {}
      : { clouds: placed('bait', BAIT_AT, (x, own) => baitAt(scene, bait, x, own)) }),
    ...(planktonDb === undefined ? {} : { backgroundSvDb: planktonDb }),
    ...(electrical === undefined ? {} : { electrical: electrical ? ELECTRICAL : null }),
    drifters: [...scene.drifters, ...debris, ...springs],
  };
}
