import { lazy } from 'react';

/** A page for paper or for a picture, loaded when one is first opened. */
export const Paper = lazy(() => import('./Paper').then((m) => ({ default: m.Paper })));
