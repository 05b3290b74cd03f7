export { bedDepthAt, bedMaterialAt, bedSlopeAt, layBed, type BedField } from './bedField';
export { swimAt, swimPath, straightSwim, type SwimPath } from './swimPath';
export {
  answering,
  cruising,
  fishAt,
  holding,
  milling,
  turning,
  type Answer,
  type Doing,
  type Fish,
} from './fish';
export { baitCloud, MOST_BAIT, type BaitCloud } from './bait';
export {
  boulder,
  brush,
  crib,
  soakLoss,
  stump,
  timber,
  weedBed,
  wreck,
  type Cover,
  type CoverKind,
} from './cover';
export { driftingDebris, gearAt, rippedBubbles, type Drifter, type Gear } from './gear';
export {
  emptyScene,
  type Electrical,
  type OtherSounder,
  type PointTarget,
  type Scene,
  type ScatterLayer,
} from './scene';
export {
  drift,
  ENGINES,
  holdingStill,
  idlePass,
  layTrack,
  planing,
  stopAndBackUp,
  thinned,
  trackOfPlace,
  type TrackSection,
  type Track,
} from './track';
export {
  makeScene,
  recipeOf,
  SCENE_TOPICS,
  SCENES,
  TOPICS,
  type Topic,
  timeOf,
  wayOf,
  trackOver,
  WATERS,
  type SceneRecipe,
  type WaterName,
} from './library';
export { firstPass, FISH_IN_PASS, passDuration, type PassBrief } from './firstPass';
export { truthOf, type FishPass, type Truth } from './truth';
export { briefWater, type WaterBrief } from './briefWater';
export { steered, STEERED_ON_S } from './steering';
export { withExtras } from './withExtras';
export {
  EXTRA_BAIT,
  EXTRA_COVERS,
  GROUNDS,
  WAYS,
  type ExtraBait,
  type ExtraCover,
  type Ground,
  type SteeringCommand,
  type WaterExtras,
  type Way,
} from './choices';
