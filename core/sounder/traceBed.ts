import { fromDb } from '@/core/maths';
import { BED, BED_MATERIALS, bedBackscatter, bedReflection, coherentShare } from '@/core/water';
import type { Face } from '@/core/rig';
import { bedDepthAt, bedMaterialAt, bedSlopeAt, type Scene, type Track } from '@/core/scene';
import type { Frames } from './frame';
import { STEEPEST_RAD, type PatternTable } from './patternTable';

/** The bed's echo, ping by ping. */
export interface BedEchoes {
  /** pings × bins, cumulative: power ratio to the source at 1 m of all bed nearer than the bin's far edge. */
  power: Float32Array;
  /** Bin of the first echo, by ping. */
  firstBin: Int32Array;
  /** Reflection |V|² right below, by ping. */
  reflection: Float32Array;
  /** The mirror part: its point from the face (x, y, z in m) and pressure ratio times r², four a ping. */
  mirror: Float32Array;
}

/** Facets of the polar grid round the boat: rings out to where the bed leaves the trace, spokes round. */
const RINGS = 30;
const SPOKES = 20;
/** How much higher than straight below the bed may stand at the outermost ring. */
const HIGHEST_SHARE = 0.75;
/** Two-way power pattern under which a facet is left out, −70 dB. */
const FAINTEST = 1e-7;
/** Mirror parts weaker than this share of the reflected power are not put. */
const LEAST_COHERENT = 1e-4;

/** Power lost on the way there and back to range r, as a ratio: 1/r⁴ and absorption. */
export const twoWayLoss = (rangeM: number, absorptionDbPerM: number): number =>
  Math.pow(10, -0.2 * absorptionDbPerM * rangeM) / (rangeM * rangeM * rangeM * rangeM);

/**
 * Bed power by range, ping by ping, on a polar grid of facets round the boat that is finest straight below. Each facet
 * spreads its echo over its own extent in range, so slope, roughness and beam shape the trace; what lies under the
 * surface follows with the material's decay.
 */
