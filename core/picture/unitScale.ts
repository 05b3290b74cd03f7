import type { UnitScale } from '@/core/rig';
import { CONTROLS } from './controls';

/** Controls a user's own unit counts in a way of its own, and what each runs over inside, from least to most of its effect. */
const SCALED = {
  gain: CONTROLS.gain,
  firstColour: CONTROLS.firstColour,
  colourSpread: CONTROLS.colourSpread,
  otherSounders: CONTROLS.otherSounders,
  noiseRejection: CONTROLS.noiseRejection,
  topWater: CONTROLS.topWater,
  /** By the law's exponent: 0 nothing, 20 water full of life, 40 a lone fish. */
  tvg: { lowest: 0, highest: 40 },
  chartSpeed: CONTROLS.chartSpeed,
  pingRate: CONTROLS.pingRate,
  brightness: CONTROLS.brightness,
  contrast: CONTROLS.contrast,
  sharpening: CONTROLS.sharpening,
};
export type UnitControl = keyof typeof SCALED;
export const UNIT_CONTROLS = Object.keys(SCALED) as UnitControl[];

/** A control's inside value as the user's unit would show it, on its nearest step. */
export function toUnit(control: UnitControl, scale: UnitScale, inside: number): number {
  const { lowest: least, highest: most } = SCALED[control];
  const u = Math.min(1, Math.max(0, (inside - least) / (most - least)));
  const share = scale.direction === 'more' ? u : 1 - u;
  const steps = Math.round((share * (scale.highest - scale.lowest)) / scale.step);
  return Math.min(scale.highest, scale.lowest + steps * scale.step);
}

/** What a number on the user's unit means inside. @throws RangeError when the unit cannot show that number */
export function fromUnit(control: UnitControl, scale: UnitScale, shown: number): number {
  if (!(shown >= scale.lowest && shown <= scale.highest))
    throw new RangeError(`${scale.word}: ${scale.lowest} to ${scale.highest}, got ${shown}`);
  const { lowest: least, highest: most } = SCALED[control];
  const share = (shown - scale.lowest) / (scale.highest - scale.lowest);
  return least + (scale.direction === 'more' ? share : 1 - share) * (most - least);
}
