import type { BedPatch, Ground } from '@/core/reading';
import { groundOf } from '@/core/reading/bed/ground';
import type { BedMaterial } from '@/core/water';
import { BED_WORDS } from './brief';
import { confidenceWords } from './confidence';

/** A thin hard skin on soft ground is told from this probability on. */
export const SKIN = 0.5;
/** Share of the way over which a bed is mostly this or that. */
const MOSTLY = 0.7;
/** Share of the way from which a second ground, or a second kind of bed, is told. */
const ALSO = 0.2;

/** Kinds of bed the patches are most like, the usual one first. */
function kindWords(patches: readonly BedPatch[]): string {
  const kinds = new Map<BedMaterial, number>();
  for (const { likely } of patches) kinds.set(likely, (kinds.get(likely) ?? 0) + 1);
  const [first, second] = [...kinds].sort((a, b) => b[1] - a[1]);
  const also = second && second[1] > ALSO * patches.length ? ` and ${BED_WORDS[second[0]]}` : '';
  return `${BED_WORDS[first![0]]}${also}`;
}

/** What the echoes were that tell hard from soft, and what would tell more. */
function reasonWords(patches: readonly BedPatch[], soft: boolean): string {
  const share = (has: (patch: BedPatch) => boolean): number => patches.filter(has).length / patches.length;
  const first = share((patch) => patch.firstOverGravelDb !== null) > 0.5;
  if (share((patch) => patch.secondUnderFirstDb !== null) > 0.5)
    return first ? 'Told by its first and second echo.' : 'Told by its second echo alone.';
  if (share((patch) => patch.secondUnheardDb !== null) > 0.5)
    return soft
      ? 'Told by its second echo: none came back, and hard ground gives one.'
      : 'Told by its first echo. No second one came back.';
  return 'Told by its first echo alone. Set the range to over twice the depth to hear the second.';
}

/** What the bed is likely made of, how sure, and by what; null where nothing could be told. */
export function bedWords(patches: readonly BedPatch[]): string | null {
  if (patches.length === 0) return null;
  const shareOf = (ground: Ground): number =>
    patches.filter((patch) => groundOf(patch.hard) === ground).length / patches.length;
  const hard = patches.reduce((sum, patch) => sum + patch.hard, 0) / patches.length;
  const turns = shareOf('hard') > ALSO && shareOf('soft') > ALSO;
  const unclear = shareOf('unclear') > MOSTLY;
  const how = turns
    ? 'Hard and soft by turns'
    : hard > MOSTLY
      ? `${unclear ? 'Hard' : 'Mostly hard'} (${confidenceWords(hard)})`
      : hard < 1 - MOSTLY
        ? `${unclear ? 'Soft' : 'Mostly soft'} (${confidenceWords(1 - hard)})`
        : shareOf('hard') > ALSO
          ? 'Hard in places, the rest cannot be told'
          : shareOf('soft') > ALSO
            ? 'Soft in places, the rest cannot be told'
            : 'Hard or soft cannot be told';
  const rival = !turns && shareOf('unclear') > ALSO ? ' Firm silt and loose sand answer alike.' : '';
  const skin = patches.some((patch) => patch.skin > SKIN)
    ? ' In places a thin hard skin lies on soft ground.'
    : '';
  return `${how}, most like ${kindWords(patches)}. ${reasonWords(patches, hard < 0.5)}${rival}${skin} Drop a weight on it to be sure.`;
}
