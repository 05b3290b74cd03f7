import { fromDb, seededRandom, type Random } from '@/core/maths';
import {
  echoEnvelope,
  envelopeReach,
  RECEIVER_CEILING_DB,
  ringDown,
  ringTime,
  type FaceBudget,
  type Pulse,
} from '@/core/rig';
import type { Electrical, OtherSounder, Track } from '@/core/scene';
import { SPECKLE_MASK, speckleTable } from './speckle';
import type { EchoGeometry } from './trace';

/** Bed echoes kept: the first, bed–surface–bed, and once more. */
const BED_ECHOES = 3;

/** Power lost at the water surface on the way back down, a ratio (about 2 dB in a ripple). */
const SURFACE_REFLECTION = 0.63;

/** Ping periods after which a late echo is no longer heard. */
const MOST_PERIODS = 8;

/** Cumulative power nearer than `range`, between bins linearly. */
function cumulativeAt(
  power: Float32Array,
  row: number,
  count: number,
  perBin: number,
  range: number,
): number {
  const at = range * perBin - 1;
  if (at <= 0) return at > -1 ? (at + 1) * power[row]! : 0;
  if (at >= count - 1) return power[row + count - 1]!;
  const i = at | 0;
  const low = power[row + i]!;
  return low + (power[row + i + 1]! - low) * (at - i);
}

/** What the receiver hears of a traced pass. */
export interface Listening {
  budget: FaceBudget;
  /** Noise in the band for each state of the engine (ENGINES), dB re 1 µPa. */
  noiseDb: readonly number[];
  pingRate: number;
  /** Far end of the listening window, m. */
  farM: number;
  otherSounders: readonly OtherSounder[];
  electrical: Electrical | null;
}

/** Levels of one face's pings. */
export interface Heard {
  sampleStepM: number;
  sampleCount: number;
  /** pings × samples, dB re 1 µPa. */
  levelDb: Float32Array;
}

/** Steps of the envelope table per resolution. */
const ENVELOPE_STEPS = 64;

/** An echo's envelope by table from `before` resolutions ahead of its range. */
function envelopeTable(kind: Pulse['kind']): { before: number; table: Float64Array } {
  const [before, behind] = envelopeReach(kind);
  const size = Math.ceil((before + behind) * ENVELOPE_STEPS) + 2;
  return {
    before,
    table: Float64Array.from({ length: size }, (_, i) => echoEnvelope(kind, i / ENVELOPE_STEPS - before)),
  };
}

/** Diffuse echoes through a compressed pulse: power weights by sample behind an echo's own, side lobes and all. */
function diffuseKernel(
  kind: Pulse['kind'],
  delta: number,
  step: number,
): { first: number; weight: Float64Array } {
  const [before, behind] = envelopeReach(kind);
  const first = -Math.floor((before * delta) / step);
  const last = Math.floor((behind * delta) / step);
  const weight = Float64Array.from(
    { length: last - first + 1 },
    (_, i) => (echoEnvelope(kind, ((first + i) * step) / delta) ** 2 * step) / delta,
  );
  return { first, weight };
}

/** When in 0…1 of its beat an electrical burst comes, a beat. */
const burstAt = (random: Random, beats: number): Float64Array =>
  Float64Array.from({ length: beats }, () => 0.7 * random.uniform());

/**
 * Sends the pulse and listens: each sample is the complex sum of the points within one pulse, of diffuse echoes (bed,
 * layers) as speckle of their expected power, and of noise; the face's ringing lies over the nearest range, and all is
 * held at the receiver's ceiling. Echoes later than a ping period, of the bed's multiples too, fall into the pings that
 * follow. Samples stand half a range resolution apart or closer, so that no echo falls between two.
 */
