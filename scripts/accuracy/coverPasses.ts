import { seededRandom } from '@/core/maths';
import { GENERIC_RIG } from '@/core/rig';
import {
  bedDepthAt,
  boulder,
  brush,
  emptyScene,
  holding,
  idlePass,
  layBed,
  layTrack,
  timber,
  weedBed,
  type Cover,
  type Scene,
} from '@/core/scene';
import { simulate } from '@/core/sounder';
import { BED_MATERIALS } from '@/core/water';
import { CONES, type MadePass } from './passes';

/** What stands on the bed, or close over it. */
export const ON_BED = ['weed', 'brush', 'timber', 'boulder', 'fish'] as const;
export type OnBed = (typeof ON_BED)[number];

/** A pass with one thing on the bed (or a fish half a metre over the dead zone) and where it is. */
export interface CoverPass extends MadePass {
  kind: OnBed;
  /** When the boat is over its middle, s, and half the time it takes to pass it. */
  timeS: number;
  halfS: number;
  /** Its height over the bed, m. */
  heightM: number;
}

/** Half the angle a round beam sees a fish near the bed under, for the height of its dead zone. */
const SEEN_UNDER = 0.25;

/** A fish by what stands on the bed, clear of it: where it is nearest, m and s. */
export interface FishBeside {
  rangeM: number;
  timeS: number;
}

/** How far clear of a thing a fish beside or over it is, m. */
const CLEAR_M = { beside: [0.5, 2], over: [0.3, 1.4] } as const;

/** A cover pass with a fish beside or over what stands there, clear of it; null where the water has no room for one. */
export function withFishBeside(
  pass: CoverPass,
  seed: number,
): (CoverPass & { fishBeside: FishBeside }) | null {
  const random = seededRandom(seed).fork('fish');
  const speed = pass.recording.navigation.speedMps[0]!;
  const x = pass.timeS * speed;
  const foot = bedDepthAt(pass.scene.bed, x, 0);
  const over = random.uniform() < 0.5;
  const aside = pass.halfS * speed + random.between(...CLEAR_M.beside);
  const at = over ? x + random.between(-0.5, 0.5) : x + (random.uniform() < 0.5 ? -aside : aside);
  const dead = foot * (1 - Math.cos(SEEN_UNDER * pass.face.beam.alongRad)) + 0.7;
  const up = over
    ? pass.heightM + 1.5 * pass.recording.channels[0]!.resolutionM + random.between(...CLEAR_M.over)
    : Math.max(dead, random.uniform() * pass.heightM);
  const rangeM = foot - up;
  if (rangeM < SHALLOWEST_M) return null;
  const fish = holding({ lengthM: random.between(0.15, 0.6), bladder: 'closed' }, [at, 0, rangeM], random);
  const scene = { ...pass.scene, fish: [fish] };
  const recording = simulate({
    scene,
    track: pass.track,
    rig: pass.rig,
    faces: [pass.face],
    pingRate: pass.recording.pingRate,
    farM: pass.farM,
    seed,
  });
  return { ...pass, scene, recording, fishBeside: { rangeM, timeS: at / speed } };
}

/** Nearest the surface a fish is put, m. */
const SHALLOWEST_M = 1.3;

export function madeCoverPass(seed: number, kind: OnBed): CoverPass {
  const random = seededRandom(seed).fork('cover');
  const depth = kind === 'weed' ? random.between(2.5, 7) : random.between(4, 16);
  const speed = random.between(0.8, 1.6);
  const durationS = 50;
  const wayM = speed * durationS;
  const slope = random.between(-0.02, 0.02);
  const material =
    BED_MATERIALS[kind === 'weed' ? 3 + random.integer(3) : random.integer(BED_MATERIALS.length)]!;
  const reach = 1.3 * depth + 10;
  const depthAt = (x: number, y: number): number =>
    depth + slope * (x - wayM / 2) + 0.006 * depth * Math.sin(x / 3 + 0.2 * y);
  const bed = layBed(
    {
      originXM: -reach,
      originYM: -reach,
      widthM: wayM + 2 * reach,
      heightM: 2 * reach,
      cellM: Math.max(0.3, depth / 36),
    },
    depthAt,
    () => material,
  );
  const face = CONES[random.integer(CONES.length)]!;
  const x = random.between(0.4, 0.6) * wayM;
  const y = 0.1 * depth * random.between(-1, 1);
  const foot = depthAt(x, y);
  let cover: Cover | null = null;
  let lengthM = 1;
  let heightM = 0;
  if (kind === 'weed') {
    lengthM = random.between(8, 25);
    heightM = random.between(0.6, 1.8);
    cover = weedBed([x, 0], depthAt, { lengthM, widthM: 14, heightM }, random);
  } else if (kind === 'brush') {
    const radiusM = random.between(1, 2.2);
    lengthM = 2 * radiusM;
    heightM = random.between(1, 2.2);
    cover = brush([x, y], foot, { radiusM, heightM, ageYears: random.between(0, 8) }, random);
  } else if (kind === 'timber') {
    heightM = random.between(2.5, Math.min(7, 0.7 * foot));
    cover = timber([x, y], foot, heightM, random.between(0, 12), random);
  } else if (kind === 'boulder') {
    heightM = random.between(0.5, 1.3);
    lengthM = 2 * heightM;
    cover = boulder([x, y], foot, heightM / 0.9, random);
  }
  const dead = foot * (1 - Math.cos(SEEN_UNDER * face.beam.alongRad)) + 0.3;
  if (kind === 'fish') heightM = dead + 0.5 + random.between(0, 0.4);
  const scene: Scene = {
    ...emptyScene({
      id: 'accuracy',
      title: 'accuracy',
      teaches: '',
      water: { temperatureC: random.between(6, 22), salinity: 0, thermoclineM: null, windMps: 1 },
      origin: { latitudeDeg: -47.3, longitudeDeg: -124.9 },
      bed,
    }),
    covers: cover ? [cover] : [],
    fish:
      kind === 'fish'
        ? [
            holding(
              { lengthM: random.between(0.25, 0.7), bladder: 'closed' },
              [x, 0.3 * y, foot - heightM],
              random,
            ),
          ]
        : [],
  };
  const pingRate = Math.min(14, 1440 / (6.2 * depth));
  const track = layTrack(
    { sections: idlePass(speed, durationS), pingRate, windMps: 1 },
    random.fork('waves'),
  );
  const rig = { ...GENERIC_RIG, excessNoiseDb: random.between(42, 50) };
  const farM = 1.4 * depth + 1;
  const recording = simulate({
    scene,
    track,
    rig,
    faces: [face],
    pingRate,
    farM,
    seed,
  });
  return {
    scene,
    track,
    face,
    recording,
    farM,
    rig,
    kind,
    timeS: x / speed,
    halfS: (lengthM / 2 + 0.4 * depth) / speed,
    heightM,
  };
}
