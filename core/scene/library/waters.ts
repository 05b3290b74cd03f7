import type { Position, Random } from '@/core/maths';
import type { BedMaterial, Water } from '@/core/water';
import { layBed, type BedField } from '../bedField';

/** The invented waters. They lie in open ocean, so that nobody steers by them. */
export type WaterName = 'Vessmere' | 'Corrie Sound' | 'The Tolls';

export const WATERS: Record<WaterName, { water: Water; origin: Position }> = {
  /** A glacial lake, 34 m deep, stained, with a thermocline near 9 m in late summer. */
  Vessmere: {
    water: { temperatureC: 17, salinity: 0, thermoclineM: 9, windMps: 3 },
    origin: { latitudeDeg: -47.3, longitudeDeg: -124.9 },
  },
  /** An estuary with current and salt water under fresh. */
  'Corrie Sound': {
    water: { temperatureC: 12, salinity: 24, thermoclineM: 4, windMps: 4 },
    origin: { latitudeDeg: -48.6, longitudeDeg: -121.2 },
  },
  /** An offshore bank, 60–180 m. */
  'The Tolls': {
    water: { temperatureC: 10, salinity: 35, thermoclineM: null, windMps: 5 },
    origin: { latitudeDeg: -49.9, longitudeDeg: -118.4 },
  },
};

export type Ground = (x: number, y: number) => number;

/** 0 before `at`, 1 beyond `at + width`, smooth between. */
export const step = (x: number, at: number, width: number): number => {
  const u = Math.min(1, Math.max(0, (x - at) / width));
  return u * u * (3 - 2 * u);
};

/** A bell of height 1 at 0, to 1/e at ±1. */
export const bell = (u: number): number => Math.exp(-u * u);

/** Uneven ground of three crossing swells: `amplitudeM` in all, about `lengthM` long. */
export function swells(random: Random, amplitudeM: number, lengthM: number): Ground {
  const waves = Array.from({ length: 3 }, (_, k) => {
    const length = (lengthM * random.between(0.7, 1.4)) / (1 + 0.8 * k);
    const angle = random.between(-0.9, 0.9);
    return {
      a: (amplitudeM * 0.5) / (k + 1),
      kx: ((2 * Math.PI) / length) * Math.cos(angle),
      ky: ((2 * Math.PI) / length) * Math.sin(angle),
      phase: random.between(0, 2 * Math.PI),
    };
  });
  return (x, y) => {
    let sum = 0;
    for (const w of waves) sum += w.a * Math.sin(w.kx * x + w.ky * y + w.phase);
    return sum;
  };
}

/** Lays the bed under a way of `wayM` along x, as far to all sides as an echo can come from. */
export function groundUnder(
  wayM: number,
  deepestM: number,
  depthAt: Ground,
  materialAt: (x: number, y: number) => BedMaterial,
): BedField {
  const reach = 1.3 * deepestM + 12;
  return layBed(
    {
      originXM: -reach,
      originYM: -reach,
      widthM: wayM + 2 * reach,
      heightM: 2 * reach,
      cellM: Math.max(0.4, deepestM / 36),
    },
    depthAt,
    materialAt,
  );
}

/** Where one kind of ground gives way to another: a ragged edge some metres deep, to be added to x. */
export function raggedEdge(random: Random, depthM = 5): Ground {
  const coarse = swells(random, depthM, 9);
  const fine = swells(random, 0.6 * depthM, 2.3);
  return (x, y) => x + coarse(x, y) + fine(x, y);
}
