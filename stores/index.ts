export { appStorage, persist, type KeyValue } from './persist';
export { dismiss, noticeStore, notify, type Notice } from './notices';
export { preferenceStore, setTheme, setUnits, unitsOf, type Preferences } from './preferences';
export { boatsStore, deleteBoat, keepBoat, switchBoat } from './boats';
export { changeBrief, changeFace, changeRig, changeTransducer, keepTo, planStore } from './plan';
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
