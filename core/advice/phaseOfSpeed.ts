import type { Presentation } from './brief';

/** A speed is a phase's within this factor, and no other's when those lie at least so much farther off. */
const NEAR = 1.4;
const CLEAR = 2;
/** Slower than this speeds do not differ, m/s. */
const LEAST_MPS = 0.25;

/** The phase a boat is in by its speed alone, where that leaves no doubt; null else. */
export function phaseOfSpeed(
  phases: readonly { presentation: Presentation; speedMps: number }[],
  speedMps: number,
): Presentation | null {
  const off = (planned: number): number => {
    const [a, b] = [Math.max(LEAST_MPS, planned), Math.max(LEAST_MPS, speedMps)];
    return Math.max(a / b, b / a);
  };
  const ranked = [...phases].sort((a, b) => off(a.speedMps) - off(b.speedMps));
  const [first, second] = ranked;
  if (!first || off(first.speedMps) > NEAR) return null;
  return second && off(second.speedMps) < CLEAR * off(first.speedMps) ? null : first.presentation;
}
