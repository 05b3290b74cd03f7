export { KEEPS, OwnSpeciesSchema, SPECIES, speciesOf, type Keeps, type Species } from './species';
export {
  BRIEF_BEDS,
  BriefSchema,
  CLARITIES,
  HOURS,
  SEASONS,
  deepestFishOf,
  midFishOf,
  engineOf,
  FIRST_BRIEF,
  PRESENTATIONS,
  targetOf,
  USUAL_SPEED_MPS,
  waterOf,
  withDepths,
  withSeason,
  type Brief,
  type Clarity,
  type Hour,
  type Season,
  type Presentation,
} from './brief';
export { bedEchoesHeard, bedEchoMargin, predict, targetStrengthOf, type Prediction } from './prediction';
export { startSetup, type Setup } from './setup';
export {
  SETUP_CONTROLS,
  heldOn,
  HoldsSchema,
  isPinnable,
  PinsSchema,
  type Alternative,
  type Because,
  type Control,
  type GainShows,
  type Pinnable,
  type Holds,
  type Pins,
  type UnitHolds,
  type SetupLine,
} from './setupLine';
export { phasesOf, type Phase } from './phases';
export { HabitsSchema, PRACTICES, type Debated, type Habits, type Practice } from './practices';
export {
  echoBudgetAt,
  expectationOf,
  marginCurve,
  neededDb,
  type EchoBudget,
  type Expectation,
} from './expectation';
export { driftOver, lanesOver, type Drift, type Ground, type Lanes } from './coverage';
export { heldWay } from './heldWay';
export { SHARED_LINES, sliceSetup } from './slice';
export { likelyShapes, type Meeting } from './likelyShapes';
export { TriedColoursSchema, type TriedColours } from './triedColours';
