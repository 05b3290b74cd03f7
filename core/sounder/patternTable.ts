import { linePattern, pistonKa, pistonPattern, type Beam } from '@/core/rig';

/** Entries of a table over the squared direction cosine 0…1. */
const SIZE = 4096;

/**
 * A beam by table: quick enough for every scatterer of every ping. Its values are one-way power ratios, which are two-way
 * pressure ratios.
 */
export interface PatternTable {
  /** A round beam has one table over the sum of both squared cosines; a fan one for each. */
  round: boolean;
  along: Float32Array;
  athwart: Float32Array;
  /** Entries per squared cosine fore and aft and athwart, and the squared cosine where the table along ends. */
  perAlong: number;
  perAthwart: number;
  span: number;
  /** The ratio towards a direction. @param along2, @param athwart2 squared direction cosines in the beam's frame */
  pressure(along2: number, athwart2: number): number;
}

function tableOf(oneWay: (sin: number) => number): Float32Array {
  const table = new Float32Array(SIZE + 2);
  for (let i = 0; i <= SIZE; i++) table[i] = oneWay(Math.sqrt(i / SIZE));
  table[SIZE + 1] = table[SIZE]!;
  return table;
}

function look(table: Float32Array, at: number): number {
  const i = at | 0;
  const low = table[i]!;
  return low + (table[i + 1]! - low) * (at - i);
}

/** The table of a beam. Linear between 4,096 entries: within 0.05 dB down to the first null of any beam of 5° or more. */
export function patternTable(beam: Beam): PatternTable {
  const athwart2 = (w2: number): number => (w2 < 1 ? w2 : 1) * SIZE;
  if (beam.shape === 'cone') {
    const ka = pistonKa(beam.alongRad);
    const table = tableOf((sin) => pistonPattern(ka, sin));
    return {
      round: true,
      along: table,
      athwart: table,
      perAlong: SIZE,
      perAthwart: SIZE,
      span: 1,
      pressure: (u2, w2) => look(table, athwart2(u2 + w2)),
    };
  }
  // A fan is a degree or so wide: its table covers only ten half widths, which keeps the lobe finely cut.
  const span = Math.min(1, (10 * Math.sin(beam.alongRad / 2)) ** 2);
  const along = tableOf((s) => linePattern(beam.alongRad, s * Math.sqrt(span)));
  const athwart = tableOf((s) => linePattern(beam.athwartRad, s));
  const perAlong = SIZE / span;
  return {
    round: false,
    along,
    athwart,
    perAlong,
    perAthwart: SIZE,
    span,
    pressure: (u2, w2) => (u2 >= span ? 0 : look(along, u2 * perAlong) * look(athwart, athwart2(w2))),
  };
}

/** Angle off the vertical beyond which nothing is traced; patterns of real faces are unknown out there. */
export const STEEPEST_RAD = (70 * Math.PI) / 180;

/** How far fore and aft a beam answers, as the tangent of the angle off the axis. */
export const reachAlong = (beam: Beam): number =>
  Math.tan(beam.shape === 'fan' ? Math.min(STEEPEST_RAD, 4 * beam.alongRad) : STEEPEST_RAD);
