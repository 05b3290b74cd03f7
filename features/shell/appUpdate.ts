import { createStore } from 'zustand/vanilla';

/** Whether a newer version of the app is there, and whether this one works with no signal. */
export interface AppUpdate {
  /** ready: loaded beside this one, taken over when asked; newer: on the server; replaced: another tab has taken it over. */
  update: 'none' | 'ready' | 'newer' | 'replaced';
  /** saved: all of it is on this device; saving: it is being put there; off: this browser or address does not allow it. */
  offline: 'saved' | 'saving' | 'off';
}

export const appUpdateStore = createStore<AppUpdate>(() => ({ update: 'none', offline: 'off' }));

let waiting: ServiceWorker | null = null;
let takingOver = false;

const buildOf = (): string | null =>
  document.querySelector('meta[name="build"]')?.getAttribute('content') ?? null;

/** Whether the server has another build than the one open here. */
async function newerOnServer(): Promise<boolean> {
  try {
    const response = await fetch('/version.json', { cache: 'no-store' });
    const { build } = (await response.json()) as { build?: unknown };
    return typeof build === 'string' && build !== buildOf();
  } catch {
    // No signal: nothing is known, and nothing is said.
    return false;
  }
}

const whenSeen = (look: () => void): void =>
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') look();
  });

function watchServer(): void {
  const look = (): void => {
    void newerOnServer().then((newer) => {
      if (newer) appUpdateStore.setState({ update: 'newer' });
    });
  };
  whenSeen(look);
}

async function watchServiceWorker(): Promise<void> {
  const { serviceWorker } = navigator;
  const registration = await serviceWorker.register('/sw.js', { updateViaCache: 'none' });
  appUpdateStore.setState({ offline: registration.active ? 'saved' : 'saving' });
  void serviceWorker.ready.then(() => appUpdateStore.setState({ offline: 'saved' }));
  const offer = (worker: ServiceWorker | null): void => {
    // The first one of all has nothing to replace.
    if (!worker || !serviceWorker.controller) return;
    waiting = worker;
    appUpdateStore.setState({ update: 'ready' });
  };
  offer(registration.waiting);
  registration.addEventListener('updatefound', () => {
    const worker = registration.installing;
    worker?.addEventListener('statechange', () => {
      if (worker.state === 'installed') offer(worker);
      // It could not be put on the device: no room, or the signal went.
      if (worker.state === 'redundant' && !registration.active) appUpdateStore.setState({ offline: 'off' });
    });
  });
  let had = serviceWorker.controller !== null;
  serviceWorker.addEventListener('controllerchange', () => {
    if (takingOver) window.location.reload();
    else if (had) {
      waiting = null;
      appUpdateStore.setState({ update: 'replaced' });
    }
    had = true;
  });
  whenSeen(() => void registration.update().catch(() => undefined));
}

/** Saves the app on the device where the browser allows it, and watches for newer versions. Called once, after the first paint. */
export function watchForUpdates(): void {
  // A development server has no build.
  if (buildOf() === null) return;
  if (!window.isSecureContext || !('serviceWorker' in navigator)) return watchServer();
  watchServiceWorker().catch(() => {
    appUpdateStore.setState({ offline: 'off' });
    watchServer();
  });
}

/** Goes over to the newer version: everything saved stays, the page is loaded anew. */
export function takeUpdate(): void {
  if (!waiting) return window.location.reload();
  takingOver = true;
  waiting.postMessage({ type: 'SKIP_WAITING' });
}

export const putOffUpdate = (): void => appUpdateStore.setState({ update: 'none' });
