import { PALETTE_STEPS, type Picture } from '@/core/picture';
import type { BedMaterial } from '@/core/water';
import { choose, draftOf, type Drafting } from './draft';
import { KINDS } from './drill';
import { movingBrief, emptyWater, stretchOf, unevenBed } from './drillWater';

const PAIRS: Record<1 | 2 | 3, readonly (readonly [soft: BedMaterial, hard: BedMaterial])[]> = {
  1: [
    ['mud', 'rock'],
    ['mud', 'gravel'],
  ],
  2: [
    ['mud', 'gravel'],
    ['silt', 'gravel'],
  ],
  3: [
    ['silt', 'sand'],
    ['sand', 'rock'],
    ['mud', 'sand'],
  ],
};
/** Water under the bed's line in which it is judged, m, and how far two halves must differ or not, as shares of the colours. */
const UNDER_M = 1;
const DIFFER = 0.1;
const SAME = 0.04;

/** Mean colour of the first metre under the bed, as a share of the palette, over part of the picture. */
function bedColour({ rows, columns, rowM, topM, bedM, steps }: Picture, from: number, to: number): number {
  let sum = 0;
  let cells = 0;
  for (let c = Math.floor(columns * from); c < columns * to; c++) {
    const top = Math.round((bedM[c]! - topM[c]!) / rowM);
    for (let r = top; r < Math.min(rows, top + UNDER_M / rowM); r++) {
      sum += steps[c * rows + r] ?? 0;
      cells++;
    }
  }
  return cells > 0 ? sum / cells / PALETTE_STEPS : NaN;
}

/** Ground that changes half-way, or does not: which half is the harder. */
export const hardOrSoft: Drafting<'bed'> = (kind, level, random, trained) => {
  const stretch = stretchOf(movingBrief(trained.brief), trained);
  const { wayM, brief } = stretch;
  const pairs = PAIRS[level];
  const [soft, hard] = pairs[random.integer(pairs.length)]!;
  const one = random.uniform() < 0.5 ? soft : hard;
  const [first, second] = kind === 'same' ? [one, one] : kind === 'left' ? [hard, soft] : [soft, hard];
  const bedM = Math.min(brief.toM - 0.3, 0.92 * stretch.settings.rangeM);
  const edge = wayM * random.between(0.42, 0.58);
  return draftOf(
    stretch,
    emptyWater(stretch, unevenBed(bedM, random), (x) => (x < edge ? first : second)),
    {
      asked: [],
      ...choose(KINDS.bed, kind),
      decidable: ({ picture }) => {
        const over = bedColour(picture, 0.1, 0.38) - bedColour(picture, 0.62, 0.9);
        return kind === 'same' ? Math.abs(over) <= SAME : kind === 'left' ? over >= DIFFER : over <= -DIFFER;
      },
    },
  );
};
