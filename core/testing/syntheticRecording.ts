import { fromDb, isGap, seededRandom, toDb } from '@/core/maths';
import { straightWay, type Channel, type Stretch } from '@/core/recording';
import { cone, singlePulse, type Beam } from '@/core/rig';
import { degToRad } from '@/core/units';

/** Water drawn by hand for tests: rows of levels that no simulator had a part in. */
export interface HandMade {
  pings?: number;
  samples?: number;
  stepM?: number;
  pulseM?: number;
  pingRate?: number;
  speedMps?: number;
  seed?: number;
  beam?: Beam;
  /** Range of the bed by ping, m; NaN for none. */
  bedAt?: (ping: number) => number;
  /** Levels added to all, dB. */
  offsetDb?: number;
  /** Paints echoes over noise and bed. */
  paint?: (put: Put) => void;
}

/** Puts one echo a pulse long at a range of a ping, dB over the mean noise. */
export type Put = (ping: number, rangeM: number, overDb: number) => void;

/** How the bed answers: dB over noise at its edge, and how fast it fades under it, dB a metre. */
const BED_DB = 45;
const BED_FADES_DB = 12;

/** Noise of exponential intensity, a bed, and what a test paints. */
export function syntheticRecording({
  pings = 300,
  samples = 300,
  stepM = 0.04,
  pulseM = 0.08,
  pingRate = 10,
  speedMps = 1.5,
  seed = 1,
  beam = cone(degToRad(20)),
  bedAt = () => 10,
  offsetDb = 60,
  paint = () => undefined,
}: HandMade = {}): { recording: Stretch; channel: Channel } {
  const random = seededRandom(seed);
  const power = Float64Array.from({ length: pings * samples }, () => -Math.log(1 - random.uniform()));
  const put: Put = (ping, rangeM, overDb) => {
    if (ping < 0 || ping >= pings) return;
    const first = Math.round(rangeM / stepM);
    for (let j = first; j < first + Math.round(pulseM / stepM) && j < samples; j++)
      if (j >= 0) power[ping * samples + j]! += fromDb(overDb);
  };
  for (let p = 0; p < pings; p++) {
    const bed = bedAt(p);
    if (isGap(bed)) continue;
    for (let j = Math.ceil(bed / stepM); j < samples; j++) {
      const over = BED_DB - BED_FADES_DB * (j * stepM - bed);
      if (over > -10) power[p * samples + j]! += fromDb(over) * -Math.log(1 - random.uniform());
    }
  }
  paint(put);
  const channel: Channel = {
    id: 'hand',
    label: 'hand',
    frequencyHz: 200e3,
    beam,
    pulse: singlePulse((2 * pulseM) / 1480, 200e3, 20),
    resolutionM: pulseM,
    soundSpeedMps: 1480,
    firstRangeM: 0,
    sampleStepM: stepM,
    pingCount: pings,
    sampleCount: samples,
    levelDb: Float32Array.from(power, (x) => offsetDb + toDb(x)),
    calibration: null,
  };
  const timeS = Float64Array.from({ length: pings }, (_, p) => p / pingRate);
  const recording: Stretch = {
    title: 'hand',
    pingRate,
    origin: { latitudeDeg: 0, longitudeDeg: 0 },
    navigation: straightWay(timeS, speedMps),
    channels: [channel],
  };
  return { recording, channel };
}

/** A point passed at a ping, nearest so far off: as loud as told there, fading to nothing at `reach` pings to either side. */
export function passed(
  put: Put,
  atPing: number,
  nearestM: number,
  { overDb = 25, reach = 15, metresAPing = 0.15, from = -Infinity, to = Infinity } = {},
): void {
  for (let p = atPing - reach; p <= atPing + reach; p++) {
    if (p < from || p > to) continue;
    const away = (p - atPing) * metresAPing;
    put(p, Math.hypot(nearestM, away), overDb - 10 * ((p - atPing) / reach) ** 2);
  }
}
