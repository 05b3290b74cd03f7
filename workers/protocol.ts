import type { Brief } from '@/core/advice';
import type { MountFault } from '@/core/bench/mountFaults';
import type { PassSpec } from '@/core/bench/passSource';
import type { KeptMark } from '@/core/logbook';
import type { Picture, Settings } from '@/core/picture';
import type { Reading } from '@/core/reading';
import type { Recording } from '@/core/recording';
import type { Rig } from '@/core/rig';

/** What a pass is, apart from its pings. */
export interface PassFacts {
  title: string;
  teaches: string;
  durationS: number;
  pingCount: number;
  /** Beams it has, by id: of a simulated pass the boat's, of a recording its own. */
  faces: readonly { id: string; label: string }[];
  /** Deepest water it shows, m. */
  deepestM: number;
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

/** The named scenes there are. */
export interface ScenesTask {
  kind: 'scenes';
}

/** Gives the bench a recording, for passes whose source is that file. */
export interface HoldTask {
  kind: 'hold';
  fingerprint: string;
  recording: Recording;
}

/** Opens a recording file; nothing of it is believed before it was looked at. */
export interface OpenRecordingTask {
  kind: 'open-recording';
  file: Blob;
}

/** Opens a log file: every entry checked, and given back as text. */
export interface OpenLogTask {
  kind: 'open-log';
  file: Blob;
}

export type Task =
  DrawTask | ReadTask | MiniatureTask | ScenesTask | HoldTask | OpenRecordingTask | OpenLogTask;

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

export interface ScenesResult {
  kind: 'scenes';
  scenes: { id: string; title: string; teaches: string }[];
}

export interface HoldResult {
  kind: 'hold';
}

export interface OpenRecordingResult {
  kind: 'open-recording';
  recording: Recording;
}

/** Entries as JSON in UTF-8, one after the other: entry k runs from offsets[k] to offsets[k + 1]. */
export interface OpenLogResult {
  kind: 'open-log';
  bytes: Uint8Array;
  offsets: Uint32Array;
}

export type Result =
  DrawResult | ReadResult | MiniatureResult | ScenesResult | HoldResult | OpenRecordingResult | OpenLogResult;
export type ResultOf<T extends Task> = Extract<Result, { kind: T['kind'] }>;

export type Stage = 'sounding' | 'drawing' | 'reading' | 'opening';
/** Why a task failed; `missing`: the recording it speaks of is not held, and must be given first. */
export type FailureCode = 'bad-input' | 'missing' | 'crashed' | 'deadline' | 'superseded' | 'cancelled';

export interface ToWorker {
  id: number;
  task: Task;
}

export type FromWorker =
  | { type: 'stage'; id: number; stage: Stage }
  | { type: 'done'; id: number; result: Result; workMs: number }
  | { type: 'failed'; id: number; code: FailureCode; message: string };
