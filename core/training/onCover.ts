import { sliceSetup, startSetup } from '@/core/advice';
import { brush, crib, holding, timber } from '@/core/scene';
import { choose, draftOf, type Drafting } from './draft';
import { KINDS } from './drill';
import { fishSize, movingBrief, emptyWater, stretchOf, unevenBed } from './drillWater';

/** Where fish stand over and beside cover, m. */
const OVER_M = [0.9, 1.7] as const;
const BESIDE_M = [1.2, 2.2] as const;
/** Old wood hides least of what is in it. */
const AGE_YEARS = { 1: 6, 2: 3, 3: 1 } as const;

/** Cover on the bed, and fish over it, beside it, in it, or none. */
export const onCover: Drafting<'cover'> = (kind, level, random, trained) => {
  const brief = movingBrief(trained.brief);
  const slice =
    random.uniform() < 0.4 ? sliceSetup(brief, trained.rig, startSetup(brief, trained.rig)) : null;
  const stretch = stretchOf(
    brief,
    trained,
    slice ? { ...slice.settings, gainMode: 'manual', palette: trained.palettes.slice } : {},
  );
  const { wayM } = stretch;
  const bedM = brief.toM - 0.3;
  const x = wayM * random.between(0.42, 0.58);
  const timeS = x / brief.speedMps;
  const heightM = Math.min(0.25 * bedM, random.between(1.6, 2.6));
  const ageYears = AGE_YEARS[level];
  const stands = random.integer(3);
  const cover =
    stands === 0
      ? brush([x, 0], bedM, { radiusM: 1.5, heightM, ageYears }, random)
      : stands === 1
        ? crib([x, 0], bedM, { sideM: 2.6, heightM, ageYears }, random)
        : timber([x, 0], bedM, 1.4 * heightM, ageYears, random);
  const topM = cover.topM;
  const many = level === 1 ? 2 : 1;
  const side = random.uniform() < 0.5 ? -1 : 1;
  const place = (k: number): [number, number, number] => {
    const y = random.between(-0.3, 0.3);
    if (kind === 'over')
      return [x + 1.5 * k - 0.5, y, Math.max(0.2 * bedM, topM - random.between(...OVER_M))];
    if (kind === 'in') return [x + 0.6 * k, y, topM + (0.3 + 0.3 * k) * (bedM - topM)];
    const out = cover.radiusM + random.between(...BESIDE_M) + 1.4 * k;
    return [x + side * out, y, topM + random.between(0, 0.4) * (bedM - topM)];
  };
  const fish =
    kind === 'none'
      ? []
      : Array.from({ length: many }, (_, k) =>
          holding(fishSize(brief, level === 3 ? 0.6 : 0.95), place(k), random),
        );
  const onCoverPlace = {
    timeS,
    rangeM: (topM + bedM) / 2,
    halfS: (cover.radiusM + 0.5) / brief.speedMps,
    halfM: (bedM - topM) / 2,
  };
  return draftOf(
    stretch,
    { ...emptyWater(stretch, kind === 'none' ? unevenBed(bedM, random) : () => bedM), fish, covers: [cover] },
    {
      asked: [onCoverPlace, ...fish.map((_, k) => ({ fish: k }))],
      boxed: 1,
      ...choose(KINDS.cover, kind),
      decidable: ({ sight: { marks } }) =>
        marks.every((m, k) => (k === 0 ? m.contrast > 8 : m.probability >= (kind === 'in' ? 0.5 : 0.6))),
      facts: () => ({ topM, bedM, fish: fish.length }),
      cutAt: () => ({ timeS, rangeM: null }),
    },
  );
};
