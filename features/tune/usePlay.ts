import { useEffect } from 'react';
import { useStore } from 'zustand';
import { drawView, passStore, viewOf, viewStore } from '@/stores';

/** While playing, moves the right edge with the clock, one picture at a time: a slow device skips, it never queues. */
export function usePlay(): void {
  const playing = useStore(passStore, (s) => s.playing);
  useEffect(() => {
    if (!playing) return;
    let going = true;
    let before: number | null = null;
    const frame = async (at: number): Promise<void> => {
      if (!going) return;
      const { nowS, settings } = passStore.getState();
      const end = viewOf(viewStore.getState(), 'tune').facts?.durationS ?? 0;
      const start = nowS === null || nowS >= end ? 0 : nowS;
      const next = start + (before === null ? 0 : (at - before) / 1000);
      before = at;
      passStore.setState(next >= end ? { nowS: null, playing: false } : { nowS: next });
      await drawView('tune', settings);
      if (going && passStore.getState().playing) requestAnimationFrame((t) => void frame(t));
    };
    requestAnimationFrame((t) => void frame(t));
    return () => {
      going = false;
    };
  }, [playing]);
}
