import { linePattern, pistonKa, pistonPattern, type Beam } from '@/core/rig';

/** Entries of a table over the squared direction cosine 0…1. */
const SIZE = 4096;

/** Two-way power ratio of a beam by squared direction cosines, by table: quick enough for every scatterer of every ping. */
export interface PatternTable {
  /** @param along2, @param athwart2 squared direction cosines in the beam's frame. */
  twoWay(along2: number, athwart2: number): number;
}

function tableOf(oneWay: (sin: number) => number): Float32Array {
  const table = new Float32Array(SIZE + 2);
  for (let i = 0; i <= SIZE; i++) {
    const b = oneWay(Math.sqrt(i / SIZE));
    table[i] = b * b;
  }
  table[SIZE + 1] = table[SIZE]!;
  return table;
}

function look(table: Float32Array, sin2: number): number {
  const at = Math.min(sin2, 1) * SIZE;
  const i = at | 0;
  const low = table[i]!;
  return low + (table[i + 1]! - low) * (at - i);
}

/** The table of a beam. Linear between 4,096 entries: within 0.05 dB down to the first null of any beam of 5° or more. */
export function patternTable(beam: Beam): PatternTable {
  if (beam.shape === 'cone') {
    const ka = pistonKa(beam.alongRad);
    const table = tableOf((sin) => pistonPattern(ka, sin));
    return { twoWay: (along2, athwart2) => look(table, along2 + athwart2) };
  }
  // A fan is a degree or so wide: its table covers only ten half widths, which keeps the lobe finely cut.
  const alongSpan = Math.min(1, (10 * Math.sin(beam.alongRad / 2)) ** 2);
  const along = tableOf((s) => linePattern(beam.alongRad, s * Math.sqrt(alongSpan)));
  const athwart = tableOf((s) => linePattern(beam.athwartRad, s));
  return {
    twoWay: (along2, athwart2) =>
      along2 >= alongSpan ? 0 : look(along, along2 / alongSpan) * look(athwart, athwart2),
  };
}
