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
export { averagePings, dropLonePings, filteredLevels } from './pingFilters';
export { autoGain } from './autoGain';
export { unitBed } from './unitBed';
export { chartPosition, columnAt, columnPings, pingAt, timeOfColumn, type Columns } from './columns';
export { lockedSpan, windowOf, windowSpan } from './window';
export { colourScale, levelOf, stepOf, type ColourScale } from './colourScale';
export { drawPicture, newDesk, type Desk, type Picture } from './draw';
export { keepColumns } from './keepColumns';
export { outlineMarks } from './outlineMarks';
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
export {
  bedColours,
  bedSteps,
  deepestShown,
  historyS,
  markCells,
  metresPerPixel,
  saturatedShare,
  secondsPerColumn,
  shareBelowBed,
  speckleShare,
  targetMargin,
  type MarkPlace,
} from './judge/meters';
export { findFaults, type Fault, type FaultName } from './judge/faults';
export {
  labTable,
  see,
  LEAST_MARK_ARCMIN2,
  sightScore,
  viewing,
  type SeenMark,
  type Sight,
  type SightFor,
  type Viewing,
} from './judge/eye';
export { calibrateChart, type ChartCalibration } from './chartCalibration';
export {
  EYE_CHECK_CELLS,
  eyeCheckPicture,
  eyeCheckResult,
  eyeCheckTrials,
  type EyeAnswer,
  type EyeCheckResult,
  type EyeTrial,
} from './judge/eyeCheck';
