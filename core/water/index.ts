export { soundSpeed } from './soundSpeed';
export { absorption, type Absorption } from './absorption';
export { DEFAULT_EXCESS_NOISE_DB, ENGINE_NOISE_DB, noiseSpectrum, thermalNoise, windNoise } from './noise';
export {
  fishLengthOf,
  fishTargetStrength,
  lengthFactorOf,
  PASS_SPREAD_DB,
  SINGLE_PING_SPREAD_DB,
  weightTargetStrength,
  type Bladder,
} from './targetStrength';
export {
  BED,
  BED_MATERIALS,
  bedBackscatter,
  bedLoss,
  bedReflection,
  roughnessLoss,
  type BedAcoustics,
  type BedMaterial,
} from './bed';
export { absorptionOf, soundSpeedOf, type Water } from './water';
