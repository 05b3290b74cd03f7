import { fromDb, seededRandom, toDb, type Random } from '@/core/maths';
import { straightWay, type Channel, type Stretch } from '@/core/recording';
import { cone, singlePulse } from '@/core/rig';
import { degToRad } from '@/core/units';

/**
 * Passes painted from statistics: no scatterer is traced, nothing is shared with the simulator. Noise is complex normal, fish are
 * hyperbolas under a bell of a beam, bait and weed are patches of speckle, the bed is an edge with a fading tail. A reader that has
 * learned one maker of pings is tried on this other one.
 */

/** A fish as painted: pings it is drawn in, its range and level over the mean noise there, dB. */
export interface PaintedFish {
  pings: readonly number[];
  rangeM: readonly number[];
  overDb: readonly number[];
}

export interface PaintedPatch {
  fromPing: number;
  toPing: number;
  topM: number;
  bottomM: number;
}

/** What was painted. */
export interface PaintedTruth {
  /** By ping, m, heave included as all ranges are. */
  bedRangeM: Float32Array;
  hard: boolean;
  fish: PaintedFish[];
  clouds: (PaintedPatch & { mood: 'calm' | 'hunted' })[];
  weed: PaintedPatch[];
  boulders: PaintedPatch[];
}

export interface PaintedPass {
  recording: Stretch;
  truth: PaintedTruth;
}

/** What is painted besides the bed; each drawn when left out. */
export interface PaintedParts {
  fish?: number;
  clouds?: number;
  weed?: number;
  boulders?: number;
  heaveM?: number;
  speedMps?: number;
  /** How far is listened, in depths; over 2 the second echo of the bed comes in. */
  farDepths?: number;
}

/** Usually too near for the second echo. */
const FAR_DEPTHS = 1.6;
const PINGS = 420;
/** Weaker than this nothing of a fish is painted, dB over the mean noise. */
const LEAST_OVER_DB = -6;

/** Complex pressure of a pass, and the shape of a pulse in samples. */
interface Canvas {
  re: Float32Array;
  im: Float32Array;
  pings: number;
  samples: number;
  stepM: number;
  envelope: readonly number[];
}

/** Adds one echo whose leading edge lies at a range: random phase, the pulse's shape. */
function addEcho(c: Canvas, ping: number, rangeM: number, overDb: number, random: Random): void {
  if (ping < 0 || ping >= c.pings || overDb < -12) return;
  const a = Math.sqrt(fromDb(overDb));
  const phase = random.between(0, 2 * Math.PI);
  const [x, y] = [a * Math.cos(phase), a * Math.sin(phase)];
  const first = Math.round(rangeM / c.stepM);
  c.envelope.forEach((e, k) => {
    const j = first + k;
    if (j < 0 || j >= c.samples) return;
    c.re[ping * c.samples + j]! += e * x;
    c.im[ping * c.samples + j]! += e * y;
  });
}

/** Adds speckle of a mean level to a sample. */
function addSpeckle(c: Canvas, ping: number, sample: number, overDb: number, random: Random): void {
  if (sample < 0 || sample >= c.samples || ping < 0 || ping >= c.pings) return;
  const a = Math.sqrt(fromDb(overDb) / 2);
  c.re[ping * c.samples + sample]! += a * random.normal();
  c.im[ping * c.samples + sample]! += a * random.normal();
}

/** Pulse shapes: a box, a bell, a fast rise with a tail. */
function envelopeOf(samples: number, random: Random): number[] {
  const kind = random.integer(3);
  const count = Math.max(2, samples);
  if (kind === 0) return Array.from({ length: count }, () => 1);
  if (kind === 1)
    return Array.from({ length: count + 2 }, (_, k) => Math.sin((Math.PI * (k + 1)) / (count + 3)) ** 2);
  return Array.from({ length: 2 * count }, (_, k) => (k === 0 ? 0.7 : Math.exp(-(k - 1) / (0.6 * count))));
}

