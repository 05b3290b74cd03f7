import { linePattern, pistonKa, pistonPattern, type Beam } from '@/core/rig';

/** Entries of a table over the squared direction cosine 0…1. */
const SIZE = 4096;

/** A beam by table: quick enough for every scatterer of every ping. */
export interface PatternTable {
  /**
   * Two-way pressure ratio, which is the one-way power ratio.
   * @param along2, @param athwart2 squared direction cosines in the beam's frame
   */
  pressure(along2: number, athwart2: number): number;
}

function tableOf(oneWay: (sin: number) => number): Float32Array {
  const table = new Float32Array(SIZE + 2);
  for (let i = 0; i <= SIZE; i++) table[i] = oneWay(Math.sqrt(i / SIZE));
  table[SIZE + 1] = table[SIZE]!;
  return table;
}

function look(table: Float32Array, sin2: number): number {
  const at = (sin2 < 1 ? sin2 : 1) * SIZE;
  const i = at | 0;
  const low = table[i]!;
  return low + (table[i + 1]! - low) * (at - i);
}

/** The table of a beam. Linear between 4,096 entries: within 0.05 dB down to the first null of any beam of 5° or more. */
export function patternTable(beam: Beam): PatternTable {
  if (beam.shape === 'cone') {
    const ka = pistonKa(beam.alongRad);
    const table = tableOf((sin) => pistonPattern(ka, sin));
    return { pressure: (along2, athwart2) => look(table, along2 + athwart2) };
  }
  // A fan is a degree or so wide: its table covers only ten half widths, which keeps the lobe finely cut.
  const span = Math.min(1, (10 * Math.sin(beam.alongRad / 2)) ** 2);
  const along = tableOf((s) => linePattern(beam.alongRad, s * Math.sqrt(span)));
  const athwart = tableOf((s) => linePattern(beam.athwartRad, s));
  const scale = 1 / span;
  return {
    pressure: (along2, athwart2) =>
      along2 >= span ? 0 : look(along, along2 * scale) * look(athwart, athwart2),
  };
}

/** Angle off the vertical beyond which nothing is traced; patterns of real faces are unknown out there. */
export const STEEPEST_RAD = (70 * Math.PI) / 180;

/** How far fore and aft a beam answers, as the tangent of the angle off the axis. */
export const reachAlong = (beam: Beam): number =>
  Math.tan(beam.shape === 'fan' ? Math.min(STEEPEST_RAD, 4 * beam.alongRad) : STEEPEST_RAD);
