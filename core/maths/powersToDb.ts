/** Base-2 logarithms of 1…2 at this many steps, and one beyond. */
const STEPS = 2048;
const LOG2 = Float64Array.from({ length: STEPS + 1 }, (_, i) => Math.log2(1 + i / STEPS));

const bits = new ArrayBuffer(8);
const asNumber = new Float64Array(bits);
const asWords = new Int32Array(bits);
/** Which of the two words holds the exponent on this machine. */
const HIGH = ((): 0 | 1 => {
  asNumber[0] = 1;
  return asWords[1] === 0 ? 0 : 1;
})();

/**
 * Levels of complex samples: 10 log10 of re² + im², at most `ceiling`, within 0.0001 dB. By exponent and table, which is
 * quicker than a logarithm and the same on every machine.
 * @param out filled from `at` on, one a sample, dB; an empty sample gives −120 dB
 */
export function powersToDb(
  re: Float64Array,
  im: Float64Array,
  ceiling: number,
  out: Float32Array,
  at: number,
): void {
  const [log2, number, words, high, count] = [LOG2, asNumber, asWords, HIGH, re.length];
  const perOctave = 10 * Math.log10(2);
  for (let j = 0; j < count; j++) {
    const power = re[j]! * re[j]! + im[j]! * im[j]! + 1e-12;
    number[0] = power < ceiling ? power : ceiling;
    const word = words[high]!;
    // 20 bits of mantissa: 11 choose the step, 9 the place in it.
    const i = (word >> 9) & 0x7ff;
    const low = log2[i]!;
    const octaves = (word >> 20) - 1023 + low + (log2[i + 1]! - low) * ((word & 0x1ff) / 512);
    out[at + j] = perOctave * octaves;
  }
}
