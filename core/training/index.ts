export {
  chanceOf,
  DRILLS,
  KINDS,
  LEVELS,
  ROUNDS,
  type Drill,
  type Kind,
  type KindOf,
  type Level,
  type Option,
  type Round,
  type RoundSpec,
  type Trained,
} from './drill';
export { makeRound, NoRound, type MadeRound } from './makeRound';
export { AnswerSchema, SittingSchema, type Answer, type Sitting } from './answer';
export { levelOf, planSitting, type Planned } from './schedule';
export { trainingProgress, type DrillProgress, type Share } from './progress';
export { DIALLED_IN, TURNED } from './dialledIn';
