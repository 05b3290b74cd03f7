import * as v from 'valibot';
import type { PaletteName } from './palette';
import { PALETTE_NAMES } from './palette';

const finite = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));
const whole = (low: number, high: number) => v.pipe(finite(low, high), v.integer());
const FaceId = v.pipe(v.string(), v.maxLength(40));

/** Time-varied gain by what it makes alike at every depth: a lone fish (40 log R), water full of life (20 log R), nothing. */
export const TVG_LAWS = ['target', 'volume', 'flat'] as const;

/**
 * How pings become a picture. Internally dB, metres and seconds; what the user's own unit calls them and counts them
 * in is a matter of its profile.
 */
export const SettingsSchema = v.pipe(
  v.object({
    /** Which beam. */
    faceId: FaceId,
    /** A second beam laid into the same picture, and how much of it, 0…1; null for none. */
    blend: v.nullable(v.object({ faceId: FaceId, share: finite(0, 1) })),
    /** Top and bottom of the window, m. */
    topM: finite(0, 399),
    rangeM: finite(1, 400),
    /** Shows one part in so many of the window, about `zoomAtM` or, when that is null, its foot. */
    zoom: whole(1, 8),
    zoomAtM: v.nullable(finite(0, 400)),
    /** A window that keeps so many metres over the bed and a quarter of that under it; null when not locked. */
    bedLockM: v.nullable(finite(0.5, 50)),
    /** The unit seeks no bed beyond, m; null for no limit. */
    lookNoDeeperM: v.nullable(finite(1, 400)),
    tvg: v.picklist(TVG_LAWS),
    /** Depth over which gain tails off towards the surface, m, and by how much there, dB. */
    tailOffM: finite(0, 30),
    tailOffDb: finite(0, 40),
    /** Power of the pulse. */
    power: v.picklist(['full', 'low']),
    gainMode: v.picklist(['manual', 'auto']),
    /**
     * By hand: added to every echo, dB; 0 draws a −60 dB target (a bait fish) in the first colour. On auto: the offset to what
     * the unit chooses.
     */
    gainDb: finite(-30, 40),
    /** Levels this far over the bottom of the palette are drawn; weaker ones are not. dB. */
    firstColourDb: finite(0, 30),
    /** Span of the palette, weak to strong, dB. */
    colourSpreadDb: finite(10, 60),
    /** 0 off … 3: drops what one ping has and its neighbours lack. */
    otherSounders: whole(0, 3),
    /** 0 off … 8: drops dashes of a ping and specks with fewer drawn neighbours than this. */
    noiseRejection: whole(0, 8),
    /** 0 off … 10: lowers what stands near the surface. */
    topWater: whole(0, 10),
    /** Pings averaged, as power. */
    averaging: whole(1, 8),
    /** Imaging only: shift of all levels, dB, and stretch about the middle of the palette. */
    brightnessDb: finite(-20, 20),
    contrastMode: v.picklist(['manual', 'auto']),
    /** By hand the stretch itself; on auto what the unit's own choice is multiplied by. */
    contrast: finite(0.4, 3),
    /** 0 off … 3: sets edges off along the range. Adds nothing that was not heard. */
    sharpening: whole(0, 3),
    /** Columns drawn a second. */
    chartSpeed: finite(0.2, 40),
    /** Lets the boat's speed set the chart speed instead, one row of water to a column of way. */
    chartSync: v.boolean(),
    /** What columns between two pings show: the last ping again, or a blend of the two. */
    between: v.picklist(['repeat', 'blend']),
    /** Pings a second. */
    pingRate: finite(0.5, 60),
    palette: v.picklist(PALETTE_NAMES as [PaletteName, ...PaletteName[]]),
    /** Draws what lies below the first bed echo in a ramp of its own. */
    bedRamp: v.boolean(),
  }),
  v.check((s) => s.rangeM >= s.topM + 0.5, 'the window must be at least half a metre high'),
);

export type Settings = v.InferOutput<typeof SettingsSchema>;

/** Everything plain: what a start setup and tests begin from. */
export const PLAIN_SETTINGS: Settings = {
  faceId: '',
  blend: null,
  topM: 0,
  rangeM: 20,
  zoom: 1,
  zoomAtM: null,
  bedLockM: null,
  lookNoDeeperM: null,
  tvg: 'target',
  tailOffM: 0,
  tailOffDb: 0,
  power: 'full',
  gainMode: 'manual',
  gainDb: 0,
  firstColourDb: 0,
  colourSpreadDb: 40,
  otherSounders: 0,
  noiseRejection: 0,
  topWater: 0,
  averaging: 1,
  brightnessDb: 0,
  contrastMode: 'manual',
  contrast: 1,
  sharpening: 0,
  chartSpeed: 10,
  chartSync: false,
  between: 'repeat',
  pingRate: 10,
  palette: 'ink',
  bedRamp: false,
};

/** Target strength drawn in the first colour at gain 0, dB re 1 m². */
export const PALETTE_BOTTOM_DB = -60;

/** Settings that need new pings; all others only draw again. */
export const SOUNDING_SETTINGS = ['faceId', 'rangeM', 'pingRate', 'power'] as const;
