import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { distanceM, placeFrom, seededRandom } from '@/core/maths';
import { pointingAt } from '@/core/rig';
import { bearingTo, turnTo } from './bearing';
import { depthContours } from './depthContours';
import { learnedRunOn, offSpot, wayBack } from './goBack';
import { fixAt, placeOfMark } from './markPlace';
import { reverseOnto } from './reverseOnto';
import { giveUpAt, schoolDrift } from './schoolDrift';

const RAD = Math.PI / 180;
const HERE = { latitudeDeg: -47.3, longitudeDeg: -124.9 };

/** Worked out apart from the core, in a flat frame by complex numbers: heading, lag, lever arms, tilt, current. */
interface Row {
  headingDeg: number;
  lagS: number;
  face: [number, number];
  tiltDeg: [number, number];
  depthM: number;
  fixes: [number, number, number][];
  want: [number, number];
}
const TABLE = JSON.parse(readFileSync(join(__dirname, 'fixtures/markPlaces.json'), 'utf8')) as Row[];
const SURE = { accuracyM: 3, lagS: 1, speedMps: 1.5, headingRad: 0.1 };

describe('a mark', () => {
  it.each(TABLE.map((row, k) => [k + 1, row] as const))(
    'lies within 0.2 m of where case %i puts it',
    (_, row) => {
      const headingRad = row.headingDeg * RAD;
      const fixes = row.fixes.map(([atS, latitudeDeg, longitudeDeg]) => ({
        atS,
        place: { latitudeDeg, longitudeDeg },
        headingRad,
      }));
      const mount = {
        alongRad: row.tiltDeg[0] * RAD,
        athwartRad: row.tiltDeg[1] * RAD,
        looseRad: 0,
        churn: 0,
      };
      const { forwardM, portM } = pointingAt(mount, row.depthM);
      const { place } = placeOfMark(
        fixAt(fixes, 60 - row.lagS),
        { face: { x: row.face[0], y: row.face[1] }, pointing: { x: forwardM, y: portM }, halfBeamM: 1 },
        SURE,
      );
      expect(distanceM(place, { latitudeDeg: row.want[0], longitudeDeg: row.want[1] })).toBeLessThan(0.2);
    },
  );
  it('has a circle as wide as its causes together, and names the largest', () => {
    const at = { atS: 0, place: HERE, headingRad: 0 };
    const geometry = { face: { x: 4, y: 0 }, pointing: { x: 0, y: 0 }, halfBeamM: 3 };
    const slow = placeOfMark(at, geometry, { accuracyM: 4, lagS: 1, speedMps: 0.5, headingRad: 0.1 });
    expect(slow.cause).toBe('position');
    expect(slow.errorM).toBeCloseTo(Math.hypot(4, 0.5, 0.4, 3 * Math.sqrt(2 / 3)), 9);
    expect(placeOfMark(at, geometry, { ...SURE, speedMps: 9 }).cause).toBe('moment');
    expect(placeOfMark(at, { ...geometry, halfBeamM: 12 }, SURE).cause).toBe('beam');
  });
  it('needs a fix', () => expect(() => fixAt([], 0)).toThrow(/no fix/));
});

describe('the way back', () => {
  it('is told from the transducer, by bearing, distance and turn', () => {
    // The face 3 m astern of the antenna; bow to the east; the mark 30 m north and 3 m west of the antenna.
    const now = { atS: 0, place: HERE, headingRad: 90 * RAD };
    const mark = { place: placeFrom(HERE, -3, 30), errorM: 3 };
    const way = wayBack(now, { x: -3, y: 0 }, 1.5, mark);
    expect(way.distanceM).toBeCloseTo(30, 2);
    expect(way.bearingRad / RAD).toBeCloseTo(0, 1);
    expect(way.steerRad / RAD).toBeCloseTo(-90, 1);
    expect(way.over).toBe(false);
    expect(wayBack(now, { x: -3, y: 0 }, 0, { place: placeFrom(HERE, -4, 1), errorM: 3 }).over).toBe(true);
    const off = offSpot(now, { x: 0, y: 0 }, placeFrom(HERE, 10, 4));
    expect(off.aheadM).toBeCloseTo(10, 2);
    expect(off.portM).toBeCloseTo(4, 2);
  });
  it('turns the short way round', () => {
    expect(turnTo(350 * RAD, 10 * RAD) / RAD).toBeCloseTo(20, 9);
    expect(turnTo(10 * RAD, 350 * RAD) / RAD).toBeCloseTo(-20, 9);
    expect(bearingTo(HERE, placeFrom(HERE, -5, -5)) / RAD).toBeCloseTo(225, 1);
  });
  it('learns the run-on where the boat was let run out', () => {
    // v = v0·e^(−t/5): the way run is 5·v0, less what is left.
    const speeds = Array.from({ length: 40 }, (_, t) => ({
      atS: t,
      speedMps: t < 10 ? 2 : 2 * Math.exp(-(t - 10) / 5),
    }));
    expect(learnedRunOn(speeds)).toBeCloseTo(5, 0);
    expect(learnedRunOn(speeds.slice(0, 10))).toBeNull();
  });
});

