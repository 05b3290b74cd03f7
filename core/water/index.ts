export { soundSpeed } from './soundSpeed';
export { absorption, type Absorption } from './absorption';
export {
  DEFAULT_EXCESS_NOISE_DB,
  engineNoise,
  noiseSpectrum,
  thermalNoise,
  windNoise,
  type Engine,
} from './noise';
export {
  FISH_HIGHLIGHTS,
  fishLengthOf,
  fishTargetStrength,
  lengthFactorOf,
  lureTargetStrength,
  PASS_SPREAD_DB,
  squareOnGain,
  tiltEffect,
  tiltLoss,
  weightTargetStrength,
  type Bladder,
  type LureKind,
} from './targetStrength';
export {
  BED,
  BED_MATERIALS,
  bedBackscatter,
  bedLoss,
  bedReflection,
  coherentShare,
  roughnessLoss,
  type BedAcoustics,
  type BedMaterial,
} from './bed';
export { absorptionOf, soundSpeedOf, type Water } from './water';
export { boatInWaves, windBubbles } from './waves';
export {
  CLARITIES,
  HOURS,
  SEASONS,
  SILT,
  smallLifeDb,
  volumeBackscatter,
  type Clarity,
  type Hour,
  type LifeBrief,
  type Season,
} from './volumeBackscatter';
