export { labOf, rgbOf, rgbOfHex, type Lab, type Rgb } from './lab';
export {
  BED_RAMP_AT,
  PALETTE_NAMES,
  PALETTE_STEPS,
  paletteColours,
  PALETTES,
  paletteTable,
  type PaletteName,
} from './palette';
export {
  PALETTE_BOTTOM_DB,
  PLAIN_SETTINGS,
  SettingsSchema,
  SOUNDING_SETTINGS,
  TVG_LAWS,
  type Settings,
} from './settings';
export { sampleGain, tailOffCut, timeVariedGain, topWaterCut } from './strength';
export { averagePings, dropLonePings, filteredLevels } from './pingFilters';
export { autoGain } from './autoGain';
export { unitBed } from './unitBed';
export { chartPosition, columnPings, pingAt, timeOfColumn, type Columns } from './columns';
export { windowOf, windowSpan } from './window';
export { colourScale, levelOf, stepOf, type ColourScale } from './colourScale';
export { drawPicture, newDesk, type Desk, type Picture } from './draw';
export {
  CONTROL_RANGE,
  fromUnit,
  toUnit,
  UNIT_CONTROLS,
  UnitScaleSchema,
  type UnitControl,
  type UnitProfile,
  type UnitScale,
} from './unitProfile';
export { blobs, openWater, type Blob } from './openWater';
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
  type Clarity,
  type MarkPlace,
} from './meters';
export { findFaults, type Fault, type FaultName } from './faults';
export {
  paletteLab,
  see,
  sightScore,
  viewing,
  type SeenMark,
  type Sight,
  type SightFor,
  type Viewing,
} from './eye';
export { calibrateChart, type ChartCalibration, type ChartTiming } from './chartCalibration';
