import { isGap } from '@/core/maths';
import type { CoverFinding, FishAbout, FishFinding } from '../finding';

/** Water over a thing in which a fish stands over it, and to either side in which it is beside it, m. */
const OVER_M = 3;
const BESIDE_M = 2.5;

/** Range of a mark's leading edge nearest the sounder in the pings it shares with a thing; null when it shares none. */
function nearestIn(fish: FishFinding, fromPing: number, toPing: number): number | null {
  let nearest: number | null = null;
  for (let p = Math.max(fish.fromPing, fromPing); p <= Math.min(fish.toPing, toPing); p++) {
    const range = fish.path[p - fish.fromPing];
    if (range !== undefined && !isGap(range) && (nearest === null || range < nearest)) nearest = range;
  }
  return nearest;
}

/**
 * Fish over and beside a thing on the bed, of those that are told from it. In branches and stems a fish is one echo among many:
 * whether any stand inside cannot be told. A rock has no inside.
 */
export function fishAbout(
  cover: Pick<CoverFinding, 'cover' | 'fromPing' | 'toPing' | 'rangeM' | 'heightM'>,
  fish: readonly FishFinding[],
  pingsPerM: number,
): FishAbout {
  const { fromPing, toPing, rangeM: topM, heightM } = cover;
  const aside = Math.round(BESIDE_M * pingsPerM);
  let over = 0;
  let beside = 0;
  for (const f of fish) {
    const above = nearestIn(f, fromPing, toPing);
    const apex = (f.fromPing + f.toPing) / 2;
    if (above !== null && apex >= fromPing && apex <= toPing) {
      if (above > topM - OVER_M && above < topM + heightM) over++;
    } else if (
      apex > fromPing - aside &&
      apex < toPing + aside &&
      f.rangeM > topM - OVER_M / 2 &&
      f.rangeM < topM + heightM
    )
      beside++;
  }
  return { over, beside, inside: cover.cover === 'boulder' ? 'none' : 'unknown' };
}
