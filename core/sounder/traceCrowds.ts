import { amplitudeFromDb } from '@/core/maths';
import { fishTargetStrength } from '@/core/water';
import type { Face } from '@/core/rig';
import type { Scene, Track } from '@/core/scene';
import type { Frames } from './frame';
import { reachAlong, type PatternTable } from './patternTable';
import type { PointList } from './pointList';
import { LOSS_STEP_M, type Path } from './path';

/** Two-way pressure pattern under which one of many points is left out, −50 dB. */
const FAINTEST = 3.2e-3;

/**
 * A phase table for crowds, cosine and sine side by side, small enough for the nearest memory: what its steps roughen stays
 * 43 dB under each of many points.
 */
const PHASES = 512;
const TURN = Float32Array.from({ length: 2 * PHASES }, (_, i) => {
  const angle = (2 * Math.PI * ((i >> 1) + 0.5)) / PHASES;
  return i % 2 === 0 ? Math.cos(angle) : Math.sin(angle);
});

/** Bins of a crowd to one resolution: what shares one arrives together as far as the pulse can tell. */
const BINS_PER_ECHO = 4;

/**
 * Strengths are worked out at key pings and run straight between: over so far a share of the beam's width that the
 * pattern's bend leaves under 0.2 dB (for a lobe near Gaussian: 0.7 × share², one way). Phases are worked out each ping.
 */
const KEY_SHARE = 1 / 6;
const MOST_APART = 8;

/** A body of many points: bait, or cover. */
interface Body {
  /** x, y, z, and for cover the pressure ratio, a point. */
  points: Float32Array;
  stride: 3 | 4;
  /** Displacement at swing 1, 3 a point, or null for what stands still. */
  sway: Float32Array | null;
  swayPeriodS: number;
  amplitude: number;
  /** Origin of the points at time 0 and its drift. */
  x: number;
  y: number;
  z: number;
  vx: number;
  vy: number;
  /** Middle and half length over the ground with all that strays, and how deep it reaches under its origin. */
  midX: number;
  midY: number;
  radiusM: number;
  footM: number;
  /** Pressure ratio of each point at two key pings (−1: none yet), and whether any is not 0. */
  keys: [Key, Key];
}

interface Key {
  ping: number;
  answers: boolean;
  weight: Float32Array;
}

const newKey = (count: number): Key => ({ ping: -1, answers: false, weight: new Float32Array(count) });

function bodiesOf(scene: Scene, face: Face): Body[] {
  const clouds = scene.clouds.map((cloud): Body => {
    const count = cloud.offsets.length / 3;
    return {
      points: cloud.offsets,
      stride: 3,
      sway: cloud.sway,
      swayPeriodS: cloud.swayPeriodS,
      amplitude: amplitudeFromDb(fishTargetStrength(cloud.lengthM, face.frequencyHz, cloud.bladder)),
      x: cloud.x,
      y: cloud.y,
      z: cloud.z,
      vx: cloud.vx,
      vy: cloud.vy,
      midX: cloud.x,
      midY: cloud.y,
      // Strays and sway reach beyond the half axes.
      radiusM: 1.6 * Math.max(cloud.radiusXM, cloud.radiusYM),
      footM: cloud.z + 1.6 * cloud.radiusZM,
      keys: [newKey(count), newKey(count)],
    };
  });
  const covers = scene.covers.map((cover): Body => {
    const count = cover.points.length / 4;
    return {
      points: cover.points,
      stride: 4,
      sway: null,
      swayPeriodS: 1,
      amplitude: 1,
      x: 0,
      y: 0,
      z: 0,
      vx: 0,
      vy: 0,
      midX: cover.x,
      midY: cover.y,
      radiusM: cover.radiusM,
      footM: cover.footM,
      keys: [newKey(count), newKey(count)],
    };
  });
  return [...covers, ...clouds];
}

/** How far a body's four bands have swayed. */
function swingAt(body: Body, t: number, out: Float64Array): void {
  const turn = (2 * Math.PI * t) / body.swayPeriodS;
  out[0] = Math.sin(turn);
  out[1] = Math.sin(1.13 * turn + 1.7);
  out[2] = Math.sin(0.91 * turn + 3.1);
  out[3] = Math.sin(1.31 * turn + 4.4);
}

/** How many pings apart key pings may stand, from how fast boat and face move against the beam's width. */
function keySpan(track: Track, frames: Frames, face: Face, bodies: readonly Body[]): number {
  const nearest = Math.max(1, Math.min(...bodies.map((b) => (b.sway ? b.z : b.footM))));
  let most = 0;
  for (let p = 1; p < track.timeS.length; p++) {
    const moved = Math.hypot(track.xM[p]! - track.xM[p - 1]!, track.yM[p]! - track.yM[p - 1]!);
    let turned = 0;
    for (let k = 0; k < 6; k++) turned += (frames[6 * p + k]! - frames[6 * p + k - 6]!) ** 2;
    most = Math.max(most, moved / nearest + Math.sqrt(turned / 2));
  }
  const width = Math.min(face.beam.alongRad, face.beam.shape === 'fan' ? face.beam.athwartRad : Infinity);
  return Math.max(1, Math.min(MOST_APART, Math.floor((KEY_SHARE * width) / Math.max(most, 1e-6))));
}

/** One ping's sums of complex pressure by range bin, and the first and last bin in use. */
interface Sums {
  perM: number;
  re: Float64Array;
  im: Float64Array;
  from: number;
  to: number;
}

