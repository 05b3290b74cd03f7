import { createStore } from 'zustand/vanilla';
import { BENCH } from './bench';
import { BOATS } from './boats';
import { LOG } from './log';
import { persist } from './persist';
import { PLAN } from './plan';
import { PREFERENCES } from './preferences';

/** Whether everything kept on the device has been read. */
export const loadedStore = createStore<{ loaded: boolean }>(() => ({ loaded: false }));

let begun = false;

/** Reads every store once, at the app's start. */
export async function loadStores(): Promise<void> {
  if (begun) return;
  begun = true;
  await Promise.all([persist(PREFERENCES), persist(PLAN), persist(BOATS), persist(BENCH), persist(LOG)]);
  loadedStore.setState({ loaded: true });
}
