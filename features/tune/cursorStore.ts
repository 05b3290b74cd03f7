import { createStore } from 'zustand/vanilla';

/** A place in the water that is pointed at, on whichever picture: when, s into the pass, and how deep, m. */
export interface Cursor {
  timeS: number;
  depthM: number;
}

/** The cursor of all pictures of the bench, whether the true water is shown beside them, and where a wipe divides them, 0…1. */
export const cursorStore = createStore<{ cursor: Cursor | null; cutaway: boolean; wipe: number }>(() => ({
  cursor: null,
  cutaway: false,
  wipe: 0.5,
}));

export const pointAt = (cursor: Cursor | null): void => cursorStore.setState({ cursor });

export const openCutaway = (cutaway: boolean): void => cursorStore.setState({ cutaway });

export const turnCutaway = (): void => cursorStore.setState(({ cutaway }) => ({ cutaway: !cutaway }));

export const wipeTo = (wipe: number): void => cursorStore.setState({ wipe });
