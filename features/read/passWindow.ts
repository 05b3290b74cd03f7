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

/** A pass longer than this is drawn out and looked at part by part, s: on one screen its marks would stand too thin. */
const LONG_S = 300;

/** How many times a pass is drawn out along the way to move as on a unit's screen; 1 for one that needs no such thing. */
export function drawnOut({ chartSpeed }: Settings, durationS: number, columns: number): number {
  if (durationS <= LONG_S) return 1;
  const screens = Math.max(2, (durationS * chartSpeed) / columns);
  return 2 ** Math.round(Math.log2(screens));
}

/** How a pass is drawn whole, or the part of it that is looked at closely, and which time lies at its right edge. */
export function drawnAs(
  settings: Settings,
  closeUp: CloseUp | null,
  durationS: number,
  columns: number,
  along = 1,
): { settings: Settings; nowS: number } {
  const times = closeUp?.times ?? 1;
  const { fromS, toS } = wantedPart(closeUp, durationS);
  return {
    nowS: toS,
    settings: {
      ...settings,
      // All of the water, whatever window the bench has: marks lie anywhere.
      topM: 0,
      zoom: Math.max(1, times / along),
      zoomAtM: times > along ? (closeUp?.rangeM ?? null) : null,
      bedLockM: null,
      chartSpeed: columns / (toS - fromS),
    },
  };
}

/** The part of a pass that is wanted: its beginning and end, s. */
export function wantedPart(closeUp: CloseUp | null, durationS: number): { fromS: number; toS: number } {
  if (!closeUp) return { fromS: 0, toS: durationS };
  const spanS = durationS / closeUp.times;
  const toS = Math.min(durationS, Math.max(spanS, closeUp.timeS + spanS / 2));
  return { fromS: toS - spanS, toS };
}

/** How far a picture must move along the way to show the part that is wanted, in shares of its width; 0 where it shows another scale. */
export function shiftTo(shown: PassWindow, closeUp: CloseUp, durationS: number | null): number {
  if (durationS === null) return 0;
  const { fromS, toS } = wantedPart(closeUp, durationS);
  const spanS = toS - fromS;
  return Math.abs(shown.toS - shown.fromS - spanS) > 0.02 * spanS ? 0 : (shown.toS - toS) / spanS;
}
