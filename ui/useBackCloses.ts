import { useEffect, useRef } from 'react';

let opened = 0;

const stepOf = (): string | null => (window.history.state as { sheet?: string } | null)?.sheet ?? null;

/**
 * Lets the browser's back close what is open: while it is, the history has a step for it.
 * @returns the way to close by hand, which takes that step back and does not leave it behind
 */
export function useBackCloses(open: boolean, onClose: () => void): () => void {
  const latest = useRef(onClose);
  const step = useRef<string | null>(null);
  useEffect(() => {
    latest.current = onClose;
  });
  useEffect(() => {
    if (!open || typeof window === 'undefined' || !window.history) return;
    const id = `sheet-${++opened}`;
    step.current = id;
    // The router finds its own place in what else the step holds.
    window.history.pushState({ ...(window.history.state as object | null), sheet: id }, '');
    const onPop = (): void => {
      // A sheet over this one has closed.
      if (stepOf() === id) return;
      if (step.current === id) {
        step.current = null;
        latest.current();
      }
    };
    window.addEventListener('popstate', onPop);
    return () => {
      window.removeEventListener('popstate', onPop);
      step.current = null;
    };
  }, [open]);
  return () => {
    if (step.current !== null && stepOf() === step.current) window.history.back();
    else latest.current();
  };
}
