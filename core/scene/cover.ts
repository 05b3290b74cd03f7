import { amplitudeFromDb, amplitudeToDb, type Random, toDb } from '@/core/maths';

export type CoverKind = 'boulder' | 'crib' | 'stump' | 'wreck' | 'brush' | 'timber' | 'weed';

/** Something that stands on the bed, as the points that answer from it. */
export interface Cover {
  kind: CoverKind;
  /** Middle and reach over the ground, m. */
  x: number;
  y: number;
  radiusM: number;
  /** Depths of its highest point and of its foot, m. */
  topM: number;
  footM: number;
  /** x, y, z in m and pressure ratio (the square root of the target strength as power), 4 a point. */
  points: Float32Array;
}

type Place = readonly [x: number, y: number];
type Put = (x: number, y: number, z: number, tsDb: number) => void;

function coverOf(kind: CoverKind, [x, y]: Place, footM: number, fill: (put: Put) => void): Cover {
  const points: number[] = [];
  let topM = footM;
  let radiusM = 0;
  fill((px, py, pz, tsDb) => {
    points.push(px, py, pz, amplitudeFromDb(tsDb));
    if (pz < topM) topM = pz;
    radiusM = Math.max(radiusM, Math.hypot(px - x, py - y));
  });
  return { kind, x, y, radiusM, topM, footM, points: Float32Array.from(points) };
}

/** What wood loses as its air gives way to water, dB: 3 dB a year at first, 17 dB in the end (nominal). */
export const soakLoss = (ageYears: number): number => 17 * (1 - Math.exp(-ageYears / 4));

/** A rounded rock of a radius, half of it above the bed: the near faces of a rigid ball, 20 log(a/2) in all. */
export function boulder(place: Place, footM: number, radiusM: number, random: Random): Cover {
  const count = Math.round(60 + 60 * radiusM);
  const each = amplitudeToDb(radiusM / 2) + 3 - toDb(count);
  return coverOf('boulder', place, footM, (put) => {
    for (let i = 0; i < count; i++) {
      const up = random.uniform();
      const angle = random.between(0, 2 * Math.PI);
      const r = radiusM * Math.sqrt(1 - up * up) * random.between(0.9, 1.05);
      put(
        place[0] + r * Math.cos(angle),
        place[1] + r * Math.sin(angle),
        footM - 0.9 * radiusM * up * random.between(0.85, 1.05),
        each + 2 * random.normal(),
      );
    }
  });
}

/** Points along a log from one end to another. */
function log(
  put: Put,
  from: readonly [number, number, number],
  to: readonly [number, number, number],
  everyM: number,
  tsDb: number,
  random: Random,
): void {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
  const count = Math.max(2, Math.round(length / everyM));
  for (let i = 0; i < count; i++) {
    const u = (i + random.uniform()) / count;
    put(
      from[0] + (to[0] - from[0]) * u + 0.04 * random.normal(),
      from[1] + (to[1] - from[1]) * u + 0.04 * random.normal(),
      from[2] + (to[2] - from[2]) * u + 0.04 * random.normal(),
      tsDb + 3 * random.normal(),
    );
  }
}

/** A square crib of crossed logs, sunk on purpose: courses of logs with open water between. */
export function crib(
  place: Place,
  footM: number,
  { sideM, heightM, ageYears }: { sideM: number; heightM: number; ageYears: number },
  random: Random,
): Cover {
  const turn = random.between(0, Math.PI / 2);
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const at = (u: number, w: number, z: number): [number, number, number] => [
    place[0] + u * c - w * s,
    place[1] + u * s + w * c,
    z,
  ];
  const each = -36 - soakLoss(ageYears);
  const courses = Math.max(2, Math.round(heightM / 0.35));
  return coverOf('crib', place, footM, (put) => {
    for (let k = 0; k < courses; k++) {
      const z = footM - (heightM * (k + 0.6)) / courses;
      for (const off of [-0.5, -0.17, 0.17, 0.5]) {
        const [a, b] = [-0.55 * sideM, 0.55 * sideM];
        if (k % 2 === 0) log(put, at(a, off * sideM, z), at(b, off * sideM, z), 0.25, each, random);
        else log(put, at(off * sideM, a, z), at(off * sideM, b, z), 0.25, each, random);
      }
    }
  });
}

/** What is left of a tree: a short thick trunk with roots. */
export function stump(place: Place, footM: number, heightM: number, ageYears: number, random: Random): Cover {
  const each = -38 - soakLoss(ageYears);
  return coverOf('stump', place, footM, (put) => {
    for (let k = 0; k < 3; k++) {
      const [dx, dy] = [0.15 * random.normal(), 0.15 * random.normal()];
      log(
        put,
        [place[0] + dx, place[1] + dy, footM],
        [place[0] + dx, place[1] + dy, footM - heightM],
        0.1,
        each,
        random,
      );
    }
    for (let k = 0; k < 6; k++) {
      const angle = random.between(0, 2 * Math.PI);
      const reach = random.between(0.6, 1.3);
      log(
        put,
        [place[0], place[1], footM - 0.3],
        [place[0] + reach * Math.cos(angle), place[1] + reach * Math.sin(angle), footM - 0.05],
        0.15,
        each - 2,
        random,
      );
    }
  });
}

