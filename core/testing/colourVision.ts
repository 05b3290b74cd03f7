import type { Rgb } from '@/core/picture';

/** Linear sRGB as eyes lacking one kind of cone see it (Machado, Oliveira & Fernandes 2009, severity 1). */
export const DEFICIENCIES = {
  none: [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ],
  protan: [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  deutan: [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  tritan: [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
} as const;

const linear = (c: number): number => (c <= 10.31475 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4);
const coded = (x: number): number => {
  const c = Math.min(1, Math.max(0, x));
  return Math.round(255 * (c <= 0.0031308 ? 12.92 * c : 1.055 * c ** (1 / 2.4) - 0.055));
};

/** A colour as a deficiency has it. */
export function seenWith(name: keyof typeof DEFICIENCIES, rgb: Rgb): Rgb {
  const [r, g, b] = rgb.map(linear) as [number, number, number];
  return DEFICIENCIES[name].map(([x, y, z]) => coded(x * r + y * g + z * b)) as unknown as Rgb;
}

/** Relative luminance (WCAG 2). */
export const luminance = ([r, g, b]: Rgb): number =>
  0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b);

/** Contrast ratio of two colours (WCAG 2). */
export function contrastRatio(a: Rgb, b: Rgb): number {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (high + 0.05) / (low + 0.05);
}
