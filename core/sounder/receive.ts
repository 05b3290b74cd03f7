import { fromDb, powersToDb, seededRandom, type Random } from '@/core/maths';
import {
  BED_ECHOES,
  echoEnvelope,
  envelopeReach,
  pingPeriodM,
  RECEIVER_CEILING_DB,
  ringDown,
  ringTime,
  type FaceBudget,
  type Pulse,
} from '@/core/rig';
import type { Electrical, OtherSounder, Track } from '@/core/scene';
import { SPECKLE_MASK, speckleTable, type Speckle } from './speckle';
import type { EchoGeometry } from './trace';

/** Power lost at the water surface on the way back down, a ratio (about 2 dB in a ripple). */
const SURFACE_REFLECTION = 0.63;

/** Ping periods after which a late echo is no longer heard. */
const MOST_PERIODS = 8;

/** Cumulative power nearer than `range`, between bins linearly. */
function cumulativeAt(
  power: Float32Array | Float64Array,
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
  /** Length of a point's echo as sampled, m: the resolution, or more in a long window. */
  echoM: number;
  /** pings × samples, dB re 1 µPa. */
  levelDb: Float32Array;
}

/** Most samples of a ping; a longer window takes coarser steps and wider echoes, so that none falls between two. */
const MOST_SAMPLES = 2400;
/** Fewest: a short window is sampled finer than the pulse asks. */
const FEWEST_SAMPLES = 400;

/** How a window is sampled: `perEcho` steps to an echo of `echoM`, which is the resolution or, in a long window, more. */
function sampling(resolutionM: number, farM: number): { step: number; perEcho: number; echoM: number } {
  const echoM = Math.max(resolutionM, (2 * farM) / MOST_SAMPLES);
  const perEcho = Math.max(2, Math.ceil((echoM * FEWEST_SAMPLES) / farM));
  return { step: echoM / perEcho, perEcho, echoM };
}

/** Steps of the envelope table per resolution. */
const ENVELOPE_STEPS = 64;

interface Envelope {
  before: number;
  table: Float64Array;
}

/** An echo's envelope by table from `before` resolutions ahead of its range. */
function envelopeTable(kind: Pulse['kind']): Envelope {
  const [before, behind] = envelopeReach(kind);
  const size = Math.ceil((before + behind) * ENVELOPE_STEPS) + 2;
  return {
    before,
    table: Float64Array.from({ length: size }, (_, i) => echoEnvelope(kind, i / ENVELOPE_STEPS - before)),
  };
}

interface Kernel {
  first: number;
  weight: Float64Array;
}

/**
 * What compression does to diffuse echoes already gathered over one echo's length: power weights by sample, side lobes and
 * all, that keep their sum.
 */
function compression(perEcho: number): Kernel {
  const [before, behind] = envelopeReach('swept');
  const first = -Math.floor(before * perEcho);
  const last = Math.floor(behind * perEcho);
  const weight = Float64Array.from(
    { length: last - first + 1 },
    (_, i) => echoEnvelope('swept', (first + i) / perEcho) ** 2,
  );
  const sum = weight.reduce((a, b) => a + b, 0);
  // The gathering has already put an echo half its length late.
  return { first: first - (perEcho >> 1), weight: weight.map((w) => w / sum) };
}

/** When in 0…1 of its beat an electrical burst comes, a beat. */
const burstAt = (random: Random, beats: number): Float64Array =>
  Float64Array.from({ length: beats }, () => 0.7 * random.uniform());

/** What a pass needs to turn traced echoes into samples, all by sample or by bin. */
interface Ear {
  step: number;
  perEcho: number;
  echoM: number;
  samples: number;
  farM: number;
  /** Range the boat's own pings come after each other, m. */
  period: number;
  /** Ping periods after which nothing is heard of a ping. */
  pingsLate: number;
  /** Diffuse echoes gather over the resolution; where echoes are drawn longer than that they are thinned to match. */
  share: number;
  geometry: EchoGeometry;
  /** Power that absorption leaves on a further round trip, by bin. */
  absorbed: Float64Array;
  /** A volume's power within one echo, by sample. */
  gathered: readonly Float64Array[];
  /** Room for the echo length behind a sample. */
  behind: Float64Array;
}

