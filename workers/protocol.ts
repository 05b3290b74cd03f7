import type { Brief, MountFault } from '@/core/advice';
import type { KeptMark } from '@/core/logbook';
import type { Picture, Settings } from '@/core/picture';
import type { Reading } from '@/core/reading';
import type { Rig } from '@/core/rig';

/** Which pass is meant; the worker makes it when it does not hold it. */
export interface PassSpec {
  brief: Brief;
  rig: Rig;
  seed: number;
}

/** What a pass is, apart from its pings. */
export interface PassFacts {
  title: string;
  teaches: string;
  durationS: number;
  pingCount: number;
}

export interface DrawTask {
  kind: 'draw';
  pass: PassSpec;
  settings: Settings;
  screen: { rows: number; columns: number };
  /** Right edge, s into the pass; null for its end. */
  nowS: number | null;
}

export interface ReadTask {
  kind: 'read';
  pass: PassSpec;
  settings: Settings;
}

/** A few seconds over still fish: what a setup makes of one, or what a fault of the mount does to it. */
export interface MiniatureTask {
  kind: 'miniature';
  brief: Brief;
  rig: Rig;
  settings: Settings;
  /** Null for the boat as it is. */
  fault: MountFault | null;
}

export type Task = DrawTask | ReadTask | MiniatureTask;

export interface DrawResult {
  kind: 'draw';
  picture: Picture;
  facts: PassFacts;
  /** Whether new pings had to be made. */
  sounded: boolean;
}

export interface ReadResult {
  kind: 'read';
  reading: Reading;
  /** The findings as the log would keep them, in the same order. */
  marks: KeptMark[];
  facts: PassFacts;
  /** Ping times, s, for drawing over the picture. */
  timeS: Float64Array;
}

export interface MiniatureResult {
  kind: 'miniature';
  picture: Picture;
}

export type Result = DrawResult | ReadResult | MiniatureResult;
export type ResultOf<T extends Task> = T extends DrawTask
  ? DrawResult
  : T extends ReadTask
    ? ReadResult
    : MiniatureResult;

export type Stage = 'sounding' | 'drawing' | 'reading';
export type FailureCode = 'bad-input' | 'crashed' | 'deadline' | 'superseded' | 'cancelled';

export interface ToWorker {
  id: number;
  task: Task;
}

export type FromWorker =
  | { type: 'stage'; id: number; stage: Stage }
  | { type: 'done'; id: number; result: Result; workMs: number }
  | { type: 'failed'; id: number; code: FailureCode; message: string };
