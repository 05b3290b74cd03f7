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
export {
  echoEnvelope,
  envelopeReach,
  rangeResolution,
  ringTime,
  singlePulse,
  sweptPulse,
  type Pulse,
} from './pulse';
export { LOW_POWER_DB, RECEIVER_CEILING_DB, ringDown, type PowerMode } from './receiver';
export { faceAt, facePulse, pistonDiameter, sourceLevel, type Face } from './transducer';
export { TRANSDUCERS, transducerOf, transducersOf, type Transducer } from './library';
export {
  churnLoss,
  faceOf,
  firstTransducerAt,
  GENERIC_RIG,
  LEVEL_MOUNT,
  placeFromFace,
  placeOfFace,
  seenFrom,
  STATIONS,
  type BoatPlace,
  type Mount,
  type Rig,
  type Station,
} from './rig';
export { deadZone, firstBedRange, footprintWidth, waterPerColumn, waterPerRow } from './footprint';
export {
  detectionRange,
  BODY_M,
  DETECTION_DB,
  echoMargin,
  faceBudget,
  pointEcho,
  type FaceBudget,
  strongestNoise,
} from './echoBudget';
export { cleanPingRate, foldedRange } from './pingRate';
export { RigSchema } from './schema';
export { coneFromWeight, coneOfShare, coneSpan } from './coneAngle';