/** Adds the bed as ping p hears it: its first echo and the later ones, of this ping and of those sent before. */
function addBed(ear: Ear, p: number, raw: Float64Array): void {
  const { step, perEcho, echoM, samples, period, pingsLate, share, absorbed, behind } = ear;
  const { binM, binCount, bed } = ear.geometry;
  const { power, firstBin, reflection } = bed;
  const perBin = 1 / binM;
  const bedReach = binM * binCount;
  const { max, min, floor } = Math;
  // Looked up once: in the loops below a lookup through the module would cost more than the work.
  const [cumulative, bedEchoes] = [cumulativeAt, BED_ECHOES];
  // n counts ping periods back: what was sent n pings ago and arrives only now.
  for (let n = 0; n < pingsLate; n++) {
    // Before the recording began the boat pinged as well, over much the same bed.
    const sent = max(0, p - n);
    const row = sent * binCount;
    const lateBy = n * period;
    for (let m = 1; m <= bedEchoes; m++) {
      const begins = m * firstBin[sent]! * binM - lateBy;
      const ends = m * bedReach + echoM - lateBy;
      if (ends < 0) continue;
      const from = max(0, floor(begins / step));
      const to = min(samples - 1, floor(ends / step));
      // Each further round trip: a quarter of the power for spreading, |V|² at the bed, the surface, absorption.
      const again = (share * Math.pow(reflection[sent]! * SURFACE_REFLECTION, m - 1)) / (m * m);
      const perM = 1 / m;
      for (let i = 0; i < perEcho; i++)
        behind[(from + i) % perEcho] = cumulative(
          power,
          row,
          binCount,
          perBin,
          ((from + i - perEcho) * step + lateBy) * perM,
        );
      let slot = from % perEcho;
      for (let j = from; j <= to; j++) {
        const once = (j * step + lateBy) * perM;
        const here = cumulative(power, row, binCount, perBin, once);
        const echo = here - behind[slot]!;
        behind[slot] = here;
        if (++slot === perEcho) slot = 0;
        if (echo <= 0) continue;
        if (m === 1) raw[j]! += again * echo;
        else {
          const b = once < bedReach ? absorbed[(once * perBin) | 0]! : 0;
          raw[j]! += again * echo * (m === 2 ? b : b * b);
        }
      }
    }
  }
}

/** Adds layers, silt and bubbles, each at its ping's shift and gain. */
function addVolume(ear: Ear, p: number, raw: Float64Array): void {
  const { step, echoM, samples, gathered } = ear;
  const { volume } = ear.geometry;
  const { max, min, floor } = Math;
  for (let k = 0; k < volume.length; k++) {
    const { shiftM, gain, fromM, toM } = volume[k]!;
    const part = gathered[k]!;
    const shift = shiftM[p]! / step;
    const g = gain[p]!;
    const whole = floor(shift);
    const rest = shift - whole;
    const from = max(0, floor(fromM / step + shift), whole + 1);
    const to = min(samples - 1, floor((toM + echoM) / step + shift), samples + whole - 1);
    for (let j = from; j <= to; j++) {
      const i = j - whole;
      raw[j]! += g * (part[i]! + (part[i - 1]! - part[i]!) * rest);
    }
  }
}

/** Spreads what was gathered over one echo as compression does. */
function compress(raw: Float64Array, { first, weight }: Kernel, out: Float64Array): void {
  out.fill(0);
  const samples = raw.length;
  const taps = weight.length;
  for (let j = 0; j < samples; j++) {
    const here = raw[j]!;
    if (here === 0) continue;
    for (let i = 0; i < taps; i++) {
      const at = j + first + i;
      if (at >= 0 && at < samples) out[at]! += here * weight[i]!;
    }
  }
}

/** Adds the points of ping p and of those sent before that arrive only now. */
function addPoints(
  ear: Ear,
  p: number,
  sourcePressure: number,
  envelope: Envelope,
  re: Float64Array,
  im: Float64Array,
): void {
  const { step, echoM, samples, farM, period, pingsLate } = ear;
  const { start, rangeM, re: pointRe, im: pointIm } = ear.geometry.points;
  const { table } = envelope;
  const before = envelope.before * echoM;
  const reachM = ((table.length - 2) / ENVELOPE_STEPS) * echoM;
  const perEnvelope = ENVELOPE_STEPS / echoM;
  const perStep = 1 / step;
  const { max, min, ceil, floor } = Math;
  for (let n = 0; n < pingsLate && n <= p; n++) {
    const lateBy = n * period;
    const end = start[p - n + 1]!;
    for (let k = start[p - n]!; k < end; k++) {
      const begin = rangeM[k]! - lateBy - before;
      if (begin > farM || begin + reachM < 0) continue;
      const first = max(0, ceil(begin * perStep));
      const last = min(samples - 1, floor((begin + reachM) * perStep));
      const x = sourcePressure * pointRe[k]!;
      const y = sourcePressure * pointIm[k]!;
      for (let j = first; j <= last; j++) {
        const at = (j * step - begin) * perEnvelope;
        const i = at | 0;
        const e = table[i]! + (table[i + 1]! - table[i]!) * (at - i);
        re[j]! += x * e;
        im[j]! += y * e;
      }
    }
  }
}

/** Lets bed and volume speckle drift on: `alike` of it stays, `fresh` is new. */
function addSpeckle(
  { re, im }: Speckle,
  at: number,
  alike: number,
  fresh: number,
  gRe: Float32Array,
  gIm: Float32Array,
): void {
  const mask = SPECKLE_MASK;
  const samples = gRe.length;
  for (let j = 0; j < samples; j++) {
    const s = (at + j) & mask;
    gRe[j] = alike * gRe[j]! + fresh * re[s]!;
    gIm[j] = alike * gIm[j]! + fresh * im[s]!;
  }
}

