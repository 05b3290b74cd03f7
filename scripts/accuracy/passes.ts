import { seededRandom, type Random } from '@/core/maths';
import { GENERIC_RIG, TRANSDUCERS, type Face, type Rig } from '@/core/rig';
import type { Stretch } from '@/core/recording';
import {
  baitCloud,
  bedMaterialAt,
  cruising,
  drift,
  emptyScene,
  holding,
  idlePass,
  layBed,
  layTrack,
  truthOf,
  type Fish,
  type TrackSection,
  type Scene,
  type Track,
} from '@/core/scene';
import { simulate } from '@/core/sounder';
import { withBedsOff } from '@/core/testing/withBedsOff';
import { BED_MATERIALS, type BedMaterial } from '@/core/water';

/** One pass of made water and what its sounder recorded. */
export interface MadePass {
  scene: Scene;
  track: Track;
  face: Face;
  recording: Stretch;
  /** End of the listening window, m, and the rig it was heard on. */
  farM: number;
  rig: Rig;
}

/** How a pass departs from the usual. */
export interface Conditions {
  excessNoiseDb?: number;
  windMps?: number;
  speedMps?: number;
  otherSounder?: boolean;
  cloudy?: boolean;
  /** Steepest the bed falls or rises all along the way, as a tangent; half of it at least. */
  steepest?: number;
  /** Each kind of bed is off its table by up to this either way, dB: by its roughness, and by its hardness. */
  bedsOff?: { roughDb: number; hardDb: number };
}

/** On a steep slope the first echo of the bed comes from beside the nominal beam: from no farther out than this, rad. */
export const BESIDE_RAD = 0.4;

export const CONES = TRANSDUCERS.flatMap((t) => t.faces).filter(
  (f) => f.beam.shape === 'cone' && f.frequencyHz >= 80e3,
);

/** Fish that keep clear of each other and of the bed: one every `slot` of the way. */
function spreadFish(
  random: Random,
  count: number,
  wayM: number,
  speed: number,
  depth: (x: number) => number,
): Fish[] {
  return Array.from({ length: count }, (_, i) => {
    const x = ((i + 0.5 + 0.3 * (random.uniform() - 0.5)) / count) * wayM;
    const floor = depth(x);
    const z = 1.8 + (0.9 * floor - 2.3) * random.uniform();
    const size = {
      // 8 to 80 cm, small ones as often as large ones.
      lengthM: 0.08 * Math.pow(10, random.uniform()),
      bladder: random.uniform() < 0.7 ? ('closed' as const) : ('open' as const),
    };
    const place = [x, 0.16 * z * random.between(-1, 1), z] as const;
    if (random.uniform() < 0.4) return holding(size, place, random);
    const way = random.between(0, 2 * Math.PI);
    const pace = random.between(0.05, 0.45);
    return cruising(
      size,
      x / speed,
      place,
      [pace * Math.cos(way), pace * Math.sin(way), 0.04 * random.normal()],
      random,
    );
  });
}

/** Where a steep bed comes up to, m. */
const SHALLOW_END_M = 4;

/** A pass whose kinds of bed are each off their table by a number drawn for it. */
function bedsOff(
  made: Stretch,
  scene: Scene,
  track: Track,
  { roughDb, hardDb }: NonNullable<Conditions['bedsOff']>,
  random: Random,
): Stretch {
  const byPing = (mostDb: number): Float32Array => {
    const offDb = BED_MATERIALS.map(() => random.between(-mostDb, mostDb));
    return Float32Array.from(track.xM, (x, p) => offDb[bedMaterialAt(scene.bed, x, track.yM[p]!)]!);
  };
  return withBedsOff(made, truthOf(scene, track, BESIDE_RAD).firstBedRangeM, {
    hardDb: byPing(hardDb),
    roughDb: byPing(roughDb),
  });
}

