import type { Picture, Settings } from '@/core/picture';
import type { CloseUp, PassPlace } from './readStore';

/** The part of a pass a picture shows: times at its left and right edges, s, ranges at its top and foot, m. */
export interface PassWindow {
  fromS: number;
  toS: number;
  topM: number;
  footM: number;
}

/** What a drawn picture shows. */
export function windowOn({ timeS, columns, columnsFilled, nowS, topM, rowM, rows }: Picture): PassWindow {
  const first = columns - columnsFilled;
  const column = columnsFilled > 1 ? (nowS - timeS[first]!) / (columnsFilled - 1) : 1;
  const top = topM[columns - 1] ?? 0;
  return { fromS: nowS - columns * column, toS: nowS, topM: top, footM: top + rows * rowM };
}

/** A place of a picture, in shares of its width and height. */
export const placeOn = (
  { fromS, toS, topM, footM }: PassWindow,
  at: { x: number; y: number },
): PassPlace => ({
  timeS: Math.max(0, fromS + at.x * (toS - fromS)),
  rangeM: Math.max(0, topM + at.y * (footM - topM)),
});

/** How a pass is drawn whole, or the part of it that is looked at closely, and which time lies at its right edge. */
export function drawnAs(
  settings: Settings,
  closeUp: CloseUp | null,
  durationS: number,
  columns: number,
): { settings: Settings; nowS: number } {
  const times = closeUp?.times ?? 1;
  const spanS = durationS / times;
  const nowS = closeUp ? Math.min(durationS, Math.max(spanS, closeUp.timeS + spanS / 2)) : durationS;
  return {
    nowS,
    settings: {
      ...settings,
      // All of the water, whatever window the bench has: marks lie anywhere.
      topM: 0,
      zoom: times,
      zoomAtM: closeUp?.rangeM ?? null,
      bedLockM: null,
      chartSpeed: columns / spanS,
    },
  };
}
