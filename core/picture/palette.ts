import { labOf, rgbOf, rgbOfHex, type Rgb } from './lab';

/** Steps from the weakest echo drawn to the strongest. */
export const PALETTE_STEPS = 256;

export type PaletteName = 'ink' | 'moss' | 'graphite';

interface PaletteRecipe {
  /** Name on screen. */
  label: string;
  /** Where no echo is drawn. */
  ground: string;
  /** Weak to strong; lightness runs one way so that rank survives sun, grey print and colour blindness. */
  stops: readonly string[];
  /** The same for what lies below the first bed echo: another hue, so that a fish on the bed stands out from it. */
  bedStops: readonly string[];
}

export const PALETTES: Record<PaletteName, PaletteRecipe> = {
  ink: {
    label: 'Ink on paper',
    ground: '#f6f1e4',
    stops: ['#d9dcc3', '#9fc0ab', '#5a9490', '#2c5f73', '#1d3350', '#120f1c'],
    bedStops: ['#e6d3bd', '#d0a98a', '#a97a5c', '#7a4d3a', '#4a2a22', '#1c0f0d'],
  },
  moss: {
    label: 'Moss on dark',
    ground: '#0d1614',
    stops: ['#1d3a34', '#2f5f4b', '#5a8a55', '#9fb06b', '#dccf9b', '#fbf6e6'],
    bedStops: ['#2b2740', '#4a3f63', '#75628a', '#a58cae', '#d4bfd2', '#f7f0f5'],
  },
  graphite: {
    label: 'Graphite',
    ground: '#14140f',
    stops: ['#2e2e2a', '#595751', '#8a8780', '#bcb9b1', '#f3f1ea'],
    bedStops: ['#25303a', '#465866', '#73899a', '#a9bac7', '#e6eef3'],
  },
};

export const PALETTE_NAMES = Object.keys(PALETTES) as PaletteName[];

/** Colours of a palette ready to write into RGBA pixels. */
export interface PaletteTable {
  /**
   * Little-endian 0xAABBGGRR; entry 0 is the ground, 1…PALETTE_STEPS weak to strong, and from BED_RAMP_AT on the same again
   * for what lies below the bed.
   */
  rgba: Uint32Array;
}

/** Where the ramp for below the bed begins in a table: a step plus this is its entry. */
export const BED_RAMP_AT = PALETTE_STEPS + 1;

const pack = ([r, g, b]: Rgb): number => ((255 << 24) | (b << 16) | (g << 8) | r) >>> 0;

/** Blends stops in CIELAB, so that equal steps of level look equal. */
function blended(stopsHex: readonly string[]): Rgb[] {
  const stops = stopsHex.map((hex) => labOf(rgbOfHex(hex)));
  const steps: Rgb[] = [];
  for (let i = 0; i < PALETTE_STEPS; i++) {
    const at = (i / (PALETTE_STEPS - 1)) * (stops.length - 1);
    const k = Math.min(stops.length - 2, Math.floor(at));
    const u = at - k;
    const [p, q] = [stops[k]!, stops[k + 1]!];
    steps.push(rgbOf([p[0] + (q[0] - p[0]) * u, p[1] + (q[1] - p[1]) * u, p[2] + (q[2] - p[2]) * u]));
  }
  return steps;
}

/** The colours of a palette: the ground, weak to strong, and the same below the bed. */
export function paletteColours(name: PaletteName): { ground: Rgb; steps: Rgb[]; bedSteps: Rgb[] } {
  const recipe = PALETTES[name];
  return {
    ground: rgbOfHex(recipe.ground),
    steps: blended(recipe.stops),
    bedSteps: blended(recipe.bedStops),
  };
}

/** The table a picture is drawn with. */
export function paletteTable(name: PaletteName): PaletteTable {
  const { ground, steps, bedSteps } = paletteColours(name);
  const rgba = new Uint32Array(2 * BED_RAMP_AT);
  rgba[0] = rgba[BED_RAMP_AT] = pack(ground);
  steps.forEach((rgb, i) => (rgba[i + 1] = pack(rgb)));
  bedSteps.forEach((rgb, i) => (rgba[BED_RAMP_AT + i + 1] = pack(rgb)));
  return { rgba };
}
