import * as v from 'valibot';

/** Controls a user's own unit counts in a way of its own. */
export const UNIT_CONTROLS = [
  'gain',
  'firstColour',
  'colourSpread',
  'otherSounders',
  'noiseRejection',
  'topWater',
  'tvg',
  'chartSpeed',
  'pingRate',
  'brightness',
  'contrast',
  'sharpening',
] as const;
export type UnitControl = (typeof UNIT_CONTROLS)[number];

/** What each control runs over inside, from least to most of its effect. dB, steps, columns/s, pings/s, a ratio. */
export const CONTROL_RANGE: Record<UnitControl, readonly [least: number, most: number]> = {
  gain: [-30, 40],
  firstColour: [0, 30],
  colourSpread: [10, 60],
  otherSounders: [0, 3],
  noiseRejection: [0, 8],
  topWater: [0, 10],
  tvg: [0, 40],
  chartSpeed: [0.5, 40],
  pingRate: [0.5, 60],
  brightness: [-20, 20],
  contrast: [0.4, 3],
  sharpening: [0, 3],
};

/** How a user's own unit words and counts one control, as the user has told. */
export const UnitScaleSchema = v.pipe(
  v.object({
    /** The unit's own word for it. */
    word: v.pipe(v.string(), v.minLength(1), v.maxLength(30)),
    lowest: v.pipe(v.number(), v.finite()),
    highest: v.pipe(v.number(), v.finite()),
    step: v.pipe(v.number(), v.finite(), v.gtValue(0)),
    /** Whether a higher number does more of it, or less. */
    direction: v.picklist(['more', 'less']),
  }),
  v.check((s) => s.highest > s.lowest, 'the highest must be above the lowest'),
  v.check((s) => s.step <= s.highest - s.lowest, 'one step must fit between lowest and highest'),
);
export type UnitScale = v.InferOutput<typeof UnitScaleSchema>;

/** The controls the user has told about. None ships. */
export type UnitProfile = Partial<Record<UnitControl, UnitScale>>;

/** A control's inside value as the user's unit would show it, on its nearest step. */
export function toUnit(control: UnitControl, scale: UnitScale, inside: number): number {
  const [least, most] = CONTROL_RANGE[control];
  const u = Math.min(1, Math.max(0, (inside - least) / (most - least)));
  const share = scale.direction === 'more' ? u : 1 - u;
  const steps = Math.round((share * (scale.highest - scale.lowest)) / scale.step);
  return Math.min(scale.highest, scale.lowest + steps * scale.step);
}

/** What a number on the user's unit means inside. @throws RangeError when the unit cannot show that number */
export function fromUnit(control: UnitControl, scale: UnitScale, shown: number): number {
  if (!(shown >= scale.lowest && shown <= scale.highest))
    throw new RangeError(`${scale.word}: ${scale.lowest} to ${scale.highest}, got ${shown}`);
  const [least, most] = CONTROL_RANGE[control];
  const share = (shown - scale.lowest) / (scale.highest - scale.lowest);
  return least + (scale.direction === 'more' ? share : 1 - share) * (most - least);
}
