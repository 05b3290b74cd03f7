import { createStore } from 'zustand/vanilla';

/** What can be drawn over a pass, and switched off. */
export const SEEN = ['fish', 'cloud', 'cover', 'bed', 'water'] as const;
export type Seen = (typeof SEEN)[number];

/** A place on a pass: when, s into it, and at which range, m. */
export interface PassPlace {
  timeS: number;
  rangeM: number;
}

/** What a tap on the picture does: choose and point, measure, add a mark. */
export type Tool = 'point' | 'ruler' | 'add';

/** A part of the pass looked at more closely: how many times, about which place. */
export interface CloseUp extends PassPlace {
  times: number;
}

interface ReadLook {
  /** How many times a long pass is drawn out along the way before it is looked at closer in depth too; 1 for a short one. */
  along: number;
  /** Number of the finding that is open. */
  chosen: number | null;
  hidden: readonly Seen[];
  closeUp: CloseUp | null;
  pointed: PassPlace | null;
  tool: Tool;
  /** Ends of the ruler laid so far, two at the most. */
  ruler: readonly PassPlace[];
  /** Where a mark is to be added. */
  adding: PassPlace | null;
  /** Whether a simulated pass shows what is truly there. */
  truth: boolean;
  /** Whether the marks are held against another beam's. */
  together: boolean;
}

const PLAIN: ReadLook = {
  along: 1,
  chosen: null,
  hidden: [],
  closeUp: null,
  pointed: null,
  tool: 'point',
  ruler: [],
  adding: null,
  truth: false,
  together: false,
};

/** How the pass is looked at; nothing of it is kept. */
export const readStore = createStore<ReadLook>(() => PLAIN);

/** Another pass: what was chosen, measured and looked at closely is not on it. */
export const lookAnew = (): void => readStore.setState(({ hidden }) => ({ ...PLAIN, hidden }));

export const choose = (chosen: number | null): void => readStore.setState({ chosen });

export const switchSeen = (kind: Seen): void =>
  readStore.setState(({ hidden }) => ({
    hidden: hidden.includes(kind) ? hidden.filter((k) => k !== kind) : [...hidden, kind],
  }));

export const pointOn = (pointed: PassPlace | null): void => readStore.setState({ pointed });

/** Takes up a tool, or lays it down again; what was measured goes with it. */
export const takeTool = (tool: Tool): void =>
  readStore.setState((s) => ({ tool: s.tool === tool ? 'point' : tool, ruler: [] }));

/** Lays an end of the ruler; a third begins anew. */
export const layRuler = (end: PassPlace): void =>
  readStore.setState(({ ruler }) => ({ ruler: ruler.length === 1 ? [ruler[0]!, end] : [end] }));

export const addAt = (adding: PassPlace | null): void =>
  readStore.setState(adding ? { adding } : { adding, tool: 'point' });

export const turnTruth = (): void => readStore.setState(({ truth }) => ({ truth: !truth }));

export const turnTogether = (): void => readStore.setState(({ together }) => ({ together: !together }));

/** Closest a pass is looked at, times; a long one so many times closer than it is drawn out. */
const CLOSEST = 8;

/** A long pass begins with its first part, drawn out as a unit would draw it; a short one, 1, whole. */
export const drawOut = (along: number): void =>
  readStore.setState({ along, closeUp: along > 1 ? { times: along, timeS: 0, rangeM: 0 } : null });

/** Closer by a step, or wider, about a place; the whole pass again when there is no wider. */
export const closer = (way: 1 | -1, { timeS, rangeM }: PassPlace): void =>
  readStore.setState(({ closeUp, along }) => {
    const times = (closeUp?.times ?? 1) * (way > 0 ? 2 : 0.5);
    return { closeUp: times <= 1 ? null : { times: Math.min(CLOSEST * along, times), timeS, rangeM } };
  });

export const lookAt = (place: Partial<PassPlace>): void =>
  readStore.setState(({ closeUp }) => (closeUp ? { closeUp: { ...closeUp, ...place } } : {}));
