import { toDb } from '@/core/maths';
import { degToRad } from '@/core/units';
import { cone, directivityIndex, fan, LINE_HALF_POWER, pistonKa, PISTON_HALF_POWER, type Beam } from './beam';
import { LEAST_COMPRESSION, singlePulse, sweptPulse, type Pulse } from './pulse';

/** One face of a transducer as the user knows it: a beam at a frequency. */
export interface Face {
  /** Stable name, also the channel's in a recording: `cone-200`. */
  id: string;
  /** Plain words: `200 kHz narrow`. */
  label: string;
  /** Of a swept pulse the middle. */
  frequencyHz: number;
  beam: Beam;
  /** Electrical power, W. */
  powerW: number;
  /** Electrical to acoustic, 0…1. */
  efficiency: number;
  /** Quality factor; a cheap face rings at 20 or more. */
  quality: number;
  /** Pulse length the user's unit sends, s. */
  pulseS: number;
  /** Swept width, Hz; 0 for a single frequency. */
  sweepHz: number;
}

/** What a face sends; a sweep too narrow to be compressed is a single frequency. @throws RangeError for a pulse of no length */
export const facePulse = (face: Face): Pulse =>
  face.sweepHz * face.pulseS >= LEAST_COMPRESSION
    ? sweptPulse(face.pulseS, face.sweepHz)
    : singlePulse(face.pulseS, face.frequencyHz, face.quality);

/**
 * The same face driven at another frequency: its cone follows, as the size of a piston or line in wavelengths does.
 * @throws RangeError when the beam would be wider than 120°
 */
export function faceAt(face: Face, frequencyHz: number): Face {
  const turned = (width: number, half: number): number => {
    const size = (half / Math.sin(width / 2)) * (frequencyHz / face.frequencyHz);
    const sin = half / size;
    if (!(sin <= Math.sin(degToRad(60))))
      throw new RangeError(`beam: at ${frequencyHz / 1000} kHz ${face.label} would be wider than 120°`);
    return 2 * Math.asin(sin);
  };
  const beam =
    face.beam.shape === 'cone'
      ? cone(turned(face.beam.alongRad, PISTON_HALF_POWER))
      : fan(turned(face.beam.alongRad, LINE_HALF_POWER), turned(face.beam.athwartRad, LINE_HALF_POWER));
  const kilohertz = Math.round(frequencyHz / 1000);
  return {
    ...face,
    id: `${face.id.replace(/-\d+$/, '')}-${kilohertz}`,
    label: face.label.replace(/^\d+ kHz/, `${kilohertz} kHz`),
    frequencyHz,
    beam,
  };
}

/** Diameter of the piston behind a cone, m, at a sound speed. */
export const pistonDiameter = (face: Face, soundSpeedMps: number): number =>
  (pistonKa(face.beam.alongRad) * soundSpeedMps) / (Math.PI * face.frequencyHz);

/**
 * Source level on the axis, dB re 1 µPa at 1 m: 170.8 + 10 log P_acoustic + DI (Urick 1983).
 * @param powerW electrical power, above 0 @throws RangeError otherwise
 */
export function sourceLevel(face: Face, powerW = face.powerW): number {
  if (!(powerW > 0)) throw new RangeError(`source level: power must be above 0, got ${powerW} W`);
  if (!(face.efficiency > 0 && face.efficiency <= 1))
    throw new RangeError(`source level: efficiency must be above 0 and at most 1, got ${face.efficiency}`);
  return 170.8 + toDb(powerW * face.efficiency) + directivityIndex(face.beam);
}