describe('stopping over a fish', () => {
  it('counts down to neutral where there is room, and backs up where there is none', () => {
    // 6 m to go at 1 m/s with 2 m of run-on: out of gear after 4 s.
    expect(reverseOnto(1, 7, 1, 2)).toEqual({ neutralInS: 4, backUpM: 0 });
    // 1 m to go at 2 m/s with 8 m of run-on: at once, and 7 m back.
    expect(reverseOnto(2, 1, 0, 4)).toEqual({ neutralInS: 0, backUpM: 7 });
    expect(() => reverseOnto(0, 1, 0, 4)).toThrow(/must move/);
  });
});

describe('the drift of a school', () => {
  const GPS_M = 3;
  /** Position error two times of three for a standard deviation of 3 m a side. */
  const errorM = GPS_M * Math.sqrt(2 * Math.log(3));
  const school = (seed: number, spanM: number, count: number, sideM = GPS_M) => {
    const random = seededRandom(seed).fork('school');
    const speed = random.between(0.05, 0.4);
    const towards = random.between(0, 2 * Math.PI);
    const [east, north] = [speed * Math.sin(towards), speed * Math.cos(towards)];
    const marks = Array.from({ length: count }, (_, k) => {
      const t = ((spanM / speed) * k) / (count - 1);
      return {
        atS: 1000 + t,
        place: placeFrom(HERE, east * t + sideM * random.normal(), north * t + sideM * random.normal()),
        errorM: (errorM * sideM) / GPS_M,
      };
    });
    return { east, north, speed, marks };
  };
  const seeds = Array.from({ length: 20 }, (_, k) => k + 1);
  it('has its speed within 10 in 100 once four marks span 60 m, each within 3 m two times of three', () => {
    const good = seeds.filter((seed) => {
      const { speed, marks } = school(seed, 60, 4, GPS_M / Math.sqrt(2 * Math.log(3)));
      return Math.abs(schoolDrift(marks)!.speedMps / speed - 1) <= 0.1;
    });
    // By the law of errors 4.5 in 100: 97 of 100 are.
    expect(good.length).toBeGreaterThanOrEqual(18);
  });
  it('has its speed within 10 in 100 once a dozen marks span 60 m, each good to 3 m a side', () => {
    const good = seeds.filter((seed) => {
      const { speed, marks } = school(seed, 60, 12);
      return Math.abs(schoolDrift(marks)!.speedMps / speed - 1) <= 0.1;
    });
    // By the law of errors 4.6 in 100 a side: 97 of 100 are.
    expect(good.length).toBeGreaterThanOrEqual(18);
  });
  it('holds its speed in the 90 % interval about nine times of ten before that', () => {
    let held = 0;
    const many = 200;
    for (let seed = 1; seed <= many; seed++) {
      const { speed, marks } = school(1000 + seed, 30, 3);
      const drift = schoolDrift(marks)!;
      if (speed >= drift.speedFromMps && speed <= drift.speedToMps) held++;
    }
    expect(held / many).toBeGreaterThan(0.84);
    expect(held / many).toBeLessThan(0.97);
  });
  it('says where the school is now, how wide to look, and when to give up', () => {
    const { east, north, marks } = school(4, 120, 8);
    const drift = schoolDrift(marks)!;
    const soon = drift.at(marks[7]!.atS + 60);
    const t = marks[7]!.atS - 1000 + 60;
    expect(distanceM(soon.place, placeFrom(HERE, east * t, north * t))).toBeLessThan(soon.radiusM);
    expect(drift.at(marks[7]!.atS + 3600).radiusM).toBeGreaterThan(soon.radiusM);
    expect(giveUpAt(drift, marks[7]!.atS)).toBeGreaterThan(marks[7]!.atS);
  });
  it('is not told from one moment', () => {
    expect(schoolDrift([])).toBeNull();
    expect(schoolDrift(school(1, 30, 3).marks.slice(0, 1))).toBeNull();
  });
});

describe('depth contours', () => {
  const bed = (x: number, y: number): number => 12 + 0.05 * x + 3 * Math.sin(y / 25);
  const lanes = (apartM: number) =>
    Array.from({ length: 9 }, (_, lane) =>
      Array.from({ length: 60 }, (_unused, k) => {
        const [x, y] = [3 * k, lane * apartM];
        return { x, y, depthM: bed(x, y) };
      }),
    ).flat();
  it('lie within 0.3 m of a known bed where the track is dense', () => {
    const pieces = depthContours(lanes(10), 1);
    expect(pieces.length).toBeGreaterThan(200);
    for (const { depthM, from, to } of pieces)
      for (const [x, y] of [from, to]) expect(Math.abs(bed(x, y) - depthM)).toBeLessThan(0.3);
  });
  it('are not drawn between lanes too far apart, nor from a line alone', () => {
    const far = depthContours(lanes(60), 1);
    const across = far.filter(({ from, to }) => Math.abs(from[1] - to[1]) > 5);
    expect(across).toEqual([]);
    expect(depthContours([], 1)).toEqual([]);
    expect(depthContours(lanes(10), 0)).toEqual([]);
  });
});
