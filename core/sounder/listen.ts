import { clamp, fromDb, type Random } from '@/core/maths';
import { ringTime, type FaceBudget } from '@/core/rig';
import type { OtherSounder, Track } from '@/core/scene';
import type { EchoGeometry } from './trace';
import { SPECKLE_MASK, speckleTable } from './speckle';

/** Bed echoes kept: the first, bed–surface–bed, and once more. */
const BED_ECHOES = 3;

/** Power lost at the water surface on the way back down, a ratio (about 2 dB in a ripple). */
const SURFACE_REFLECTION = 0.63;

/** Level of a face's ringing at the moment its pulse ends, dB under the source level, and its fall per ring time. */
const RING_START_DB = -70;
const RING_FALL_DB = 6;

/** Share of a pulse's length over which the ring of the face rounds each edge of its echo. */
const EDGE = 0.25;

/** A point's envelope over one resolution δ (x = distance behind its range, in δ): flat, with cosine edges centred on 0 and 1. */
function envelope(x: number): number {
  if (x < -EDGE / 2 || x > 1 + EDGE / 2) return 0;
  if (x < EDGE / 2) return 0.5 - 0.5 * Math.cos((Math.PI * (x + EDGE / 2)) / EDGE);
  if (x > 1 - EDGE / 2) return 0.5 - 0.5 * Math.cos((Math.PI * (1 + EDGE / 2 - x)) / EDGE);
  return 1;
}

function cumulativeAt(power: Float32Array, row: number, count: number, binM: number, range: number): number {
  const at = range / binM - 1;
  if (at <= 0) return at > -1 ? (at + 1) * power[row]! : 0;
  if (at >= count - 1) return power[row + count - 1]!;
  const i = at | 0;
  const low = power[row + i]!;
  return low + (power[row + i + 1]! - low) * (at - i);
}

/** What the receiver hears of a traced pass. */
export interface Listening {
  budget: FaceBudget;
  pingRate: number;
  /** Far end of the listening window, m. */
  farM: number;
  otherSounder: OtherSounder | null;
}

/** Levels of one face's pings. */
export interface Heard {
  sampleStepM: number;
  sampleCount: number;
  /** pings × samples, dB re 1 µPa. */
  levelDb: Float32Array;
}

/**
 * Sends the pulse and listens: each sample is the complex sum of the points within one pulse, of diffuse echoes (bed,
 * layers) as speckle of their expected power, and of noise; echoes later than one ping period fold into the next ping.
 * Samples stand half a range resolution apart or closer, so a point's flat top always holds one.
 */
