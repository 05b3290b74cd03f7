import { seededRandom, type Random } from '@/core/maths';
import { STILL_MPS } from '@/core/rig';
import type { BedMaterial, Bladder, Hour, Water } from '@/core/water';
import { baitCloud } from './bait';
import { bedDepthAt, layBed } from './bedField';
import { cruising, type Fish } from './fish';
import { WATERS } from './library/waters';
import { emptyScene, type Scene } from './scene';

/** The ground of a pass: how deep it is along and across the boat's way, and what it is made of. */
export interface PassGround {
  title: string;
  depthAt: (x: number, y: number) => number;
  materialAt: (x: number, y: number) => BedMaterial;
}

/** What the water of a first pass is made to hold, from the user's own brief. */
export interface PassBrief {
  /** Shallowest fish and deepest bed, m. */
  fromM: number;
  toM: number;
  /** Deepest fish, m; null where they lie down to the bed. */
  fishToM?: number | null;
  lengthM: readonly [number, number];
  bladder: Bladder;
  speedMps: number;
  water: Water;
  hour?: Hour | undefined;
  /** So many times as many fish cross as usual, between the usual ones. */
  crowd?: number | undefined;
}

/** Fish that cross the boat's way in a pass. */
export const FISH_IN_PASS = 8;

/** Bait comes apart as the light goes: how much wider and taller its cloud is than by day (nominal; Fréon & Misund 1999). */
const APART: Readonly<Record<Hour, number>> = { day: 1, dusk: 1.4, night: 2.2 };
/** So many times as wide as high calm bait is at most. */
const COMPACT = 2;

/** Metres of way (or of fish swim) between one crossing and the next: room for a mark to be whole. */
const spacing = (toM: number): number => Math.min(28, Math.max(10, 1.3 * toM));

/** Seconds the pass lasts: eight fish, one cloud and a margin at each end. */
export function passDuration({ toM, speedMps }: Pick<PassBrief, 'toM' | 'speedMps'>): number {
  const slots = FISH_IN_PASS + 3;
  return speedMps > STILL_MPS ? Math.min(400, (slots * spacing(toM)) / speedMps) : 240;
}

/** A shelf that falls away evenly, hard on one half and soft on the other. */
function eastShelf({ toM }: PassBrief, wayM: number, random: Random): PassGround {
  const rise = Math.min(0.12 * toM, 0.06 * Math.max(wayM, 40));
  const hardFirst = random.uniform() < 0.5;
  const swells = Array.from({ length: 3 }, (_, k) => ({
    amplitude: (0.006 * toM) / (k + 1),
    length: random.between(0.7, 1.6) * Math.max(25, toM) * (1 - 0.2 * k),
    phase: random.between(0, 2 * Math.PI),
  }));
  return {
    title: 'Vessmere, east shelf',
    depthAt: (x, y) => {
      const along = Math.min(1, Math.max(0, x / Math.max(wayM, 40)));
      let depth = toM - 0.2 - rise * (1 - along) + 0.01 * y;
      for (const s of swells) depth += s.amplitude * (Math.sin((2 * Math.PI * x) / s.length + s.phase) - 1);
      return depth;
    },
    materialAt: (x) => (x < wayM / 2 === hardFirst ? 'gravel' : 'mud'),
  };
}

/**
 * A sloping bed with a soft and a hard part, eight fish, one bait cloud, a scatter layer and another sounder in
 * earshot, laid out along x for a boat that starts at 0. Same brief and seed, same water.
 * @param groundOf another ground under the same way, from the way's length, m, and a seed's own draws
 * @throws RangeError unless 0.5 ≤ fromM < toM ≤ 300
 */
