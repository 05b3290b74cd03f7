import { clamp, placeFrom, seededRandom, type Position } from '@/core/maths';
import { vessmereDepth, VESSMERE_CRIB, VESSMERE_ORIGIN } from '@/core/scene/library/vessmereLake';

/** A boat as its instruments would tell it; bearings in rad clockwise from north. */
export interface SimulatedBoat {
  place: Position;
  courseRad: number;
  headingRad: number;
  speedMps: number;
  depthM: number;
  temperatureC: number;
  pitchRad: number;
  rollRad: number;
  supplyV: number;
}

/** A leg of the round: to a place at a speed, or drifting or lying still for a time. */
type Leg = { to: readonly [x: number, y: number]; speedMps: number } | { forS: number; speedMps: number };

const LANES = 5;
const LANE_M = 24;
const lanes: Leg[] = Array.from({ length: LANES }, (_, k): Leg[] => {
  const y = -48 + k * LANE_M;
  const [from, to] = k % 2 === 0 ? [-90, 90] : [90, -90];
  return [
    { to: [from, y], speedMps: 1.5 },
    { to: [to, y], speedMps: 1.5 },
  ];
}).flat();
const [cribX, cribY] = VESSMERE_CRIB;

/** A guide's round: run out, search in lanes, back to the crib, hold over it, drift off, run home. */
const ROUND: readonly Leg[] = [
  { to: [-160, -60], speedMps: 5 },
  ...lanes,
  { to: [cribX - 12, cribY - 4], speedMps: 1.4 },
  { forS: 240, speedMps: 0.06 },
  { forS: 180, speedMps: 0.35 },
  { to: [cribX, cribY], speedMps: 1.2 },
  { forS: 240, speedMps: 0.06 },
  { to: [-320, -140], speedMps: 6.5 },
];
const START = [-320, -140] as const;
/** How fast it gains and loses way, m/s², and turns, rad/s. */
const GAIN = 0.35;
const TURN = 0.35;
const DRIFT_TO_RAD = 1.1;

interface Step {
  x: number;
  y: number;
  speedMps: number;
  courseRad: number;
}

let round: Step[] | null = null;

/** The round by second; the same each time. */
function wholeRound(): Step[] {
  if (round) return round;
  const steps: Step[] = [];
  let [x, y, speed, course] = [START[0] as number, START[1] as number, 0, 0.6];
  const push = (want: number, towards: number): void => {
    speed += clamp(want - speed, -GAIN, GAIN);
    const turn = Math.atan2(Math.sin(towards - course), Math.cos(towards - course));
    course += clamp(turn, -TURN, TURN);
    x += speed * Math.sin(course);
    y += speed * Math.cos(course);
    steps.push({ x, y, speedMps: speed, courseRad: course });
  };
  for (const leg of ROUND) {
    if ('forS' in leg) {
      for (let k = 0; k < leg.forS; k++) push(leg.speedMps, DRIFT_TO_RAD);
      continue;
    }
    const [tx, ty] = leg.to;
    for (let k = 0; k < 600; k++) {
      const left = Math.hypot(tx - x, ty - y);
      if (left < Math.max(3, leg.speedMps * 1.5)) break;
      push(leg.speedMps, Math.atan2(tx - x, ty - y));
    }
  }
  return (round = steps);
}

/** Length of a round, s. */
export const roundS = (): number => wholeRound().length;

/** The simulated boat at a whole second of its round, with what its instruments add: a few metres of wander, a little noise. */
export function simulatedBoat(second: number): SimulatedBoat {
  const steps = wholeRound();
  const { x, y, speedMps, courseRad } = steps[((second % steps.length) + steps.length) % steps.length]!;
  const random = seededRandom(second + 1).fork('boat');
  // A receiver's place wanders slowly over a metre or two.
  const wander = (k: number): number => 1.1 * Math.sin(second / (61 + 13 * k) + k) + 0.15 * random.normal();
  const roll = 0.04 * Math.sin(second / 1.7) + 0.01 * random.normal();
  return {
    place: placeFrom(VESSMERE_ORIGIN, x + wander(0), y + wander(1)),
    courseRad,
    headingRad: courseRad + 0.02 * random.normal(),
    speedMps: Math.max(0, speedMps + 0.03 * random.normal()),
    depthM: Math.max(0.5, vessmereDepth(x, y) + 0.04 * random.normal()),
    temperatureC: 17.2 + 0.6 * Math.sin(x / 140),
    pitchRad: 0.01 + 0.02 * speedMps * 0.2,
    rollRad: roll,
    supplyV: 12.7 - (0.4 * (second % steps.length)) / steps.length - (speedMps > 3 ? 0.15 : 0),
  };
}