export function listen(
  geometry: EchoGeometry,
  track: Track,
  { budget, pingRate, farM, otherSounder }: Listening,
  random: Random,
): Heard {
  const delta = budget.resolutionM;
  const step = Math.min(delta / 2, farM / 400);
  const samples = Math.floor(farM / step) + 1;
  const pings = geometry.pingCount;
  const levelDb = new Float32Array(pings * samples);
  const period = geometry.soundSpeedMps / (2 * pingRate);
  const source = fromDb(budget.sourceLevelDb);
  const sourcePressure = Math.sqrt(source);
  const noise = fromDb(budget.noiseLevelDb);
  const draws = random.fork('noise');
  const table = speckleTable(delta / step);
  const interference = random.fork('other sounder').between(0, 1);

  const ringFall =
    (RING_FALL_DB * 2) / (geometry.soundSpeedMps * ringTime(budget.face.frequencyHz, budget.face.quality));
  const ring = Float64Array.from({ length: samples }, (_, j) => {
    const past = Math.max(0, j * step - delta);
    return source * fromDb(RING_START_DB - ringFall * past);
  });

  // A swell moves the layer, not the bubbles at the surface: how much of it, by sample.
  const swell = Float64Array.from({ length: samples }, (_, j) =>
    geometry.layerDepthM > 0 ? clamp(((j * step) / geometry.layerDepthM - 0.4) / 0.3, 0, 1) : 0,
  );

  // Bed and volume speckle stays alike while the face moves less than its own size (van Cittert–Zernike).
  const wavelength = geometry.soundSpeedMps / budget.face.frequencyHz;
  const alikeM = wavelength / (2 * Math.sin(budget.face.beam.alongRad / 2));
  const gRe = new Float32Array(samples);
  const gIm = new Float32Array(samples);
  const re = new Float64Array(samples);
  const im = new Float64Array(samples);
  const diffuse = new Float64Array(samples);
  const { bedPower, volumePower, binM, binCount, pointStart, pointRangeM, pointAmplitude, pointPhaseRad } =
    geometry;
  const bedReach = binM * binCount;
  // Looked up once: in the loops below a lookup through the module would cost more than the work.
  const mask = SPECKLE_MASK;
  const { re: tableRe, im: tableIm } = table;
  const { sqrt, max, min, floor, ceil, log10, cos, sin } = Math;

  for (let p = 0; p < pings; p++) {
    const row = p * binCount;
    const reflection = geometry.bedReflection[p]!;
    const shift = geometry.volumeShiftM[p]!;
    for (let j = 0; j < samples; j++) {
      const range = j * step;
      let power = 0;
      // n counts ping periods back: what was sent n pings ago and arrives only now.
      for (let late = range, n = 0; late < BED_ECHOES * bedReach && n < 8; late += period, n++) {
        for (let m = 1; m <= BED_ECHOES; m++) {
          const near = (late - delta) / m;
          if (near > bedReach) continue;
          const once =
            cumulativeAt(bedPower, row, binCount, binM, late / m) -
            cumulativeAt(bedPower, row, binCount, binM, near);
          if (once <= 0) continue;
          // Each further round trip: a quarter of the power for spreading, |V|² at the bed, the surface, absorption.
          const again =
            m === 1
              ? 1
              : Math.pow(
                  reflection * SURFACE_REFLECTION * fromDb((-2 * geometry.absorptionDbPerM * late) / m),
                  m - 1,
                ) /
                (m * m);
          power += once * again;
        }
      }
      const from = range - shift * swell[j]!;
      const volume =
        cumulativeAt(volumePower, 0, binCount, binM, from) -
        cumulativeAt(volumePower, 0, binCount, binM, from - delta);
      diffuse[j] = source * (power + max(0, volume));
    }

    const moved =
      p === 0
        ? Infinity
        : Math.hypot(
            track.xM[p]! - track.xM[p - 1]!,
            track.yM[p]! - track.yM[p - 1]!,
            track.heaveM[p]! - track.heaveM[p - 1]!,
          );
    const alike = Math.exp(-((moved / alikeM) ** 2));
    const fresh = sqrt(1 - alike * alike);
    const speckleAt = draws.integer(SPECKLE_MASK);
    const noiseAt = draws.integer(SPECKLE_MASK);
    for (let j = 0; j < samples; j++) {
      const s = (speckleAt + j) & mask;
      const q = (noiseAt + j) & mask;
      gRe[j] = alike * gRe[j]! + fresh * tableRe[s]!;
      gIm[j] = alike * gIm[j]! + fresh * tableIm[s]!;
      const a = sqrt(diffuse[j]!);
      const b = sqrt(noise + ring[j]!);
      re[j] = a * gRe[j]! + b * tableRe[q]!;
      im[j] = a * gIm[j]! + b * tableIm[q]!;
    }

    for (let k = pointStart[p]!; k < pointStart[p + 1]!; k++) {
      let range = pointRangeM[k]!;
      if (range >= period) range -= floor(range / period) * period;
      const amplitude = sourcePressure * pointAmplitude[k]!;
      const c = amplitude * cos(pointPhaseRad[k]!);
      const s = amplitude * sin(pointPhaseRad[k]!);
      const first = max(0, ceil((range - (EDGE / 2) * delta) / step));
      const last = min(samples - 1, floor((range + (1 + EDGE / 2) * delta) / step));
      for (let j = first; j <= last; j++) {
        const e = envelope((j * step - range) / delta);
        re[j]! += c * e;
        im[j]! += s * e;
      }
    }

    if (otherSounder) {
      // Its pings go on at their own rate: where the next one lands in our listening time.
      const cycles = interference + track.timeS[p]! * otherSounder.pingRate;
      const delay = (ceil(cycles) - cycles) / otherSounder.pingRate;
      const from = floor((geometry.soundSpeedMps * delay) / 2 / step);
      const length = max(1, Math.round((geometry.soundSpeedMps * otherSounder.pulseS) / 2 / step));
      const a = sqrt(noise * fromDb(otherSounder.overNoiseDb));
      for (let j = from; j < min(samples, from + length); j++) re[j]! += a;
    }

    const out = p * samples;
    for (let j = 0; j < samples; j++)
      levelDb[out + j] = 10 * log10(re[j]! * re[j]! + im[j]! * im[j]! + 1e-12);
  }
  return { sampleStepM: step, sampleCount: samples, levelDb };
}
