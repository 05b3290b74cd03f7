export { bedDepthAt, bedMaterialAt, bedSlopeAt, layBed, type BedField } from './bedField';
export {
  fishAt,
  type BaitCloud,
  type Fish,
  type OtherSounder,
  type PointTarget,
  type Scene,
  type ScatterLayer,
} from './scene';
export { straightPass, type Track } from './track';
export { firstPass, FISH_IN_PASS, passDuration, type PassBrief } from './firstPass';
export { truthOf, type FishPass, type Truth } from './truth';