/** A pass of its own for every seed. */
export function paintedPass(seed: number, parts: PaintedParts = {}): PaintedPass {
  const random = seededRandom(seed).fork('painted');
  const depthM = random.between(5, 26);
  const speedMps = parts.speedMps ?? random.between(0.8, 2.2);
  const pingRate = Math.min(14, 500 / depthM);
  const stepM = random.between(0.02, 0.05);
  const pulseM = random.between(0.07, 0.16);
  const beamDeg = random.between(10, 38);
  const samples = Math.ceil(((parts.farDepths ?? FAR_DEPTHS) * depthM) / stepM);
  const canvas: Canvas = {
    re: new Float32Array(PINGS * samples),
    im: new Float32Array(PINGS * samples),
    pings: PINGS,
    samples,
    stepM,
    envelope: envelopeOf(Math.round(pulseM / stepM), random),
  };
  for (let i = 0; i < canvas.re.length; i++) {
    canvas.re[i] = Math.SQRT1_2 * random.normal();
    canvas.im[i] = Math.SQRT1_2 * random.normal();
  }
  const heaveM = parts.heaveM ?? random.between(0, 0.08);
  const [periodS, phase] = [random.between(2.4, 5), random.between(0, 6)];
  const heave = (p: number): number => heaveM * Math.sin((2 * Math.PI * p) / pingRate / periodS + phase);
  const slope = random.between(-0.12, 0.12) * depthM;
  const wave = random.between(0.005, 0.02) * depthM;
  const wavePings = random.between(90, 260);
  const bedAt = (p: number): number =>
    depthM + slope * (p / PINGS - 0.5) + wave * Math.sin((2 * Math.PI * p) / wavePings + phase);
  /** Pings a range's cone takes to pass, either side. */
  const metresAPing = speedMps / pingRate;

  const truth: PaintedTruth = {
    bedRangeM: Float32Array.from({ length: PINGS }, (_, p) => bedAt(p) + heave(p)),
    hard: random.uniform() < 0.5,
    fish: [],
    clouds: [],
    weed: [],
    boulders: [],
  };

  const bedDb = truth.hard ? random.between(44, 58) : random.between(26, 38);
  const fades = truth.hard ? random.between(9, 16) : random.between(6, 11);
  const secondDb = bedDb - (truth.hard ? random.between(12, 18) : random.between(26, 34));
  const boulder = new Float32Array(PINGS);
  for (let k = 0; k < (parts.boulders ?? 0); k++) {
    const at = Math.round(((k + 0.5) / parts.boulders!) * PINGS);
    const tall = random.between(0.6, 1.2);
    const half = Math.max(6, Math.round(random.between(0.6, 1.4) / metresAPing));
    for (let p = Math.max(0, at - 2 * half); p < Math.min(PINGS, at + 2 * half); p++)
      boulder[p] = Math.max(boulder[p]!, tall * Math.max(0, 1 - ((p - at) / half) ** 2));
    const foot = bedAt(at);
    truth.boulders.push({ fromPing: at - half, toPing: at + half, topM: foot - tall, bottomM: foot });
  }
  for (let p = 0; p < PINGS; p++)
    for (const [times, db] of [
      [1, bedDb],
      [2, secondDb],
    ] as const) {
      const edge = times * (bedAt(p) + heave(p)) - (times === 1 ? boulder[p]! : 0);
      const lift = random.normal();
      for (let j = Math.ceil(edge / stepM); j < samples; j++) {
        const under = j * stepM - edge;
        const level = db + 1.5 * lift - fades * Math.max(0, under - pulseM);
        if (level < -10) break;
        addSpeckle(canvas, p, j, level, random);
      }
    }

  for (let k = 0; k < (parts.weed ?? 0); k++) {
    const from = Math.round(random.between(0.05, 0.5) * PINGS);
    const to = Math.min(PINGS - 1, from + Math.round(random.between(6, 16) / metresAPing));
    const tall = random.between(0.5, 1.4);
    const db = bedDb - random.between(14, 24);
    truth.weed.push({
      fromPing: from,
      toPing: to,
      topM: bedAt((from + to) / 2) - tall,
      bottomM: bedAt((from + to) / 2),
    });
    let height = tall;
    for (let p = from; p <= to; p++) {
      height = Math.min(1.2 * tall, Math.max(0.5 * tall, height + 0.06 * random.normal()));
      const bed = bedAt(p) + heave(p);
      for (let j = Math.ceil((bed - height) / stepM); j * stepM < bed; j++)
        if (random.uniform() < 0.8) addSpeckle(canvas, p, j, db + 3 * random.normal(), random);
    }
  }

  const beamRad = degToRad(beamDeg);
  const lobes = random.uniform() < 0.5;
  /** Two-way loss at an angle, dB: a bell, or one with a first side lobe. */
  const lossDb = (angle: number): number => {
    const bell = 6 * (angle / (beamRad / 2)) ** 2;
    return lobes ? Math.min(bell, 30 + 0.2 * bell) : bell;
  };
  const addFish = (at: number, depth: number, peakDb: number, asideM: number): void => {
    const pings: number[] = [];
    const ranges: number[] = [];
    const levels: number[] = [];
    const drift = random.between(-0.3, 0.3) * metresAPing;
    let flicker = random.normal();
    for (let p = 0; p < PINGS; p++) {
      const along = (p - at) * (metresAPing + drift);
      const range = Math.hypot(depth, asideM, along);
      const loss = lossDb(Math.atan2(Math.hypot(asideM, along), depth));
      flicker = 0.7 * flicker + Math.sqrt(1 - 0.49) * random.normal();
      const over = peakDb - loss + 2.2 * flicker - 40 * Math.log10(range / depth);
      if (over < LEAST_OVER_DB) continue;
      addEcho(canvas, p, range + heave(p), over, random);
      pings.push(p);
      ranges.push(range + heave(p));
      levels.push(over);
    }
    if (pings.length > 0) truth.fish.push({ pings, rangeM: ranges, overDb: levels });
  };

  const clouds = parts.clouds ?? (random.uniform() < 0.4 ? 1 : 0);
  const kept: PaintedPatch[] = [];
  for (let k = 0; k < clouds; k++) {
    const mood = random.uniform() < 0.5 ? 'calm' : 'hunted';
    const radius = random.between(0.5, 1.1);
    const halfHeight = mood === 'calm' ? radius : 0.6 * radius;
    const middleM = random.between(0.3, 0.65) * depthM;
    // The beam draws it longer by its footprint.
    const footprint = middleM * Math.tan(beamRad / 2) * 1.1;
    const halfWay = (mood === 'calm' ? radius : random.between(2.4, 3.6) * radius) + footprint;
    const half = Math.max(6, halfWay / metresAPing);
    const at = Math.round(((k + random.between(0.35, 0.65)) / clouds) * PINGS);
    const db = random.between(13, 24);
    const holes =
      mood === 'hunted'
        ? Array.from(
            { length: 5 },
            () => [random.between(-0.8, 0.8), random.between(-0.7, 0.7), random.between(0.14, 0.26)] as const,
          )
        : [];
    for (let p = Math.ceil(at - half); p <= at + half; p++) {
      if (p < 0 || p >= PINGS) continue;
      const u = (p - at) / half;
      const edge = mood === 'hunted' ? 1 + 0.35 * Math.sin(9 * u + phase) : 1;
      const tall = halfHeight * Math.sqrt(Math.max(0, 1 - u * u)) * edge;
      for (
        let j = Math.ceil((middleM - tall + heave(p)) / stepM);
        j * stepM < middleM + tall + heave(p);
        j++
      ) {
        const w = (j * stepM - heave(p) - middleM) / halfHeight;
        if (holes.some(([a, b, r]) => Math.hypot(u - a, 0.6 * (w - b)) < r)) continue;
        addSpeckle(canvas, p, j, db - 4 * u * u, random);
      }
    }
    const patch = {
      fromPing: Math.max(0, Math.ceil(at - half)),
      toPing: Math.min(PINGS - 1, Math.floor(at + half)),
      topM: middleM - halfHeight,
      bottomM: middleM + halfHeight,
    };
    kept.push(patch);
    truth.clouds.push({ ...patch, mood });
    if (mood === 'hunted')
      for (let h = 0; h < 2; h++)
        addFish(
          at + random.between(-0.9, 0.9) * half,
          middleM + halfHeight + random.between(0.5, 1.2),
          db + 9,
          0,
        );
  }

  const count = parts.fish ?? 6;
  for (let k = 0; k < count; k++) {
    const at = Math.round(((k + 0.5 + 0.3 * (random.uniform() - 0.5)) / count) * PINGS);
    const depth = random.between(1.8, 0.85 * Math.min(bedAt(at), depthM));
    const near = kept.some(
      (c) => at > c.fromPing - 40 && at < c.toPing + 40 && depth > c.topM - 1.5 && depth < c.bottomM + 1.5,
    );
    if (near) continue;
    addFish(at, depth, random.between(6, 32), random.between(-1, 1) * 0.7 * depth * Math.tan(beamRad / 2));
  }

  const offset = random.between(20, 90);
  const channel: Channel = {
    id: 'painted',
    label: 'painted',
    frequencyHz: random.between(80e3, 200e3),
    beam: cone(beamRad),
    pulse: singlePulse((2 * pulseM) / 1480, 200e3, 20),
    resolutionM: pulseM,
    soundSpeedMps: 1480,
    firstRangeM: 0,
    sampleStepM: stepM,
    pingCount: PINGS,
    sampleCount: samples,
    levelDb: Float32Array.from(canvas.re, (x, i) => offset + toDb(x * x + canvas.im[i]! ** 2 + 1e-9)),
    calibration: null,
  };
  const timeS = Float64Array.from({ length: PINGS }, (_, p) => p / pingRate);
  return {
    truth,
    recording: {
      title: 'painted',
      pingRate,
      origin: { latitudeDeg: 0, longitudeDeg: 0 },
      navigation: straightWay(timeS, speedMps),
      channels: [channel],
    },
  };
}
