import type { Restored } from '@/stores/backup';

const things = (count: number): string => `${count} ${count === 1 ? 'thing' : 'things'}`;
const was = (count: number): string => (count === 1 ? 'was' : 'were');

/** What bringing a backup in came to. */
export function restoredWords({ added, same, both, aside, documents }: Restored): string {
  const out = [added > 0 ? `Brought in ${things(added)}.` : 'There was nothing new in it.'];
  if (same > 0) out.push(`${things(same)} ${was(same)} here already.`);
  if (both > 0) out.push(`${things(both)} differed from what is here: both are kept.`);
  if (documents.length > 0) out.push(`${documents.join(', ')} differed too. The other is set aside below.`);
  if (aside > 0) out.push(`${things(aside)} ${was(aside)} put under Set aside.`);
  return out.join(' ');
}
