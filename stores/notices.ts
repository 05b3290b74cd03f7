import { createStore } from 'zustand/vanilla';

/** Something the user should be told, with an undo where there is one. */
export interface Notice {
  id: number;
  text: string;
  undo?: () => void;
}

export const noticeStore = createStore<{ notices: readonly Notice[] }>(() => ({ notices: [] }));

let nextId = 1;

/** Says something at the foot of the screen; the newest is shown first, older ones after it. */
export function notify(text: string, undo?: () => void): void {
  noticeStore.setState(({ notices }) => ({ notices: [...notices, { id: nextId++, text, undo }] }));
}

export const dismiss = (id: number): void =>
  noticeStore.setState(({ notices }) => ({ notices: notices.filter((n) => n.id !== id) }));
