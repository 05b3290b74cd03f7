import { useEffect, useState } from 'react';

/** Keeps the screen awake while it is shown; false where the browser does not let it. */
export function useWakeLock(): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const take = async (): Promise<void> => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        const taken = await navigator.wakeLock.request('screen');
        if (gone) await taken.release();
        else {
          lock = taken;
          setHeld(true);
          // The browser lets go when the page is hidden.
          taken.addEventListener('release', () => setHeld(false));
        }
      } catch {
        setHeld(false);
      }
    };
    const again = (): void => void take();
    void take();
    document.addEventListener('visibilitychange', again);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
  return held;
}
