import { seeSymptom, type Symptom } from '@/core/bench';
import type { Random } from '@/core/maths';
import type { PaletteName } from '@/core/picture';
import type { Rig } from '@/core/rig';
import { choose, shuffled } from './draft';
import { KINDS, type KindOf, type Round } from './drill';

/** Causes to choose from. */
const CHOICES = 4;

/** Symptoms one picture can show at once, or that are mended alike: never rivals of each other. */
const AKIN: readonly (readonly Symptom[])[] = [
  ['specks', 'top-mess', 'second-bed'],
  ['specks', 'bed-one-colour', 'top-mess'],
  ['nothing-drawn', 'gone-at-speed'],
  ['nothing-drawn', 'fish-tiny'],
  ['dashes', 'specks'],
  ['dashes', 'bars'],
];

const akin = (a: Symptom, b: Symptom): boolean =>
  AKIN.some((group) => group.includes(a) && group.includes(b));

/** A picture with something wrong, and the same mended. Null where this boat's picture does not show it. */
export function fixIt(
  kind: KindOf<'fix'>,
  random: Random,
  rig: Rig,
  palette: PaletteName,
): Pick<Round, 'settings' | 'picture' | 'beside' | 'options' | 'answer'> | null {
  const { shown, before, after } = seeSymptom(kind, rig, palette);
  if (!before.there) return null;
  const rivals = shuffled(
    KINDS.fix.filter((other) => other !== kind && !akin(kind, other)),
    random,
  ).slice(0, CHOICES - 1);
  return {
    settings: { ...shown.before.settings, palette },
    picture: before.picture,
    beside: after?.picture ?? null,
    ...choose(shuffled([kind, ...rivals], random), kind),
  };
}
