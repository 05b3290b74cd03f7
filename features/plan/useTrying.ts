import { useEffect } from 'react';
import { useStore } from 'zustand';
import { startTrying, stopTrying, tryingStore, type ToTry } from '@/stores';

/** A plan rests this long before it is tried, ms. */
const REST_MS = 2500;

/** Tries what was not tried yet of a plan that is being read, one setup after the other; what is at work when it is left is given up. */
export function useTrying(untried: readonly ToTry[]): void {
  const left = useStore(tryingStore, (s) => s.left);
  const next = untried.find(({ key }) => !(key in left));
  useEffect(() => {
    if (!next) return;
    const timer = setTimeout(() => startTrying(next), REST_MS);
    return () => {
      clearTimeout(timer);
      stopTrying();
    };
  }, [next]);
}
