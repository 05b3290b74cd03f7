import type { Judged } from '@/core/bench/judgedPicture';
import type { Move } from '@/core/bench/nextMove';
import { CONTROLS, CONTROL_NAMES, type ControlName, type Settings } from '@/core/picture';
import type { Unit } from '@/core/rig';
import { decimal } from '@/ui/decimal';
import type { Units } from '../units';
import { controlName, controlValue } from './controls';

/** Control of a setting. */
const controlOf = (setting: string): ControlName | undefined =>
  CONTROL_NAMES.find((name) => CONTROLS[name].setting === setting);

/** What a move sets, in a few words: `Gain −8 dB, Colour spread 30 dB`. */
export const moveWords = ({ change }: Pick<Move, 'change'>, unit: Unit, units: Units): string =>
  (Object.keys(change) as (keyof Settings)[])
    .map((setting) => {
      const control = controlOf(setting);
      const value = change[setting];
      return control && typeof value === 'number'
        ? `${controlName(control, unit)} ${controlValue(control, value, units)}`
        : '';
    })
    .filter((words) => words !== '')
    .join(', ');

/** Half a fish, a speck or two, a tenth of the bed: less than this nobody sees. */
const FISH = 0.5;
const SPECKS = 1;
const BED = 0.1;
const LARGER = 1.15;

const count = (n: number): string => {
  const fish = Math.max(1, Math.round(n));
  return fish === 1 ? '1 more fish stands out' : `${fish} more fish stand out`;
};

/** Why a move helps: what it changes most of what a person sees. */
export function moveReason({ before, after }: Pick<Move, 'before' | 'after'>): string {
  const out: string[] = [];
  if (after.found - before.found >= FISH) out.push(count(after.found - before.found));
  if (before.specks - after.specks >= SPECKS) out.push('fewer specks look like fish');
  if (after.bedRoom - before.bedRoom >= BED) out.push('the bed shows hard from soft');
  if (after.rows * after.columns > LARGER * before.rows * before.columns && before.rows > 0)
    out.push('the fish are drawn larger');
  if (out.length === 0)
    out.push(after.found > before.found ? 'the fish stand out more' : 'the picture is calmer');
  const words = out.slice(0, 2).join(', ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** What the picture is worth to who looks for fish. */
export function judgedWords({ found, fish }: Judged): string {
  if (fish === 0) return 'The reader finds no fish on this stretch. Go back in time, or choose other water.';
  return `You would pick out ${decimal(Math.round(found), 0)} of the ${fish} fish the reader finds here.`;
}

/** What a move may spoil, as the rival of its reason; null where nothing gets worse. */
export function moveCost({ before, after }: Pick<Move, 'before' | 'after'>): string | null {
  if (before.found - after.found >= FISH) return 'a faint fish may go';
  if (after.specks - before.specks >= SPECKS) return 'more specks come with it';
  if (before.bedRoom - after.bedRoom >= BED) return 'the bed shows less of hard and soft';
  return null;
}

/** Said at once of a turn that unsettles gain and colours, while what suits them is looked for. */
export const unsettledWords = (name: string): string =>
  `${name} changes how strong echoes are drawn. Looking for the gain that suits…`;
