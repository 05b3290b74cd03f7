import { createStore } from 'zustand/vanilla';

/** Something the user should be told, with an undo where there is one. */
export interface Notice {
  id: number;
  text: string;
  undo?: () => void;
}

/** Newest first: what was just done is what may have to be undone. */
export const noticeStore = createStore<{ notices: readonly Notice[] }>(() => ({ notices: [] }));

let nextId = 1;

/** More than this are not waiting to be read; the oldest go. */
const MOST_NOTICES = 5;

/** Says something at the foot of the screen, at once; what was said before comes up again after it. */
export function notify(text: string, undo?: () => void): void {
  noticeStore.setState(({ notices }) => ({
    notices: [{ id: nextId++, text, undo }, ...notices.filter((n) => n.text !== text)].slice(0, MOST_NOTICES),
  }));
}

export const dismiss = (id: number): void =>
  noticeStore.setState(({ notices }) => ({ notices: notices.filter((n) => n.id !== id) }));
