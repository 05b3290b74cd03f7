import { accepted, openText, problemOf, refused, writeText, type Result } from '@/core/formats';
import { MOST_UNPACKED, packed, unpacked } from './packedText';
import { PASS, passStore, type KeptPass } from './pass';

/** Longest link that other apps pass on whole, characters. */
export const LONGEST_LINK = 2000;
const MARK = '#bench=';

/** The bench as a file's text. */
export const benchText = (): string => writeText(PASS.format, PASS.pick(passStore.getState()), 1);

/** The bench as a link that opens it on another device. */
export async function benchLink(place: string): Promise<Result<string>> {
  if (passStore.getState().pass.source.kind === 'recording')
    return refused('A recording does not fit in a link. Share its file instead.');
  const link = place + MARK + (await packed(writeText(PASS.format, PASS.pick(passStore.getState()))));
  return link.length <= LONGEST_LINK
    ? accepted(link)
    : refused('This bench does not fit in a link. Save it as a file instead.');
}

const DAMAGED = 'This link is cut short or damaged. Nothing was changed. Ask for it again.';

/** What a link's end holds; null where it holds no bench. Nothing is changed by looking. */
export async function readBenchLink(hash: string): Promise<Result<KeptPass> | null> {
  if (!hash.startsWith(MARK)) return null;
  if (hash.length > LONGEST_LINK) return refused(DAMAGED, 'damaged');
  try {
    const text = await unpacked(hash.slice(MARK.length));
    if (text === null) return refused(DAMAGED, 'damaged');
    return readBenchText(text);
  } catch {
    return refused(DAMAGED, 'damaged');
  }
}

/** Opens a bench from a file's text. */
export function readBenchText(text: string): Result<KeptPass> {
  if (text.length > MOST_UNPACKED) return refused('This file is too large to be a bench.', 'damaged');
  const opened = openText(PASS.format, text);
  const problem = problemOf(opened);
  return problem === null ? opened : refused(`${problem} Nothing was changed.`, 'damaged');
}

/** Puts a bench from elsewhere on this one. */
export const openBench = (kept: KeptPass): void =>
  passStore.setState({
    ...PASS.put(kept),
    looks: {},
    nowS: null,
    playing: false,
    past: [],
    unsettledBy: null,
    earlier: [],
    compared: null,
    trap: null,
  });