export function firstPass(
  brief: PassBrief,
  seed: number,
  groundOf: (wayM: number, random: Random) => PassGround = (wayM, random) => eastShelf(brief, wayM, random),
): Scene {
  const { fromM, toM, fishToM = null, speedMps, crowd = 1 } = brief;
  if (!(fromM >= 0.5 && toM > fromM && toM <= 300))
    throw new RangeError(
      `first pass: depths must run from 0.5 m up to at most 300 m, got ${fromM} to ${toM} m`,
    );
  const random = seededRandom(seed);
  const durationS = passDuration(brief);
  const wayM = speedMps * durationS;
  const still = speedMps <= STILL_MPS;

  const ground = groundOf(wayM, random.fork('bed'));
  const reach = 1.8 * toM + 10;
  const bed = layBed(
    {
      originXM: -reach,
      originYM: -reach,
      widthM: wayM + 2 * reach,
      heightM: 2 * reach,
      cellM: Math.max(0.5, toM / 40),
    },
    ground.depthAt,
    ground.materialAt,
  );

  const slotS = durationS / (FISH_IN_PASS + 3);
  const cloudSlot = 3 + random.fork('slots').integer(FISH_IN_PASS - 4);
  // Crossing i happens in the middle of its own slot; the cloud takes two of them.
  const slotTime = (i: number): number => (i + 1 + (i >= cloudSlot ? 2 : 0) - 0.25) * slotS;
  const bedAt = (t: number): number => bedDepthAt(bed, speedMps * t, 0);

  const swim = random.fork('fish');
  const fish: Fish[] = [];
  for (let i = 0; i < FISH_IN_PASS * crowd; i++) {
    const between = (i % crowd) / crowd;
    const crossingS = slotTime(Math.floor(i / crowd)) + slotS * (between + 0.1 * (swim.uniform() - 0.5));
    const floor = Math.min(bedAt(crossingS) * 0.97 - 0.9, fishToM ?? Infinity);
    // Depths go round the band rather than at random, so that neighbours differ.
    const place = ((i * 5) % FISH_IN_PASS) / (FISH_IN_PASS - 1);
    const z = Math.max(0.6, fromM + (Math.max(floor, fromM + 0.3) - fromM) * (0.05 + 0.9 * place));
    const offset = (swim.uniform() < 0.5 ? -1 : 1) * swim.between(0, 0.13) * z;
    const vx = still ? (swim.uniform() < 0.5 ? -1 : 1) * swim.between(0.15, 0.35) : swim.between(-0.04, 0.04);
    fish.push(
      cruising(
        { lengthM: swim.between(...brief.lengthM), bladder: brief.bladder },
        crossingS,
        [speedMps * crossingS, offset, z],
        [vx, 0, 0],
        swim,
      ),
    );
  }

  const bait = random.fork('bait');
  const cloudS = (cloudSlot + 1.2) * slotS;
  const apart = APART[brief.hour ?? 'day'];
  const radiusZ = apart * Math.min(1.1, 0.08 * toM);
  // Bait that nothing hunts keeps a compact, round cloud.
  const compact = COMPACT * radiusZ;
  const radiusX = Math.min(compact, apart * (still ? 0.1 * toM : Math.min(4, 0.3 * spacing(toM))));
  const radiusY = Math.min(compact, apart * Math.min(3, 0.15 * toM));
  const cloudZ = Math.max(radiusZ + 0.5, 0.45 * bedAt(cloudS));
  const drift = still ? 0.12 : 0;
  const cloud = baitCloud(
    {
      mood: 'calm',
      place: [(speedMps - drift) * cloudS, bait.between(-0.3, 0.3) * radiusY, cloudZ],
      velocity: [drift, 0],
      radiusM: radiusX,
      radiusZM: radiusZ,
      count: 400,
      lengthM: 0.06,
      bladder: 'open',
    },
    bait,
  );

  const layerDepth = brief.water.thermoclineM;
  return {
    ...emptyScene({
      id: 'first-pass',
      title: ground.title,
      teaches: 'Single fish, one bait cloud and a bed that turns from one kind to another.',
      water: brief.water,
      origin: WATERS.Vessmere.origin,
      bed,
    }),
    fish,
    clouds: [cloud],
    layers:
      layerDepth !== null && layerDepth < toM - 1
        ? [{ depthM: layerDepth, thicknessM: 0.35, svDb: -70, swellM: 0.25, swellLengthM: 60, patchDb: 3 }]
        : [],
    otherSounders: [{ pingRate: 11.3, overNoiseDb: 22, pulseS: 3e-4 }],
  };
}
