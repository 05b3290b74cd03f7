import { fishTargetStrength, tiltEffect } from '@/core/water';
import type { Face } from '@/core/rig';
import { fishAt, gearAt, type Scene, type Track } from '@/core/scene';
import type { Frames } from './frame';
import { reachAlong, type PatternTable } from './patternTable';

/** Every point that answers, ping after ping. */
export interface PointEchoes {
  /** Points of ping p are start[p] … start[p + 1] − 1. */
  start: Int32Array;
  /** Slant range, m. */
  rangeM: Float32Array;
  /** Complex pressure ratio to the source at 1 m, there and back: its phase is the path's. */
  re: Float32Array;
  im: Float32Array;
}

/** Parts of a fish that answer: along the body in body lengths from its middle, and power share. The bladder leads. */
const HIGHLIGHTS = [
  { along: 0.02, share: 0.66 },
  { along: 0.3, share: 0.2 },
  { along: -0.25, share: 0.14 },
] as const;

/** Two-way pressure pattern under which a point is left out, −70 dB. */
const FAINTEST = 3.2e-4;
/** Nearer than this nothing is put: it would be in the face. */
const NEAREST_M = 0.1;

/** Entries of the phase table; their step is a hundredth of what roughens a level by 0.01 dB. */
const PHASES = 4096;
const COS = Float64Array.from({ length: PHASES }, (_, i) => Math.cos((2 * Math.PI * i) / PHASES));
const SIN = Float64Array.from({ length: PHASES }, (_, i) => Math.sin((2 * Math.PI * i) / PHASES));

/** The same coarser for crowds, cosine and sine side by side, small enough for the nearest memory. */
const CROWD_PHASES = 2048;
const TURN = Float32Array.from({ length: 2 * CROWD_PHASES }, (_, i) => {
  const angle = (2 * Math.PI * ((i >> 1) + 0.5)) / CROWD_PHASES;
  return i % 2 === 0 ? Math.cos(angle) : Math.sin(angle);
});

/** Absorption by range at this step; between two entries it is linear. */
const LOSS_STEP_M = 0.25;

/** Room a list begins with. */
const FIRST_ROOM = 1 << 19;

/** Most points of one pass: two hundred million bytes. */
const MOST_POINTS = 16e6;

/** A list of points that grows without a garbage trail. */
class PointList {
  count = 0;
  range = new Float32Array(FIRST_ROOM);
  re = new Float32Array(FIRST_ROOM);
  im = new Float32Array(FIRST_ROOM);

  /** Makes room for `more` points. @throws RangeError for more than a pass may have */
  reserve(more: number): void {
    const need = this.count + more;
    if (need <= this.range.length) return;
    if (need > MOST_POINTS) throw new RangeError('sounder: this pass has too many echoes; make it shorter');
    const size = Math.max(2 * this.range.length, need);
    this.range = grown(this.range, size);
    this.re = grown(this.re, size);
    this.im = grown(this.im, size);
  }
}

function grown(old: Float32Array, size: number): Float32Array<ArrayBuffer> {
  const bigger = new Float32Array(size);
  bigger.set(old);
  return bigger;
}

/** Two-way pressure pattern under which one of many points is left out, −50 dB. */
const FAINTEST_OF_MANY = 3.2e-3;

/** What points without a sway are given. */
const STILL = new Float32Array(0);
const STILL_SWING = new Float64Array(4);

/** One ping's beam, and how sound is lost and turns with range. */
interface Aim {
  ax: number;
  ay: number;
  az: number;
  bx: number;
  by: number;
  bz: number;
  /** Heading. */
  ch: number;
  sh: number;
  reach: number;
  pattern: PatternTable;
  loss: Float64Array;
  turnsPerM: number;
}

/**
 * The many small echoes of one ping, summed as complex pressure in range bins an eighth of the resolution fine: within a bin
 * they arrive together as far as the pulse can tell.
 */
interface Crowd {
  perM: number;
  re: Float64Array;
  im: Float64Array;
  /** First and last bin in use. */
  from: number;
  to: number;
}

/** Bins of a crowd to one resolution. */
const BINS_PER_ECHO = 8;

/**
 * Adds the many points of one body to a ping's crowd.
 * @param points x, y, z (and pressure ratio when `stride` is 4) a point @param sway displacement at swing 1, 3 a point, or empty
 * @param swing of each quarter of the points
 */
