/** How a picture of whole pixels is laid on a screen: its size in layout pixels, and whether every pixel is the same size. */
export interface PixelFit {
  width: number;
  height: number;
  even: boolean;
}

/** Share of the room an even fit must fill; below it, filling the room counts for more than even pixels. */
const LEAST_FILL = 0.97;

function fitSide(pixels: number, room: number, ratio: number): { size: number; even: boolean } {
  const device = room * ratio;
  const whole = Math.floor(device / pixels);
  const even = whole >= 1 && whole * pixels >= LEAST_FILL * device;
  return { size: even ? (whole * pixels) / ratio : room, even };
}

/**
 * Fits a picture of `columns` × `rows` into a room, each side on its own, by whole device pixels when that fills most
 * of the room. @param ratio device pixels a layout pixel
 */
export function pixelFit(
  picture: { columns: number; rows: number },
  room: { width: number; height: number },
  ratio: number,
): PixelFit {
  const across = fitSide(picture.columns, room.width, ratio);
  const down = fitSide(picture.rows, room.height, ratio);
  return { width: across.size, height: down.size, even: across.even && down.even };
}
