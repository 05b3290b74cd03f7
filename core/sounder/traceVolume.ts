import { fromDb, seededRandom } from '@/core/maths';
import { bedDepthAt, type Scene, type Track } from '@/core/scene';
import { windBubbles } from '@/core/water';
import type { PatternTable } from './patternTable';
import { twoWayLoss } from './traceBed';

/** One kind of small scatterers through the water: its power by range for a level face, and how it changes ping by ping. */
export interface VolumePart {
  /** Bins, cumulative: power ratio to the source at 1 m. In double precision, since bubbles under the surface outdo the rest by far more than 72 dB. */
  power: Float64Array;
  /** Down (+) by this much, m, and stronger by this factor, a ping. */
  shiftM: Float32Array;
  gain: Float32Array;
  /** Ranges outside of which it says nothing, m, at shift 0. */
  fromM: number;
  toM: number;
}

const square = (x: number): number => x * x;

/** What own way adds to the bubbles wind leaves, dB a m/s. */
const WASH_PER_MPS_DB = 3;
/** Faintest volume that is worth its time, dB re 1 m⁻¹. */
const FAINTEST_SV_DB = -115;

/** The beam's power by cosine to the vertical, so that off-axis water of a layer answers from its longer range. */
function powerByCosine(pattern: PatternTable, steps: number): Float64Array {
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
        (4 * square(pattern.pressure(u * u, w * w)) * 4 * ((i + 0.5) / grid) * ((j + 0.5) / grid)) /
        (n * grid * grid);
    }
  return weight;
}

/** A slow wave along the way in −1…1: two sines of a length and of 2.3 times its rate. */
function along(track: Track, lengthM: number, seed: number): Float32Array {
  const random = seededRandom(seed);
  const [a, b] = [random.between(0, 2 * Math.PI), random.between(0, 2 * Math.PI)];
  const k = (2 * Math.PI) / lengthM;
  return Float32Array.from(track.xM, (x, p) => {
    // A boat that lies still sees the water go by.
    const way = x + 0.1 * track.timeS[p]!;
    return 0.6 * Math.sin(k * way + a) + 0.4 * Math.sin(2.3 * k * way + b);
  });
}

/** All that fills the water of a scene, part by part. */
export function traceVolume(
  scene: Scene,
  track: Track,
  pattern: PatternTable,
  absorptionDbPerM: number,
  binM: number,
  binCount: number,
): VolumePart[] {
  const pings = track.timeS.length;
  const steps = 48;
  const weight = powerByCosine(pattern, steps);
  const far = binM * binCount;
  const none = new Float32Array(pings);
  const one = new Float32Array(pings).fill(1);

  const part = (
    svAt: (z: number) => number,
    fromM: number,
    toM: number,
    shiftM: Float32Array,
    gain: Float32Array,
  ): VolumePart => {
    const power = new Float64Array(binCount);
    let sum = 0;
    for (let b = 0; b < binCount; b++) {
      const range = (b + 0.5) * binM;
      if (range >= fromM && range <= toM) {
        let sv = 0;
        for (let k = 0; k < steps; k++)
          if (weight[k]! > 0) sv += weight[k]! * svAt((range * (k + 0.5)) / steps);
        sum += sv * binM * range * range * twoWayLoss(Math.max(range, 0.3), absorptionDbPerM);
      }
      power[b] = sum;
    }
    return { power, shiftM, gain, fromM, toM };
  };

  const parts: VolumePart[] = [];
  if (scene.backgroundSvDb > FAINTEST_SV_DB) {
    const sv = fromDb(scene.backgroundSvDb);
    parts.push(part(() => sv, 0, far, none, one));
  }
  const wind = scene.water.windMps;
  if (wind > 0) {
    const { svDb, depthM } = windBubbles(wind);
    const sv = fromDb(svDb);
    const gusts = along(track, 12, 11);
    parts.push(
      part(
        (z) => sv * Math.exp(-z / depthM),
        0,
        Math.min(far, 20 * depthM),
        none,
        Float32Array.from(gusts, (g, p) =>
          fromDb(4 * g + WASH_PER_MPS_DB * Math.max(0, Math.abs(track.speedMps[p]!) - 2)),
        ),
      ),
    );
  }
  scene.layers.forEach((layer, n) => {
    const sv = fromDb(layer.svDb);
    const swell = along(track, layer.swellLengthM, 21 + n);
    const patches = along(track, 0.45 * layer.swellLengthM, 41 + n);
    // Water abeam at the layer's depth answers from as far as the beam reaches.
    parts.push(
      part(
        (z) => sv * Math.exp(-square((z - layer.depthM) / layer.thicknessM)),
        Math.max(0, layer.depthM - 3 * layer.thicknessM),
        Math.min(far, 2.2 * layer.depthM + 3 * layer.thicknessM),
        Float32Array.from(swell, (s) => layer.swellM * s),
        Float32Array.from(patches, (s) => fromDb(layer.patchDb * s)),
      ),
    );
  });
  if (scene.silt) {
    const { svDb, heightM } = scene.silt;
    const sv = fromDb(svDb);
    const reference = bedDepthAt(scene.bed, track.xM[0]!, track.yM[0]!);
    parts.push(
      part(
        (z) => (z < reference ? sv * Math.exp((z - reference) / heightM) : 0),
        Math.max(0, reference - 6 * heightM),
        reference,
        Float32Array.from(track.xM, (x, p) => bedDepthAt(scene.bed, x, track.yM[p]!) - reference),
        Float32Array.from(along(track, 9, 61), (s) => fromDb(5 * s)),
      ),
    );
  }
  return parts;
}
