import { createStore } from 'zustand/vanilla';
import { BENCH } from './bench';
import { BOATS } from './boats';
import { LOG } from './log';
import { persist } from './persist';
import { PLAN } from './plan';
import { PLANS } from './plans';
import { PREFERENCES } from './preferences';
import { UNIT } from './unit';

/** Whether everything kept on the device has been read. */
export const loadedStore = createStore<{ loaded: boolean }>(() => ({ loaded: false }));

let begun = false;

/** Reads every store once, at the app's start. */
export async function loadStores(): Promise<void> {
  if (begun) return;
  begun = true;
  await Promise.all([
    persist(PREFERENCES),
    persist(PLAN),
    persist(BOATS),
    persist(BENCH),
    persist(LOG),
    persist(PLANS),
    persist(UNIT),
  ]);
  loadedStore.setState({ loaded: true });
}
