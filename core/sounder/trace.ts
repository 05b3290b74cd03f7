import {
  BED,
  BED_MATERIALS,
  bedBackscatter,
  bedReflection,
  fishTargetStrength,
  absorptionOf,
  soundSpeedOf,
} from '@/core/water';
import { seededRandom } from '@/core/maths';
import type { Face, Rig } from '@/core/rig';
import { bedDepthAt, bedMaterialAt, bedSlopeAt, fishAt, type Scene, type Track } from '@/core/scene';
import { patternTable, type PatternTable } from './patternTable';

/**
 * Everything about the echoes of a pass that pulse, power and noise do not touch: who answers from which range, how
 * strongly, in what phase. Worked out once a face and kept.
 */
export interface EchoGeometry {
  face: Face;
  soundSpeedMps: number;
  absorptionDbPerM: number;
  pingCount: number;
  /** Points of ping p are pointStart[p] … pointStart[p + 1] − 1. */
  pointStart: Int32Array;
  /** Slant range, m; pressure ratio to the source at 1 m, both ways; phase, rad. */
  pointRangeM: Float32Array;
  pointAmplitude: Float32Array;
  pointPhaseRad: Float32Array;
  /** Range bins of the bed and the volume. */
  binM: number;
  binCount: number;
  /** pings × bins, cumulative: power ratio of all bed nearer than the bin's far edge. */
  bedPower: Float32Array;
  /** Reflection |V|² of the bed right below, by ping. */
  bedReflection: Float32Array;
  /** Bins, cumulative: the same of layers and surface bubbles, at rest; `volumeShiftM` moves it ping by ping. */
  volumePower: Float32Array;
  volumeShiftM: Float32Array;
  /** Depth of the layer that rises and falls, m; 0 when there is none. */
  layerDepthM: number;
}

/** Angle off the vertical beyond which the bed is not traced; patterns of real faces are unknown out there. */
const STEEPEST_RAD = (70 * Math.PI) / 180;
const RINGS = 36;
const SPOKES = 24;

/** Parts of a fish that answer: along the body in body lengths from its middle, and power share. The bladder leads. */
const HIGHLIGHTS = [
  { along: 0.02, share: 0.72 },
  { along: 0.3, share: 0.16 },
  { along: -0.25, share: 0.12 },
] as const;

/** Two-way pattern under which a point is left out, −70 dB. */
const FAINTEST_PATTERN = 1e-7;

/** The beam's axes in the world for one ping. */
interface Frame {
  along: [number, number, number];
  athwart: [number, number, number];
}

function frameOf(track: Track, ping: number, tilt: Rig['tilt'], out: Frame): void {
  const heading = track.headingRad[ping]!;
  // Bow up turns the face forward; starboard down turns it to port. Angles stay small, so turns add.
  const p = track.pitchRad[ping]! + tilt.alongRad;
  const r = track.rollRad[ping]! + tilt.athwartRad;
  const ch = Math.cos(heading);
  const sh = Math.sin(heading);
  const cp = Math.cos(p);
  const sp = Math.sin(p);
  const cr = Math.cos(r);
  const sr = Math.sin(r);
  out.along[0] = ch * cp;
  out.along[1] = sh * cp;
  out.along[2] = -sp;
  out.athwart[0] = -sh * cr + ch * sp * sr;
  out.athwart[1] = ch * cr + sh * sp * sr;
  out.athwart[2] = sr * cp;
}

const square = (x: number): number => x * x;

/** Power lost on the way there and back to range r, as a ratio: 1/r⁴ and absorption. */
function twoWayLoss(rangeM: number, absorptionDbPerM: number): number {
  return Math.pow(10, -0.2 * absorptionDbPerM * rangeM) / (rangeM * rangeM * rangeM * rangeM);
}

