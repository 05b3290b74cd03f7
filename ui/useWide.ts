import { useWindowDimensions } from 'react-native';

/** Widths from which a screen has room for a rail and columns side by side. */
const WIDE_PX = 900;
/** A phone on its side: low, and wide enough for two columns. */
const LOW_PX = 500;
const LYING_PX = 660;

/** Whether a phone lies on its side: little height, room for two columns. */
export function useLying(): boolean {
  const { width, height } = useWindowDimensions();
  return width >= LYING_PX && height < LOW_PX && width > height;
}

/** Whether the screen has room side by side: it is wide, or a phone lies on its side. */
export function useWide(): boolean {
  const { width } = useWindowDimensions();
  return useLying() || width >= WIDE_PX;
}
