import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** The part of a key–value store keeping needs; a call either does all it was asked or nothing. */
export interface KeyValue {
  getItem(key: string): Promise<string | null>;
  getMany(keys: string[]): Promise<Record<string, string | null>>;
  setMany(entries: Record<string, string>): Promise<void>;
  removeMany(keys: string[]): Promise<void>;
  getAllKeys(): Promise<string[]>;
}

let shared: KeyValue | null = null;

/** The app's own storage, on IndexedDB in a browser. */
export const appStorage = (): KeyValue => (shared ??= createAsyncStorage('nimble-echo'));

/** A storage that did not answer in time. */
export class StorageSilent extends Error {}

/** Longest a storage is waited for, ms; one that works answers in a few. */
export const STORAGE_DEADLINE_MS = 6000;

/** Settles as the work does, or fails when it has not by the deadline. */
export function withDeadline<T>(work: Promise<T>, deadlineMs = STORAGE_DEADLINE_MS): Promise<T> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new StorageSilent('The storage does not answer.')), deadlineMs);
    work.then(
      (value) => {
        clearTimeout(timer);
        resolve(value);
      },
      (error: unknown) => {
        clearTimeout(timer);
        reject(error instanceof Error ? error : new Error(String(error)));
      },
    );
  });
}

/** The same storage, every call with a deadline. */
export const timed = (storage: KeyValue, deadlineMs?: number): KeyValue => ({
  getItem: (key) => withDeadline(storage.getItem(key), deadlineMs),
  getMany: (keys) => withDeadline(storage.getMany(keys), deadlineMs),
  setMany: (entries) => withDeadline(storage.setMany(entries), deadlineMs),
  removeMany: (keys) => withDeadline(storage.removeMany(keys), deadlineMs),
  getAllKeys: () => withDeadline(storage.getAllKeys(), deadlineMs),
});
