import type { Finding } from '@/core/reading';
import { cutawayAt, type CutawayPass, type EchoMaker } from './cutaway';

/** Where a finding lies: all that is needed to hold it against the true water. */
export type FoundPlace = Pick<
  Finding,
  'id' | 'kind' | 'timeS' | 'rangeM' | 'heightM' | 'fromPing' | 'toPing'
>;

/** A reading held against the true water of a simulated pass. */
export interface ScoredReading {
  /** By finding: whether it is what it is called, and what truly made it: a fish with its length, m. */
  marks: {
    id: number;
    right: boolean;
    made: NonNullable<EchoMaker>['kind'] | null;
    lengthM: number | null;
  }[];
  /** Fish that show in enough pings, where each is nearest, and whether a mark or a cloud has it. */
  fish: { timeS: number; rangeM: number; lengthM: number; found: boolean }[];
}

/** Pings a fish must show in to be missed. */
const LEAST_PINGS = 4;
/** A mark lies on a fish within this of it, m and share of its range, over the pings both have. */
const NEAR_M = 0.3;
const NEAR_SHARE = 0.015;

/** Holds findings against the water they are of. The reader has no part in it: it is done after it. */
export function scoredReading(findings: readonly FoundPlace[], pass: CutawayPass): ScoredReading {
  const visible = pass.visible.filter((v) => v.pings.length >= LEAST_PINGS);
  const has = (f: FoundPlace, v: (typeof visible)[number]): boolean => {
    const near = NEAR_M + NEAR_SHARE * f.rangeM;
    return v.pings.some(
      (p, i) =>
        p >= f.fromPing &&
        p <= f.toPing &&
        (f.kind === 'cloud'
          ? v.rangeM[i]! > f.rangeM - near && v.rangeM[i]! < f.rangeM + f.heightM + near
          : Math.abs(v.nearestRangeM - f.rangeM) < near),
    );
  };
  const marks = findings.map((f): ScoredReading['marks'][number] => {
    if (f.kind === 'fish') {
      const mine = visible
        .filter((v) => has(f, v))
        .sort((a, b) => Math.abs(a.nearestRangeM - f.rangeM) - Math.abs(b.nearestRangeM - f.rangeM))[0];
      if (mine) return { id: f.id, right: true, made: 'fish', lengthM: mine.fish.lengthM };
    }
    const middle = f.rangeM + (f.kind === 'cloud' ? f.heightM / 2 : 0);
    const { made, clouds, covers } = cutawayAt(pass, f.timeS, middle);
    const kind =
      f.kind === 'cloud' && clouds.some((c) => Math.abs(c.depthM - middle) <= c.halfHeightM + f.heightM / 2)
        ? 'bait'
        : f.kind === 'cover' && covers.some((c) => Math.abs(c.topM - f.rangeM) < Math.max(1, f.heightM))
          ? 'cover'
          : (made?.kind ?? null);
    return {
      id: f.id,
      right: kind === { fish: 'fish', cloud: 'bait', cover: 'cover' }[f.kind],
      made: kind,
      lengthM: null,
    };
  });
  return {
    marks,
    fish: visible.map((v) => ({
      timeS: v.nearestTimeS,
      rangeM: v.nearestRangeM,
      lengthM: v.fish.lengthM,
      found: findings.some((f) => f.kind !== 'cover' && has(f, v)),
    })),
  };
}