/** A pass of singles, and now and then a cloud, over a bed of one material or two; every seed another. */
export function madePass(seed: number, conditions: Conditions = {}): MadePass {
  const random = seededRandom(seed).fork('accuracy');
  const drawn = random.between(5, 32);
  const speed = conditions.speedMps ?? random.between(0.8, 2);
  const durationS = 70;
  const wayM = speed * durationS;
  const slope = random.between(-0.06, 0.06);
  const { steepest } = conditions;
  const steep = steepest && Math.sign(slope) * steepest * (0.5 + Math.abs(slope) / 0.12);
  const deepest = steep ? SHALLOW_END_M + Math.abs(steep) * wayM : drawn;
  const middleM = (x: number): number =>
    steep
      ? deepest - Math.abs(steep) * (steep > 0 ? wayM - x : x)
      : deepest * 0.93 + slope * (x / wayM - 0.5) * 100 * Math.min(1, deepest / 15);
  const phase = random.between(0, 6);
  const length = random.between(18, 60);
  const rough = 0.02 * deepest;
  const materials: BedMaterial[] = [
    BED_MATERIALS[random.integer(BED_MATERIALS.length)]!,
    BED_MATERIALS[random.integer(BED_MATERIALS.length)]!,
  ];
  const reach = 1.3 * deepest + 10;
  const bed = layBed(
    {
      originXM: -reach,
      originYM: -reach,
      widthM: wayM + 2 * reach,
      heightM: 2 * reach,
      cellM: Math.max(0.4, deepest / 36),
    },
    (x, y) => middleM(x) + rough * Math.sin((2 * Math.PI * (x + 0.3 * y)) / length + phase),
    (x) => materials[x < wayM / 2 ? 0 : 1]!,
  );
  const windMps = conditions.windMps ?? random.between(0, 4);
  const depthAt = (x: number): number => middleM(x) - rough;
  const face = CONES[random.integer(CONES.length)]!;
  const cloudy = random.uniform() < 0.35 || conditions.cloudy === true;
  const cloudX = random.between(0.3, 0.7) * wayM;
  const cloudFloorM = steep ? middleM(cloudX) : deepest;
  const fish = spreadFish(random, 7, wayM, speed, depthAt).filter(
    (f) => !cloudy || Math.abs(f.path[1]! - cloudX) > 0.9 * deepest,
  );
  const scene: Scene = {
    ...emptyScene({
      id: 'accuracy',
      title: 'accuracy',
      teaches: '',
      water: { temperatureC: random.between(6, 22), salinity: 0, thermoclineM: null, windMps },
      origin: { latitudeDeg: -47.3, longitudeDeg: -124.9 },
      bed,
    }),
    fish,
    clouds: cloudy
      ? [
          baitCloud(
            {
              mood: random.uniform() < 0.5 ? 'calm' : 'hunted',
              place: [cloudX, random.between(-0.5, 0.5), cloudFloorM * random.between(0.35, 0.6)],
              radiusM: random.between(0.1, 0.16) * cloudFloorM + 0.4,
              count: 600,
              lengthM: random.between(0.06, 0.12),
              bladder: 'open',
            },
            random,
          ),
        ]
      : [],
    otherSounders: conditions.otherSounder
      ? [{ pingRate: random.between(6, 12), overNoiseDb: 22, pulseS: 3e-4 }]
      : [],
  };
  const sections: TrackSection[] =
    random.uniform() < 0.75 ? idlePass(speed, durationS) : drift(speed, durationS);
  const pingRate = Math.min(14, 1440 / (8.2 * deepest));
  const track = layTrack({ sections, pingRate, windMps }, random.fork('waves'));
  const excessNoiseDb = conditions.excessNoiseDb ?? random.between(42, 52);
  // Half the passes listen far enough for the second bed echo.
  const farM = (random.uniform() < 0.5 ? 1.25 : 2.3) * deepest + 1;
  const rig = { ...GENERIC_RIG, excessNoiseDb };
  const made = simulate({ scene, track, rig, faces: [face], pingRate, farM, seed });
  const recording = conditions.bedsOff
    ? bedsOff(made, scene, track, conditions.bedsOff, random.fork('beds off'))
    : made;
  return { scene, track, face, recording, farM, rig };
}
