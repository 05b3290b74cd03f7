import { lazy } from 'react';

/** The drawing, loaded when it is first opened. */
export const CutawayDrawing = lazy(() =>
  import('./CutawayDrawing').then((m) => ({ default: m.CutawayDrawing })),
);
