export type {
  BedLine,
  CloudFinding,
  Finding,
  FishFinding,
  MarkShape,
  Reading,
  Reason,
  Rival,
} from './findings';
export { readChannel } from './marks';
export { trackBed } from './bedLine';
export { fitCrossing, type Crossing } from './crossing';
export { bedHardness, firstEchoDb, type BedStretch } from './hardness';
export { bedShape, type BedShape } from './bedShape';
export { type NamedEcho, type NotFish } from './notFish';
export { findLayers, type Layer } from './layers';
export { beamStrength, type Strength } from './strength';
export { workingChannel } from './workingChannel';
