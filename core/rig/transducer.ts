import { degToRad } from '@/core/units';
import { cone, directivityIndex, fan, type Beam } from './beam';

/** One face of a transducer as the user knows it: a beam at a frequency. */
export interface Face {
  /** Stable name, also the channel's in a recording: `cone-200`. */
  id: string;
  /** Plain words: `200 kHz narrow`. */
  label: string;
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
}

/** The two cones and the slice of a generic stern-mounted combination; the numbers are typical, not anyone's. */
export const GENERIC_FACES: readonly Face[] = [
  {
    id: 'cone-200',
    label: '200 kHz narrow',
    frequencyHz: 200e3,
    beam: cone(degToRad(20)),
    powerW: 300,
    efficiency: 0.5,
    quality: 20,
    pulseS: 1e-4,
  },
  {
    id: 'cone-83',
    label: '83 kHz wide',
    frequencyHz: 83e3,
    beam: cone(degToRad(60)),
    powerW: 300,
    efficiency: 0.5,
    quality: 12,
    pulseS: 1.5e-4,
  },
  {
    id: 'slice-455',
    label: '455 kHz slice',
    frequencyHz: 455e3,
    beam: fan(degToRad(1.6), degToRad(50)),
    powerW: 300,
    efficiency: 0.4,
    quality: 12,
    pulseS: 4e-5,
  },
];

/**
 * Source level on the axis, dB re 1 µPa at 1 m: 170.8 + 10 log P_acoustic + DI (Urick 1983).
 * @param powerW electrical power, above 0 @throws RangeError otherwise
 */
export function sourceLevel(face: Face, powerW = face.powerW): number {
  if (!(powerW > 0)) throw new RangeError(`source level: power must be above 0, got ${powerW} W`);
  if (!(face.efficiency > 0 && face.efficiency <= 1))
    throw new RangeError(`source level: efficiency must be above 0 and at most 1, got ${face.efficiency}`);
  return 170.8 + 10 * Math.log10(powerW * face.efficiency) + directivityIndex(face.beam);
}
