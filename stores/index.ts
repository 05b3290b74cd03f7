export { dismiss, noticeStore, notify, type Notice } from './notices';
export {
  choosePalette,
  foldExpectation,
  paletteOf,
  preferenceStore,
  setBegun,
  setTheme,
  setUnits,
  unitsOf,
  type Preferences,
} from './preferences';
export { addBoat, boatsStore, deleteBoat, otherBoats, switchBoat, type Boat } from './boats';
export {
  addSpecies,
  addUnit,
  aimAt,
  changeBrief,
  changeFace,
  changeRig,
  changeTransducer,
  changeUnit,
  keepTo,
  moveTransducer,
  openPhase,
  openUnit,
  openUnitOf,
  pinLine,
  removeFace,
  removeSpecies,
  takeEvening,
  renameFace,
  planStore,
  removeUnit,
} from './plan';
export {
  addPlaces,
  addTrack,
  openDay,
  DAY_FORMAT,
  dayNow,
  dayStore,
  deleteDay,
  deleteMark,
  joinSchool,
  keepBite,
  keepCall,
  keepLostWeight,
  keepMark,
  noteDay,
  noteWeather,
  noteDayCoach,
  layLanes,
  nameCatch,
  noteDayCaught,
  noteDayFile,
  noteDayPass,
  noteUsedLine,
  noteDayPhase,
  proveCall,
  setMarkHeight,
  nameWater,
  takeDemoDays,
  renameDay,
  rewordDay,
} from './days';
export { keepSitting, trainingStore } from './training';
export { feedStore, hearBoat, takeFeed, type FeedSource } from './feed';
export { keepTrack } from './trackKeeping';
export { clearTicks, deckStore, openDeckPhase, tickLine, turnPage, warnUnder } from './deck';
export { deletePlan, keepPlan, renamePlan, plansStore, presentPlan, takeUpPlan } from './plans';
export { forgetScale, tellScale, timeChart } from './unit';
export {
  backToStart,
  changeWater,
  COMPARE_SIDES,
  changeSettings,
  hasStart,
  keepShown,
  otherFaceOf,
  otherSettings,
  otherWater,
  PICTURES,
  prepareLook,
  redrawNewOnly,
  passKeyOf,
  passScreen,
  passStore,
  setNow,
  setPlaying,
  showBank,
  showCompared,
  showFace,
  showOtherFace,
  showPictures,
  startCompare,
  startOfBench,
  steer,
  takeBriefToBench,
  takeSceneToBench,
  takeToBench,
  takeTrap,
  undoTurn,
  unsteer,
  type CompareSide,
  type PassState,
  type Pictures,
} from './pass';
export { noteTiming } from './noteTiming';
export { drawView, openView, stopView, viewOf, viewStore, type View, type ViewName } from './views';
export { readingKey, readingStore, readPass, stopReading, type PassReading } from './readings';
export { correct, correctionsOf, correctionStore, layCorrections, takeBack } from './corrections';
export {
  getReadyForRecordings,
  takeKeptToBench,
  takeRecordingToBench,
  takeScreenPictureToBench,
  withRecording,
} from './recordings';
export { recordingFileOf } from './recordingOut';
export { keepOwnFish, ownFishStore } from './ownFish';
export { deleteKeptFile, FILES, filesForBackup, keptFile, keptFileStore, sweepFiles } from './keptFiles';
export { deleteEntry, rewordEntry, importEntries, keepEntry, logStore, type ConflictChoice } from './log';
export { loadedStore, loadStores } from './load';
export { keepingStore, type KeepingStatus } from './keeping/status';
export { inSlices } from './keeping/slices';
export { newId } from './newId';
export {
  asideName,
  bringBack,
  everythingKept,
  forgetAside,
  retryKeeping,
  setAsideThings,
  startWithoutPlan,
  type Aside,
} from './keptData';
export { RESTING, type Asking } from './asking';
export type { PassFacts, Stage } from '@/workers';
export {
  askNextMove,
  closeWalk,
  dropNextMove,
  leaveTuning,
  makeMove,
  startWalk,
  stopWalk,
  tuningStore,
} from './tuning';
export { benchLink, benchText, openBench, readBenchLink, readBenchText } from './benchLink';
export type { KeptPass } from './pass';
export { holdInPlan } from './benchToPlan';
export {
  deleteKeptSettings,
  fitsBench,
  keepSettings,
  keptSettingsStore,
  openKeptSettings,
  setAsKept,
  type KeptSettings,
  type SettingsPhase,
} from './keptSettings';
export { deleteCalibration, keepCalibration, screenCalibrationStore } from './screenCalibrations';
export { withTried, type ToTry } from './tried';
export { startTrying, stopTrying, tryingStore } from './trying';
