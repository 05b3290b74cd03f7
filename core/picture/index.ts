export { labOf, rgbOf, rgbOfHex, type Lab, type Rgb } from './lab';
export {
  PALETTE_NAMES,
  PALETTE_STEPS,
  paletteColours,
  PALETTES,
  paletteTable,
  type PaletteName,
} from './palette';
export { PALETTE_BOTTOM_DB, SettingsSchema, SOUNDING_SETTINGS, type Settings } from './settings';
export { dropOtherSounders, sampleGain, timeVariedGain, topWaterCut } from './strength';
export { columnPings, pingAt, timeOfColumn } from './columns';
export { drawPicture, newDesk, type Desk, type Picture } from './draw';
