export { bearingTo, placeOnBoat, turnTo, turned } from './bearing';
export {
  fixAt,
  MARK_CAUSES,
  placeOfMark,
  type Fix,
  type MarkCause,
  type MarkDoubt,
  type MarkGeometry,
  type PlacedMark,
} from './markPlace';
export { lanesLeft, lengthLeft, type LaidLanes, type LaneLeft, type TrackedPlace } from './laneCover';
export { learnedRunOn, offSpot, USUAL_RUN_ON_S, wayBack, type WayBack } from './goBack';
export { reverseOnto, type Reversing } from './reverseOnto';
export { GIVE_UP_M, giveUpAt, schoolDrift, type SchoolDrift, type SchoolMark } from './schoolDrift';
