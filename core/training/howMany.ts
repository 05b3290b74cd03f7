import { holding } from '@/core/scene';
import { choose, draftOf, type Drafting } from './draft';
import { KINDS } from './drill';
import { fishDepth, fishSize, movingBrief, emptyWater, stretchOf, unevenBed } from './drillWater';

/** Echoes between two fish one over the other, by level: nearer than one they are one mark. */
const ECHOES = { 1: 5, 2: 3, 3: 2 } as const;
const LEAST_ECHO_M = 0.12;
/** Fish on the bed stand so far over it, m. */
const OVER_BED_M = 0.7;
/** Neighbours a person tells apart, as a share. */
const APART = 0.6;

/** Fish close together, or close to the bed, or none. */
export const howMany: Drafting<'count'> = (kind, level, random, trained) => {
  const brief = movingBrief(trained.brief);
  const stretch = stretchOf(brief, trained);
  const { wayM, halfPerM, settings } = stretch;
  const bedM = brief.toM - 0.3;
  const many = KINDS.count.indexOf(kind);
  const onBed = many > 0 && level > 1 && random.uniform() < 0.5;
  const z = onBed ? bedM - Math.max(OVER_BED_M, 0.06 * bedM) : fishDepth(brief, bedM, random);
  const rows = 0.02 * bedM;
  const gapM = ECHOES[level] * Math.max(LEAST_ECHO_M, rows);
  // One after the other where they lie on the bed, else also one over the other.
  const alongM = 2 * z * halfPerM * (onBed || level === 1 ? 0.9 : 0.35) + 0.2;
  const fish = Array.from({ length: many }, (_, k) => {
    const at = k - (many - 1) / 2;
    return holding(
      fishSize(brief, 0.8),
      [
        wayM / 2 + at * alongM,
        0.1 * z * halfPerM * random.between(-1, 1),
        onBed ? z : Math.min(0.9 * bedM, z + at * gapM),
      ],
      random,
    );
  });
  return draftOf(
    stretch,
    { ...emptyWater(stretch, onBed ? () => bedM : unevenBed(bedM, random)), fish },
    {
      asked: fish.map((_, k) => ({ fish: k })),
      boxed: 0,
      ...choose(KINDS.count, kind),
      decidable: ({ sight }) =>
        sight.marks.every((m) => m.probability >= 0.6) &&
        (many < 2 || sight.apart >= APART) &&
        (many > 0 || sight.specks < 3),
      facts: () => ({ depthM: z, fish: many, gapM, rangeM: settings.rangeM }),
      cutAt: (visible) => ({
        timeS: visible.length > 0 ? visible[visible.length >> 1]!.nearestTimeS : stretch.durationS / 2,
        rangeM: null,
      }),
    },
  );
};