/** A hull on the bed: plated sides, a broken deck, a stump of mast. */
export function wreck(
  place: Place,
  footM: number,
  {
    lengthM,
    beamM,
    heightM,
    headingRad,
  }: { lengthM: number; beamM: number; heightM: number; headingRad: number },
  random: Random,
): Cover {
  const [c, s] = [Math.cos(headingRad), Math.sin(headingRad)];
  return coverOf('wreck', place, footM, (put) => {
    const count = Math.round(60 * lengthM);
    for (let i = 0; i < count; i++) {
      const u = random.between(-0.5, 0.5);
      // Fuller amidships, higher at the bow, and broken open abaft the middle.
      const half = (beamM / 2) * Math.sqrt(Math.max(0, 1 - (1.8 * u) ** 2));
      const side = random.uniform() < 0.6 ? Math.sign(random.uniform() - 0.5) : random.between(-1, 1);
      const broken = u > -0.28 && u < -0.05 ? 0.35 : 1;
      const height = heightM * broken * (0.75 + 0.5 * u * u + 0.25 * (u > 0.3 ? 1 : 0));
      const z = footM - (Math.abs(side) === 1 ? random.uniform() : 0.9) * height;
      const along = u * lengthM;
      const across = side * half;
      put(place[0] + along * c - across * s, place[1] + along * s + across * c, z, -30 + 3 * random.normal());
    }
    const mast = 0.12 * lengthM;
    log(
      put,
      [place[0] + mast * c, place[1] + mast * s, footM - 0.8 * heightM],
      [place[0] + (mast + 0.6) * c, place[1] + (mast + 0.6) * s, footM - 1.7 * heightM],
      0.12,
      -34,
      random,
    );
  });
}

/** A heap of cut branches. */
export function brush(
  place: Place,
  footM: number,
  { radiusM, heightM, ageYears }: { radiusM: number; heightM: number; ageYears: number },
  random: Random,
): Cover {
  const branches = Math.round(26 * radiusM);
  const each = -41 - soakLoss(ageYears);
  return coverOf('brush', place, footM, (put) => {
    for (let k = 0; k < branches; k++) {
      const angle = random.between(0, 2 * Math.PI);
      const r = radiusM * Math.sqrt(random.uniform());
      const lean = random.between(0.3, 1.1) * heightM;
      const foot = [place[0] + r * Math.cos(angle), place[1] + r * Math.sin(angle), footM] as const;
      const toX = foot[0] + 0.5 * lean * random.normal();
      const toY = foot[1] + 0.5 * lean * random.normal();
      const height = heightM * (1 - 0.5 * (r / radiusM) ** 2) * random.between(0.6, 1);
      log(put, foot, [toX, toY, footM - height], 0.16, each, random);
    }
  });
}

/** A drowned tree that still stands, with what is left of its limbs. */
export function timber(
  place: Place,
  footM: number,
  heightM: number,
  ageYears: number,
  random: Random,
): Cover {
  const each = -38 - soakLoss(ageYears);
  const lean = [0.06 * heightM * random.normal(), 0.06 * heightM * random.normal()] as const;
  return coverOf('timber', place, footM, (put) => {
    const top = [place[0] + lean[0], place[1] + lean[1], footM - heightM] as const;
    log(put, [place[0], place[1], footM], top, 0.09, each, random);
    const limbs = Math.round(heightM * 1.4);
    for (let k = 0; k < limbs; k++) {
      const u = random.between(0.3, 0.95);
      const root = [place[0] + lean[0] * u, place[1] + lean[1] * u, footM - heightM * u] as const;
      const angle = random.between(0, 2 * Math.PI);
      const reach = (1 - u) * 0.5 * heightM + 0.4;
      log(
        put,
        root,
        [root[0] + reach * Math.cos(angle), root[1] + reach * Math.sin(angle), root[2] - 0.4 * reach],
        0.2,
        each - 5,
        random,
      );
    }
  });
}

/** A stand of weed: gas in its leaves answers, most near the canopy, thinning toward the edge. */
export function weedBed(
  [x, y]: Place,
  bedDepthAt: (x: number, y: number) => number,
  { lengthM, widthM, heightM }: { lengthM: number; widthM: number; heightM: number },
  random: Random,
): Cover {
  const footM = bedDepthAt(x, y);
  const count = Math.min(5000, Math.round(7 * lengthM * widthM));
  return coverOf('weed', [x, y], footM, (put) => {
    for (let i = 0; i < count; i++) {
      const u = random.between(-0.5, 0.5);
      const w = random.between(-0.5, 0.5);
      const edge = Math.min(1, 4 * (0.5 - Math.abs(u)), 4 * (0.5 - Math.abs(w)));
      if (random.uniform() > edge) continue;
      const px = x + u * lengthM;
      const py = y + w * widthM;
      const clump = 0.75 + 0.25 * Math.sin(px * 1.1 + 2 * Math.sin(py * 0.7));
      const up = heightM * clump * Math.sqrt(random.uniform());
      put(px, py, bedDepthAt(px, py) - up, -50 + 3 * random.normal());
    }
  });
}
