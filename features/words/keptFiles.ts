import type { KeptFile } from '@/core/formats/keptFile';
import { decimal } from '@/ui/decimal';
import { dateWords } from './day';

/** A size of files. */
export const sizeWords = (bytes: number): string =>
  bytes < 1e6
    ? `${decimal(Math.max(1, bytes / 1e3), 0)}\u00a0kB`
    : `${decimal(bytes / 1e6, bytes < 10e6 ? 1 : 0)}\u00a0MB`;

/** What a kept file is, how large it is and since when it is here. */
export const keptFileWords = ({ screen, bytes, keptAt }: KeptFile): string =>
  `${screen ? 'Picture of a screen' : 'Recording'}, ${sizeWords(bytes)}, ${dateWords(keptAt)}`;

/** How much room the kept files take, and which one would give back most; null where little is to be gained. */
export function roomWords(kept: readonly KeptFile[]): string | null {
  const all = kept.reduce((sum, { bytes }) => sum + bytes, 0);
  const [largest] = [...kept].sort((a, b) => b.bytes - a.bytes);
  if (!largest) return null;
  const held = `Recordings and pictures take ${sizeWords(all)}.`;
  return kept.length === 1 ? held : `${held} The largest is ${largest.name}, ${sizeWords(largest.bytes)}.`;
}

/** What a backup has no room for. */
export const leftOutWords = (count: number): string =>
  `${count === 1 ? 'A recording was' : `${count} recordings were`} too large for the backup. Copy the ${count === 1 ? 'file' : 'files'} yourself.`;