/** Fills a ping's samples with diffuse echoes as speckle of their power, and with noise and what the face rings. */
function hear(
  { re: tableRe, im: tableIm }: Speckle,
  at: number,
  heard: {
    gRe: Float32Array;
    gIm: Float32Array;
    diffuse: Float64Array;
    source: number;
    noise: number;
    ring: Float64Array;
    rings: number;
  },
  re: Float64Array,
  im: Float64Array,
): void {
  const { gRe, gIm, diffuse, source, noise, ring, rings } = heard;
  const mask = SPECKLE_MASK;
  const { sqrt } = Math;
  const still = sqrt(noise);
  const samples = re.length;
  for (let j = 0; j < samples; j++) {
    const q = (at + j) & mask;
    const loud = sqrt(source * diffuse[j]!);
    const hiss = j < rings ? sqrt(noise + ring[j]!) : still;
    re[j] = loud * gRe[j]! + hiss * tableRe[q]!;
    im[j] = loud * gIm[j]! + hiss * tableIm[q]!;
  }
}

/**
 * Sends the pulse and listens: each sample is the complex sum of the points within one pulse, of diffuse echoes (bed,
 * layers) as speckle of their expected power, and of noise; the face's ringing lies over the nearest range, and all is
 * held at the receiver's ceiling. Echoes later than a ping period, of the bed's multiples too, fall into the pings that
 * follow. Samples stand half a range resolution apart or closer, so that no echo falls between two.
 */
export function receive(
  geometry: EchoGeometry,
  track: Track,
  { budget, noiseDb, pingRate, farM, otherSounders, electrical }: Listening,
  random: Random,
): Heard {
  const { step, perEcho, echoM } = sampling(budget.resolutionM, farM);
  const samples = Math.floor(farM / step) + 1;
  const pings = geometry.pingCount;
  const levelDb = new Float32Array(pings * samples);
  const c = geometry.soundSpeedMps;
  const period = pingPeriodM(pingRate, c);
  const source = fromDb(budget.sourceLevelDb);
  const sourcePressure = Math.sqrt(source);
  const noisePower = noiseDb.map(fromDb);
  const restNoise = fromDb(budget.noiseLevelDb);
  const draws = random.fork('noise');
  const table = speckleTable(perEcho);
  const kernel = budget.pulse.kind === 'swept' ? compression(perEcho) : null;

  // The face rings on after its pulse has ended; while it sends, nothing is heard.
  const pulseM = (c * budget.pulse.durationS) / 2;
  const ringS = ringTime(budget.face.frequencyHz, budget.face.quality);
  const ring = Float64Array.from({ length: samples }, (_, j) =>
    fromDb(ringDown(budget.sourceLevelDb, ringS, (2 * Math.max(0, j * step - pulseM)) / c)),
  );
  // Beyond this it is lost in the quietest noise.
  const quietest = Math.min(...noisePower);
  let rings = 0;
  while (rings < samples && ring[rings]! > 1e-3 * quietest) rings++;
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
  const { binM, binCount, volume } = geometry;
  const envelope = envelopeTable(budget.pulse.kind);
  const share = budget.resolutionM / echoM;
  const ear: Ear = {
    step,
    perEcho,
    echoM,
    samples,
    farM,
    period,
    pingsLate: Math.min(MOST_PERIODS, Math.ceil((BED_ECHOES * binM * binCount) / period) + 1),
    share,
    geometry,
    absorbed: Float64Array.from({ length: binCount + 1 }, (_, b) =>
      fromDb(-2 * geometry.absorptionDbPerM * (b + 0.5) * binM),
    ),
    gathered: volume.map(({ power }) =>
      Float64Array.from(
        { length: samples + 1 },
        (_, j) =>
          share *
          (cumulativeAt(power, 0, binCount, 1 / binM, j * step) -
            cumulativeAt(power, 0, binCount, 1 / binM, (j - perEcho) * step)),
      ),
    ),
    behind: new Float64Array(perEcho),
  };
  // Where in its beat each other sounder is at time 0; the same for every face of the boat.
  const interference = otherSounders.map((_, k) => seededRandom(k + 1).uniform());
  const bursts = electrical
    ? burstAt(random.fork('electrical'), Math.ceil((track.timeS[pings - 1] ?? 0) / electrical.everyS) + 1)
    : null;
  const mask = SPECKLE_MASK;
  const { max, min, floor, ceil, sqrt, exp } = Math;

  for (let p = 0; p < pings; p++) {
    raw.fill(0);
    addBed(ear, p, raw);
    addVolume(ear, p, raw);
    // What is gathered holds all within an echo before a sample.
    if (kernel) compress(raw, kernel, diffuse);

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
    addSpeckle(table, speckleAt, alike, fresh, gRe, gIm);
    hear(table, noiseAt, { gRe, gIm, diffuse, source, noise, ring, rings }, re, im);
    addPoints(ear, p, sourcePressure, envelope, re, im);

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

    powersToDb(re, im, ceiling, levelDb, p * samples);
  }
  return { sampleStepM: step, sampleCount: samples, echoM, levelDb };
}
