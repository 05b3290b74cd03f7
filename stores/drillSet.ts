import { accepted, refused, writeText, type Result } from '@/core/formats';
import { DRILL_FORMAT, readDrillFile } from '@/core/formats/drillFile';
import type { DrillSet } from '@/core/training/drillSet';
import { LONGEST_LINK } from './benchLink';
import { packed, unpacked } from './packedText';

const MARK = '#drill=';

/** A drill as a link; the giver's answers stay out of it. */
export async function drillLink(set: DrillSet, place: string): Promise<Result<string>> {
  const link = place + MARK + (await packed(writeText(DRILL_FORMAT, { ...set, answers: [] })));
  return link.length <= LONGEST_LINK
    ? accepted(link)
    : refused('This drill does not fit in a link. Save it as a file instead.');
}

const DAMAGED = 'This link is cut short or damaged. Nothing was changed. Ask for it again.';

/** What a link's end holds; null where it holds no drill. */
export async function readDrillLink(hash: string): Promise<Result<DrillSet> | null> {
  if (!hash.startsWith(MARK)) return null;
  if (hash.length > LONGEST_LINK) return refused(DAMAGED, 'damaged');
  try {
    const text = await unpacked(hash.slice(MARK.length));
    return text === null ? refused(DAMAGED, 'damaged') : readDrillFile(text);
  } catch {
    return refused(DAMAGED, 'damaged');
  }
}
