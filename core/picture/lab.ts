/** A colour as CIELAB (D65): lightness 0…100 and the two colour axes. */
export type Lab = readonly [l: number, a: number, b: number];
/** A colour as 8-bit sRGB. */
export type Rgb = readonly [r: number, g: number, b: number];

/** D65 white, CIE 1931 2° observer. */
const WHITE = [0.95047, 1, 1.08883] as const;

const linear = (c: number): number => (c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4));
const gamma = (c: number): number => (c <= 0.0031308 ? 12.92 * c : 1.055 * Math.pow(c, 1 / 2.4) - 0.055);
const f = (t: number): number => (t > 216 / 24389 ? Math.cbrt(t) : (24389 / 27 / 116) * t + 16 / 116);
const fInverse = (t: number): number => (t > 6 / 29 ? t * t * t : 3 * (6 / 29) ** 2 * (t - 4 / 29));

/** sRGB (IEC 61966-2-1) → CIELAB. */
export function labOf([red, green, blue]: Rgb): Lab {
  const r = linear(red / 255);
  const g = linear(green / 255);
  const b = linear(blue / 255);
  const x = f((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / WHITE[0]);
  const y = f((0.2126729 * r + 0.7151522 * g + 0.072175 * b) / WHITE[1]);
  const z = f((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / WHITE[2]);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

/** CIELAB → sRGB, held to what a screen can show. */
export function rgbOf([l, a, b]: Lab): Rgb {
  const y = (l + 16) / 116;
  const x = fInverse(y + a / 500) * WHITE[0];
  const z = fInverse(y - b / 200) * WHITE[2];
  const w = fInverse(y) * WHITE[1];
  const channel = (c: number): number => Math.round(255 * Math.min(1, Math.max(0, gamma(Math.max(0, c)))));
  return [
    channel(3.2404542 * x - 1.5371385 * w - 0.4985314 * z),
    channel(-0.969266 * x + 1.8760108 * w + 0.041556 * z),
    channel(0.0556434 * x - 0.2040259 * w + 1.0572252 * z),
  ];
}

/** `#rrggbb` → sRGB. */
export const rgbOfHex = (hex: string): Rgb => [
  parseInt(hex.slice(1, 3), 16),
  parseInt(hex.slice(3, 5), 16),
  parseInt(hex.slice(5, 7), 16),
];
