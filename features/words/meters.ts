/** What the meters say of a picture. */
export interface PictureMeters {
  /** Share of open water that is speckled, 0…1; NaN where none is shown. */
  specks: number;
  /** Share of the bed's columns that reach the strongest colour, 0…1; null where no bed is shown. */
  bedFull: number | null;
  /** Share of the screen under the bed, 0…1; NaN where no bed is shown. */
  belowBed: number;
}

/** From this share of speckled water on small fish drown in it. */
const MANY_SPECKS = 0.05;
const FEW_SPECKS = 0.001;
/** From this share of the screen under the bed on the range is larger than it need be. */
const MUCH_BELOW = 0.45;
/** From this share of the bed in the strongest colour on, hard and soft bed look alike. */
const MUCH_FULL = 0.7;

/** What is wrong with a picture and what to turn, worst first; where nothing is, that. */
export function meterWords({ specks, bedFull, belowBed }: PictureMeters): string[] {
  const out: string[] = [];
  if (specks >= MANY_SPECKS)
    out.push('Specks fill the open water. Turn the gain down, or the first colour up.');
  if (bedFull !== null && bedFull >= MUCH_FULL)
    out.push('Most of the bed is in the strongest colour. Turn the gain down to tell hard from soft.');
  if (belowBed >= MUCH_BELOW)
    out.push(`${Math.round(10 * belowBed)} of 10 rows are under the bed. A smaller range draws fish larger.`);
  if (out.length > 0) return out.slice(0, 2);
  return [
    (specks >= FEW_SPECKS ? 'Open water shows a few specks, as it should.' : 'Open water is nearly clean.') +
      (bedFull === null ? '' : ' The bed has room to show hard from soft.'),
  ];
}

/** What a turn changed, in a few words; null where the meters see no difference. */
export function turnWords(before: PictureMeters, after: PictureMeters): string | null {
  const out: string[] = [];
  const specks = after.specks - before.specks;
  if (Math.abs(specks) >= 0.01) out.push(specks > 0 ? 'more specks' : 'fewer specks');
  const full = (after.bedFull ?? NaN) - (before.bedFull ?? NaN);
  if (Math.abs(full) >= 0.1) out.push(`${full > 0 ? 'more' : 'less'} of the bed in the strongest colour`);
  const below = after.belowBed - before.belowBed;
  if (Math.abs(below) >= 0.05)
    out.push(below > 0 ? 'more of the screen under the bed' : 'less of the screen under the bed');
  return out.length > 0 ? `Last turn: ${out.join(', ')}.` : null;
}
