import { seededRandom } from '@/core/maths';
import type { Bladder, Water } from '@/core/water';
import { baitCloud } from './bait';
import { bedDepthAt, layBed } from './bedField';
import { cruising, type Fish } from './fish';
import { WATERS } from './library/waters';
import { emptyScene, type Scene } from './scene';

/** What the water of a first pass is made to hold, from the user's own brief. */
export interface PassBrief {
  /** Shallowest fish and deepest bed, m. */
  fromM: number;
  toM: number;
  lengthM: readonly [number, number];
  bladder: Bladder;
  speedMps: number;
  water: Water;
}

/** Fish that cross the boat's way in a pass. */
export const FISH_IN_PASS = 8;

/** A boat slower than this sits still; then it is the fish that come and go. */
const STILL_MPS = 0.25;

/** Metres of way (or of fish swim) between one crossing and the next: room for a mark to be whole. */
const spacing = (toM: number): number => Math.min(28, Math.max(10, 1.3 * toM));

/** Seconds the pass lasts: eight fish, one cloud and a margin at each end. */
export function passDuration({ toM, speedMps }: Pick<PassBrief, 'toM' | 'speedMps'>): number {
  const slots = FISH_IN_PASS + 3;
  return speedMps > STILL_MPS ? Math.min(400, (slots * spacing(toM)) / speedMps) : 240;
}

/**
 * A sloping bed with a soft and a hard stretch, eight fish, one bait cloud, a scatter layer and another sounder in
 * earshot, laid out along x for a boat that starts at 0. Same brief and seed, same water.
 * @throws RangeError unless 0.5 ≤ fromM < toM ≤ 300
 */
export function firstPass(brief: PassBrief, seed: number): Scene {
  const { fromM, toM, speedMps } = brief;
  if (!(fromM >= 0.5 && toM > fromM && toM <= 300))
    throw new RangeError(
      `first pass: depths must run from 0.5 m up to at most 300 m, got ${fromM} to ${toM} m`,
    );
  const random = seededRandom(seed);
  const durationS = passDuration(brief);
  const wayM = speedMps * durationS;
  const still = speedMps <= STILL_MPS;

  const ground = random.fork('bed');
  const rise = Math.min(0.12 * toM, 0.06 * Math.max(wayM, 40));
  const hardFirst = ground.uniform() < 0.5;
  const swells = Array.from({ length: 3 }, (_, k) => ({
    amplitude: (0.006 * toM) / (k + 1),
    length: ground.between(0.7, 1.6) * Math.max(25, toM) * (1 - 0.2 * k),
    phase: ground.between(0, 2 * Math.PI),
  }));
  const reach = 1.8 * toM + 10;
  const bed = layBed(
    {
      originXM: -reach,
      originYM: -reach,
      widthM: wayM + 2 * reach,
      heightM: 2 * reach,
      cellM: Math.max(0.5, toM / 40),
    },
    (x, y) => {
      const along = Math.min(1, Math.max(0, x / Math.max(wayM, 40)));
      let depth = toM - 0.2 - rise * (1 - along) + 0.01 * y;
      for (const s of swells) depth += s.amplitude * (Math.sin((2 * Math.PI * x) / s.length + s.phase) - 1);
      return depth;
    },
    (x) => (x < wayM / 2 === hardFirst ? 'gravel' : 'mud'),
  );

  const slotS = durationS / (FISH_IN_PASS + 3);
  const cloudSlot = 3 + random.fork('slots').integer(FISH_IN_PASS - 4);
  // Crossing i happens in the middle of its own slot; the cloud takes two of them.
  const slotTime = (i: number): number => (i + 1 + (i >= cloudSlot ? 2 : 0) - 0.25) * slotS;
  const bedAt = (t: number): number => bedDepthAt(bed, speedMps * t, 0);

  const swim = random.fork('fish');
  const fish: Fish[] = [];
  for (let i = 0; i < FISH_IN_PASS; i++) {
    const crossingS = slotTime(i) + 0.1 * slotS * (swim.uniform() - 0.5);
    const floor = bedAt(crossingS) * 0.97 - 0.9;
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
  const radiusZ = Math.min(1.1, 0.08 * toM);
  const radiusX = still ? 0.1 * toM : Math.min(4, 0.3 * spacing(toM));
  const radiusY = Math.min(3, 0.15 * toM);
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
      title: 'Vessmere, east shelf',
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
