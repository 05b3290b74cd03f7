export type {
  CloudFinding,
  CoverClass,
  CoverFinding,
  Finding,
  FishAbout,
  FishFinding,
  MarkShape,
  Reason,
  Rival,
  SizeReading,
} from './finding';
export type { BedLine } from './bed/bedLine';
export type { Reading } from './reading';
export { readChannel } from './readChannel';
export { readRecording } from './across/readRecording';
export {
  BEGIN_DB,
  FEW_STAND_OUT_DB,
  FEWEST_PINGS,
  GAP_PINGS,
  GO_ON_DB,
  LEAST_TRACK,
  LONG_PINGS,
  LOST_S,
  markEvidence,
  type MarkLook,
  shapeOfLegs,
  USUAL_PINGS,
} from './marks/markRules';
export { trackBed } from './bed/trackBed';
export { fitCrossing, type Crossing } from './marks/crossing';
export { groundOf, type Ground } from './bed/ground';
export { bedHardness, firstEchoesDb, type BedPatch } from './bed/hardness';
export { bedShape, type BedShape } from './bed/bedShape';
export { steepSlope, type SteepSlope } from './bed/steepSlope';
export { type NamedEcho, type NotFish } from './artefacts/notFish';
export type { LevelFault } from './levels/levelFaults';
export { findLayers, type Layer } from './artefacts/layers';
export { beamStrength, type Strength } from './marks/beamStrength';
export { workingChannel } from './levels/workingChannel';
export { COVER_CLASSES, FISH_GROUPS } from './finding';
export { findStructure, type Structure } from './bed/structure';
export { type LureAnswer, type LureTrack } from './marks/lure';
export { fishGroup, type FishGroup } from './marks/fishGroup';
export { findMissingLeg, type MissingLeg } from './marks/missingLeg';
export { readTogether, type Together } from './across/twoChannels';
export { coverProbability } from './cover/coverFinding';
