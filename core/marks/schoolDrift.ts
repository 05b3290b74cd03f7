import { offsetFrom, placeFrom, type Position } from '@/core/maths';
import { turned } from './bearing';

/** A mark of a school. */
export interface SchoolMark {
  atS: number;
  place: Position;
  errorM: number;
}

export interface SchoolDrift {
  eastMps: number;
  northMps: number;
  /** Standard deviation of each of the two, m/s. */
  spreadMps: number;
  speedMps: number;
  /** 90 % interval of the speed, m/s. */
  speedFromMps: number;
  speedToMps: number;
  /** Where it goes, rad clockwise from north, and half its 90 % interval; null where it may go anywhere. */
  towardsRad: number;
  towardsHalfRad: number | null;
  /** Where it is at a moment, and the radius that holds it nine times of ten, m. */
  at: (atS: number) => { place: Position; radiusM: number };
}

/** Deviates that hold nine of ten, of a line and of a disc, and two of three of a disc. */
const NINE_OF_TEN = 1.645;
const NINE_OF_TEN_DISC = Math.sqrt(2 * Math.log(10));
const TWO_OF_THREE_DISC = Math.sqrt(2 * Math.log(3));

/**
 * The drift of a school from marks of it, by weighted least squares: each mark counts by the inverse square of its error. Null for fewer than two
 * moments.
 */
export function schoolDrift(marks: readonly SchoolMark[]): SchoolDrift | null {
  const [first] = marks;
  if (!first) return null;
  const rows = marks.map(({ atS, place, errorM }) => ({
    t: atS - first.atS,
    ...offsetFrom(first.place, place),
    weight: 1 / Math.max(0.5, errorM) ** 2,
  }));
  const sum = (of: (row: (typeof rows)[number]) => number): number =>
    rows.reduce((total, row) => total + row.weight * of(row), 0);
  const weight = sum(() => 1);
  const t0 = sum((r) => r.t) / weight;
  const spread = sum((r) => (r.t - t0) ** 2);
  if (!(spread > 1e-9)) return null;
  const [east0, north0] = [sum((r) => r.eastM) / weight, sum((r) => r.northM) / weight];
  const eastMps = sum((r) => (r.t - t0) * (r.eastM - east0)) / spread;
  const northMps = sum((r) => (r.t - t0) * (r.northM - north0)) / spread;
  // An error two times of three in the plane, told for one direction.
  const perAxis = 1 / TWO_OF_THREE_DISC;
  const spreadMps = perAxis / Math.sqrt(spread);
  const speedMps = Math.hypot(eastMps, northMps);
  const reach = NINE_OF_TEN * spreadMps;
  return {
    eastMps,
    northMps,
    spreadMps,
    speedMps,
    speedFromMps: Math.max(0, speedMps - reach),
    speedToMps: speedMps + reach,
    towardsRad: turned(Math.atan2(eastMps, northMps)),
    towardsHalfRad: reach < speedMps ? Math.asin(reach / speedMps) : null,
    at: (atS) => {
      const t = atS - first.atS;
      return {
        place: placeFrom(first.place, east0 + eastMps * (t - t0), north0 + northMps * (t - t0)),
        radiusM: NINE_OF_TEN_DISC * perAxis * Math.hypot(1 / Math.sqrt(weight), (t - t0) / Math.sqrt(spread)),
      };
    },
  };
}

/** Wider than this a school is not found again by going where it should be, m. */
export const GIVE_UP_M = 60;

/** When to give a school up, on the marks' clock, s: its circle is then too wide to search. Null where that is never. */
export function giveUpAt(drift: SchoolDrift, fromS: number): number | null {
  for (let t = fromS; t <= fromS + 3 * 3600; t += 30) if (drift.at(t).radiusM > GIVE_UP_M) return t;
  return null;
}
