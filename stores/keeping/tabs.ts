/** Word between the tabs of this browser: which keys one of them has written. */
export interface Tabs {
  tell(keys: readonly string[]): void;
  hear(listener: (keys: readonly string[]) => void): void;
}

/** Tabs over the browser's own channel; alone where it has none. */
export function browserTabs(name: string): Tabs {
  if (typeof BroadcastChannel === 'undefined') return { tell: () => undefined, hear: () => undefined };
  const channel = new BroadcastChannel(name);
  return {
    tell: (keys) => channel.postMessage(keys),
    hear: (listener) => {
      channel.onmessage = ({ data }: MessageEvent<unknown>) => {
        if (Array.isArray(data)) listener(data.filter((key) => typeof key === 'string'));
      };
    },
  };
}

/** Runs `work` while no other tab runs work under the same name; alone where the browser has no locks (an address that is not secure). */
export const locked = async <T>(name: string, work: () => Promise<T>): Promise<T> =>
  typeof navigator !== 'undefined' && navigator.locks
    ? ((await navigator.locks.request(`nimble-echo/${name}`, work)) as T)
    : work();
