export { SPECIES, speciesOf, type Species } from './species';
export {
  BriefSchema,
  FIRST_BRIEF,
  PRESENTATIONS,
  USUAL_SPEED_MPS,
  waterOf,
  type Brief,
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
export {
  CONTROLS,
  speckLevel,
  speckShare,
  startSetup,
  type Alternative,
  type Because,
  type Control,
  type Setup,
  type SetupLine,
} from './setup';
export { benchPass } from './bench';
export {
  blindHeight,
  excessNoiseFromWeight,
  falseBeds,
  footprintAt,
  lureInView,
  pointingAt,
  type FalseBed,
  type Footprint,
  type Pointing,
} from './boat';
export { HabitsSchema, SCHOOLS, type Debated, type Habits, type School } from './schools';
export { effectiveHalfAngle, expectationOf, marginCurve, type Expectation } from './expectation';
