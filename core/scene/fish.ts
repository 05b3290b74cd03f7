import type { Random } from '@/core/maths';
import type { Bladder } from '@/core/water';
import { straightSwim, swimAt, swimPath, type SwimPath } from './swimPath';

/** What a fish is about. */
export type Doing = 'cruising' | 'holding' | 'milling' | 'turning' | 'following' | 'refusing' | 'taking';

/** A fish and how it moves. */
export interface Fish {
  lengthM: number;
  bladder: Bladder;
  doing: Doing;
  path: SwimPath;
  /** Height of a slow rise and fall about the path, m, its period, s, and its phase, rad. */
  wanderM: number;
  wanderPeriodS: number;
  wanderPhase: number;
  /** Where it faces while it keeps its place, rad from the x axis. */
  restHeadingRad: number;
}

/** Slower than this a fish faces where it rests, m/s. */
const RESTING_MPS = 0.03;

/** Rocking of the body about its way, rad, and its period, s. */
const ROCK_RAD = 0.07;
const ROCK_S = 0.6;

/**
 * Where a fish is and how it lies at a time: x, y, z (m), heading (rad from the x axis), pitch (head up, rad) into
 * out 0, 1, 2, 3, 4. `out` has room for six.
 */
export function fishAt(fish: Fish, timeS: number, out: Float64Array): void {
  swimAt(fish.path, timeS, out);
  const turn = (2 * Math.PI) / fish.wanderPeriodS;
  const phase = turn * timeS + fish.wanderPhase;
  out[2]! += fish.wanderM * Math.sin(phase);
  const rise = -(out[5]! + fish.wanderM * turn * Math.cos(phase));
  const flat = Math.hypot(out[3]!, out[4]!);
  out[3] = flat > RESTING_MPS ? Math.atan2(out[4]!, out[3]!) : fish.restHeadingRad;
  // A fish rises by swimming up as much as by its bladder: half the climb shows in its body.
  // On top of that it rocks as it beats its tail.
  out[4] =
    0.5 * Math.atan2(rise, Math.max(flat, 0.1)) +
    ROCK_RAD * Math.sin((2 * Math.PI * timeS) / (ROCK_S + 0.08 * fish.wanderPeriodS) + 3 * fish.wanderPhase);
}

type Size = Pick<Fish, 'lengthM' | 'bladder'>;

function fishOf(size: Size, doing: Doing, path: SwimPath, random: Random, wanderM = 0.03): Fish {
  return {
    ...size,
    doing,
    path,
    wanderM,
    wanderPeriodS: random.between(5, 12),
    wanderPhase: random.between(0, 2 * Math.PI),
    restHeadingRad: random.between(-Math.PI, Math.PI),
  };
}

type Place = readonly [x: number, y: number, z: number];

/** A fish on its way straight through a place at a time. */
export const cruising = (size: Size, timeS: number, place: Place, velocity: Place, random: Random): Fish =>
  fishOf(size, 'cruising', straightSwim(timeS, place, velocity), random);

/** A fish that keeps its place. */
export const holding = (size: Size, place: Place, random: Random): Fish =>
  fishOf(size, 'holding', straightSwim(0, place, [0, 0, 0]), random, 0.02);

/** A fish that roams about a place at no great speed, for the whole of `durationS`. */
export function milling(
  size: Size,
  [x, y, z]: Place,
  roomM: number,
  durationS: number,
  random: Random,
): Fish {
  const rows: [number, number, number, number][] = [];
  const pace = Math.max(3, roomM / 0.12);
  let t = -pace;
  while (t < durationS + 2 * pace) {
    const angle = random.between(0, 2 * Math.PI);
    const r = roomM * Math.sqrt(random.uniform());
    rows.push([t, x + r * Math.cos(angle), y + r * Math.sin(angle), z + 0.18 * roomM * random.normal()]);
    t += pace * random.between(0.7, 1.4);
  }
  return fishOf(size, 'milling', swimPath(rows), random);
}

/**
 * A fish that lies in the beam until the boat is over it, then bolts down and to the side: it comes in by one leg and
 * leaves hardly a second.
 * @param away side it turns to, +1 or −1
 */
export function turning(
  size: Size,
  timeS: number,
  [x, y, z]: Place,
  boatMps: number,
  away: number,
  random: Random,
): Fish {
  return fishOf(
    size,
    'turning',
    swimPath([
      [timeS - 20, x - 1.5, y, z],
      [timeS - 1, x - 0.1, y, z],
      [timeS - 0.1, x, y, z],
      [timeS + 0.6, x + 0.5 * boatMps, y + 1.5 * away, z + 1],
      [timeS + 1.4, x + 1.2 * boatMps, y + 4.2 * away, z + 2],
      [timeS + 3, x + 2 * boatMps, y + 8 * away, z + 2.2],
      [timeS + 6, x + 3 * boatMps, y + 12 * away, z + 2.2],
    ]),
    random,
  );
}

/** How a fish answers a lure. */
export type Answer = 'following' | 'refusing' | 'taking';

/**
 * A fish under a boat that holds still, answering a lure at one place: it rises to it, hangs under it, and takes it, or
 * turns down again; a follower keeps under it to the end.
 */
export function answering(
  size: Size,
  answer: Answer,
  timeS: number,
  [x, y, z]: Place,
  deepM: number,
  random: Random,
): Fish {
  const side = random.between(0, 2 * Math.PI);
  const at = (r: number): [number, number] => [x + r * Math.cos(side), y + r * Math.sin(side)];
  const lies = size.lengthM * 0.8 + 0.25;
  const rows: [number, number, number, number][] = [
    [timeS - 40, ...at(0.9), deepM],
    [timeS - 12, ...at(0.7), deepM],
    [timeS - 3, ...at(0.3), z + 2 * lies],
    [timeS, ...at(0.1), z + lies],
  ];
  if (answer === 'following')
    rows.push([timeS + 30, ...at(0.15), z + lies], [timeS + 60, ...at(0.2), z + lies]);
  if (answer === 'refusing')
    rows.push(
      [timeS + 5, ...at(0.15), z + lies],
      [timeS + 11, ...at(0.8), deepM - 0.2],
      [timeS + 40, ...at(1.4), deepM],
    );
  if (answer === 'taking')
    // Taken, it is fought up and away.
    rows.push(
      [timeS + 2, ...at(0.05), z + 0.1],
      [timeS + 6, ...at(0.6), z + 0.6],
      [timeS + 20, ...at(1.2), Math.max(0.5, 0.15 * z)],
      [timeS + 24, ...at(4), 0.4],
    );
  return fishOf(size, answer, swimPath(rows), random);
}
