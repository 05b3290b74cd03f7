import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { PRESENTATIONS, type Presentation } from '@/core/advice';
import type { KeptDocument } from './keeping/document';
import { openPhase } from './plan';

/** Most ticks kept: those of a few days. */
const MOST_TICKS = 400;

const DeckSchema = v.object({
  /** The phase it was last opened at. */
  phase: v.optional(v.nullable(v.picklist(PRESENTATIONS)), null),
  /** Page shown of each phase. */
  pages: v.optional(
    v.record(
      v.pipe(v.string(), v.maxLength(20)),
      v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(20)),
    ),
    {},
  ),
  /** Shallower than this the coach warns, m. */
  shallowM: v.optional(v.pipe(v.number(), v.minValue(0), v.maxValue(100)), 1.5),
  /** Lines set on the unit, each with the value it was set to: another value is not set yet. */
  ticks: v.optional(v.pipe(v.array(v.pipe(v.string(), v.maxLength(200))), v.maxLength(MOST_TICKS)), []),
});
export type Deck = v.InferOutput<typeof DeckSchema>;

/** The deck card: where it stands and what is ticked off. */
export const deckStore = createStore<Deck>(() => v.parse(DeckSchema, {}));

/** Opens the card of a phase, and remembers it. */
export function openDeckPhase(phase: Presentation): void {
  deckStore.setState({ phase });
  openPhase(phase);
}

/** Asks to be warned where the water is shallower than this, m. */
export const warnUnder = (shallowM: number): void => deckStore.setState({ shallowM });

export const turnPage = (phase: string, page: number): void =>
  deckStore.setState(({ pages }) => ({ pages: { ...pages, [phase]: page } }));

export const tickLine = (key: string): void =>
  deckStore.setState(({ ticks }) => ({
    ticks: ticks.includes(key) ? ticks.filter((k) => k !== key) : [...ticks, key].slice(-MOST_TICKS),
  }));

/** Takes all ticks away, for a new day. */
export const clearTicks = (): void => deckStore.setState({ ticks: [], pages: {} });

export const DECK: KeptDocument<Deck, Deck> = {
  store: deckStore,
  key: 'deck',
  title: 'The deck card',
  format: { name: 'nimble-echo-deck', label: 'deck card', schema: DeckSchema, migrations: [] },
  pick: (state) => state,
  put: (saved) => saved,
};
