import type { Brief, Setup, TriedColours } from '@/core/advice';
import type { AutomaticMarks } from '@/core/bench/automaticMarks';
import type { Cutaway } from '@/core/bench/cutaway';
import type { Judged } from '@/core/bench/judgedPicture';
import type { MountFault } from '@/core/bench/mountFaults';
import type { Move } from '@/core/bench/nextMove';
import type { PassSpec } from '@/core/bench/passSource';
import type { ColoursHeld } from '@/core/bench/tryColours';
import type { KeptMark } from '@/core/logbook';
import type { BedPlace, Day } from '@/core/logbook/day';
import type { LogAnswer, LogQuestion } from '@/core/logbook/logQuestion';
import type { PaletteName, Picture, Settings, SightFor } from '@/core/picture';
import type { Reading, Together } from '@/core/reading';
import type { FoundPlace, ScoredReading } from '@/core/bench/scoredReading';
import type { Symptom } from '@/core/bench/symptoms/symptom';
import type { SymptomCase } from '@/core/bench/symptoms/symptomCase';
import type { Recording } from '@/core/recording';
import type { Face, Rig } from '@/core/rig';
import type { PixelImage, ScreenCalibration } from '@/core/screenPicture';
import type { Topic } from '@/core/scene/library/topics';
import type { OwnMark, Round, RoundSpec, Trained } from '@/core/training/drill';

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

/** Settings that drew what came up to a time, s into the pass. */
export interface Earlier {
  settings: Settings;
  untilS: number;
}

export interface DrawTask {
  kind: 'draw';
  pass: PassSpec;
  settings: Settings;
  screen: { rows: number; columns: number };
  /** Right edge, s into the pass; null for its end. */
  nowS: number | null;
  /** Another beam whose marks are outlined on the picture, and in which colour, 0xAABBGGRR; null for none. */
  outlines: { settings: Settings; rgba: number } | null;
  /** How it was set before, each until a time, s, earliest first: a unit leaves the columns it has drawn as they are. */
  earlier: readonly Earlier[];
}

