import type { TogetherMark } from '@/workers';
import type { Units } from '../units';

/** How many marks both beams have, and how many only one. */
export function togetherWords(label: string, marks: readonly TogetherMark[]): string {
  const both = marks.filter((m) => m.verdict === 'confirmed').length;
  const here = marks.filter((m) => m.id !== null && m.verdict !== 'confirmed').length;
  const there = marks.filter((m) => m.id === null).length;
  return `Single marks on both pictures: ${both}. Only on this one: ${here}. Only on the ${label} beam: ${there}.`;
}

/** What the other beam says of one mark. */
export function besideWords(label: string, { verdict, asideM }: TogetherMark, { show, band }: Units): string {
  switch (verdict) {
    case 'confirmed':
      return asideM
        ? `The ${label} beam has it too, so it lies within ${show('depth', asideM[1])} of your track.`
        : `The ${label} beam has it too.`;
    case 'to-a-side':
      return asideM
        ? `The ${label} beam does not have it: it lies ${band('depth', asideM[0], asideM[1])} to one side.`
        : `The ${label} beam does not have it. It may be too faint there.`;
    case 'doubted':
      return `The ${label} beam should have it, but does not. Doubt it: pass again.`;
  }
}
