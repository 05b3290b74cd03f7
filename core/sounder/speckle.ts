import { seededRandom } from '@/core/maths';

/** Circular complex normal noise of unit mean power, already as narrow as the receiver makes it. */
export interface Speckle {
  /** 2^SPECKLE_BITS values each; read with any offset, wrapping by SPECKLE_MASK. */
  re: Float32Array;
  im: Float32Array;
}

const SPECKLE_BITS = 17;
export const SPECKLE_MASK = (1 << SPECKLE_BITS) - 1;

const tables = new Map<number, Speckle>();

/** One seed for the tables of all passes: a pass's own seed decides where in them each ping reads. */
const TABLE_SEED = 20_250_317;

/**
 * A long table of speckle whose neighbours are correlated over one pulse (`pulseSamples` samples, 1 or more, need not
 * be whole), as a receiver matched to the pulse leaves them. Reading it at a random offset a ping is much cheaper
 * than drawing normals, and 131,072 values against a few hundred a ping keep repeats from showing.
 */
export function speckleTable(pulseSamples: number): Speckle {
  const length = Math.max(1, Math.round(pulseSamples));
  let table = tables.get(length);
  if (!table) tables.set(length, (table = drawTable(length)));
  return table;
}

function drawTable(length: number): Speckle {
  const size = 1 << SPECKLE_BITS;
  const mask = size - 1;
  const random = seededRandom(TABLE_SEED + length);
  const scale = Math.sqrt(0.5 / length);
  const draw = (): Float32Array => {
    const white = new Float32Array(size);
    for (let i = 0; i < size; i++) white[i] = random.normal() * scale;
    if (length === 1) return white;
    const smooth = new Float32Array(size);
    let sum = 0;
    for (let i = 0; i < length; i++) sum += white[i]!;
    for (let i = 0; i < size; i++) {
      smooth[i] = sum;
      sum += white[(i + length) & mask]! - white[i]!;
    }
    return smooth;
  };
  return { re: draw(), im: draw() };
}
