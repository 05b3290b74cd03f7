import { useEffect, useState } from 'react';

/** What takes longer than this has its progress shown, ms. */
const SLOW_MS = 500;

/** Something under way, once it has taken long; null before that and after it. A flicker is no news. */
export function useSlow<T>(going: T | null): T | null {
  const [slow, setSlow] = useState(false);
  const busy = going !== null;
  useEffect(() => {
    if (!busy) return;
    const timer = setTimeout(() => setSlow(true), SLOW_MS);
    return () => {
      clearTimeout(timer);
      setSlow(false);
    };
  }, [busy]);
  return slow ? going : null;
}