/** Adds a body's points to a ping's sums: strength `part` of the way between two keys, phase from this ping's own ranges. */
function cast(
  sums: Sums,
  turnsPerM: number,
  body: Body,
  swing: Float64Array,
  now: Float32Array,
  next: Float32Array,
  part: number,
  x: number,
  y: number,
  z: number,
): void {
  const { points, stride } = body;
  const sway = body.sway ?? points;
  const sways = body.sway !== null;
  const { re, im, perM } = sums;
  // Looked up once: in here a lookup through the module would cost more than the work.
  const [turn, mask, count, bins] = [TURN, PHASES - 1, now.length, re.length];
  const phasesPerM = turnsPerM * PHASES;
  const { sqrt } = Math;
  let from = sums.from;
  let to = sums.to;
  for (let n = 0; n < count; n++) {
    const w0 = now[n]!;
    const a = w0 + (next[n]! - w0) * part;
    if (a === 0) continue;
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
    const range = sqrt(px * px + py * py + pz * pz);
    const bin = (range * perM) | 0;
    if (bin >= bins) continue;
    const k = (((range * phasesPerM) | 0) & mask) << 1;
    re[bin]! += a * turn[k]!;
    im[bin]! += a * turn[k + 1]!;
    if (bin < from) from = bin;
    if (bin > to) to = bin;
  }
  sums.from = from;
  sums.to = to;
}

/** Puts a ping's sums on the list, a point a bin in use, and empties them. */
function settle(sums: Sums, list: PointList): void {
  const { re, im, perM } = sums;
  if (sums.to < sums.from) return;
  list.reserve(sums.to - sums.from + 1);
  let count = list.count;
  for (let bin = sums.from; bin <= sums.to; bin++) {
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
  sums.from = re.length;
  sums.to = -1;
}

/**
 * The many small echoes of bait and cover: each ping's are summed as complex pressure in range bins a quarter of the
 * resolution fine and put on the list, a point a bin.
 * @param resolutionM how far apart in range two echoes are told apart, m @param farM beyond this crowds are not followed, m
 * @returns what puts one ping's crowds on the list; pings must come in order
 */
export function crowdTracer(
  scene: Scene,
  track: Track,
  frames: Frames,
  face: Face,
  pattern: PatternTable,
  path: Path,
  resolutionM: number,
  farM: number,
): (ping: number, list: PointList) => void {
  const bodies = bodiesOf(scene, face);
  if (bodies.length === 0) return () => {};
  const reach = reachAlong(face.beam);
  const apart = keySpan(track, frames, face, bodies);
  const pings = track.timeS.length;
  const perM = BINS_PER_ECHO / resolutionM;
  const bins = Math.ceil(farM * perM) + 1;
  const sums: Sums = { perM, re: new Float64Array(bins), im: new Float64Array(bins), from: bins, to: -1 };
  const swing = new Float64Array(4);

  /** Fills a key: each point's pressure ratio at a ping, 0 where it does not count. */
  const weigh = (body: Body, key: Key, ping: number): void => {
    key.ping = ping;
    key.answers = false;
    const { weight } = key;
    const t = track.timeS[ping]!;
    const x = body.x + body.vx * t - track.xM[ping]!;
    const y = body.y + body.vy * t - track.yM[ping]!;
    const z = body.z - track.heaveM[ping]!;
    const ch = Math.cos(track.headingRad[ping]!);
    const sh = Math.sin(track.headingRad[ping]!);
    const midX = body.midX + body.vx * t - track.xM[ping]!;
    const midY = body.midY + body.vy * t - track.yM[ping]!;
    const foot = body.footM - track.heaveM[ping]!;
    weight.fill(0);
    if (Math.abs(midX * ch + midY * sh) > reach * foot + body.radiusM) return;
    const f = 6 * ping;
    const ax = frames[f]!;
    const ay = frames[f + 1]!;
    const az = frames[f + 2]!;
    const bx = frames[f + 3]!;
    const by = frames[f + 4]!;
    const bz = frames[f + 5]!;
    const { points, stride, amplitude } = body;
    const sway = body.sway ?? points;
    const sways = body.sway !== null;
    if (sways) swingAt(body, t, swing);
    const { round, along, athwart, perAlong, perAthwart, span } = pattern;
    // Looked up once: in here a lookup through the module would cost more than the work.
    const [loss, perLoss, faintest, count] = [path.loss, 1 / LOSS_STEP_M, FAINTEST, weight.length];
    const { sqrt } = Math;
    let any = false;
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
      const inverse = 1 / sqrt(px * px + py * py + pz * pz);
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
      const own = stride === 4 ? points[i + 3]! : 1;
      weight[n] = amplitude * own * two * loss[(perLoss / inverse + 0.5) | 0]! * inverse * inverse;
      any = true;
    }
    key.answers = any;
  };

  return (ping, list) => {
    const at = ping - (ping % apart);
    const after = Math.min(pings - 1, at + apart);
    const part = after > at ? (ping - at) / (after - at) : 0;
    for (let k = 0; k < bodies.length; k++) {
      const body = bodies[k]!;
      if (body.keys[0].ping !== at) {
        body.keys.reverse();
        if (body.keys[0].ping !== at) weigh(body, body.keys[0], at);
        if (apart > 1) weigh(body, body.keys[1], after);
      }
      const [now, next] = body.keys;
      if (now.answers || (part > 0 && next.answers)) {
        const t = track.timeS[ping]!;
        if (body.sway) swingAt(body, t, swing);
        const x = body.x + body.vx * t - track.xM[ping]!;
        const y = body.y + body.vy * t - track.yM[ping]!;
        const z = body.z - track.heaveM[ping]!;
        const later = apart > 1 ? next.weight : now.weight;
        cast(sums, path.turnsPerM, body, swing, now.weight, later, part, x, y, z);
      }
    }
    settle(sums, list);
  };
}
