import type { Settings } from './settings';

/** Water under the bed in a window locked to it, as a share of that over it. */
const UNDER_BED = 0.25;

/** The water a picture shows: its height, and where its top lies, ping by ping. */
export interface Window {
  spanM: number;
  /** Top of the window by ping, m; one entry when it is the same for all. */
  topM: Float32Array;
}

/** Height of a window locked to the bed that shows `bedLockM` over it, m. */
export const lockedSpan = (bedLockM: number): number => bedLockM * (1 + UNDER_BED);

/** Height of the window in metres, whatever it hangs on. */
export function windowSpan(settings: Pick<Settings, 'topM' | 'rangeM' | 'zoom' | 'bedLockM'>): number {
  const whole = settings.bedLockM === null ? settings.rangeM - settings.topM : lockedSpan(settings.bedLockM);
  return whole / settings.zoom;
}

/**
 * The window of the settings over a bed. Locked to the bed it keeps its place against it, and stays where it was while the
 * bed is lost; otherwise it is the range window, or the part of it that zoom picks.
 * @param bedM range of the bed by ping, NaN where lost
 */
export function windowOf(settings: Settings, bedM: Float32Array): Window {
  const spanM = windowSpan(settings);
  if (settings.bedLockM !== null) {
    const topM = new Float32Array(bedM.length);
    // Zoomed in it keeps the bed at the same share of its height.
    const above = settings.bedLockM / settings.zoom;
    let last = Math.max(0, settings.rangeM - above);
    for (let p = 0; p < bedM.length; p++) {
      if (bedM[p]! > 0) last = Math.max(0, bedM[p]! - above);
      topM[p] = last;
    }
    return { spanM, topM };
  }
  const middle = settings.zoomAtM ?? settings.rangeM - spanM / 2;
  const top = Math.min(Math.max(middle - spanM / 2, settings.topM), settings.rangeM - spanM);
  return { spanM, topM: Float32Array.of(top) };
}
