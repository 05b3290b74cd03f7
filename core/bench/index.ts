export {
  benchPass,
  deepestOf,
  sceneList,
  scenePass,
  sectionsOf,
  soundingRequest,
  type Sounding,
} from './benchPass';
export { faultMiniature, miniature, sceneMiniature } from './miniature';
export { MOUNT_FAULTS, type MountFault } from './mountFaults';
export {
  BRIEF_WATERS,
  briefPass,
  passKey,
  PassSourceSchema,
  SeedSchema,
  type BriefWater,
  type PassSource,
  type PassSpec,
} from './passSource';
export { pictureJudge, targetsOf, type Judged, type JudgedPass } from './judgedPicture';
export { deepestOfBed, MOST_MOVES, nextMove, solve, walk, type Move, type MovedControl } from './nextMove';
export { seeSymptom, type SymptomView } from './symptoms/seeSymptom';
export { REMEDIES, remedied, SYMPTOMS, type Remedy, type Symptom } from './symptoms/symptom';
export { diagnose } from './symptoms/pictureDoctor';
export { hasSymptom, type SymptomSigns } from './symptoms/detectSymptom';
export { symptomCase, type SymptomCase } from './symptoms/symptomCase';
export {
  cutawayAt,
  cutawayPass,
  type Cutaway,
  type CutawayFish,
  type CutawayPass,
  type EchoMaker,
} from './cutaway';
export { TRAPS, trapLesson, type Trap, type TrapLesson } from './traps';
export { automaticMarks, type AutomaticMarks, type MarkRing } from './automaticMarks';
export { scoredReading, type FoundPlace, type ScoredReading } from './scoredReading';
export { sightOnPass, type SeenAt, type SightOnPass } from './sightOnPass';
export { sightOnPasses } from './sightOnPasses';
export { tryColours, type ColoursHeld } from './tryColours';