export function listen(
  geometry: EchoGeometry,
  track: Track,
  { budget, noiseDb, pingRate, farM, otherSounders, electrical }: Listening,
  random: Random,
): Heard {
  const delta = budget.resolutionM;
  const step = Math.min(delta / 2, farM / 400);
  const samples = Math.floor(farM / step) + 1;
  const pings = geometry.pingCount;
  const levelDb = new Float32Array(pings * samples);
  const c = geometry.soundSpeedMps;
  const period = c / (2 * pingRate);
  const source = fromDb(budget.sourceLevelDb);
  const sourcePressure = Math.sqrt(source);
  const noisePower = noiseDb.map(fromDb);
  const restNoise = fromDb(budget.noiseLevelDb);
  const draws = random.fork('noise');
  const table = speckleTable(delta / step);
  const swept = budget.pulse.kind === 'swept';
  const kernel = swept ? diffuseKernel('swept', delta, step) : null;

  // The face rings on after its pulse has ended; while it sends, nothing is heard.
  const pulseM = (c * budget.pulse.durationS) / 2;
  const ringS = ringTime(budget.face.frequencyHz, budget.face.quality);
  const ring = Float64Array.from({ length: samples }, (_, j) =>
    fromDb(ringDown(budget.sourceLevelDb, ringS, (2 * Math.max(0, j * step - pulseM)) / c)),
  );
  const ceiling = fromDb(RECEIVER_CEILING_DB);

  // Bed and volume speckle stays alike while the face moves less than its own size (van Cittert–Zernike).
  const wavelength = c / budget.face.frequencyHz;
  const alikeM = wavelength / (2 * Math.sin(budget.face.beam.alongRad / 2));
  const gRe = new Float32Array(samples);
  const gIm = new Float32Array(samples);
  const re = new Float64Array(samples);
  const im = new Float64Array(samples);
  const diffuse = new Float64Array(samples);
  const raw = kernel ? new Float64Array(samples) : diffuse;
  const { binM, binCount, points, bed, volume } = geometry;
  const { power: bedPower, firstBin, reflection } = bed;
  const perBin = 1 / binM;
  const bedReach = binM * binCount;
  const envelope = envelopeTable(budget.pulse.kind);
  const envelopeBefore = envelope.before * delta;
  const envelopeReachM = ((envelope.table.length - 2) / ENVELOPE_STEPS) * delta;
  const perEnvelope = ENVELOPE_STEPS / delta;
  const pingsLate = Math.min(MOST_PERIODS, Math.ceil((BED_ECHOES * bedReach) / period) + 1);
  // Where in its beat each other sounder is at time 0; the same for every face of the boat.
  const interference = otherSounders.map((_, k) => seededRandom(k + 1).uniform());
  const bursts = electrical
    ? burstAt(random.fork('electrical'), Math.ceil((track.timeS[pings - 1] ?? 0) / electrical.everyS) + 1)
    : null;
  // Looked up once: in the loops below a lookup through the module would cost more than the work.
  const [mask, cumulative, bedEchoes, steps] = [SPECKLE_MASK, cumulativeAt, BED_ECHOES, envelope.table];
  const { re: tableRe, im: tableIm } = table;
  const { sqrt, max, min, floor, ceil, log10, exp } = Math;
  const againOf = (power: number, m: number, late: number): number =>
    Math.pow(power * SURFACE_REFLECTION * fromDb((-2 * geometry.absorptionDbPerM * late) / m), m - 1) /
    (m * m);

  for (let p = 0; p < pings; p++) {
    raw.fill(0);
    // n counts ping periods back: what was sent n pings ago and arrives only now.
    for (let n = 0; n < pingsLate; n++) {
      // Before the recording began the boat pinged as well, over much the same bed.
      const sent = max(0, p - n);
      const row = sent * binCount;
      const lateBy = n * period;
      for (let m = 1; m <= bedEchoes; m++) {
        const begins = m * firstBin[sent]! * binM - lateBy;
        const ends = m * bedReach + delta - lateBy;
        if (ends < 0) continue;
        const from = max(0, floor(begins / step));
        const to = min(samples - 1, floor(ends / step));
        for (let j = from; j <= to; j++) {
          const late = j * step + lateBy;
          const once =
            cumulative(bedPower, row, binCount, perBin, late / m) -
            cumulative(bedPower, row, binCount, perBin, (late - delta) / m);
          if (once <= 0) continue;
          // Each further round trip: a quarter of the power for spreading, |V|² at the bed, the surface, absorption.
          raw[j]! += m === 1 ? once : once * againOf(reflection[sent]!, m, late);
        }
      }
    }
    for (let k = 0; k < volume.length; k++) {
      const { power, shiftM, gain, fromM, toM } = volume[k]!;
      const shift = shiftM[p]!;
      const g = gain[p]!;
      const from = max(0, floor((fromM + shift) / step));
      const to = min(samples - 1, floor((toM + shift + delta) / step));
      for (let j = from; j <= to; j++) {
        const range = j * step - shift;
        const more =
          cumulative(power, 0, binCount, perBin, range) -
          cumulative(power, 0, binCount, perBin, range - delta);
        if (more > 0) raw[j]! += g * more;
      }
    }
    if (kernel) {
      // The box above holds all within δ before a sample; the kernel spreads it as compression does.
      diffuse.fill(0);
      const { first, weight } = kernel;
      for (let j = 0; j < samples; j++) {
        const here = raw[j]!;
        if (here === 0) continue;
        for (let i = 0; i < weight.length; i++) {
          const at = j + first + i;
          if (at >= 0 && at < samples) diffuse[at]! += here * weight[i]!;
        }
      }
    }

    const moved =
      p === 0
        ? Infinity
        : Math.hypot(
            track.xM[p]! - track.xM[p - 1]!,
            track.yM[p]! - track.yM[p - 1]!,
            track.heaveM[p]! - track.heaveM[p - 1]!,
          );
    const alike = exp(-((moved / alikeM) ** 2));
    const fresh = sqrt(1 - alike * alike);
    const speckleAt = draws.integer(mask);
    const noiseAt = draws.integer(mask);
    let noise = noisePower[track.engine[p]!]!;
    if (electrical && bursts) {
      const beat = floor(track.timeS[p]! / electrical.everyS);
      const since = track.timeS[p]! - (beat + bursts[beat]!) * electrical.everyS;
      if (since >= 0 && since < electrical.lengthS) noise += restNoise * fromDb(electrical.overNoiseDb);
    }
    for (let j = 0; j < samples; j++) {
      const s = (speckleAt + j) & mask;
      const q = (noiseAt + j) & mask;
      const a = alike * gRe[j]! + fresh * tableRe[s]!;
      const b = alike * gIm[j]! + fresh * tableIm[s]!;
      gRe[j] = a;
      gIm[j] = b;
      const loud = sqrt(source * diffuse[j]!);
      const hiss = sqrt(noise + ring[j]!);
      re[j] = loud * a + hiss * tableRe[q]!;
      im[j] = loud * b + hiss * tableIm[q]!;
    }

    for (let n = 0; n < pingsLate && n <= p; n++) {
      const sent = p - n;
      const lateBy = n * period;
      const { rangeM, re: pointRe, im: pointIm } = points;
      for (let k = points.start[sent]!; k < points.start[sent + 1]!; k++) {
        const range = rangeM[k]! - lateBy;
        const begin = range - envelopeBefore;
        if (begin > farM || begin + envelopeReachM < 0) continue;
        const first = max(0, ceil(begin / step));
        const last = min(samples - 1, floor((begin + envelopeReachM) / step));
        const x = sourcePressure * pointRe[k]!;
        const y = sourcePressure * pointIm[k]!;
        for (let j = first; j <= last; j++) {
          const at = (j * step - begin) * perEnvelope;
          const i = at | 0;
          const e = steps[i]! + (steps[i + 1]! - steps[i]!) * (at - i);
          re[j]! += x * e;
          im[j]! += y * e;
        }
      }
    }

    for (let k = 0; k < otherSounders.length; k++) {
      const other = otherSounders[k]!;
      // Its pings go on at their own rate: each one that lands in our listening time leaves its pulse.
      const cycles = interference[k]! + track.timeS[p]! * other.pingRate;
      const a = sqrt(restNoise * fromDb(other.overNoiseDb));
      const length = max(1, Math.round((c * other.pulseS) / 2 / step));
      for (let delay = (ceil(cycles) - cycles) / other.pingRate; ; delay += 1 / other.pingRate) {
        const from = floor((c * delay) / 2 / step);
        if (from >= samples || delay >= 1 / pingRate) break;
        const until = min(samples, from + length);
        for (let j = from; j < until; j++) re[j]! += a;
      }
    }

    const out = p * samples;
    for (let j = 0; j < samples; j++) {
      const power = re[j]! * re[j]! + im[j]! * im[j]! + 1e-12;
      levelDb[out + j] = 10 * log10(power < ceiling ? power : ceiling);
    }
  }
  return { sampleStepM: step, sampleCount: samples, levelDb };
}
