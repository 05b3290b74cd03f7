import type { Finding, FISH_GROUPS, FishFinding } from '../finding';

export interface FishGroup {
  kind: (typeof FISH_GROUPS)[number];
  /** Marks of it, this one too. */
  count: number;
}

/** Marks so near along the way and in depth stand together, m; farther down a beam's own width keeps them apart, as a share of the range. */
const NEAR_ALONG = { m: 6, ofRange: 0.4 } as const;
const NEAR_UP = { m: 2, ofRange: 0.12 } as const;
/** Fewer than this have no shape. */
const LEAST_SHAPED = 3;
/** Strung along: so many times as long as it is tall; over the bed: no more water than this under most of it, m. */
const STRUNG = 2;
const ON_BED_M = 1;
const MOST = 2 / 3;
/** Less likely fish are not counted among others. */
const LEAST_SURE = 0.5;
/** A boat that moves less than this past its marks meets them in turn, wherever they stand, m. */
const STILL_M = 1;

/**
 * How a fish's mark stands to the others of its pass (a hint at most: JOB §4); null from a boat that lies still.
 * @param findings of the same pass
 * @param wayM way of the boat by ping, m, as long as the pass
 * @returns how they stand, and how many they are, this one too
 */
export function fishGroup(
  finding: FishFinding,
  findings: readonly Finding[],
  wayM: ArrayLike<number>,
): FishGroup | null {
  const all = findings.filter(
    (f): f is FishFinding => f.kind === 'fish' && (f.id === finding.id || f.confidence >= LEAST_SURE),
  );
  const alongOf = (f: FishFinding): number => wayM[(f.fromPing + f.toPing) >> 1] ?? NaN;
  const first = Math.min(...all.map((f) => wayM[f.fromPing] ?? NaN));
  const last = Math.max(...all.map((f) => wayM[f.toPing] ?? NaN));
  if (!(last - first >= STILL_M)) return null;
  const near = (a: FishFinding, b: FishFinding): boolean => {
    const range = Math.min(a.rangeM, b.rangeM);
    return (
      Math.abs(alongOf(a) - alongOf(b)) <= Math.max(NEAR_ALONG.m, NEAR_ALONG.ofRange * range) &&
      Math.abs(a.rangeM - b.rangeM) <= Math.max(NEAR_UP.m, NEAR_UP.ofRange * range)
    );
  };
  const group = new Set([finding]);
  for (const one of group)
    for (const other of all) if (!group.has(other) && near(one, other)) group.add(other);
  const marks = [...group];
  const count = marks.length;
  if (count === 1) return { kind: 'alone', count };
  const extent = (values: number[]): number => Math.max(...values) - Math.min(...values);
  const longM = extent(marks.map(alongOf));
  const tallM = extent(marks.map((f) => f.rangeM));
  if (count < LEAST_SHAPED) return { kind: 'loose', count };
  const onBed = marks.filter((f) => f.gapToBedM !== null && f.gapToBedM <= ON_BED_M).length;
  if (longM >= STRUNG * tallM) return { kind: onBed >= MOST * count ? 'carpet' : 'strung', count };
  return { kind: tallM >= longM ? 'stacked' : 'loose', count };
}
