export { appStorage, persist, type KeyValue } from './persist';
export { dismiss, noticeStore, notify, type Notice } from './notices';
export { preferenceStore, setBegun, setTheme, setUnits, unitsOf, type Preferences } from './preferences';
export { boatsStore, deleteBoat, keepBoat, switchBoat } from './boats';
export {
  addSpecies,
  aimAt,
  changeBrief,
  changeFace,
  changeRig,
  changeTransducer,
  moveTransducer,
  keepTo,
  openPhase,
  pinLine,
  planStore,
} from './plan';
export { deletePlan, keepPlan, plansStore, presentPlan, takeUpPlan } from './plans';
export { forgetScale, tellScale, timeChart, unitStore, type UnitState } from './unit';
export {
  benchStore,
  cancelBench,
  changeSettings,
  drawBench,
  noteTiming,
  otherWater,
  readBench,
  setNow,
  setPlaying,
  takeToBench,
  type BenchReading,
} from './bench';
export { deleteEntry, importEntries, keepEntry, logStore } from './log';
export { loadedStore, loadStores } from './load';
export type { PassFacts, Stage } from '@/workers';
