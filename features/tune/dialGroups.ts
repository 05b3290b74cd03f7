import type { ControlName } from '@/core/picture';
import type { Choice } from './ChoiceDial';

/** Dials that are made by hand rather than out of the table of controls. */
export type OwnDial = 'beam' | 'pictures' | 'palette' | 'time' | 'redraw' | 'way';
export type DialName = ControlName | Choice | OwnDial;

/** Dials in the order a practitioner turns them, by what they are for; a group goes by its first. */
export const DIAL_GROUPS = {
  range: ['range', 'windowTop', 'lookNoDeeper', 'zoom', 'bedLock', 'levelLine', 'shallowAlarm'],
  beam: ['beam', 'pictures', 'power', 'pingRate'],
  gain: ['gain', 'gainMode', 'tvg', 'tailOff', 'tailOffStrength'],
  colour: ['firstColour', 'colourSpread', 'palette', 'bedRamp'],
  slice: ['brightness', 'contrast', 'contrastMode', 'sharpening'],
  noiseRejection: ['noiseRejection', 'otherSounders', 'topWater', 'averaging'],
  chartSpeed: ['chartSpeed', 'chartSync', 'between'],
  way: ['way'],
  time: ['time', 'redraw'],
} as const satisfies Record<string, readonly DialName[]>;

export type DialGroup = keyof typeof DIAL_GROUPS;

/** Groups a picture has: only the imaging slice has brightness and contrast of its own. */
export const groupsOf = (slice: boolean): DialGroup[] =>
  (Object.keys(DIAL_GROUPS) as DialGroup[]).filter((group) => slice || group !== 'slice');
