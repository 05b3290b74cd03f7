import * as v from 'valibot';
import { createStore } from 'zustand/vanilla';
import { BriefSchema, FIRST_BRIEF, startSetup, type Brief } from '@/core/advice';
import type { KeptMark } from '@/core/logbook';
import { SettingsSchema, type Picture, type Settings } from '@/core/picture';
import type { Reading } from '@/core/reading';
import { GENERIC_RIG, RigSchema, type Rig } from '@/core/rig';
import { benchWorker, TaskFailed, type PassFacts, type Stage } from '@/workers';

/** A reading of the pass on the bench and what is needed to draw it over the picture. */
export interface BenchReading {
  reading: Reading;
  marks: readonly KeptMark[];
  timeS: Float64Array;
}

interface BenchSaved {
  brief: Brief;
  rig: Rig;
  seed: number;
  settings: Settings;
}

export interface BenchState extends BenchSaved {
  /** Right edge of the picture, s into the pass; null = its end. */
  nowS: number | null;
  playing: boolean;
  picture: Picture | null;
  facts: PassFacts | null;
  reading: BenchReading | null;
  /** What the worker is at, when it takes long. */
  stage: Stage | null;
  /** Last failure, in words. */
  problem: string | null;
}

const FIRST_SEED = 1;

export const benchStore = createStore<BenchState>(() => ({
  brief: FIRST_BRIEF,
  rig: GENERIC_RIG,
  seed: FIRST_SEED,
  settings: startSetup(FIRST_BRIEF, GENERIC_RIG).settings,
  nowS: null,
  playing: false,
  picture: null,
  facts: null,
  reading: null,
  stage: null,
  problem: null,
}));

/** Lanes of the worker: a newer task of one supersedes an older. */
const DRAW = 'draw';
const READ = 'read';

async function told<T>(work: Promise<T>, done: (value: T) => void): Promise<void> {
  try {
    const value = await work;
    done(value);
    benchStore.setState({ stage: null, problem: null });
  } catch (error) {
    if (error instanceof TaskFailed && error.code === 'superseded') return;
    const cancelled = error instanceof TaskFailed && error.code === 'cancelled';
    benchStore.setState({
      stage: null,
      playing: false,
      problem: cancelled
        ? 'Stopped. Change a dial to draw again.'
        : error instanceof Error
          ? error.message
          : String(error),
    });
  }
}

const onStage = (stage: Stage): void => benchStore.setState({ stage });

/** Draws the picture of the bench as it stands; `settings` may differ from the bench's for a view of its own. */
export function drawBench(
  settings: Settings = benchStore.getState().settings,
  nowS = benchStore.getState().nowS,
): Promise<void> {
  const { brief, rig, seed } = benchStore.getState();
  return told(
    benchWorker().run(
      { kind: 'draw', pass: { brief, rig, seed }, settings, screen: rig.screen, nowS },
      { lane: DRAW, onStage },
    ),
    ({ result, workMs }) => {
      benchStore.setState({ picture: result.picture, facts: result.facts });
      noteTiming('picture-arrived', { workMs, sounded: result.sounded });
    },
  );
}

/** Leaves a mark of the newest picture on the browser's own timeline, where a speed script finds it. */
export function noteTiming(name: string, detail: Record<string, unknown>): void {
  if (typeof performance === 'undefined' || !performance.clearMarks) return;
  performance.clearMarks(name);
  performance.mark(name, { detail });
}

/** Reads the pass on the bench. */
export function readBench(): Promise<void> {
  const { brief, rig, seed, settings } = benchStore.getState();
  return told(
    benchWorker().run({ kind: 'read', pass: { brief, rig, seed }, settings }, { lane: READ, onStage }),
    ({ result }) =>
      benchStore.setState({
        reading: { reading: result.reading, marks: result.marks, timeS: result.timeS },
        facts: result.facts,
      }),
  );
}

export function cancelBench(): void {
  benchWorker().cancel(DRAW);
  benchWorker().cancel(READ);
}

/** Turns a dial; a value the setting cannot take is not taken. */
export function changeSettings(change: Partial<Settings>): void {
  const result = v.safeParse(SettingsSchema, { ...benchStore.getState().settings, ...change });
  if (!result.success) return;
  const before = benchStore.getState().settings;
  const repinged = (['faceId', 'pingRate', 'power'] as const).some((k) => before[k] !== result.output[k]);
  benchStore.setState({ settings: result.output, ...(repinged ? { reading: null } : {}) });
}

export const setNow = (nowS: number | null): void => benchStore.setState({ nowS });
export const setPlaying = (playing: boolean): void => benchStore.setState({ playing });

/** Puts a pass on the bench: a brief, its rig and settings, on water made from `seed`. */
export function takeToBench(pass: BenchSaved): void {
  benchStore.setState({
    ...pass,
    nowS: null,
    playing: false,
    picture: null,
    facts: null,
    reading: null,
    problem: null,
  });
}

/** Other water of the same kind. */
export function otherWater(): void {
  const { brief, rig, settings, seed } = benchStore.getState();
  takeToBench({ brief, rig, settings, seed: (seed % 9999) + 1 });
}

const BenchSchema = v.object({
  brief: BriefSchema,
  rig: RigSchema,
  seed: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(4294967295)),
  settings: SettingsSchema,
});

export const BENCH = {
  store: benchStore,
  key: 'bench',
  label: 'The bench',
  version: 1,
  schema: BenchSchema,
  pick: ({ brief, rig, seed, settings }: BenchState): BenchSaved => ({ brief, rig, seed, settings }),
  put: (saved: BenchSaved) => saved,
};
