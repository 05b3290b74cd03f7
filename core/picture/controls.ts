/** What a control is measured in. Words and the user's own unit of it are the interface's. */
export type ControlMeasure =
  'depth' | 'decibel' | 'step' | 'factor' | 'columns-per-second' | 'pings-per-second' | 'pings';

/** A control that is turned: all that is true of it whatever shows or keeps it. */
export interface NumberControl {
  /** The setting it turns, and how far: SI, dB, steps. */
  setting: string;
  lowest: number;
  highest: number;
  /** Finest step, and the step of a thumb. */
  step: number;
  stride: number;
  measure: ControlMeasure;
  /** Where it stands until something is chosen; null is a setting that may be off. */
  plain: number | null;
  /** Needs new pings; all others only draw again. */
  repings: boolean;
  /** One for all pictures of a boat; others are each picture's own. */
  shared: boolean;
  /** A start setup speaks of it and the user may hold it there. */
  held: boolean;
  /** Units count it in numbers of their own. */
  scaled: boolean;
}

const row = (
  setting: string,
  [lowest, highest, step]: readonly [number, number, number],
  measure: ControlMeasure,
  plain: number | null,
  more: Partial<NumberControl> = {},
): NumberControl => ({
  setting,
  lowest,
  highest,
  step,
  stride: step,
  measure,
  plain,
  repings: false,
  shared: false,
  held: false,
  scaled: false,
  ...more,
});

const HELD = { held: true, scaled: true };

/**
 * Every control that is turned, in the order it is turned on the water: the one table that schema, dials, keys, holds and
 * the scales of the user's own unit come from.
 */
export const CONTROLS = {
  range: row('rangeM', [1, 400, 1], 'depth', 20, { repings: true, shared: true, held: true }),
  windowTop: row('topM', [0, 399, 1], 'depth', 0, { shared: true }),
  lookNoDeeper: row('lookNoDeeperM', [1, 400, 1], 'depth', null, { shared: true, held: true }),
  gain: row('gainDb', [-30, 40, 1], 'decibel', 0, HELD),
  firstColour: row('firstColourDb', [0, 30, 1], 'decibel', 0, HELD),
  colourSpread: row('colourSpreadDb', [10, 60, 1], 'decibel', 40, HELD),
  brightness: row('brightnessDb', [-20, 20, 1], 'decibel', 0, { scaled: true }),
  contrast: row('contrast', [0.4, 3, 0.1], 'factor', 1, { scaled: true }),
  sharpening: row('sharpening', [0, 3, 1], 'step', 0, { scaled: true }),
  otherSounders: row('otherSounders', [0, 3, 1], 'step', 0, HELD),
  noiseRejection: row('noiseRejection', [0, 8, 1], 'step', 0, HELD),
  averaging: row('averaging', [1, 8, 1], 'pings', 1),
  topWater: row('topWater', [0, 10, 1], 'step', 0, HELD),
  tailOff: row('tailOffM', [0, 30, 1], 'depth', 0),
  tailOffStrength: row('tailOffDb', [0, 40, 1], 'decibel', 0),
  chartSpeed: row('chartSpeed', [0.2, 40, 0.1], 'columns-per-second', 10, {
    ...HELD,
    stride: 0.5,
    shared: true,
  }),
  pingRate: row('pingRate', [0.5, 60, 0.5], 'pings-per-second', 10, { ...HELD, repings: true, shared: true }),
  zoom: row('zoom', [1, 8, 1], 'factor', 1, { shared: true }),
  zoomAt: row('zoomAtM', [0, 400, 1], 'depth', null, { shared: true }),
  levelLine: row('levelLineM', [0.5, 400, 0.5], 'depth', null, { shared: true }),
  shallowAlarm: row('shallowAlarmM', [0.5, 100, 0.5], 'depth', null, { shared: true }),
  bedLock: row('bedLockM', [0.5, 50, 0.5], 'depth', null, { shared: true }),
} as const satisfies Record<string, NumberControl>;

export type ControlName = keyof typeof CONTROLS;
export const CONTROL_NAMES = Object.keys(CONTROLS) as ControlName[];

/** Controls a start setup speaks of and the user may hold at a value. */
export const HELD_CONTROLS = [
  'range',
  'lookNoDeeper',
  'gain',
  'firstColour',
  'colourSpread',
  'otherSounders',
  'noiseRejection',
  'topWater',
  'pingRate',
  'chartSpeed',
] as const satisfies readonly ControlName[];
export type HeldControl = (typeof HELD_CONTROLS)[number];
