import { useEffect, useEffectEvent } from 'react';

/** Hears keys that nothing else takes. */
export function useKeys(onKey: (key: string) => void): void {
  const hear = useEffectEvent((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    if (event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName)) return;
    onKey(event.key);
  });
  useEffect(() => {
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, []);
}
