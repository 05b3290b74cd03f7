export { benchWorker, secondWorker, sideWorker, recordingWorker } from './workers';
export { TaskFailed, type WorkerClient } from './client';
export type {
  DrawResult,
  DrawTask,
  Earlier,
  MiniatureTask,
  PassFacts,
  TuningTask,
  ReadResult,
  Stage,
} from './protocol';
