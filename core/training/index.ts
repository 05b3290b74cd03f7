export {
  chanceOf,
  DRILLS,
  KINDS,
  LEVELS,
  MADE_DRILLS,
  ROUNDS,
  type Drill,
  type Kind,
  type KindOf,
  type Level,
  type MadeDrill,
  type Option,
  type OwnMark,
  type Round,
  type RoundSpec,
  type Trained,
} from './drill';
export { makeRound, NoRound, type MadeRound } from './makeRound';
export { ownMarks, planOwn } from './ownMarks';
export { ownRound } from './ownRound';
export { AnswerSchema, SittingSchema, type Answer, type Sitting } from './answer';
export { levelOf, planSitting, type Planned } from './schedule';
export { trainingProgress, type DrillProgress, type Share } from './progress';
export { DIALLED_IN, TURNED } from './dialledIn';