/** Bed power by range, ping by ping, on a polar grid of facets around the boat that is finest straight below. */
function traceBed(
  scene: Scene,
  track: Track,
  rig: Rig,
  face: Face,
  pattern: PatternTable,
  absorptionDbPerM: number,
  binM: number,
  binCount: number,
): { power: Float32Array; reflection: Float32Array } {
  const pings = track.timeS.length;
  const power = new Float32Array(pings * binCount);
  const reflection = new Float32Array(pings);
  const scatter = BED_MATERIALS.map((m) =>
    Float32Array.from({ length: 257 }, (_, i) => bedBackscatter(m, Math.acos(i / 256))),
  );
  const decay = BED_MATERIALS.map((m) =>
    Math.pow(10, (-2 * BED[m].attenuationDbPerMKhz * (face.frequencyHz / 1000) * binM) / 10),
  );
  // What lies in the bed, as a share of the surface echo spread over a tenth of a metre.
  const buried = BED_MATERIALS.map((m) => (Math.pow(10, BED[m].burialDb / 10) * binM) / 0.1);
  const reflect = BED_MATERIALS.map((m) => square(bedReflection(m)));
  const frame: Frame = { along: [1, 0, 0], athwart: [0, 1, 0] };
  const density = new Float64Array(binCount + 2);
  const cosSpoke = Float64Array.from({ length: SPOKES }, (_, a) =>
    Math.cos((2 * Math.PI * (a + 0.5)) / SPOKES),
  );
  const sinSpoke = Float64Array.from({ length: SPOKES }, (_, a) =>
    Math.sin((2 * Math.PI * (a + 0.5)) / SPOKES),
  );
  // A fan needs facets only as far fore and aft as its lobes reach.
  const reachAlong =
    face.beam.shape === 'fan' ? Math.min(STEEPEST_RAD, 2.6 * face.beam.alongRad) : STEEPEST_RAD;
  const squeeze = Math.tan(reachAlong) / Math.tan(STEEPEST_RAD);
  const loss = Float64Array.from({ length: binCount + 1 }, (_, b) =>
    twoWayLoss((b + 0.5) * binM, absorptionDbPerM),
  );
  const ground = new Float64Array(3);
  // Imported functions are looked up through their module at every call; in here that would cost more than they do.
  const [slopeAt, materialAt, bedField] = [bedSlopeAt, bedMaterialAt, scene.bed];
  const twoWay = pattern.twoWay;
  const { sqrt, abs, floor } = Math;

  for (let p = 0; p < pings; p++) {
    frameOf(track, p, rig.tilt, frame);
    const [ax, ay, az] = frame.along;
    const [bx, by, bz] = frame.athwart;
    const x0 = track.xM[p]!;
    const y0 = track.yM[p]!;
    const heave = track.heaveM[p]!;
    const ch = Math.cos(track.headingRad[p]!);
    const sh = Math.sin(track.headingRad[p]!);
    const below = bedDepthAt(scene.bed, x0, y0) - heave;
    const material = bedMaterialAt(scene.bed, x0, y0);
    reflection[p] = reflect[material]!;
    density.fill(0);
    const farthest = below * Math.tan(STEEPEST_RAD);
    let inner = 0;
    for (let ring = 0; ring < RINGS; ring++) {
      const outer = farthest * Math.pow((ring + 1) / RINGS, 1.6);
      const rho = sqrt((inner * inner + outer * outer) / 2);
      const facet = (squeeze * Math.PI * (outer * outer - inner * inner)) / SPOKES;
      const dRho = outer - inner;
      inner = outer;
      for (let a = 0; a < SPOKES; a++) {
        const fore = rho * cosSpoke[a]! * squeeze;
        const side = rho * sinSpoke[a]!;
        const dx = fore * ch - side * sh;
        const dy = fore * sh + side * ch;
        slopeAt(bedField, x0 + dx, y0 + dy, ground);
        const dz = ground[0]! - heave;
        const gx = ground[1]!;
        const gy = ground[2]!;
        const flat2 = dx * dx + dy * dy;
        const range = sqrt(flat2 + dz * dz);
        const bin = (range / binM) | 0;
        if (bin >= binCount) continue;
        const tiltUp = sqrt(1 + gx * gx + gy * gy);
        const cos = (dz - gx * dx - gy * dy) / (range * tiltUp);
        if (cos <= 0) continue;
        const u = (dx * ax + dy * ay + dz * az) / range;
        const w = (dx * bx + dy * by + dz * bz) / range;
        const two = twoWay(u * u, w * w);
        if (two < FAINTEST_PATTERN) continue;
        const kind = materialAt(bedField, x0 + dx, y0 + dy);
        const at = cos * 256;
        const i = at | 0;
        const table = scatter[kind]!;
        const sigma = table[i]! + ((table[i + 1] ?? table[i]!) - table[i]!) * (at - i);
        const echo = sigma * two * facet * tiltUp * loss[bin]!;
        // The facet's own spread in range, outward and around, with the slope in both.
        const rhoNow = sqrt(flat2) || 1e-9;
        const gOut = (gx * dx + gy * dy) / rhoNow;
        const gRound = (gy * dx - gx * dy) / rhoNow;
        const spread =
          (abs(rhoNow + dz * gOut) * dRho + (abs(dz * gRound) * 2 * Math.PI * rhoNow) / SPOKES) / range;
        let from = floor((range - spread / 2) / binM);
        let to = floor((range + spread / 2) / binM) + 1;
        if (from < 0) from = 0;
        if (to > binCount) to = binCount;
        if (to <= from) continue;
        const each = echo / (to - from);
        density[from]! += each;
        density[to]! -= each;
      }
    }
    const row = p * binCount;
    let running = 0;
    let tail = 0;
    let sum = 0;
    for (let b = 0; b < binCount; b++) {
      running += density[b]!;
      // Rounding in the running sum may leave a hair below zero.
      const surface = running > 0 ? running : 0;
      sum += surface + tail;
      power[row + b] = sum;
      tail = decay[material]! * (tail + buried[material]! * surface);
    }
  }
  return { power, reflection };
}

