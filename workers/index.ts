export { benchWorker } from './bench';
export { TaskFailed } from './client';
export type { DrawResult, PassFacts, MiniatureTask, PassSpec, ReadResult, Stage } from './protocol';
