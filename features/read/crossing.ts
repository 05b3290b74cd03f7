import { isGap } from '@/core/maths';
import type { FishFinding } from '@/core/reading';
import type { PassReading } from '@/stores';

/** A moment of a boat's passing over a mark: where the boat was, m along from the nearest point, and how far the sound went, m. */
export interface CrossingMoment {
  alongM: number;
  rangeM: number;
}

export interface CrossingSeen {
  /** First, nearest and last. */
  moments: [CrossingMoment, CrossingMoment, CrossingMoment];
  all: CrossingMoment[];
}

/** The boat must have gone at least this far while the mark was in the beam, m. */
const LEAST_WAY_M = 0.5;

/** How a mark's range changed with the boat's way; null for one that was hardly passed. */
export function crossingSeen(
  f: FishFinding,
  { wayM, timeS }: Pick<PassReading, 'wayM' | 'timeS'>,
): CrossingSeen | null {
  let nearest = f.fromPing;
  while (nearest < f.toPing && timeS[nearest]! < f.timeS) nearest++;
  const all: CrossingMoment[] = [];
  for (let p = f.fromPing; p <= f.toPing; p++) {
    const rangeM = f.path[p - f.fromPing]!;
    if (!isGap(rangeM)) all.push({ alongM: wayM[p]! - wayM[nearest]!, rangeM });
  }
  const [first, last] = [all[0], all[all.length - 1]];
  if (!first || !last || last.alongM - first.alongM < LEAST_WAY_M || all.length < 3) return null;
  return { moments: [first, { alongM: 0, rangeM: f.rangeM }, last], all };
}