/** Layers and the bubbles under the surface: power by range for a level face, worked out once. */
function traceVolume(
  scene: Scene,
  pattern: PatternTable,
  absorptionDbPerM: number,
  binM: number,
  binCount: number,
): Float32Array {
  // The beam's power by cosine to the vertical, so that off-axis water of a layer answers from its longer range.
  const steps = 48;
  const weight = new Float64Array(steps);
  const grid = 240;
  for (let i = 0; i < grid; i++)
    for (let j = 0; j < grid; j++) {
      const u = ((i + 0.5) / grid) ** 2;
      const w = ((j + 0.5) / grid) ** 2;
      const left = 1 - u * u - w * w;
      if (left <= 0.01) continue;
      const n = Math.sqrt(left);
      const k = Math.min(steps - 1, Math.floor(n * steps));
      // dΩ = du dw / n, over four quadrants; u = s² packs the grid near the axis.
      weight[k]! +=
        (4 * pattern.twoWay(u * u, w * w) * 4 * ((i + 0.5) / grid) * ((j + 0.5) / grid)) / (n * grid * grid);
    }
  const bubbles = scene.water.windMps > 0 ? Math.pow(10, (-62 + 1.6 * scene.water.windMps) / 10) : 0;
  const background = Math.pow(10, scene.backgroundSvDb / 10);
  const svAt = (z: number): number => {
    let sv = background + bubbles * Math.exp(-z / 0.35);
    for (const layer of scene.layers)
      sv += Math.pow(10, layer.svDb / 10) * Math.exp(-square((z - layer.depthM) / layer.thicknessM));
    return sv;
  };
  const power = new Float32Array(binCount);
  let sum = 0;
  for (let b = 0; b < binCount; b++) {
    const range = (b + 0.5) * binM;
    let sv = 0;
    for (let k = 0; k < steps; k++) if (weight[k]! > 0) sv += weight[k]! * svAt((range * (k + 0.5)) / steps);
    sum += sv * binM * range * range * twoWayLoss(Math.max(range, 0.3), absorptionDbPerM);
    power[b] = sum;
  }
  return power;
}

/** A list of points that grows without a garbage trail. */
class PointList {
  count = 0;
  range = new Float32Array(4096);
  amplitude = new Float32Array(4096);
  phase = new Float32Array(4096);

  push(range: number, amplitude: number, phase: number): void {
    if (this.count === this.range.length) {
      this.range = PointList.doubled(this.range);
      this.amplitude = PointList.doubled(this.amplitude);
      this.phase = PointList.doubled(this.phase);
    }
    this.range[this.count] = range;
    this.amplitude[this.count] = amplitude;
    this.phase[this.count] = phase;
    this.count++;
  }

  private static doubled(old: Float32Array): Float32Array<ArrayBuffer> {
    const bigger = new Float32Array(old.length * 2);
    bigger.set(old);
    return bigger;
  }
}

/**
 * Traces every echo of a pass for one face.
 * @param farM range up to which first echoes matter, m, above 0; later bed echoes follow from them
 * @throws RangeError unless farM is above 0 and at most 2,000 m
 */
