import { accepted, openText, problemOf, refused, writeText, type Format, type Result } from '@/core/formats';
import { DrillSetSchema, type DrillSet } from '@/core/training/drillSet';
import { LONGEST_LINK } from './benchLink';
import { MOST_UNPACKED, packed, unpacked } from './packedText';

const FORMAT: Format<DrillSet> = {
  name: 'nimble-echo-drill',
  label: 'drill',
  schema: DrillSetSchema as Format<DrillSet>['schema'],
  migrations: [],
};
const MARK = '#drill=';

/** A drill as a file's text. */
export const drillText = (set: DrillSet): string => writeText(FORMAT, set, 1);

/** A drill as a link; the giver's answers stay out of it. */
export async function drillLink(set: DrillSet, place: string): Promise<Result<string>> {
  const link = place + MARK + (await packed(writeText(FORMAT, { ...set, answers: [] })));
  return link.length <= LONGEST_LINK
    ? accepted(link)
    : refused('This drill does not fit in a link. Save it as a file instead.');
}

/** Opens a drill from a file's text. */
export function readDrillText(text: string): Result<DrillSet> {
  if (text.length > MOST_UNPACKED) return refused('This file is too large to be a drill.', 'damaged');
  const opened = openText(FORMAT, text);
  const problem = problemOf(opened);
  return problem === null ? opened : refused(`${problem} Nothing was changed.`, 'damaged');
}

const DAMAGED = 'This link is cut short or damaged. Nothing was changed. Ask for it again.';

/** What a link's end holds; null where it holds no drill. */
export async function readDrillLink(hash: string): Promise<Result<DrillSet> | null> {
  if (!hash.startsWith(MARK)) return null;
  if (hash.length > LONGEST_LINK) return refused(DAMAGED, 'damaged');
  try {
    const text = await unpacked(hash.slice(MARK.length));
    return text === null ? refused(DAMAGED, 'damaged') : readDrillText(text);
  } catch {
    return refused(DAMAGED, 'damaged');
  }
}
