export {
  MOST_MORE_PANELS,
  ScreenCalibrationSchema,
  type Panel,
  type Point,
  type ScreenCalibration,
} from './calibration';
export { drawnAsItWas } from './drawnAsItWas';
export { RAMP_DB, screenRecording, type PixelImage } from './screenRecording';
export { squareToQuad } from './straighten';
