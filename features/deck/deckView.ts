import { createStore } from 'zustand/vanilla';

export const DECK_PARTS = ['now', 'find', 'spot', 'map', 'day'] as const;
export type DeckPart = (typeof DECK_PARTS)[number];

interface DeckView {
  part: DeckPart;
  /** The mark that is gone back to; null for the last one. */
  markId: string | null;
  /** Where the boat is to be held; null for nowhere. */
  holdId: string | null;
  /** Things the coach was told not to say. */
  muted: readonly string[];
  /** Someone else steers, said once while the app is open. */
  steered: boolean;
  /** What waits for that answer. */
  waiting: (() => void) | null;
  lure: string;
}

/** What Deck shows; nothing of it is kept. */
export const deckView = createStore<DeckView>(() => ({
  part: 'now',
  markId: null,
  holdId: null,
  muted: [],
  steered: false,
  waiting: null,
  lure: '',
}));

/** Faster than this the app shows and marks, and asks once before anything is changed, m/s. */
export const UNDER_WAY_MPS = 8 / 3.6;

/** Does something at once, or asks first that someone else is steering. @param speedMps null where it is not known */
export function whenSteered(speedMps: number | null, act: () => void): void {
  if (deckView.getState().steered || speedMps === null || speedMps <= UNDER_WAY_MPS) act();
  else deckView.setState({ waiting: act });
}
