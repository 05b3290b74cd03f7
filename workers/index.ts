export { benchWorker, logWorker, secondWorker, sideWorker, trialWorker, recordingWorker } from './workers';
export { TaskFailed, type Outcome, type WorkerClient } from './client';
export type {
  DrawResult,
  DrawTask,
  Earlier,
  MiniatureTask,
  Part,
  PassFacts,
  TogetherMark,
  TuningTask,
  ReadResult,
  ReadTask,
  Stage,
} from './protocol';
