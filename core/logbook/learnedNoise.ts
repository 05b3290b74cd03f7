import { waterOf } from '@/core/advice';
import { excessNoiseFromWeight, type Rig } from '@/core/rig';
import type { Day } from './day';

/** The boat's own noise as weights lost on the water tell it, dB over thermal noise. */
export interface LearnedNoise {
  medianDb: number;
  lowDb: number;
  highDb: number;
  /** Weights it is from. */
  count: number;
}

/** What the days tell of a boat's own noise; null where no weight was lost on one of its beams. */
export function learnedNoise(days: readonly Day[], rig: Rig): LearnedNoise | null {
  const all = days
    .flatMap((day) =>
      day.lost.flatMap(({ faceId, massKg, depthM }) => {
        const face = rig.faces.find((f) => f.id === faceId);
        return face && day.plan
          ? [excessNoiseFromWeight(rig, face, waterOf(day.plan.brief), { massKg, lostAtM: depthM })]
          : [];
      }),
    )
    .sort((a, b) => a - b);
  if (all.length === 0) return null;
  const middle = (all.length - 1) / 2;
  return {
    medianDb: (all[Math.floor(middle)]! + all[Math.ceil(middle)]!) / 2,
    lowDb: all[0]!,
    highDb: all.at(-1)!,
    count: all.length,
  };
}
