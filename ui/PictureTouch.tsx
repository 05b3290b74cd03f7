import { createElement, useEffect, useRef, useState } from 'react';
import { followTouches, type PictureTouches } from './followTouches';

interface Props extends PictureTouches {
  /** What it is and what keys do, for who cannot see it. */
  label: string;
  testID: string;
}

/** Fingers, mouse, wheel and keys over a picture: a cursor, drag back in time, zoom. Draws nothing itself. */
export function PictureTouch({ label, testID, ...told }: Props) {
  const [node, setNode] = useState<HTMLElement | null>(null);
  const newest = useRef<PictureTouches>(told);
  useEffect(() => {
    newest.current = told;
  });
  useEffect(() => (node ? followTouches(node, () => newest.current) : undefined), [node]);
  return createElement('div', {
    ref: setNode,
    role: 'application',
    tabIndex: 0,
    'aria-label': label,
    'data-testid': testID,
    style: { position: 'absolute', inset: 0, touchAction: 'none', cursor: 'crosshair' },
  });
}
