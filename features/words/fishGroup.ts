import type { KindOfGroup } from '@/core/logbook/ownKinds';
import type { FishGroup } from '@/core/reading';

const WAYS: Record<FishGroup['kind'], string> = {
  alone: '',
  stacked: 'stacked above each other',
  strung: 'strung along at one depth',
  carpet: 'spread over the bed',
  loose: 'near each other',
};

/** How a mark stands to the other fish of its pass. */
export const groupLine = ({ kind, count }: FishGroup): string =>
  kind === 'alone' ? 'It stands alone.' : `It is one of ${count} ${WAYS[kind]}.`;

/** What the user caught from marks that stood so, and how little that says. */
export const kindOfGroupLine = ({ kind, count, of, likely: [low, high] }: KindOfGroup): string =>
  `Of your ${of} fish from marks like that, ${count} ${count === 1 ? 'was' : 'were'} ${kind}: likely ${Math.round(100 * low)}–${Math.round(100 * high)} %. A hint, no proof.`;
