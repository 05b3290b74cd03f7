export type {
  BedLine,
  CloudFinding,
  CoverClass,
  CoverFinding,
  Finding,
  FishFinding,
  MarkShape,
  Reading,
  Reason,
  Rival,
  SizeReading,
} from './findings';
export { readChannel } from './readChannel';
export {
  BEGIN_DB,
  FEW_STAND_OUT_DB,
  FEWEST_PINGS,
  GAP_PINGS,
  GO_ON_DB,
  LEAST_PIECE,
  LONG_PINGS,
  markEvidence,
  shapeOfLegs,
  USUAL_PINGS,
} from './mark';
export { trackBed } from './bedLine';
export { fitCrossing, type Crossing } from './crossing';
export { bedHardness, firstEchoDb, type BedStretch } from './hardness';
export { bedShape, type BedShape } from './bedShape';
export { type NamedEcho, type NotFish } from './notFish';
export { findLayers, type Layer } from './layers';
export { beamStrength, type Strength } from './strength';
export { workingChannel } from './workingChannel';
export { COVER_CLASSES } from './findings';
export { findStructure, type Structure } from './structure';
export { type LureAnswer, type LureTrack } from './lure';
export { findMissingLeg, type MissingLeg } from './missingLeg';
export { readTogether, type Together } from './twoChannels';
export { coverProbability } from './coverFinding';