export interface ReadTask {
  kind: 'read';
  pass: PassSpec;
  settings: Settings;
  /** Pings of the beam and facts of the pass, where this worker does not hold it. */
  given: { recording: Recording; facts: PassFacts } | null;
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

/** Gain and colours of a start setup, tried on made passes. */
export interface TryColoursTask {
  kind: 'try-colours';
  brief: Brief;
  rig: Rig;
  setup: Setup;
  held: ColoursHeld;
}

/** A named scene at a glance, on the boat's widest beam. */
export interface SceneMiniatureTask {
  kind: 'scene-miniature';
  sceneId: string;
  rig: Rig;
  palette: PaletteName;
}

/** A picture that may be tuned: which, what it is for, and the depths its target keeps to. */
interface Tuned {
  pass: PassSpec;
  settings: Settings;
  nowS: number | null;
  purpose: SightFor;
  bandM: readonly [number, number];
}

/** The one turn of a dial that helps most; or a walk of them to a tuned picture. */
export type TuningTask = Tuned & {
  kind: 'next-move' | 'solve';
  /** Whether a turn just made has unsettled gain and colours. */
  unsettled: boolean;
};

/** A symptom as a boat's own sounder would draw it, before and after what mends it. */
export interface SymptomTask {
  kind: 'symptom';
  symptom: Symptom;
  rig: Rig;
  palette: PaletteName;
}

/** The true water of a simulated pass at a moment, and what made an echo at a range, m; null when none is asked about. */
export interface CutawayTask {
  kind: 'cutaway';
  pass: PassSpec;
  settings: Settings;
  timeS: number;
  rangeM: number | null;
}

/** What a simple rule calls fish on a picture, held against the true water. */
export interface AutomaticMarksTask {
  kind: 'automatic-marks';
  pass: PassSpec;
  settings: Settings;
  screen: { rows: number; columns: number };
  nowS: number | null;
}

/** A pass read on two beams, their marks held against each other. */
export interface TogetherTask {
  kind: 'together';
  pass: PassSpec;
  settings: Settings;
  /** The same with the other beam. */
  other: Settings;
}

/** What was read of a simulated pass, held against its true water. */
export interface ScoreTask {
  kind: 'score';
  pass: PassSpec;
  settings: Settings;
  findings: readonly FoundPlace[];
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
  /** How long the recording is, s, where only its beginning is here yet. */
  durationS: number | null;
}

/** Opens a recording file; nothing of it is believed before it was looked at. */
export interface OpenRecordingTask {
  kind: 'open-recording';
  file: Blob;
}

/** Gives copies of a pass's pings away: of all its beams, or of the one in use. */
export interface PingsTask {
  kind: 'pings';
  pass: PassSpec;
  settings: Settings;
  beams: 'all' | 'one';
}

/** Writes a recording file; `provenance` says how its pings came about. */
export interface WriteRecordingTask {
  kind: 'write-recording';
  recording: Recording;
  provenance: string;
}

/** Makes pings in relative levels of a picture of a screen. */
export interface ScreenPictureTask {
  kind: 'screen-picture';
  image: PixelImage;
  calibration: ScreenCalibration;
  face: Pick<Face, 'id' | 'label' | 'frequencyHz' | 'beam'>;
  /** Beams of its further panels. */
  more: readonly Pick<Face, 'id' | 'label' | 'frequencyHz' | 'beam'>[];
  title: string;
}

/** What is wrong with a picture of a screen, as symptoms. */
export interface DiagnoseTask {
  kind: 'diagnose';
  pass: PassSpec;
  settings: Settings;
}

/** Makes a round of a drill; `null` comes back where this boat on this day cannot have it. */
export interface DrillRoundTask {
  kind: 'drill-round';
  spec: RoundSpec;
  trained: Trained;
}

/** Makes a round of a mark of one's own pass; `null` comes back where the mark is not on its picture. */
export interface OwnRoundTask {
  kind: 'own-round';
  spec: RoundSpec & { own: OwnMark };
  palettes: Trained['palettes'];
}

/** Draws a round with dials turned. */
export interface DrillTurnTask {
  kind: 'drill-turn';
  spec: RoundSpec;
  trained: Trained;
  settings: Settings;
}

/** Opens a log file: every entry checked, and given back as text. */
export interface OpenLogTask {
  kind: 'open-log';
  file: Blob;
}

/** Gives the log's worker a day. */
export interface TakeDayTask {
  kind: 'take-day';
  day: Day;
  /** The user's clock ahead of UTC, minutes. */
  offsetMin: number;
}

/** What days given before say to a question. */
export interface AskLogTask {
  kind: 'ask-log';
  dayIds: readonly string[];
  question: LogQuestion;
}

export type Task =
  | DrawTask
  | ReadTask
  | MiniatureTask
  | TryColoursTask
  | SceneMiniatureTask
  | TuningTask
  | SymptomTask
  | CutawayTask
  | AutomaticMarksTask
  | ScoreTask
  | TogetherTask
  | ScenesTask
  | HoldTask
  | OpenRecordingTask
  | PingsTask
  | WriteRecordingTask
  | ScreenPictureTask
  | DiagnoseTask
  | DrillRoundTask
  | OwnRoundTask
  | DrillTurnTask
  | OpenLogTask
  | TakeDayTask
  | AskLogTask;

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
  bed: BedPlace[];
  facts: PassFacts;
  /** Ping times, s, for drawing over the picture. */
  timeS: Float64Array;
  /** Way of the boat from the first ping to each, m. */
  wayM: Float64Array;
}

export interface MiniatureResult {
  kind: 'miniature';
  picture: Picture;
}

/** Null while it is not known, and where no fish was met. */
export interface TryColoursResult {
  kind: 'try-colours';
  tried: TriedColours | null;
}

export interface SceneMiniatureResult {
  kind: 'scene-miniature';
  picture: Picture;
}

