import { createStore, del, get, keys, set } from 'idb-keyval';
import { withDeadline } from './storage';

/** Whole files on the device, by name: too large to be kept as text. */
export interface FileKeeper {
  get(id: string): Promise<Blob | undefined>;
  put(id: string, file: Blob): Promise<void>;
  drop(id: string): Promise<void>;
  ids(): Promise<string[]>;
}

/** Longest a file's writing is waited for, ms: a hundred megabytes take a phone seconds. */
const WRITE_DEADLINE_MS = 60_000;

const place = createStore('nimble-echo-files', 'files');

/** The app's own, on IndexedDB. Each call rejects when the storage fails or does not answer. */
export const appFiles: FileKeeper = {
  get: (id) => withDeadline(get<Blob>(id, place)),
  put: (id, file) => withDeadline(set(id, file, place), WRITE_DEADLINE_MS),
  drop: (id) => withDeadline(del(id, place)),
  ids: () => withDeadline(keys<string>(place)),
};
