export {
  beamPattern,
  cone,
  directivityIndex,
  equivalentBeamAngle,
  fan,
  linePattern,
  NARROWEST_BEAM_RAD,
  pistonKa,
  pistonPattern,
  WIDEST_BEAM_RAD,
  type Beam,
} from './beam';
export { rangeResolution, ringTime, singlePulse, type Pulse } from './pulse';
export { GENERIC_FACES, sourceLevel, type Face } from './transducer';
export { faceOf, GENERIC_RIG, type Rig } from './rig';
export { deadZone, firstBedRange, footprintWidth, waterPerColumn, waterPerRow } from './footprint';
export {
  detectionRange,
  DETECTION_DB,
  echoMargin,
  faceBudget,
  pointEcho,
  type FaceBudget,
} from './echoBudget';
export { cleanPingRate, foldedRange } from './pingRate';
export { RigSchema } from './schema';
