import { createStore } from 'zustand/vanilla';

/**
 * How keeping stands. Full: what could not be written is held in memory and written when there is room. None: this browser
 * gives no storage, or it failed. Silent: it does not answer. In the last two nothing that was kept could be read.
 */
export interface KeepingStatus {
  state: 'ok' | 'full' | 'none' | 'silent';
  /** Changes held in memory, not yet on the device. */
  waiting: number;
}

export const keepingStore = createStore<KeepingStatus>(() => ({ state: 'ok', waiting: 0 }));
