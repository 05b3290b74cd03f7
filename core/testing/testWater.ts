import { toDb } from '@/core/maths';
import { GENERIC_RIG, faceOf, type Face, type Rig } from '@/core/rig';
import { emptyScene, layBed, type Scene, type Track } from '@/core/scene';
import type { Channel } from '@/core/recording';
import type { BedMaterial } from '@/core/water';
import { simulate } from '@/core/sounder/simulate';

/** What the tests of this folder share: plain water, a quiet rig, and ways to measure levels. */

export const water = { temperatureC: 17, salinity: 0, thermoclineM: null, windMps: 0 };
export const cone200 = faceOf(GENERIC_RIG, 'cone-200');
/** A rig as quiet as the bench allows, so that an echo's own level can be measured. */
export const quiet: Rig = { ...GENERIC_RIG, excessNoiseDb: -20 };

/** A level boat on a straight way through 0, 0 at time `zeroS`. */
export function straight(pings: number, pingRate = 5, speedMps = 0, zeroS = 0): Track {
  const row = (): Float32Array => new Float32Array(pings);
  return {
    timeS: Float64Array.from({ length: pings }, (_, i) => i / pingRate),
    xM: Float64Array.from({ length: pings }, (_, i) => (i / pingRate - zeroS) * speedMps),
    yM: new Float64Array(pings),
    heaveM: row(),
    speedMps: row().fill(speedMps),
    headingRad: row(),
    pitchRad: row(),
    rollRad: row(),
    engine: new Uint8Array(pings),
  };
}

export function sceneOf(part: Partial<Scene>, depthM = 60, material: BedMaterial = 'gravel'): Scene {
  return {
    ...emptyScene({
      id: 'test',
      title: 'test',
      teaches: '',
      water,
      origin: { latitudeDeg: 0, longitudeDeg: 0 },
      bed: layBed(
        { originXM: -100, originYM: -100, widthM: 300, heightM: 200, cellM: 2 },
        () => depthM,
        () => material,
      ),
    }),
    backgroundSvDb: -120,
    ...part,
  };
}

/** Depth of a bed out of all hearing, its late echoes too, m. */
export const NO_BED = 1400;

/** A bed that falls to port by `slopeRad`, `depthM` deep under a way along x. */
export const slopingBed = (depthM: number, slopeRad: number) =>
  layBed(
    { originXM: -60, originYM: -60, widthM: 240, heightM: 120, cellM: 1 },
    (_x, y) => Math.max(0.5, depthM + y * Math.tan(slopeRad)),
    () => 'gravel',
  );

export const sound = (
  scene: Scene,
  face: Face,
  track: Track,
  farM: number,
  rig = quiet,
  pingRate = 5,
  more: { power?: 'full' | 'low' } = {},
): Channel => simulate({ scene, track, rig, faces: [face], pingRate, farM, seed: 5, ...more }).channels[0]!;

export const powerAt = (channel: Channel, ping: number, sample: number): number =>
  10 ** (channel.levelDb[ping * channel.sampleCount + sample]! / 10);

/** Mean power by sample over all pings. */
export function meanPower(channel: Channel): Float64Array {
  const mean = new Float64Array(channel.sampleCount);
  for (let p = 0; p < channel.pingCount; p++)
    for (let j = 0; j < mean.length; j++) mean[j]! += powerAt(channel, p, j) / channel.pingCount;
  return mean;
}

/** Mean power of a window of ranges over all pings, dB. */
export function meanDb(channel: Channel, fromM: number, toM: number): number {
  const mean = meanPower(channel);
  let sum = 0;
  let count = 0;
  for (let j = Math.ceil(fromM / channel.sampleStepM); j * channel.sampleStepM < toM; j++) {
    sum += mean[j]!;
    count++;
  }
  return toDb(sum / count);
}

/** Strongest level of a ping in a window of ranges, dB, and where it is, m. */
export function peakOf(
  channel: Channel,
  ping: number,
  fromM: number,
  toM: number,
): { db: number; rangeM: number } {
  let db = -Infinity;
  let rangeM = NaN;
  for (let j = Math.ceil(fromM / channel.sampleStepM); j * channel.sampleStepM < toM; j++) {
    const level = channel.levelDb[ping * channel.sampleCount + j]!;
    if (level > db) {
      db = level;
      rangeM = j * channel.sampleStepM;
    }
  }
  return { db, rangeM };
}

/** Where a ping's echo within a window first comes within 6 dB of its peak, m, between samples by level. */
export function leadingEdge(channel: Channel, ping: number, fromM: number, toM: number): number {
  const peak = peakOf(channel, ping, fromM, toM);
  const row = ping * channel.sampleCount;
  let j = Math.round(peak.rangeM / channel.sampleStepM);
  while (j > 0 && channel.levelDb[row + j - 1]! >= peak.db - 6) j--;
  const above = channel.levelDb[row + j - 1]!;
  const here = channel.levelDb[row + j]!;
  return (j - (here - (peak.db - 6)) / (here - above)) * channel.sampleStepM;
}

/** Coefficient of variation. */
export function variation(values: readonly number[]): number {
  const mean = values.reduce((a, b) => a + b) / values.length;
  const variance = values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length;
  return Math.sqrt(variance) / mean;
}
