import { baitCloud, holding } from '@/core/scene';
import { chooseNumber, draftOf, type Drafting } from './draft';
import { fishDepth, fishSize, movingBrief, emptyWater, stretchOf, unevenBed } from './drillWater';

/** A school goes so fast, m/s, and it takes so long to come back to it, s. */
const DRIFTS_MPS = [0.1, 0.3] as const;
const BACK_S = [120, 240] as const;
/** An antenna nearer the transducer than this makes no difference worth asking about, m. */
const LEAST_AHEAD_M = 1;

/** A mark pressed late, or of something that has gone on: how far off it is. */
export const findAgain: Drafting<'again'> = (kind, level, random, trained) => {
  const brief = movingBrief(trained.brief);
  const stretch = stretchOf(brief, trained);
  const { wayM } = stretch;
  const bedM = brief.toM - 0.3;
  const z = fishDepth(brief, bedM, random);
  const share = random.between(0.25, 0.7);
  if (kind === 'pressed') {
    const lateS = (1 - share) * stretch.durationS;
    const { antenna } = trained.rig.positions;
    const aheadM = Math.abs(antenna.x) >= LEAST_AHEAD_M ? antenna.x : 0;
    const goneM = lateS * brief.speedMps;
    const farM = goneM + aheadM;
    const rivals =
      aheadM === 0
        ? [0.5 * farM, 1.6 * farM, 2.4 * farM]
        : [goneM, Math.abs(goneM - aheadM), 2 * goneM + aheadM];
    return draftOf(
      stretch,
      {
        ...emptyWater(stretch, unevenBed(bedM, random)),
        fish: [holding(fishSize(brief, 0.8), [wayM * share, 0, z], random)],
      },
      {
        asked: [{ fish: 0 }],
        ...chooseNumber('off-by', [farM, ...rivals], random),
        facts: () => ({ farM, lateS, speedMps: brief.speedMps, aheadM }),
      },
    );
  }
  const speedMps = random.between(...DRIFTS_MPS);
  const backS = Math.round(random.between(...BACK_S) / 10) * 10;
  const farM = speedMps * backS;
  const timeS = share * stretch.durationS;
  const radiusM = Math.min(2.5, 0.2 * bedM);
  const radiusZM = Math.min(1.1, 0.09 * bedM);
  const cloud = baitCloud(
    {
      mood: 'calm',
      place: [wayM * share, 0, z],
      radiusM,
      radiusZM,
      count: 900,
      lengthM: 0.08,
      bladder: 'open',
    },
    random,
  );
  return draftOf(
    stretch,
    { ...emptyWater(stretch, unevenBed(bedM, random)), clouds: [cloud] },
    {
      asked: [{ timeS, rangeM: z, halfS: radiusM / brief.speedMps, halfM: radiusZM }],
      ...chooseNumber('off-by', [farM, 0.4 * farM, 1.8 * farM, 3 * farM], random),
      decidable: ({ sight }) => sight.marks[0]!.contrast > 8,
      facts: () => ({ farM, backS, speedMps, level }),
    },
  );
};