function cast(
  crowd: Crowd,
  aim: Aim,
  points: Float32Array,
  stride: 3 | 4,
  sway: Float32Array,
  swing: Float64Array,
  amplitude: number,
  x: number,
  y: number,
  z: number,
): void {
  const count = points.length / stride;
  const { re: outRe, im: outIm, perM } = crowd;
  const most = outRe.length - 1;
  const { ax, ay, az, bx, by, bz, ch, sh, reach, loss, turnsPerM, pattern } = aim;
  const { round, along, athwart, perAlong, perAthwart, span } = pattern;
  // Looked up once: in here a lookup through the module would cost more than the work.
  const [turn, perLoss, phases, faintest] = [TURN, 1 / LOSS_STEP_M, CROWD_PHASES, FAINTEST_OF_MANY];
  const sways = sway.length > 0;
  const { sqrt } = Math;
  let from = crowd.from;
  let to = crowd.to;
  for (let n = 0; n < count; n++) {
    const i = stride * n;
    let px = x + points[i]!;
    let py = y + points[i + 1]!;
    let pz = z + points[i + 2]!;
    if (sways) {
      const w = swing[n & 3]!;
      px += w * sway[i]!;
      py += w * sway[i + 1]!;
      pz += w * sway[i + 2]!;
    }
    const ahead = px * ch + py * sh;
    const far = reach * pz;
    if (ahead > far || ahead < -far) continue;
    const range = sqrt(px * px + py * py + pz * pz);
    const inverse = 1 / range;
    const u = (px * ax + py * ay + pz * az) * inverse;
    const w = (px * bx + py * by + pz * bz) * inverse;
    let at = round ? (u * u + w * w) * perAthwart : w * w * perAthwart;
    if (at > perAthwart) at = perAthwart;
    let k = at | 0;
    let two = athwart[k]!;
    two += (athwart[k + 1]! - two) * (at - k);
    if (!round) {
      const u2 = u * u;
      if (u2 >= span) continue;
      at = u2 * perAlong;
      k = at | 0;
      const fore = along[k]!;
      two *= fore + (along[k + 1]! - fore) * (at - k);
    }
    if (two < faintest) continue;
    const bin = (range * perM) | 0;
    if (bin > most) continue;
    const own = stride === 4 ? points[i + 3]! : 1;
    const a = amplitude * own * two * loss[(range * perLoss + 0.5) | 0]! * inverse * inverse;
    const cycles = turnsPerM * range;
    k = (((cycles - (cycles | 0)) * phases) | 0) << 1;
    outRe[bin]! += a * turn[k]!;
    outIm[bin]! += a * turn[k + 1]!;
    if (bin < from) from = bin;
    if (bin > to) to = bin;
  }
  crowd.from = from;
  crowd.to = to;
}

/** Puts a ping's crowd on the list, a point a bin in use, and empties it. */
function settle(crowd: Crowd, list: PointList): void {
  const { re, im, perM } = crowd;
  if (crowd.to < crowd.from) return;
  list.reserve(crowd.to - crowd.from + 1);
  let count = list.count;
  for (let bin = crowd.from; bin <= crowd.to; bin++) {
    const x = re[bin]!;
    const y = im[bin]!;
    if (x === 0 && y === 0) continue;
    list.range[count] = (bin + 0.5) / perM;
    list.re[count] = x;
    list.im[count] = y;
    count++;
    re[bin] = im[bin] = 0;
  }
  list.count = count;
  crowd.from = re.length;
  crowd.to = -1;
}

/**
 * Works out which points answer each ping, from what range, how strongly and in what phase: fish by their highlights and
 * their tilt against the beam, bait one by one, cover, gear, drifters and the mirror part of the bed.
 * @param mirror per ping: x and y of the bed's mirror point from the face, its depth under the face, and its pressure
 * ratio at the range r before 1/r² (0 = none); four a ping
 * @param resolutionM how far apart in range two echoes are told apart, m @param farM beyond this crowds are not followed, m
 */
