import type { Rgb } from '@/core/picture';

/** Parts of a panel across and down in which light on the glass is looked for, and pixels looked at in each, a side. */
const ACROSS = 16;
const DOWN = 12;
const LOOKED_AT = 14;
/** Less light than this is a picture's own grain; channels differ by no more than this share of it, 8-bit. */
const LEAST_LIGHT = 10;
const COLOURED = 0.45;
/** Of a part's pixels so many must be the ground, or echoes hide it. */
const LEAST_SHARE = 0.3;
/** Light rises by no more from a part to the next, 8-bit. */
const STEEPEST = 40;
/** Colours this near are one, 8-bit. */
const SAME = 16;

/**
 * Light that a lamp or the sky lays over a photographed screen, from where the ground (what is drawn where nothing answers) is
 * brighter than elsewhere: light adds to every colour alike. @param colourAt of shares across and down the panel
 * @param ground its usual colour @returns light at a place of the panel, 8-bit
 */
export function addedLight(
  colourAt: (across: number, down: number) => Rgb,
  ground: Rgb,
): (across: number, down: number) => number {
  const light = new Float32Array(ACROSS * DOWN).fill(NaN);
  for (let j = 0; j < DOWN; j++)
    for (let i = 0; i < ACROSS; i++) light[j * ACROSS + i] = lightOf(partColours(colourAt, i, j), ground);
  leaveOutEchoes(light);
  if (!light.some((x) => x > 0)) return () => 0;
  spread(light);
  return (across, down) => {
    const x = Math.min(ACROSS - 1, Math.max(0, across * ACROSS - 0.5));
    const y = Math.min(DOWN - 1, Math.max(0, down * DOWN - 0.5));
    const [i, j] = [Math.min(ACROSS - 2, Math.floor(x)), Math.min(DOWN - 2, Math.floor(y))];
    const [u, v] = [x - i, y - j];
    const at = (k: number, l: number): number => light[l * ACROSS + k]!;
    return (
      (1 - v) * ((1 - u) * at(i, j) + u * at(i + 1, j)) + v * ((1 - u) * at(i, j + 1) + u * at(i + 1, j + 1))
    );
  };
}

function partColours(colourAt: (across: number, down: number) => Rgb, i: number, j: number): Rgb[] {
  return Array.from({ length: LOOKED_AT * LOOKED_AT }, (_, k) =>
    colourAt(
      (i + ((k % LOOKED_AT) + 0.5) / LOOKED_AT) / ACROSS,
      (j + (Math.floor(k / LOOKED_AT) + 0.5) / LOOKED_AT) / DOWN,
    ),
  );
}

/** How much brighter the ground of a part is; NaN where its ground is hidden. */
function lightOf(colours: readonly Rgb[], ground: Rgb): number {
  const lights: number[] = [];
  for (const [r, g, b] of colours) {
    const [x, y, z] = [r - ground[0], g - ground[1], b - ground[2]];
    const mean = (x + y + z) / 3;
    const apart = Math.max(x, y, z) - Math.min(x, y, z);
    if (mean > -SAME && apart <= SAME + COLOURED * Math.max(0, mean)) lights.push(mean);
  }
  if (lights.length < LEAST_SHARE * colours.length) return NaN;
  lights.sort((a, b) => a - b);
  // Echoes of a grey ramp lie over the ground too: the darker half is it.
  const low = lights[Math.floor(0.25 * lights.length)]!;
  return low < LEAST_LIGHT ? 0 : low;
}

/** Light fades slowly over a screen; a part far brighter than one beside it is full of echoes of a grey ramp, as the bed is. */
function leaveOutEchoes(light: Float32Array): void {
  const echoes = new Uint8Array(light.length);
  // Beside echoes what is as bright is echoes too.
  const beside = (i: number, j: number): number => {
    if (i < 0 || i >= ACROSS || j < 0 || j >= DOWN) return NaN;
    return echoes[j * ACROSS + i] ? 0 : light[j * ACROSS + i]!;
  };
  for (let again = true; again;) {
    again = false;
    for (let j = 0; j < DOWN; j++)
      for (let i = 0; i < ACROSS; i++) {
        const at = j * ACROSS + i;
        const here = light[at]!;
        if (!(here > 0) || echoes[at]) continue;
        const near = [beside(i - 1, j), beside(i + 1, j), beside(i, j - 1), beside(i, j + 1)];
        if (!near.some((x) => here - x > STEEPEST)) continue;
        echoes[at] = 1;
        again = true;
      }
  }
  for (let at = 0; at < light.length; at++) if (echoes[at]) light[at] = NaN;
}

/** Gives parts whose ground is hidden the light of those about them. */
function spread(light: Float32Array): void {
  for (let round = 0; round < ACROSS && light.some(Number.isNaN); round++) {
    const before = light.slice();
    for (let j = 0; j < DOWN; j++)
      for (let i = 0; i < ACROSS; i++) {
        if (!Number.isNaN(before[j * ACROSS + i]!)) continue;
        let sum = 0;
        let count = 0;
        for (const [k, l] of [
          [i - 1, j],
          [i + 1, j],
          [i, j - 1],
          [i, j + 1],
        ] as const) {
          const near = k < 0 || k >= ACROSS || l < 0 || l >= DOWN ? NaN : before[l * ACROSS + k]!;
          if (Number.isNaN(near)) continue;
          sum += near;
          count++;
        }
        if (count > 0) light[j * ACROSS + i] = sum / count;
      }
  }
}
