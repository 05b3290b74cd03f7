import { amplitudeToDb } from '@/core/maths';
import { beamPattern, type Beam } from '@/core/rig';

/** A mark's strength as if on the axis, and how unsure it is (standard deviation), dB. */
export interface Strength {
  db: number;
  spreadDb: number;
}

/** What strengths are expected before anything is seen, and how far one pass strays from a fish's mean, dB. */
export interface Expected {
  meanDb: number;
  spreadDb: number;
  passDb: number;
}

/** Offsets tried, out to where the beam has lost this much there and back, dB. */
const TRIES = 18;
const OUTERMOST_DB = -14;
/** The same where what is expected holds far offsets in check. */
const OUTERMOST_EXPECTED_DB = -24;
/** Deepest a null of the pattern is believed, dB there and back. */
const DEEPEST_DB = -32;
/** Fluctuation of an echo from ping to ping that is there at the least, dB. */
const LEAST_FLUCTUATION_DB = 2;
/** Pings fade together; more of them than this do not make a strength surer. */
const MOST_INDEPENDENT = 12;
/** Mean of the levels lies under the level of the mean power by this much for an echo between steady and fully fading, dB. */
const MEAN_OF_LEVELS_DB = 1.25;

const twoWayDb = (beam: Beam, sinAlong: number, sinAthwart: number): number =>
  Math.max(DEEPEST_DB, amplitudeToDb(beamPattern(beam, sinAlong, sinAthwart)));

/**
 * Strength of a mark corrected for where in the beam it passed. How its level falls off before and after the nearest point
 * depends on how far to the side it went by: every offset is tried, weighed by how well the levels then fit the pattern
 * (Gaussian likelihood, offsets equally likely beforehand), and the mean over all of them is given with its spread.
 * With what is expected beforehand, marks far too weak for it are rather taken to have passed far out (Bayes).
 * @param levelsDb per ping, spreading and absorption made up for @param sinAlong of the angle fore and aft, same pings
 */
export function beamStrength(
  levelsDb: readonly number[],
  sinAlong: readonly number[],
  beam: Beam,
  expected: Expected | null = null,
): Strength {
  const n = levelsDb.length;
  const independent = Math.min(n, MOST_INDEPENDENT);
  let outermost = Math.sin(beam.athwartRad / 2);
  while (outermost < 0.9 && twoWayDb(beam, 0, outermost) > (expected ? OUTERMOST_EXPECTED_DB : OUTERMOST_DB))
    outermost *= 1.08;
  let weightSum = 0;
  let mean = 0;
  let square = 0;
  const fits: { m: number; v: number; logL: number }[] = [];
  for (let k = 0; k < TRIES; k++) {
    const side = (outermost * (k + 0.5)) / TRIES;
    let sum = 0;
    let sum2 = 0;
    for (let i = 0; i < n; i++) {
      const d = levelsDb[i]! - twoWayDb(beam, sinAlong[i]!, side);
      sum += d;
      sum2 += d * d;
    }
    const m = sum / n;
    const v = Math.max(0, sum2 / n - m * m) + LEAST_FLUCTUATION_DB ** 2;
    fits.push({ m, v, logL: (-independent / 2) * Math.log(v) });
  }
  const best = Math.max(...fits.map((f) => f.logL));
  for (const { m, v, logL } of fits) {
    let middle = m;
    let variance = v / independent;
    let w = Math.exp(logL - best);
    if (expected) {
      const prior = expected.spreadDb ** 2;
      const seen = variance + expected.passDb ** 2;
      w *= Math.exp((-0.5 * (m - expected.meanDb) ** 2) / (prior + seen)) / Math.sqrt(prior + seen);
      middle = (m * prior + expected.meanDb * seen) / (prior + seen);
      variance = (prior * seen) / (prior + seen);
    }
    weightSum += w;
    mean += w * middle;
    square += w * (middle * middle + variance);
  }
  mean /= weightSum;
  return {
    db: mean + MEAN_OF_LEVELS_DB,
    spreadDb: Math.sqrt(Math.max(0, square / weightSum - mean * mean)),
  };
}