export function tracePoints(
  scene: Scene,
  track: Track,
  frames: Frames,
  face: Face,
  pattern: PatternTable,
  soundSpeedMps: number,
  absorptionDbPerM: number,
  mirror: Float32Array,
  resolutionM: number,
  farM: number,
): PointEchoes {
  const pings = track.timeS.length;
  const list = new PointList();
  const start = new Int32Array(pings + 1);
  const wavelength = soundSpeedMps / face.frequencyHz;
  const turnsPerM = 2 / wavelength;
  const reach = reachAlong(face.beam);
  const loss = Float64Array.from({ length: 2000 / LOSS_STEP_M }, (_, i) =>
    Math.pow(10, (-2 * absorptionDbPerM * i * LOSS_STEP_M) / 20),
  );
  const { sqrt, floor, cos, sin } = Math;
  // Looked up once: in here a lookup through the module would cost more than the work.
  const [cosOf, sinOf, nearest, faintest, perLoss, phases] = [
    COS,
    SIN,
    NEAREST_M,
    FAINTEST,
    1 / LOSS_STEP_M,
    PHASES,
  ];
  const pressure = pattern.pressure;
  let ax = 1,
    ay = 0,
    az = 0,
    bx = 0,
    by = 1,
    bz = 0;

  const put = (amplitude: number, dx: number, dy: number, dz: number, turns: number): void => {
    const range = sqrt(dx * dx + dy * dy + dz * dz);
    if (range < nearest) return;
    const u = (dx * ax + dy * ay + dz * az) / range;
    const w = (dx * bx + dy * by + dz * bz) / range;
    const two = pressure(u * u, w * w);
    if (two < faintest) return;
    const at = range * perLoss;
    const i = at | 0;
    const l0 = loss[i]!;
    const absorbed = l0 + (loss[i + 1]! - l0) * (at - i);
    const a = (amplitude * two * absorbed) / (range * range);
    const cycles = turnsPerM * range + turns;
    const k = ((cycles - floor(cycles)) * phases) | 0;
    const n = list.count;
    list.range[n] = range;
    list.re[n] = a * cosOf[k]!;
    list.im[n] = a * sinOf[k]!;
    list.count = n + 1;
  };

  const fishAmplitude = scene.fish.map((f) =>
    Math.pow(10, fishTargetStrength(f.lengthM, face.frequencyHz, f.bladder) / 20),
  );
  // What tilt does to a fish's echo, by degree.
  const fishTilt = scene.fish.map((f) =>
    Float64Array.from({ length: 92 }, (_, deg) =>
      Math.pow(10, tiltEffect(f.lengthM, wavelength, (deg * Math.PI) / 180) / 20),
    ),
  );
  const targetAmplitude = scene.targets.map((t) => Math.pow(10, t.targetStrengthDb / 20));
  const gearAmplitude = scene.gear.map((g) => Math.pow(10, g.targetStrengthDb / 20));
  const drifterAmplitude = scene.drifters.map((d) => Math.pow(10, d.targetStrengthDb / 20));
  const baitAmplitude = scene.clouds.map((c) =>
    Math.pow(10, fishTargetStrength(c.lengthM, face.frequencyHz, c.bladder) / 20),
  );
  const place = new Float64Array(6);
  const perM = BINS_PER_ECHO / resolutionM;
  const bins = Math.ceil(farM * perM) + 1;
  const crowd: Crowd = {
    perM,
    re: new Float64Array(bins),
    im: new Float64Array(bins),
    from: bins,
    to: -1,
  };
  const swing = new Float64Array(4);
  const aim: Aim = { ax, ay, az, bx, by, bz, ch: 1, sh: 0, reach, pattern, loss, turnsPerM };

  for (let p = 0; p < pings; p++) {
    start[p] = list.count;
    const f = 6 * p;
    ax = frames[f]!;
    ay = frames[f + 1]!;
    az = frames[f + 2]!;
    bx = frames[f + 3]!;
    by = frames[f + 4]!;
    bz = frames[f + 5]!;
    const t = track.timeS[p]!;
    const x0 = track.xM[p]!;
    const y0 = track.yM[p]!;
    const heave = track.heaveM[p]!;
    const heading = track.headingRad[p]!;
    const ch = cos(heading);
    const sh = sin(heading);

    list.reserve(
      3 * scene.fish.length + scene.targets.length + scene.gear.length + scene.drifters.length + 1,
    );
    if (mirror[4 * p + 3]! > 0)
      put(mirror[4 * p + 3]!, mirror[4 * p]!, mirror[4 * p + 1]!, mirror[4 * p + 2]!, 0);
    for (let k = 0; k < scene.fish.length; k++) {
      const fish = scene.fish[k]!;
      fishAt(fish, t, place);
      const dx = place[0]! - x0;
      const dy = place[1]! - y0;
      const dz = place[2]! - heave;
      if (dz < nearest || Math.abs(dx * ch + dy * sh) > reach * dz + fish.lengthM) continue;
      const flat = cos(place[4]!);
      const [hx, hy, hz] = [cos(place[3]!) * flat, sin(place[3]!) * flat, -sin(place[4]!)];
      const range = sqrt(dx * dx + dy * dy + dz * dz);
      // How far the beam meets the body off square.
      const off = Math.abs(Math.asin((dx * hx + dy * hy + dz * hz) / range)) * (180 / Math.PI);
      const tilt = fishTilt[k]!;
      const i = off | 0;
      const amplitude = fishAmplitude[k]! * (tilt[i]! + (tilt[i + 1]! - tilt[i]!) * (off - i));
      for (let h = 0; h < HIGHLIGHTS.length; h++) {
        const { along, share } = HIGHLIGHTS[h]!;
        const l = along * fish.lengthM;
        put(amplitude * sqrt(share), dx + l * hx, dy + l * hy, dz + l * hz, 0.33 * h);
      }
    }
    for (let k = 0; k < scene.targets.length; k++) {
      const target = scene.targets[k]!;
      put(targetAmplitude[k]!, target.x - x0, target.y - y0, target.z - heave, 0);
    }
    for (let k = 0; k < scene.gear.length; k++) {
      gearAt(scene.gear[k]!, track.speedMps[p]!, t, place);
      put(
        gearAmplitude[k]!,
        place[0]! * ch - place[1]! * sh,
        place[0]! * sh + place[1]! * ch,
        place[2]! - heave,
        0,
      );
    }
    for (let k = 0; k < scene.drifters.length; k++) {
      const d = scene.drifters[k]!;
      if (t < d.fromS || t > d.toS) continue;
      const age = d.fromS === -Infinity ? t : t - d.fromS;
      const z = d.z + d.vz * age - heave;
      if (z > nearest) put(drifterAmplitude[k]!, d.x + d.vx * age - x0, d.y + d.vy * age - y0, z, 0);
    }
    aim.ax = ax;
    aim.ay = ay;
    aim.az = az;
    aim.bx = bx;
    aim.by = by;
    aim.bz = bz;
    aim.ch = ch;
    aim.sh = sh;
    for (let k = 0; k < scene.covers.length; k++) {
      const cover = scene.covers[k]!;
      const dx = cover.x - x0;
      const dy = cover.y - y0;
      if (Math.abs(dx * ch + dy * sh) > reach * (cover.footM - heave) + cover.radiusM) continue;
      cast(crowd, aim, cover.points, 4, STILL, STILL_SWING, 1, -x0, -y0, -heave);
    }
    for (let k = 0; k < scene.clouds.length; k++) {
      const cloud = scene.clouds[k]!;
      const dx = cloud.x + cloud.vx * t - x0;
      const dy = cloud.y + cloud.vy * t - y0;
      const dz = cloud.z - heave;
      // Strays and sway reach beyond the half axes.
      const size = 1.6 * Math.max(cloud.radiusXM, cloud.radiusYM);
      if (Math.abs(dx * ch + dy * sh) > reach * (dz + 1.6 * cloud.radiusZM) + size) continue;
      // Four bands of the cloud sway out of step.
      const turn = (2 * Math.PI * t) / cloud.swayPeriodS;
      swing[0] = sin(turn);
      swing[1] = sin(1.13 * turn + 1.7);
      swing[2] = sin(0.91 * turn + 3.1);
      swing[3] = sin(1.31 * turn + 4.4);
      cast(crowd, aim, cloud.offsets, 3, cloud.sway, swing, baitAmplitude[k]!, dx, dy, dz);
    }
    settle(crowd, list);
  }
  start[pings] = list.count;
  return {
    start,
    rangeM: list.range.subarray(0, list.count),
    re: list.re.subarray(0, list.count),
    im: list.im.subarray(0, list.count),
  };
}
