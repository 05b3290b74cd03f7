export { labOf, rgbOf, rgbOfHex, type Lab, type Rgb } from './lab';
export {
  BED_RAMP_AT,
  PALETTE_NAMES,
  PALETTE_STEPS,
  coloursOf,
  packedColour,
  paletteColours,
  PALETTES,
  paletteTable,
  LIGHTS,
  palettesFor,
  type Light,
  type PaletteColours,
  type PaletteName,
  type PictureKind,
} from './palette';
export {
  ownSettings,
  PALETTE_BOTTOM_DB,
  PLAIN_SETTINGS,
  SETTINGS_ENTRIES,
  SettingsSchema,
  TVG_LAWS,
  type Settings,
} from './settings';
export { sampleGain, tailOffCut, timeVariedGain, topWaterCut, weakestColourDb } from './strength';
export { chartPosition, columnAt, columnPings, pingAt, timeOfColumn, type Columns } from './columns';
export { lockedSpan, windowOf, windowSpan } from './window';
export { LEGEND_STEPS, legendStep } from './legend';
export { colourScale, levelOf, stepOf, type ColourScale } from './colourScale';
export type { Desk, Picture } from './draw';
export { fromUnit, toUnit, UNIT_CONTROLS, type UnitControl } from './unitScale';
export {
  CONTROL_NAMES,
  CONTROLS,
  HELD_CONTROLS,
  type ControlMeasure,
  type ControlName,
  type HeldControl,
  type NumberControl,
} from './controls';
export { blobs, openDepths, openWater, type Blob } from './judge/openWater';
export type { MarkPlace } from './judge/meters';
export type { Fault, FaultName } from './judge/faults';
export type { SeenMark, Sight, SightFor } from './judge/eye';
export { HALVING_SPECKS, LEAST_MARK_ARCMIN2, viewing, type Viewing } from './judge/viewing';
export { calibrateChart, type ChartCalibration } from './chartCalibration';
export type { EyeAnswer, EyeCheckResult, EyeTrial } from './judge/eyeCheck';
