export { benchWorker, filesWorker, recordingWorker } from './workers';
export { TaskFailed } from './client';
export type { DrawResult, MiniatureTask, PassFacts, ReadResult, Stage } from './protocol';
