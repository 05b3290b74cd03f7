import { useEffect, useRef } from 'react';
import { useStore } from 'zustand';
import { noteTiming, passStore, viewOf, viewStore } from '@/stores';

/** Most a picture runs on between two frames, s: it does not leap over what took long to make. */
const LONGEST_STEP_S = 0.2;

/** Columns a second a chart that follows the boat is taken to have at most. */
const COLUMNS_WHEN_SYNCED = 30;

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
    // Where the right edge has come to since a column was last drawn, s; whole columns only are drawn.
    let edge: number | null = null;
    const again = (): void => {
      if (going && passStore.getState().playing) requestAnimationFrame((t) => void frame(t));
    };
    const frame = async (at: number): Promise<void> => {
      if (!going) return;
      const { nowS, settings } = passStore.getState();
      const { facts, drawnKey, passKey } = viewOf(viewStore.getState(), 'tune');
      // Steered anew, how long the pass lasts is known once its pings are there.
      if (drawnKey !== passKey || drawnKey === null) {
        await draw.current();
        before = null;
        return again();
      }
      const end = facts?.durationS ?? 0;
      const drawn = nowS === null || nowS >= end ? 0 : nowS;
      edge = Math.max(edge ?? drawn, drawn);
      const next = edge + (before === null ? 0 : Math.min(LONGEST_STEP_S, (at - before) / 1000));
      before = at;
      if (next >= end) {
        passStore.setState({ nowS: null, playing: false });
        await draw.current();
        return;
      }
      edge = next;
      const perS = settings.chartSync ? COLUMNS_WHEN_SYNCED : settings.chartSpeed;
      if (drawn > 0 && Math.floor(next * perS) === Math.floor(drawn * perS)) return again();
      noteTiming('column-due', { nowS: next });
      passStore.setState({ nowS: next });
      await draw.current();
      again();
    };
    requestAnimationFrame((t) => void frame(t));
    return () => {
      going = false;
    };
  }, [playing]);
}
