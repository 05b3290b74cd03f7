import * as v from 'valibot';
import { CONTROL_NAMES, CONTROLS, type ControlName, type NumberControl } from './controls';
import { PALETTE_NAMES, type PaletteName } from './palette';

const FaceId = v.pipe(v.string(), v.maxLength(40));
const share = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(1));

const bounded = ({ lowest, highest }: NumberControl) =>
  v.pipe(v.number(), v.finite(), v.minValue(lowest), v.maxValue(highest));
/** A setting as its control has it. What an older version kept lacks newer ones, which then stand where they stand by default. */
const turned = (name: ControlName) => v.optional(bounded(CONTROLS[name]), CONTROLS[name].plain ?? 0);
const whole = (name: ControlName) =>
  v.optional(v.pipe(bounded(CONTROLS[name]), v.integer()), CONTROLS[name].plain ?? 0);
const mayBeOff = (name: ControlName) => v.optional(v.nullable(bounded(CONTROLS[name])), CONTROLS[name].plain);

/** Time-varied gain by what it makes alike at every depth: a lone fish (40 log R), water full of life (20 log R), nothing. */
export const TVG_LAWS = ['target', 'volume', 'flat'] as const;

/**
 * How pings become a picture. Internally dB, metres and seconds; what the user's own unit calls them and counts them
 * in is a matter of its scales. Bounds are the controls'; each setting has a default, so that what was kept before it
 * existed still opens.
 */
export const SETTINGS_ENTRIES = {
  /** Which beam. */
  faceId: FaceId,
  /** A second beam laid into the same picture, and how much of it, 0…1; null for none. */
  blend: v.optional(v.nullable(v.object({ faceId: FaceId, share })), null),
  /** Top and bottom of the window, m. */
  topM: turned('windowTop'),
  rangeM: turned('range'),
  /** Shows one part in so many of the window, about `zoomAtM` or, when that is null, its foot. */
  zoom: whole('zoom'),
  zoomAtM: mayBeOff('zoomAt'),
  /** A window that keeps so many metres over the bed and a quarter of that under it; null when not locked. */
  bedLockM: mayBeOff('bedLock'),
  /** A line laid across the picture at a depth, and water shallower than which is called out, m; null for none. */
  levelLineM: mayBeOff('levelLine'),
  shallowAlarmM: mayBeOff('shallowAlarm'),
  /** The unit seeks no bed beyond, m; null for no limit. */
  lookNoDeeperM: mayBeOff('lookNoDeeper'),
  tvg: v.optional(v.picklist(TVG_LAWS), 'target'),
  /** Depth over which gain tails off towards the surface, m, and by how much there, dB. */
  tailOffM: turned('tailOff'),
  tailOffDb: turned('tailOffStrength'),
  /** Power of the pulse. */
  power: v.optional(v.picklist(['full', 'low']), 'full'),
  gainMode: v.optional(v.picklist(['manual', 'auto']), 'manual'),
  /**
   * By hand: added to every echo, dB; 0 draws a −60 dB target (a bait fish) in the first colour. On auto: the offset to what
   * the unit chooses.
   */
  gainDb: turned('gain'),
  /** Levels this far over the bottom of the palette are drawn; weaker ones are not. dB. */
  firstColourDb: turned('firstColour'),
  /** Span of the palette, weak to strong, dB. */
  colourSpreadDb: turned('colourSpread'),
  /** 0 off … 3: drops what one ping has and its neighbours lack. */
  otherSounders: whole('otherSounders'),
  /** 0 off … 8: drops dashes of a ping and specks with fewer drawn neighbours than this. */
  noiseRejection: whole('noiseRejection'),
  /** 0 off … 10: lowers what stands near the surface. */
  topWater: whole('topWater'),
  /** Pings averaged, as power. */
  averaging: whole('averaging'),
  /** Imaging only: shift of all levels, dB, and stretch about the middle of the palette. */
  brightnessDb: turned('brightness'),
  contrastMode: v.optional(v.picklist(['manual', 'auto']), 'manual'),
  /** By hand the stretch itself; on auto what the unit's own choice is multiplied by. */
  contrast: turned('contrast'),
  /** 0 off … 3: sets edges off along the range. Adds nothing that was not heard. */
  sharpening: whole('sharpening'),
  /** Columns drawn a second. */
  chartSpeed: turned('chartSpeed'),
  /** Lets the boat's speed set the chart speed instead, one row of water to a column of way. */
  chartSync: v.optional(v.boolean(), false),
  /** What columns between two pings show: the last ping again, or a blend of the two. */
  between: v.optional(v.picklist(['repeat', 'blend']), 'repeat'),
  /** Pings a second. */
  pingRate: turned('pingRate'),
  palette: v.optional(v.picklist(PALETTE_NAMES as [PaletteName, ...PaletteName[]]), 'ink'),
  /** Draws what lies below the first bed echo in a ramp of its own. */
  bedRamp: v.optional(v.boolean(), false),
};

/** Window high enough to show anything, m. */
const LEAST_WINDOW_M = 0.5;

export const SettingsSchema = v.pipe(
  v.object(SETTINGS_ENTRIES),
  v.check(
    (s) => s.rangeM >= s.topM + LEAST_WINDOW_M,
    'the range must end at least half a metre below its top',
  ),
);

export type Settings = v.InferOutput<typeof SettingsSchema>;

/** Everything plain: what a start setup and tests begin from. */
export const PLAIN_SETTINGS: Settings = v.parse(SettingsSchema, { faceId: '' });

/** Target strength drawn in the first colour at gain 0, dB re 1 m². */
export const PALETTE_BOTTOM_DB = -60;

/** Settings that are each picture's own, besides what its controls turn. */
const OWN_CHOICES = ['tvg', 'gainMode', 'contrastMode'] as const;

/** The part of the settings that is one picture's own: gain, colours and filters; the rest is one for all pictures. */
export function ownSettings(settings: Settings): Partial<Settings> {
  const names = [
    ...CONTROL_NAMES.filter((name) => !CONTROLS[name].shared).map((name) => CONTROLS[name].setting),
    ...OWN_CHOICES,
  ] as (keyof Settings)[];
  return Object.fromEntries(names.map((name) => [name, settings[name]]));
}
