/** Range of levels in the table, dB, and entries a decibel: linear between them, within 0.0001 dB. */
const LOWEST_DB = -200;
const HIGHEST_DB = 320;
const PER_DB = 16;
const POWER = Float64Array.from({ length: (HIGHEST_DB - LOWEST_DB) * PER_DB + 2 }, (_, i) =>
  Math.pow(10, (LOWEST_DB + i / PER_DB) / 10),
);

/** Decibels → power ratio by table, for loops over samples; levels beyond −200…320 dB are held to these. */
export function powerOf(db: number): number {
  const at = ((db < LOWEST_DB ? LOWEST_DB : db > HIGHEST_DB ? HIGHEST_DB : db) - LOWEST_DB) * PER_DB;
  const i = at | 0;
  const low = POWER[i]!;
  return low + (POWER[i + 1]! - low) * (at - i);
}