export function traceEchoes(scene: Scene, track: Track, rig: Rig, face: Face, farM: number): EchoGeometry {
  if (!(farM > 0 && farM <= 2000))
    throw new RangeError(`sounder: range must be above 0 and at most 2000 m, got ${farM}`);
  const pattern = patternTable(face.beam);
  const soundSpeedMps = soundSpeedOf(scene.water);
  const absorptionDbPerM = absorptionOf(scene.water, face.frequencyHz).dbPerM;
  const wavenumber = (2 * Math.PI * face.frequencyHz) / soundSpeedMps;
  const pings = track.timeS.length;
  const binM = Math.max(0.02, farM / 1500);
  const binCount = Math.ceil(farM / binM);
  const bed = traceBed(scene, track, rig, face, pattern, absorptionDbPerM, binM, binCount);

  const points = new PointList();
  const pointStart = new Int32Array(pings + 1);
  const frame: Frame = { along: [1, 0, 0], athwart: [0, 1, 0] };
  const at = new Float64Array(3);
  const fishAmplitude = scene.fish.map((f) =>
    Math.pow(10, fishTargetStrength(f.lengthM, face.frequencyHz, f.bladder) / 20),
  );
  const targetAmplitude = scene.targets.map((t) => Math.pow(10, t.targetStrengthDb / 20));
  const baitAmplitude = scene.clouds.map((c) =>
    Math.pow(10, fishTargetStrength(c.lengthM, face.frequencyHz, c.bladder) / 20),
  );
  const reachAlong = face.beam.shape === 'fan' ? Math.tan(4 * face.beam.alongRad) : Math.tan(STEEPEST_RAD);

  const put = (amplitude: number, dx: number, dy: number, dz: number, phase: number): void => {
    const range = Math.sqrt(dx * dx + dy * dy + dz * dz);
    if (range < 0.1) return;
    const u = (dx * frame.along[0] + dy * frame.along[1] + dz * frame.along[2]) / range;
    const w = (dx * frame.athwart[0] + dy * frame.athwart[1] + dz * frame.athwart[2]) / range;
    const two = pattern.twoWay(u * u, w * w);
    if (two < FAINTEST_PATTERN) return;
    const turns = (2 * wavenumber * range + phase) / (2 * Math.PI);
    points.push(
      range,
      amplitude * Math.sqrt(two * twoWayLoss(range, absorptionDbPerM)),
      2 * Math.PI * (turns - Math.floor(turns)),
    );
  };

  for (let p = 0; p < pings; p++) {
    pointStart[p] = points.count;
    frameOf(track, p, rig.tilt, frame);
    const t = track.timeS[p]!;
    const x0 = track.xM[p]!;
    const y0 = track.yM[p]!;
    const heave = track.heaveM[p]!;
    for (let k = 0; k < scene.fish.length; k++) {
      const fish = scene.fish[k]!;
      fishAt(fish, t, at);
      const dx = at[0]! - x0;
      const dy = at[1]! - y0;
      const dz = at[2]! - heave;
      if (Math.abs(dx) > reachAlong * dz + fish.lengthM) continue;
      const cx = fish.lengthM * Math.cos(fish.headingRad);
      const cy = fish.lengthM * Math.sin(fish.headingRad);
      for (let h = 0; h < HIGHLIGHTS.length; h++) {
        const { along, share } = HIGHLIGHTS[h]!;
        put(fishAmplitude[k]! * Math.sqrt(share), dx + along * cx, dy + along * cy, dz, 2.1 * h);
      }
    }
    for (let k = 0; k < scene.targets.length; k++) {
      const target = scene.targets[k]!;
      put(targetAmplitude[k]!, target.x - x0, target.y - y0, target.z - heave, 0);
    }
    for (let k = 0; k < scene.clouds.length; k++) {
      const cloud = scene.clouds[k]!;
      const dx = cloud.x + cloud.vx * t - x0;
      const dy = cloud.y - y0;
      const dz = cloud.z - heave;
      if (Math.abs(dx) > reachAlong * (dz + cloud.radiusZM) + cloud.radiusXM) continue;
      const o = cloud.offsets;
      for (let i = 0; i < o.length; i += 3)
        put(baitAmplitude[k]!, dx + o[i]!, dy + o[i + 1]!, dz + o[i + 2]!, 0);
    }
  }
  pointStart[pings] = points.count;

  const volumeShiftM = new Float32Array(pings);
  const layer = scene.layers[0];
  if (layer) {
    const phase = seededRandom(1).between(0, 2 * Math.PI);
    for (let p = 0; p < pings; p++)
      volumeShiftM[p] = layer.swellM * Math.sin((2 * Math.PI * track.xM[p]!) / layer.swellLengthM + phase);
  }
  return {
    face,
    soundSpeedMps,
    absorptionDbPerM,
    pingCount: pings,
    pointStart,
    pointRangeM: points.range.subarray(0, points.count),
    pointAmplitude: points.amplitude.subarray(0, points.count),
    pointPhaseRad: points.phase.subarray(0, points.count),
    binM,
    binCount,
    bedPower: bed.power,
    bedReflection: bed.reflection,
    volumePower: traceVolume(scene, pattern, absorptionDbPerM, binM, binCount),
    volumeShiftM,
    layerDepthM: layer?.depthM ?? 0,
  };
}
