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
  LEVEL_MOUNT,
  placeFromFace,
  placeOfFace,
  seenFrom,
  type BoatPlace,
  type Mount,
  type Rig,
} from './rig';
export {
  blindHeight,
  deadZone,
  firstBedRange,
  footprintAt,
  footprintWidth,
  waterPerColumn,
  waterPerRow,
  type Footprint,
} from './footprint';
export { leanAfloat, pointingAt, type Lean, type Pointing } from './mounting';
export { lureInView } from './lureInView';
export { excessNoiseFromWeight } from './excessNoise';
export { falseBeds, type FalseBed } from './lateEchoes';
export { STILL_MPS } from './stillBoat';
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
export { BED_ECHOES, cleanPingRate, foldedRange, lateRange, pingPeriodM } from './pingRate';
export { GENERIC_RIG } from './genericRig';
export { FaceSchema, RigSchema } from './schema';
export { coneFromWeight, coneOfShare, coneSpan } from './coneAngle';
export { verdictOf, type Verdict } from './verdict';
export {
  MOST_UNITS,
  screenOf,
  seenOnUnit,
  showsFace,
  STATIONS,
  unitOf,
  UnitScaleSchema,
  UnitSchema,
  type ChartTiming,
  type Station,
  type Unit,
  type UnitScale,
} from './unit';
