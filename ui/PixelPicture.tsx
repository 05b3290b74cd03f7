import { useEffect, useRef } from 'react';

interface Props {
  width: number;
  height: number;
  /** One 32-bit colour a pixel, row after row. */
  pixels: Uint32Array;
  /** What is to be seen, for who cannot see it. */
  label: string;
  /** On the screen, px. */
  shownWidth: number;
  shownHeight: number;
  testID?: string;
}

/** Writes pixels to a canvas of their own size; the browser scales it. */
export function paint(canvas: HTMLCanvasElement, width: number, height: number, pixels: Uint32Array): void {
  if (canvas.width !== width) canvas.width = width;
  if (canvas.height !== height) canvas.height = height;
  const bytes = new Uint8ClampedArray(pixels.buffer as ArrayBuffer, pixels.byteOffset, pixels.byteLength);
  canvas.getContext('2d')?.putImageData(new ImageData(bytes, width, height), 0, 0);
}

/** A small picture of pixels, with nothing about it. */
export function PixelPicture({ width, height, pixels, label, shownWidth, shownHeight, testID }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (canvas.current) paint(canvas.current, width, height, pixels);
  }, [width, height, pixels]);
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={label}
      data-testid={testID}
      style={{ display: 'block', width: shownWidth, height: shownHeight }}
    />
  );
}
