import { seededRandom } from '@/core/maths';
import { ANGLES, SIDES, type Bite } from './day';

/** Something bites have in common, and how likely chance alone would do as much. */
export interface BitePattern {
  depths: { fromM: number; toM: number } | null;
  side: NonNullable<Bite['side']> | null;
  angle: NonNullable<Bite['angle']> | null;
  lure: string | null;
  /** Bites that share it, of how many that told enough. */
  count: number;
  of: number;
  /** Chance of a pattern as good with no cause, corrected for how many were looked for. */
  chance: number;
}

/** Fewer bites than this show nothing. */
const LEAST_BITES = 3;
/** Bites lie together in depth within this share of the water fished, or this, m. */
const BAND_SHARE = 0.15;
const BAND_M = 0.4;
const DRAWS = 2000;
/** More likely than this by chance it is not said. */
export const PATTERN_CHANCE = 0.2;

/** Most depths within a band of a width, and where. */
function fullestBand(sorted: readonly number[], widthM: number): { count: number; from: number; to: number } {
  let best = { count: 0, from: 0, to: 0 };
  for (let i = 0, j = 0; i < sorted.length; i++) {
    while (j + 1 < sorted.length && sorted[j + 1]! - sorted[i]! <= widthM) j++;
    if (j - i + 1 > best.count) best = { count: j - i + 1, from: sorted[i]!, to: sorted[j]! };
  }
  return best;
}

/** Chance of at least k of n in one of m equal boxes named beforehand (binomial), times m: the best of them was taken. */
function boxChance(k: number, n: number, m: number): number {
  let sum = 0;
  let term = 1;
  for (let i = 0; i <= n; i++) {
    if (i > 0) term *= (n - i + 1) / i;
    if (i >= k) sum += term * (1 / m) ** i * (1 - 1 / m) ** (n - i);
  }
  return Math.min(1, m * sum);
}

/**
 * What bites share: a band of depths, a side, an angle, a lure. Chance by counting draws for the depths (seeded), by the binomial law for the rest; each
 * times the patterns looked for (Bonferroni). Two found together are said together.
 * @param fished depths that were fished, m
 * @param lures lures that were used
 */
export function bitePattern(
  bites: readonly Bite[],
  fished: { fromM: number; toM: number },
  lures: readonly string[],
): BitePattern | null {
  const depths = bites.flatMap((b) => (b.depthM === null ? [] : [b.depthM])).sort((a, b) => a - b);
  const sides = bites.flatMap((b) => b.side ?? []);
  const angles = bites.flatMap((b) => b.angle ?? []);
  const used = [...new Set([...lures, ...bites.map((b) => b.lure)])].filter((l) => l !== '');
  const named = bites.flatMap((b) => (b.lure === '' ? [] : [b.lure]));
  const most = <T>(list: readonly T[]): { what: T | null; count: number } => {
    const counts = new Map<T, number>();
    for (const item of list) counts.set(item, (counts.get(item) ?? 0) + 1);
    const [best] = [...counts].sort((a, b) => b[1] - a[1]);
    return best ? { what: best[0], count: best[1] } : { what: null, count: 0 };
  };
  const span = fished.toM - fished.fromM;
  const width = Math.max(BAND_M, BAND_SHARE * span);
  const band = fullestBand(depths, width);
  const looked = [
    depths.length >= LEAST_BITES && span > 2 * width,
    sides.length >= LEAST_BITES,
    angles.length >= LEAST_BITES,
    named.length >= LEAST_BITES && used.length > 1,
  ] as const;
  const times = looked.filter(Boolean).length;
  if (times === 0) return null;

  let depthChance = 1;
  if (looked[0]) {
    const random = seededRandom(depths.length).fork('bites');
    let asGood = 0;
    for (let k = 0; k < DRAWS; k++) {
      const drawn = depths.map(() => random.between(fished.fromM, fished.toM)).sort((a, b) => a - b);
      if (fullestBand(drawn, band.to - band.from + 1e-9).count >= band.count) asGood++;
    }
    depthChance = Math.min(1, (times * (asGood + 1)) / (DRAWS + 1));
  }
  const side = most(sides);
  const sideChance = looked[1] ? Math.min(1, times * boxChance(side.count, sides.length, SIDES.length)) : 1;
  const angle = most(angles);
  const angleChance = looked[2]
    ? Math.min(1, times * boxChance(angle.count, angles.length, ANGLES.length))
    : 1;
  const lure = most(named);
  const lureChance = looked[3] ? Math.min(1, times * boxChance(lure.count, named.length, used.length)) : 1;

  const good = {
    depth: depthChance <= PATTERN_CHANCE && band.count >= LEAST_BITES,
    side: sideChance <= PATTERN_CHANCE && side.count >= LEAST_BITES,
    angle: angleChance <= PATTERN_CHANCE && angle.count >= LEAST_BITES,
    lure: lureChance <= PATTERN_CHANCE && lure.count >= LEAST_BITES,
  };
  if (!Object.values(good).includes(true)) return null;
  const shares = (b: Bite): boolean =>
    (!good.depth || (b.depthM !== null && b.depthM >= band.from && b.depthM <= band.to)) &&
    (!good.side || b.side === side.what) &&
    (!good.angle || b.angle === angle.what) &&
    (!good.lure || b.lure === lure.what);
  return {
    depths: good.depth ? { fromM: band.from, toM: band.to } : null,
    side: good.side ? side.what : null,
    angle: good.angle ? angle.what : null,
    lure: good.lure ? lure.what : null,
    count: bites.filter(shares).length,
    of: bites.length,
    chance: Math.min(depthChance, sideChance, angleChance, lureChance),
  };
}