/** Moves in their order, at most one for a next move; none says that the picture is tuned. And what the eye makes of it now. */
export interface TuningResult {
  kind: 'next-move' | 'solve';
  moves: readonly Move[];
  now: Judged;
}

export interface SymptomResult {
  kind: 'symptom';
  shown: SymptomCase;
  before: Picture;
  after: Picture | null;
}

export interface CutawayResult {
  kind: 'cutaway';
  cutaway: Cutaway;
}

export interface AutomaticMarksResult {
  kind: 'automatic-marks';
  marks: AutomaticMarks;
}

/** A mark of either beam: its number in the own one's reading, null for one that only the other has. */
export interface TogetherMark extends Pick<Together, 'verdict' | 'asideM'> {
  id: number | null;
  timeS: number;
  rangeM: number;
}

export interface TogetherResult {
  kind: 'together';
  marks: readonly TogetherMark[];
}

export interface ScoreResult {
  kind: 'score';
  scored: ScoredReading;
}

export interface ScenesResult {
  kind: 'scenes';
  scenes: { id: string; title: string; teaches: string; topics: readonly Topic[] }[];
}

export interface HoldResult {
  kind: 'hold';
}

/** A recording, or as a part of the answer its beginning; and how long all of it is, s. */
export interface OpenRecordingResult {
  kind: 'open-recording';
  recording: Recording;
  durationS: number;
}

export interface PingsResult {
  kind: 'pings';
  recording: Recording;
  facts: PassFacts;
}

export interface WriteRecordingResult {
  kind: 'write-recording';
  bytes: Uint8Array<ArrayBuffer>;
}

export interface ScreenPictureResult {
  kind: 'screen-picture';
  recording: Recording;
}

/** Symptoms, what is to be mended first in front. */
export interface DiagnoseResult {
  kind: 'diagnose';
  symptoms: readonly Symptom[];
}

export interface DrillRoundResult {
  kind: 'drill-round';
  round: Round | null;
}

export interface OwnRoundResult {
  kind: 'own-round';
  round: Round | null;
}

export interface DrillTurnResult {
  kind: 'drill-turn';
  picture: Picture;
  /** What the eye makes of it, 0…1. */
  score: number;
}

/** Entries as JSON in UTF-8, one after the other: entry k runs from offsets[k] to offsets[k + 1]. */
export interface OpenLogResult {
  kind: 'open-log';
  bytes: Uint8Array;
  offsets: Uint32Array;
}

export interface TakeDayResult {
  kind: 'take-day';
}

export interface AskLogResult {
  kind: 'ask-log';
  answer: LogAnswer;
}

export type Result =
  | DrawResult
  | ReadResult
  | MiniatureResult
  | TryColoursResult
  | SceneMiniatureResult
  | TuningResult
  | SymptomResult
  | CutawayResult
  | AutomaticMarksResult
  | ScoreResult
  | TogetherResult
  | ScenesResult
  | HoldResult
  | OpenRecordingResult
  | PingsResult
  | WriteRecordingResult
  | ScreenPictureResult
  | DiagnoseResult
  | DrillRoundResult
  | OwnRoundResult
  | DrillTurnResult
  | OpenLogResult
  | TakeDayResult
  | AskLogResult;
export type ResultOf<T extends Task> = Extract<Result, { kind: T['kind'] }>;

export type Stage = 'sounding' | 'drawing' | 'reading' | 'judging' | 'opening';
/** Why a task failed; `missing`: the recording it speaks of is not held, and must be given first. */
export type FailureCode = 'bad-input' | 'missing' | 'crashed' | 'deadline' | 'superseded' | 'cancelled';

export interface ToWorker {
  id: number;
  task: Task;
}

/** A share of a task that is done, 0…1, and what is known by then. */
export interface Part {
  share: number;
  result: Result;
}

export type FromWorker =
  | { type: 'part'; id: number; part: Part }
  | { type: 'stage'; id: number; stage: Stage }
  | { type: 'done'; id: number; result: Result; workMs: number }
  | { type: 'failed'; id: number; code: FailureCode; message: string };
