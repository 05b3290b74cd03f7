export { KEEPS, OwnSpeciesSchema, SPECIES, speciesOf, type Keeps, type Species } from './species';
export {
  BRIEF_BEDS,
  BriefSchema,
  CLARITIES,
  FIRST_BRIEF,
  PRESENTATIONS,
  targetOf,
  USUAL_SPEED_MPS,
  waterOf,
  type Brief,
  type Clarity,
  type Presentation,
} from './brief';
export {
  bedEchoesHeard,
  bedEchoMargin,
  predict,
  targetStrengthOf,
  verdictOf,
  type Prediction,
  type Verdict,
} from './prediction';
export { startSetup, type Setup } from './setup';
export {
  CONTROLS,
  isPinnable,
  PIN_RANGE,
  PinsSchema,
  type Alternative,
  type Because,
  type Control,
  type Pinnable,
  type Pins,
  type SetupLine,
} from './setupLine';
export { speckLevel, speckShare } from './specks';
export { phasesOf, type Phase } from './phases';
export { STILL_MPS } from './timeLines';
export { benchPass } from './bench';
export {
  blindHeight,
  excessNoiseFromWeight,
  falseBeds,
  footprintAt,
  leanAfloat,
  lureInView,
  pointingAt,
  type FalseBed,
  type Footprint,
  type Lean,
  type Pointing,
} from './boat';
export { HabitsSchema, SCHOOLS, type Debated, type Habits, type School } from './schools';
export {
  echoBudgetAt,
  expectationOf,
  marginCurve,
  neededDb,
  type EchoBudget,
  type Expectation,
} from './expectation';
export { driftOver, lanesOver, type Drift, type Ground, type Lanes } from './coverage';
export { faultMiniature, miniature, MOUNT_FAULTS, type MountFault } from './miniature';
export { planFromJson, PlanSchema, planToJson, type Plan } from './planFile';
export { heldWay } from './heldWay';
export { HELD_FOR_BOTH, sliceSetup } from './slice';
export { likelyShapes, type Meeting } from './likelyShapes';
