import type { Control } from '@/core/advice';
import { CONTROLS, type ControlName } from '@/core/picture';
import type { Unit } from '@/core/rig';
import { measure } from '@/core/units';
import { decimal } from '@/ui/decimal';
import type { Units } from '../units';
import { db, perSecond, signedDb } from './numbers';

/** What each control is called, until the user has told what their own unit calls it. */
const CONTROL_WORDS: Record<Control | ControlName | 'palette', string> = {
  range: 'Range',
  windowTop: 'Top of the window',
  lookNoDeeper: 'Look no deeper',
  beam: 'Frequency',
  imaging: 'Imaging slice',
  power: 'Power',
  pulse: 'Pulse',
  gain: 'Gain',
  firstColour: 'First colour',
  colourSpread: 'Colour spread',
  palette: 'Palette',
  brightness: 'Brightness',
  contrast: 'Contrast',
  sharpening: 'Sharpening',
  otherSounders: 'Other sounders',
  noiseRejection: 'Noise rejection',
  averaging: 'Averaging',
  topWater: 'Top water',
  tailOff: 'Tail-off',
  tailOffStrength: 'Strength of the tail-off',
  tvg: 'Gain by depth',
  pingRate: 'Ping rate',
  chartSpeed: 'Chart speed',
  zoom: 'Zoom',
  zoomAt: 'Middle of the zoom',
  bedLock: 'Lock to the bed',
  levelLine: 'Level line',
  shallowAlarm: 'Shallow alarm',
  boatSpeed: 'Boat speed',
  size: 'Judge size',
};

export type NamedControl = keyof typeof CONTROL_WORDS;

/** What a control is called: by the user's own word for it where they have told one. */
export const controlName = (control: NamedControl, unit: Pick<Unit, 'scales'> | null): string =>
  unit?.scales[control]?.word ?? CONTROL_WORDS[control];

/** A control's value in words and the user's units, from its measure. */
export function controlValue(name: ControlName, value: number, units: Units): string {
  const { measure: kind, highest, lowest } = CONTROLS[name];
  switch (kind) {
    case 'depth':
      return units.show('depth', value, 0);
    case 'decibel':
      return lowest < 0 ? signedDb(value) : db(value);
    case 'step':
      return value === 0 ? 'off' : `${value} of ${highest}`;
    case 'factor':
      return `×${decimal(value, 1)}`;
    case 'pings':
      return value === 1 ? 'off' : `${value} pings`;
    case 'columns-per-second':
      return `${decimal(value, 1)} columns\u00a0a second`;
    case 'pings-per-second':
      return perSecond(value);
  }
}

/** A control's scale as a dial turns it: whole steps of the user's unit for depths, its own elsewhere. */
export function dialScale(name: ControlName, units: Units) {
  const { lowest, highest, step, stride, measure: kind } = CONTROLS[name];
  if (kind !== 'depth')
    return { low: lowest, high: highest, step, stride, toDial: (x: number) => x, fromDial: (x: number) => x };
  const { fromSi, toSi } = measure(units.system, 'depth');
  return {
    low: Math.ceil(fromSi(lowest)),
    high: Math.floor(fromSi(highest)),
    step: 1,
    stride: 1,
    toDial: (x: number) => Math.round(fromSi(x)),
    fromDial: toSi,
  };
}