export function traceBed(
  scene: Scene,
  track: Track,
  frames: Frames,
  face: Face,
  pattern: PatternTable,
  soundSpeedMps: number,
  absorptionDbPerM: number,
  binM: number,
  binCount: number,
): BedEchoes {
  const pings = track.timeS.length;
  const power = new Float32Array(pings * binCount);
  const firstBin = new Int32Array(pings);
  const reflection = new Float32Array(pings);
  const mirror = new Float32Array(4 * pings);
  const coherent = BED_MATERIALS.map((m) => coherentShare(m, face.frequencyHz, soundSpeedMps));
  const scatter = BED_MATERIALS.map((m, k) =>
    Float32Array.from({ length: 258 }, (_, i) =>
      bedBackscatter(m, Math.acos(Math.min(1, i / 256)), 1 - coherent[k]!),
    ),
  );
  const decay = BED_MATERIALS.map((m) =>
    fromDb(-2 * BED[m].attenuationDbPerMKhz * (face.frequencyHz / 1000) * binM),
  );
  // What lies in the bed, as a share of the surface echo spread over a tenth of a metre.
  const buried = BED_MATERIALS.map((m) => (fromDb(BED[m].burialDb) * binM) / 0.1);
  const reflect = BED_MATERIALS.map((m) => bedReflection(m) ** 2);
  const density = new Float64Array(binCount + 2);
  const angle = (a: number): number => (2 * Math.PI * (a + 0.5)) / SPOKES;
  const cosSpoke = Float64Array.from({ length: SPOKES }, (_, a) => Math.cos(angle(a)));
  const sinSpoke = Float64Array.from({ length: SPOKES }, (_, a) => Math.sin(angle(a)));
  // A fan needs facets only as far fore and aft as its lobes reach.
  const reach = face.beam.shape === 'fan' ? Math.min(STEEPEST_RAD, 2.6 * face.beam.alongRad) : STEEPEST_RAD;
  const squeeze = Math.tan(reach) / Math.tan(STEEPEST_RAD);
  const loss = Float64Array.from({ length: binCount + 1 }, (_, b) =>
    twoWayLoss((b + 0.5) * binM, absorptionDbPerM),
  );
  const ground = new Float64Array(3);
  // Looked up once: in here a lookup through the module would cost more than the work.
  const [slopeAt, materialAt, bedField, rings, spokes, faintest] = [
    bedSlopeAt,
    bedMaterialAt,
    scene.bed,
    RINGS,
    SPOKES,
    FAINTEST,
  ];
  const { round, along, athwart, perAlong, perAthwart, span } = pattern;
  const { sqrt, abs, min, max } = Math;
  const steepest = Math.tan(STEEPEST_RAD);
  const traceM = binM * binCount;
  const ringShare = Float64Array.from({ length: RINGS }, (_, k) => Math.pow((k + 1) / RINGS, 1.6));

  for (let p = 0; p < pings; p++) {
    const f = 6 * p;
    const ax = frames[f]!;
    const ay = frames[f + 1]!;
    const az = frames[f + 2]!;
    const bx = frames[f + 3]!;
    const by = frames[f + 4]!;
    const bz = frames[f + 5]!;
    const x0 = track.xM[p]!;
    const y0 = track.yM[p]!;
    const heave = track.heaveM[p]!;
    const ch = Math.cos(track.headingRad[p]!);
    const sh = Math.sin(track.headingRad[p]!);
    const below = bedDepthAt(scene.bed, x0, y0) - heave;
    const material = bedMaterialAt(scene.bed, x0, y0);
    reflection[p] = reflect[material]!;
    if (coherent[material]! > LEAST_COHERENT) {
      slopeAt(bedField, x0, y0, ground);
      // The foot of the perpendicular on the plane below; a mirror there has the strength |V|·r/2.
      const tilt2 = 1 + ground[1]! ** 2 + ground[2]! ** 2;
      mirror[4 * p] = (-ground[1]! * below) / tilt2;
      mirror[4 * p + 1] = (-ground[2]! * below) / tilt2;
      mirror[4 * p + 2] = below / tilt2;
      mirror[4 * p + 3] = 0.5 * (below / sqrt(tilt2)) * sqrt(reflect[material]! * coherent[material]!);
    }
    density.fill(0);
    const high = HIGHEST_SHARE * below;
    const farthest = min(below * steepest, sqrt(max(traceM * traceM - high * high, 0.04 * below * below)));
    let inner = 0;
    let first = binCount;
    for (let ring = 0; ring < rings; ring++) {
      const outer = farthest * ringShare[ring]!;
      const rho = sqrt((inner * inner + outer * outer) / 2);
      const facet = (squeeze * Math.PI * (outer * outer - inner * inner)) / spokes;
      const dRho = outer - inner;
      inner = outer;
      for (let a = 0; a < spokes; a++) {
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
        let look = round ? (u * u + w * w) * perAthwart : w * w * perAthwart;
        if (look > perAthwart) look = perAthwart;
        let k = look | 0;
        let b = athwart[k]!;
        b += (athwart[k + 1]! - b) * (look - k);
        if (!round) {
          if (u * u >= span) continue;
          look = u * u * perAlong;
          k = look | 0;
          b *= along[k]! + (along[k + 1]! - along[k]!) * (look - k);
        }
        const two = b * b;
        if (two < faintest) continue;
        const kind = materialAt(bedField, x0 + dx, y0 + dy);
        const at = cos * 256;
        const i = at | 0;
        const table = scatter[kind]!;
        const sigma = table[i]! + (table[i + 1]! - table[i]!) * (at - i);
        const echo = sigma * two * facet * tiltUp * loss[bin]!;
        // The facet's own spread in range, outward and around, with the slope in both.
        const rhoNow = sqrt(flat2) || 1e-9;
        const gOut = (gx * dx + gy * dy) / rhoNow;
        const gRound = (gy * dx - gx * dy) / rhoNow;
        const spread =
          (abs(rhoNow + dz * gOut) * dRho + (abs(dz * gRound) * 2 * Math.PI * rhoNow) / spokes) / range;
        // Spread evenly over the bins it covers, in part over the first and the last.
        const begins = max(0, (range - spread / 2) / binM);
        const ends = max(begins + 1e-3, (range + spread / 2) / binM);
        const from = begins | 0;
        const to = ends | 0;
        if (to >= binCount) continue;
        if (from < first) first = from;
        if (from === to) {
          density[from]! += echo;
          density[from + 1]! -= echo;
          continue;
        }
        const each = echo / (ends - begins);
        const head = each * (from + 1 - begins);
        const foot = each * (ends - to);
        density[from]! += head;
        density[from + 1]! += each - head;
        density[to]! -= each - foot;
        density[to + 1]! -= foot;
      }
    }
    firstBin[p] = first;
    const row = p * binCount;
    const fall = decay[material]!;
    const grow = buried[material]!;
    let running = 0;
    let tail = 0;
    let sum = 0;
    for (let b = first; b < binCount; b++) {
      running += density[b]!;
      // Rounding in the running sum may leave a hair below zero.
      const surface = running > 0 ? running : 0;
      sum += surface + tail;
      power[row + b] = sum;
      tail = fall * (tail + grow * surface);
    }
  }
  return { power, firstBin, reflection, mirror };
}
