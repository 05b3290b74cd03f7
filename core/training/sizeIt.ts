import { holding } from '@/core/scene';
import { choose, draftOf, type Drafting } from './draft';
import { KINDS } from './drill';
import { fishDepth, fishSize, movingBrief, emptyWater, stretchOf } from './drillWater';

/** How much longer the larger one is. */
const RATIO = { 1: 2, 2: 1.6, 3: 1.4 } as const;
/** The larger must answer louder by so much, and two alike differ by no more, dB. */
const LOUDER_DB = 2;
const ALIKE_DB = 1.5;

/** Two fish, one after the other: which is the larger. */
export const sizeIt: Drafting<'size'> = (kind, level, random, trained) => {
  const brief = movingBrief(trained.brief);
  const stretch = stretchOf(brief, trained);
  const { wayM, halfPerM } = stretch;
  const bedM = brief.toM - 0.3;
  const { lengthM, bladder } = fishSize(brief, 0.6);
  const ratio = kind === 'alike' ? 1 : RATIO[level];
  const lengths =
    kind === 'second'
      ? [lengthM / Math.sqrt(ratio), lengthM * Math.sqrt(ratio)]
      : [lengthM * Math.sqrt(ratio), lengthM / Math.sqrt(ratio)];
  const fish = lengths.map((length, k) => {
    const z = fishDepth(brief, bedM, random);
    const aside = z * halfPerM * [0.1, 0.3, 0.45][level - 1]! * random.between(-1, 1);
    return holding({ lengthM: length, bladder }, [wayM * (0.3 + 0.4 * k), aside, z], random);
  });
  return draftOf(
    stretch,
    { ...emptyWater(stretch, () => bedM), fish },
    {
      asked: [{ fish: 0 }, { fish: 1 }],
      ...choose(KINDS.size, kind),
      decidable: ({ sight, visible: [a, b] }) => {
        const overDb = a!.peakDb - b!.peakDb;
        const heard =
          kind === 'alike'
            ? Math.abs(overDb) <= ALIKE_DB
            : kind === 'first'
              ? overDb >= LOUDER_DB
              : overDb <= -LOUDER_DB;
        return heard && sight.marks.every((m) => m.probability >= 0.6);
      },
      facts: ({ visible: [a, b] }) => ({
        firstM: lengths[0]!,
        secondM: lengths[1]!,
        overDb: a!.peakDb - b!.peakDb,
      }),
    },
  );
};
