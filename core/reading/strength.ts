import { beamPattern, type Beam } from '@/core/rig';

/** A mark's strength as if on the axis, and how unsure it is (standard deviation), dB. */
export interface Strength {
  db: number;
  spreadDb: number;
}

/** Offsets tried, out to where the beam has lost this much there and back, dB. */
const TRIES = 14;
const OUTERMOST_DB = -14;
/** Deepest a null of the pattern is believed, dB there and back. */
const DEEPEST_DB = -26;
/** Fluctuation of an echo from ping to ping that is there at the least, dB. */
const LEAST_FLUCTUATION_DB = 2;
/** Pings fade together; more of them than this do not make a strength surer. */
const MOST_INDEPENDENT = 12;
/** Mean of the levels lies under the level of the mean power by this much for an echo between steady and fully fading, dB. */
const MEAN_OF_LEVELS_DB = 1.25;

const twoWayDb = (beam: Beam, sinAlong: number, sinAthwart: number): number =>
  Math.max(DEEPEST_DB, 20 * Math.log10(beamPattern(beam, sinAlong, sinAthwart)));

/**
 * Strength of a mark corrected for where in the beam it passed. How its level falls off before and after the nearest point
 * depends on how far to the side it went by: every offset is tried, weighed by how well the levels then fit the pattern
 * (Gaussian likelihood, offsets equally likely beforehand), and the mean over all of them is given with its spread.
 * @param levelsDb per ping, spreading and absorption made up for @param sinAlong of the angle fore and aft, same pings
 */
export function beamStrength(levelsDb: readonly number[], sinAlong: readonly number[], beam: Beam): Strength {
  const n = levelsDb.length;
  const independent = Math.min(n, MOST_INDEPENDENT);
  let outermost = Math.sin(beam.athwartRad / 2);
  while (outermost < 0.9 && twoWayDb(beam, 0, outermost) > OUTERMOST_DB) outermost *= 1.08;
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
    const w = Math.exp(logL - best);
    weightSum += w;
    mean += w * m;
    square += w * (m * m + v / independent);
  }
  mean /= weightSum;
  return {
    db: mean + MEAN_OF_LEVELS_DB,
    spreadDb: Math.sqrt(Math.max(0, square / weightSum - mean * mean)),
  };
}
