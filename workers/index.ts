export { benchWorker } from './bench';
export { TaskFailed } from './client';
export type { DrawResult, PassFacts, PassSpec, ReadResult, Stage } from './protocol';
