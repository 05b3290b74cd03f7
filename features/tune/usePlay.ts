import { useEffect, useRef } from 'react';
import { useStore } from 'zustand';
import { passStore, viewOf, viewStore } from '@/stores';

/** Most a picture runs on between two frames, s: it does not leap over what took long to make. */
const LONGEST_STEP_S = 0.2;

/** Draws all pictures that are shown, as they are set at the moment. */
export type DrawAll = () => Promise<unknown>;

/** While playing, moves the right edge with the clock, one picture at a time: a slow device skips, it never queues. */
export function usePlay(drawAll: DrawAll): void {
  const draw = useRef(drawAll);
  useEffect(() => {
    draw.current = drawAll;
  });
  const playing = useStore(passStore, (s) => s.playing);
  useEffect(() => {
    if (!playing) return;
    let going = true;
    let before: number | null = null;
    const frame = async (at: number): Promise<void> => {
      if (!going) return;
      const { nowS } = passStore.getState();
      const { facts, drawnKey, passKey } = viewOf(viewStore.getState(), 'tune');
      // Steered anew, how long the pass lasts is known once its pings are there.
      if (drawnKey !== passKey || drawnKey === null) {
        await draw.current();
        if (going) requestAnimationFrame((t) => void frame(t));
        return;
      }
      const end = facts?.durationS ?? 0;
      const start = nowS === null || nowS >= end ? 0 : nowS;
      const next = start + (before === null ? 0 : Math.min(LONGEST_STEP_S, (at - before) / 1000));
      before = at;
      passStore.setState(next >= end ? { nowS: null, playing: false } : { nowS: next });
      await draw.current();
      if (going && passStore.getState().playing) requestAnimationFrame((t) => void frame(t));
    };
    requestAnimationFrame((t) => void frame(t));
    return () => {
      going = false;
    };
  }, [playing]);
}
