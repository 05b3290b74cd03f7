import { degToRad } from '@/core/units';
import { cone, fan } from './beam';
import type { Rig } from './rig';
import type { Face } from './transducer';

/** A transducer of a common kind. The numbers are typical of the kind, not anyone's. */
export interface Transducer {
  id: string;
  /** Plain descriptive words. */
  label: string;
  /** Where it is meant to be used. */
  use: string;
  faces: readonly Face[];
}

/** A round face of `degrees` at `kHz`. */
const round = (
  kHz: number,
  degrees: number,
  word: string,
  more: Pick<Face, 'powerW' | 'quality' | 'pulseS'> & Partial<Face>,
): Face => ({
  id: `cone-${kHz}`,
  label: `${kHz} kHz ${word}`,
  frequencyHz: kHz * 1000,
  beam: cone(degToRad(degrees)),
  efficiency: 0.5,
  sweepHz: 0,
  ...more,
});

/** An imaging face: a fan `along` by `athwart` degrees. */
const slice = (kHz: number, along: number, athwart: number, more: Partial<Face> = {}): Face => ({
  id: `slice-${kHz}`,
  label: `${kHz} kHz slice`,
  frequencyHz: kHz * 1000,
  beam: fan(degToRad(along), degToRad(athwart)),
  powerW: 300,
  efficiency: 0.4,
  quality: 12,
  pulseS: 4e-5,
  sweepHz: 0,
  ...more,
});

/** A swept round face: the sweep is given low to high. */
const swept = (low: number, high: number, degrees: number, word: string, powerW: number): Face => ({
  ...round((low + high) / 2, degrees, word, { powerW, quality: 4, pulseS: 1e-3 }),
  id: `swept-${low}-${high}`,
  label: `${low}–${high} kHz ${word}`,
  sweepHz: (high - low) * 1000,
});

export const TRANSDUCERS: readonly Transducer[] = [
  {
    id: 'offshore-50-200',
    label: '50/200 kHz, two round faces',
    use: 'sea, to a few hundred metres',
    faces: [
      round(50, 45, 'wide', { powerW: 600, quality: 12, pulseS: 4e-4 }),
      round(200, 12, 'narrow, sea', { id: 'cone-200-sea', powerW: 600, quality: 20, pulseS: 1.5e-4 }),
    ],
  },
  {
    id: 'twin-83-200',
    label: '83/200 kHz, wide and narrow cone',
    use: 'lakes and rivers',
    faces: [
      round(200, 20, 'narrow', { powerW: 300, quality: 20, pulseS: 1e-4 }),
      round(83, 60, 'wide', { powerW: 300, quality: 12, pulseS: 1.5e-4 }),
    ],
  },
  {
    id: 'shallow-wide-200',
    label: '200 kHz, one wide cone',
    use: 'shallow water',
    faces: [round(200, 40, 'wide', { id: 'cone-200-wide', powerW: 200, quality: 20, pulseS: 1e-4 })],
  },
  {
    id: 'deep-narrow-200',
    label: '200 kHz, one narrow cone',
    use: 'vertical fishing and deep lakes',
    faces: [round(200, 9, 'deep', { id: 'cone-200-deep', powerW: 600, quality: 20, pulseS: 1e-4 })],
  },
  {
    id: 'swept-low',
    label: 'swept low, 28–60 kHz',
    use: 'deep sea',
    faces: [swept(28, 60, 30, 'swept', 1000)],
  },
  {
    id: 'swept-mid',
    label: 'swept middle, 80–160 kHz',
    use: 'lakes and coast',
    faces: [swept(80, 160, 22, 'swept', 500)],
  },
  {
    id: 'swept-high',
    label: 'swept high, 150–240 kHz',
    use: 'shallow lakes, fish close together',
    faces: [swept(150, 240, 16, 'swept', 500)],
  },
  {
    id: 'imaging',
    label: 'imaging slice, 455/800/1200 kHz',
    use: 'cover and structure',
    faces: [
      slice(455, 1.6, 50),
      slice(800, 1, 32, { pulseS: 3e-5 }),
      slice(1200, 0.8, 25, { pulseS: 2.5e-5 }),
    ],
  },
  {
    id: 'towed-puck',
    label: '200 kHz puck, cast or towed',
    use: 'from the bank, a kayak, through the ice',
    faces: [round(200, 24, 'puck', { id: 'cone-200-puck', powerW: 60, quality: 25, pulseS: 1.5e-4 })],
  },
];

/** The transducers a rig has a face of, in the order of its faces. */
export const transducersOf = ({ faces }: Pick<Rig, 'faces'>): Transducer[] => [
  ...new Set(faces.flatMap((face) => TRANSDUCERS.filter((t) => t.faces.some((own) => own.id === face.id)))),
];

/** The transducer of an id. @throws RangeError when there is none */
export function transducerOf(id: string): Transducer {
  const transducer = TRANSDUCERS.find((t) => t.id === id);
  if (!transducer) throw new RangeError(`rig: no transducer named ${id}`);
  return transducer;
}
