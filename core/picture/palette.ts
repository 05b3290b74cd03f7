import { labOf, rgbOf, rgbOfHex, type Rgb } from './lab';

/** Steps from the weakest echo drawn to the strongest. */
export const PALETTE_STEPS = 256;

/** The lights a screen is looked at in. */
export const LIGHTS = ['day', 'dusk', 'night'] as const;
export type Light = (typeof LIGHTS)[number];

/** The two kinds of picture: of a cone, and of an imaging slice. */
export type PictureKind = 'cone' | 'slice';

export type PaletteName = 'ink' | 'pencil' | 'moss' | 'graphite' | 'ember' | 'rose';

interface PaletteRecipe {
  /** Name on screen. */
  label: string;
  /** The light it is made for, and the kind of picture it is drawn in there until the user chooses. */
  light: Light;
  kind: PictureKind;
  /** Where no echo is drawn. */
  ground: string;
  /**
   * Weak to strong. The first stands off the ground at once; lightness runs one way, so that rank survives sun, grey print and
   * colour blindness (the stops were sought for that: docs/decisions.md).
   */
  stops: readonly string[];
  /** The same for what lies below the first bed echo: violet-grey, so that a fish on the bed stands out from it. */
  bedStops: readonly string[];
}

export const PALETTES: Record<PaletteName, PaletteRecipe> = {
  ink: {
    label: 'Ink on paper',
    light: 'day',
    kind: 'cone',
    ground: '#fffdf8',
    stops: ['#337a75', '#395172', '#22244b', '#000000'],
    bedStops: ['#907294', '#694a6f', '#3e2845', '#140a18'],
  },
  pencil: {
    label: 'Pencil on paper',
    light: 'day',
    kind: 'slice',
    ground: '#fffdf8',
    stops: ['#787257', '#48504c', '#182931', '#040000'],
    bedStops: ['#8e7298', '#674a72', '#3e2845', '#140a18'],
  },
  moss: {
    label: 'Moss at dusk',
    light: 'dusk',
    kind: 'cone',
    ground: '#0a100d',
    stops: ['#508a6b', '#869d5f', '#c1d79f', '#f8e7d7'],
    bedStops: ['#896d92', '#b496bd', '#d5c0d9', '#eee6ec'],
  },
  graphite: {
    label: 'Lichen at dusk',
    light: 'dusk',
    kind: 'slice',
    ground: '#0e0e0d',
    stops: ['#86779c', '#7c988e', '#a8d2a8', '#ededed'],
    bedStops: ['#985a9c', '#b98cc0', '#d6bcdd', '#ece6f0'],
  },
  ember: {
    label: 'Ember at night',
    light: 'night',
    kind: 'cone',
    ground: '#0a0202',
    stops: ['#cd6b40', '#f0745a', '#ef8774', '#f29b92'],
    bedStops: ['#ac668e', '#c47aa0', '#d18da8', '#d99eab'],
  },
  rose: {
    label: 'Rose at night',
    light: 'night',
    kind: 'slice',
    ground: '#0a0202',
    stops: ['#a7707e', '#bc7673', '#da7c70', '#ed9e8a'],
    bedStops: ['#9a6d9b', '#b381aa', '#c591af', '#d5a0af'],
  },
};

export const PALETTE_NAMES = Object.keys(PALETTES) as PaletteName[];

/** The palettes of a light, the one a kind of picture has by default first. */
export const palettesFor = (light: Light, kind: PictureKind): PaletteName[] =>
  PALETTE_NAMES.filter((name) => PALETTES[name].light === light).sort(
    (a, b) => Number(PALETTES[b].kind === kind) - Number(PALETTES[a].kind === kind),
  );

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

/** A colour as #rrggbb, ready to write into RGBA pixels. */
export const packedColour = (hex: string): number => pack(rgbOfHex(hex));

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

/** A palette's colours: the ground, weak to strong, and the same below the bed. */
export interface PaletteColours {
  ground: Rgb;
  steps: Rgb[];
  bedSteps: Rgb[];
}

/** The colours of a palette's ground and stops. */
export function coloursOf(recipe: Pick<PaletteRecipe, 'ground' | 'stops' | 'bedStops'>): PaletteColours {
  return {
    ground: rgbOfHex(recipe.ground),
    steps: blended(recipe.stops),
    bedSteps: blended(recipe.bedStops),
  };
}

export const paletteColours = (name: PaletteName): PaletteColours => coloursOf(PALETTES[name]);

/** The table a picture is drawn with. */
export function paletteTable(name: PaletteName): PaletteTable {
  const { ground, steps, bedSteps } = paletteColours(name);
  const rgba = new Uint32Array(2 * BED_RAMP_AT);
  rgba[0] = rgba[BED_RAMP_AT] = pack(ground);
  steps.forEach((rgb, i) => (rgba[i + 1] = pack(rgb)));
  bedSteps.forEach((rgb, i) => (rgba[BED_RAMP_AT + i + 1] = pack(rgb)));
  return { rgba };
}
