import { isGap, logistic } from '@/core/maths';
import { LEAST_CONFIDENCE, SUREST } from '../confidence';
import type { Finding, FishFinding } from '../finding';
import { MARK_WEIGHTS } from './weights';

/** What is so much weaker than a mark beside it, dB, and no farther from it than this, m, may be a part of the same big body. */
const WEAKER_DB = 4;
const BESIDE_M = 0.8;
/** Pings to either side in which it counts as beside. */
const BESIDE_PINGS = 3;

/** Nearest two marks come to each other in range through the pings of the lesser one and a few more, m. */
function apartM(lesser: FishFinding, greater: FishFinding): number {
  let least = Infinity;
  for (let p = lesser.fromPing; p <= lesser.toPing; p++) {
    const mine = lesser.path[p - lesser.fromPing]!;
    for (let q = p - BESIDE_PINGS; q <= p + BESIDE_PINGS; q++) {
      const its = greater.path[q - greater.fromPing];
      if (its !== undefined && !isGap(its) && !isGap(mine)) least = Math.min(least, Math.abs(mine - its));
    }
  }
  return least;
}

/**
 * A lesser mark close beside a far louder one may be a fish of its own, or a part of the same body that answers by itself: it is
 * kept, less surely, with that as its rival reading. In place.
 */
export function doubtCompanions(findings: readonly Finding[]): void {
  const marks = findings.filter((f): f is FishFinding => f.kind === 'fish');
  for (const lesser of marks) {
    const besideLouder = marks.some(
      (o) =>
        o.overBackgroundDb > lesser.overBackgroundDb + WEAKER_DB &&
        o.fromPing <= lesser.toPing + BESIDE_PINGS &&
        o.toPing >= lesser.fromPing - BESIDE_PINGS &&
        apartM(lesser, o) < BESIDE_M,
    );
    if (!besideLouder) continue;
    const odds = Math.log(lesser.confidence / (SUREST - lesser.confidence));
    lesser.confidence = Math.max(LEAST_CONFIDENCE, SUREST * logistic(odds - MARK_WEIGHTS.besideLouder));
    lesser.rival = { reading: 'big-fish', test: 'pass-again' };
  }
}
