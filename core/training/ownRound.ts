import { CALLED, type Called } from '@/core/logbook';
import { seededRandom } from '@/core/maths';
import { columnAt, type PaletteName } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { durationOf, type Recording } from '@/core/recording';
import { faceOf, screenOf } from '@/core/rig';
import { choose, shuffled } from './draft';
import { OWN_CHOICES, type OwnMark, type Round, type RoundSpec } from './drill';
import { COLUMNS } from './drillWater';
import { NoRound } from './makeRound';

/** What each is taken for, the likeliest first. */
const LIKE: Record<Called, readonly Called[]> = {
  fish: ['bubbles', 'bait', 'brush', 'gear'],
  bait: ['fish', 'weed', 'brush', 'bubbles'],
  weed: ['brush', 'bait', 'timber', 'boulder'],
  brush: ['weed', 'boulder', 'timber', 'bait'],
  timber: ['brush', 'weed', 'fish', 'boulder'],
  boulder: ['brush', 'fish', 'weed', 'bed'],
  bed: ['boulder', 'weed', 'fish', 'brush'],
  bubbles: ['fish', 'bait', 'gear', 'nothing'],
  gear: ['fish', 'bubbles', 'bait', 'nothing'],
  nothing: ['fish', 'bubbles', 'bait', 'weed'],
};
/** Box about a mark, cells to either side. */
const HALF_COLUMNS = 12;
const HALF_ROWS = 8;

/**
 * A round about a mark of one's own pass, as that pass was drawn, the mark in the middle. @param recording its pings
 * @param palettes colours of the light, for cone and slice @throws NoRound where the mark is not on the picture
 */
export function ownRound(
  spec: RoundSpec & { own: OwnMark },
  recording: Recording,
  palettes: { cone: PaletteName; slice: PaletteName },
): Round {
  const { timeS, rangeM, pass, settings: kept, kind } = spec.own;
  const face = faceOf(pass.rig, kept.faceId);
  const settings = { ...kept, palette: palettes[face.beam.shape === 'fan' ? 'slice' : 'cone'] };
  const { rows } = screenOf(pass.rig);
  const beganS = recording.stretches[0]!.navigation.timeS[0]!;
  const endS = beganS + durationOf(recording);
  const nowS = Math.min(endS, timeS + COLUMNS / 2 / settings.chartSpeed);
  const picture = drawPicture(recording, settings, { rows, columns: COLUMNS }, nowS);
  const column = columnAt(picture, timeS);
  const row = Math.floor((rangeM - picture.topM[Math.min(COLUMNS - 1, Math.max(0, column))]!) / picture.rowM);
  if (column < COLUMNS - picture.columnsFilled || column >= COLUMNS || row < 0 || row >= rows)
    throw new NoRound('yours: the mark is not on the picture');
  const ring = { column, row, halfColumns: HALF_COLUMNS, halfRows: HALF_ROWS };
  const random = seededRandom(spec.seed).fork('yours');
  const rivals = [...LIKE[kind], ...CALLED].filter((k) => k !== kind);
  const codes = [kind, ...new Set(rivals)].slice(0, OWN_CHOICES);
  const { own, ...asked } = spec;
  return {
    ...asked,
    settings,
    picture,
    beside: null,
    rings: [ring],
    truthRings: [ring],
    ...choose(shuffled(codes, random), own.kind),
    facts: {},
    cutaway: null,
    score: null,
  };
}
