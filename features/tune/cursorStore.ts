import { createStore } from 'zustand/vanilla';

/** A place in the water that is pointed at, on whichever picture: when, s into the pass, and how deep, m. */
export interface Cursor {
  timeS: number;
  depthM: number;
}

/** The cursor of all pictures of the bench, and whether the true water is shown beside them. */
export const cursorStore = createStore<{ cursor: Cursor | null; cutaway: boolean }>(() => ({
  cursor: null,
  cutaway: false,
}));

export const pointAt = (cursor: Cursor | null): void => cursorStore.setState({ cursor });

export const turnCutaway = (): void => cursorStore.setState(({ cutaway }) => ({ cutaway: !cutaway }));
