import { useEffect } from 'react';
import { useStore } from 'zustand';
import { benchStore, drawBench } from '@/stores';

/** While playing, moves the right edge with the clock, one picture at a time: a slow device skips, it never queues. */
export function usePlay(): void {
  const playing = useStore(benchStore, (s) => s.playing);
  useEffect(() => {
    if (!playing) return;
    let going = true;
    let before: number | null = null;
    const frame = async (at: number): Promise<void> => {
      if (!going) return;
      const { nowS, facts, settings } = benchStore.getState();
      const end = facts?.durationS ?? 0;
      const start = nowS === null || nowS >= end ? 0 : nowS;
      const next = start + (before === null ? 0 : (at - before) / 1000);
      before = at;
      benchStore.setState(next >= end ? { nowS: null, playing: false } : { nowS: next });
      await drawBench(settings);
      if (going && benchStore.getState().playing) requestAnimationFrame((t) => void frame(t));
    };
    requestAnimationFrame((t) => void frame(t));
    return () => {
      going = false;
    };
  }, [playing]);
}
