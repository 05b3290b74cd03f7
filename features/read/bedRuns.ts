import type { BedPatch, Ground } from '@/core/reading';
import { groundOf } from '@/core/reading/bed/ground';
import type { BedMaterial } from '@/core/water';

/** Bed of one ground along the way. */
export interface BedRun {
  fromPing: number;
  toPing: number;
  ground: Ground;
  likely: BedMaterial;
  /** Probability of a thin hard skin, and whether a second echo was heard. */
  skin: number;
  second: boolean;
}

/** Patches further apart than this are two runs, pings. */
const APART = 2;

/** Patches of bed gathered into runs of one ground and one likely material. */
export function bedRuns(patches: readonly BedPatch[]): BedRun[] {
  const runs: BedRun[] = [];
  for (const { fromPing, toPing, hard, likely, skin, secondUnderFirstDb } of patches) {
    const ground = groundOf(hard);
    const last = runs[runs.length - 1];
    if (last && last.ground === ground && last.likely === likely && fromPing - last.toPing <= APART) {
      last.toPing = toPing;
      last.skin = Math.max(last.skin, skin);
      last.second ||= secondUnderFirstDb !== null;
    } else runs.push({ fromPing, toPing, ground, likely, skin, second: secondUnderFirstDb !== null });
  }
  return runs;
}
