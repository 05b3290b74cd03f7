import * as v from 'valibot';
import type { PaletteName } from './palette';
import { PALETTE_NAMES } from './palette';

const finite = (low: number, high: number) =>
  v.pipe(v.number(), v.finite(), v.minValue(low), v.maxValue(high));

/**
 * How pings become a picture. Internally dB, metres and seconds; what the user's own unit calls them and counts them
 * in is a matter of its profile.
 */
export const SettingsSchema = v.object({
  /** Which beam. */
  faceId: v.pipe(v.string(), v.maxLength(40)),
  /** Bottom of the window, m; its top is the surface. */
  rangeM: finite(1, 400),
  /** Added to every echo, dB. 0 draws a −60 dB target (a bait fish) in the first colour. */
  gainDb: finite(-30, 40),
  /** Levels this far over the bottom of the palette are drawn; weaker ones are not. dB. */
  firstColourDb: finite(0, 30),
  /** Span of the palette, weak to strong, dB. */
  colourSpreadDb: finite(10, 60),
  /** 0 off … 3: drops what one ping has and its neighbours lack. */
  otherSounders: v.pipe(finite(0, 3), v.integer()),
  /** 0 off … 8: drops specks with fewer drawn neighbours than this. */
  noiseRejection: v.pipe(finite(0, 8), v.integer()),
  /** 0 off … 10: lowers what stands near the surface. */
  topWater: v.pipe(finite(0, 10), v.integer()),
  /** Columns drawn a second. */
  chartSpeed: finite(0.2, 40),
  /** Pings a second. */
  pingRate: finite(0.5, 60),
  palette: v.picklist(PALETTE_NAMES as [PaletteName, ...PaletteName[]]),
});

export type Settings = v.InferOutput<typeof SettingsSchema>;

/** Target strength drawn in the first colour at gain 0, dB re 1 m². */
export const PALETTE_BOTTOM_DB = -60;

/** Settings that need new pings; all others only draw again. */
export const SOUNDING_SETTINGS = ['faceId', 'rangeM', 'pingRate'] as const;
