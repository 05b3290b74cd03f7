import type { Cells } from './cells';

/** Cells looked at for how much noise strays, and the least between its quarters, dB: a picture's ground and cut levels stray by nothing. */
const LOOKED_AT = 2000;
const LEAST_STRAY_DB = 0.8;

/**
 * Whether noise is seen in the open water. Where it is not, as on a picture of a screen, whose weakest colour cuts it off, nothing faint can
 * be weighed against it, and what of it is drawn stands out like an echo.
 */
export function showsNoise({ mostDb, used, cells: row }: Cells): boolean {
  const looks: number[] = [];
  const stride = Math.max(1, Math.floor((used.length * row) / LOOKED_AT)) | 1;
  for (let at = 0; at < used.length * row; at += stride)
    if (at % row < used[Math.floor(at / row)]!) looks.push(mostDb[at]!);
  looks.sort((a, b) => a - b);
  const quarter = looks.length >> 2;
  return looks.length >= 8 && looks[3 * quarter]! - looks[quarter]! > LEAST_STRAY_DB;
}
