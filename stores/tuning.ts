import { createStore } from 'zustand/vanilla';
import type { Judged } from '@/core/bench/judgedPicture';
import type { Move } from '@/core/bench/nextMove';
import { settles } from '@/core/bench/unsettling';
import { deepestFishOf, type Brief } from '@/core/advice';
import { sideWorker, type TuningTask } from '@/workers';
import { follow, RESTING, type Asking } from './asking';
import { changeSettings, passKeyOf, passStore } from './pass';
import { planStore } from './plan';
import { withRecording } from './recordings';

/** The next move for the picture under the dials, and a walk that is under way. */
export interface TuningState {
  /** Null until it was worked out for what is set now. */
  next: { moves: readonly Move[]; now: Judged } | null;
  asking: Asking;
  /** Moves of a walk, those made so far, and whether it goes on. */
  walk: { moves: readonly Move[]; made: number; going: boolean } | null;
}

const NOTHING: TuningState = { next: null, asking: RESTING, walk: null };

export const tuningStore = createStore<TuningState>(() => NOTHING);

const LANE = 'tuning';
/** All depths there are, m: for water no brief speaks of. */
const ANYWHERE: readonly [number, number] = [0, 400];
/** Between two moves of a walk, ms: time to see what each has done. */
const BETWEEN_MOVES_MS = 1400;

let asked = 0;
let timer: ReturnType<typeof setTimeout> | null = null;

function taskOf(kind: TuningTask['kind']): TuningTask {
  const { pass, settings, nowS, unsettledBy } = passStore.getState();
  const { source } = pass;
  const brief: Brief = source.kind === 'brief' ? source.brief : planStore.getState().brief;
  return {
    kind,
    pass,
    settings,
    nowS,
    purpose: brief.presentation === 'vertical' ? 'vertical' : 'search',
    unsettled: unsettledBy !== null,
    bandM: source.kind === 'brief' ? [brief.fromM, deepestFishOf(brief)] : ANYWHERE,
  };
}

/** Asks for the next move, or for a walk, for what is set now; an answer that comes after another turn is dropped. */
async function ask(
  kind: TuningTask['kind'],
  take: (answer: TuningState['next'] & object) => void,
): Promise<void> {
  const mine = ++asked;
  const { settings, nowS } = passStore.getState();
  const key = passKeyOf(passStore.getState());
  const wanted = (): boolean => {
    const now = passStore.getState();
    return mine === asked && now.settings === settings && now.nowS === nowS && passKeyOf(now) === key;
  };
  const task = taskOf(kind);
  await follow(
    (onStage) =>
      withRecording(task.pass, () => sideWorker().run(task, { lane: LANE, onStage }), sideWorker()),
    wanted,
    (asking) => tuningStore.setState({ asking }),
    ({ result }) => take(result),
  );
}

/** Works out the next move for what is set now. */
export async function askNextMove(): Promise<void> {
  tuningStore.setState({ next: null, asking: { ...RESTING, stage: 'judging' } });
  await ask('next-move', (next) => tuningStore.setState({ next }));
}

/** What was worked out holds no longer. */
export function dropNextMove(): void {
  asked++;
  if (tuningStore.getState().next) tuningStore.setState({ next: null });
}

/** Turns the dial of a move; with a turn that has unsettled what it sets right it is one move, and is undone as one. */
export const makeMove = ({ change }: Move): void =>
  changeSettings(change, passStore.getState().unsettledBy !== null && settles(change));

/** Walks to a tuned picture, a move at a time, until it is there or is stopped. */
export async function startWalk(): Promise<void> {
  stopWalk();
  tuningStore.setState({ asking: { ...RESTING, stage: 'judging' } });
  await ask('solve', ({ moves, now }) => {
    tuningStore.setState({ next: { moves: [], now }, walk: { moves, made: 0, going: moves.length > 0 } });
    const step = (): void => {
      const { walk } = tuningStore.getState();
      if (!walk?.going) return;
      const move = walk.moves[walk.made];
      if (!move) return tuningStore.setState({ walk: { ...walk, going: false } });
      makeMove(move);
      const made = walk.made + 1;
      tuningStore.setState({ walk: { ...walk, made, going: made < walk.moves.length } });
      timer = setTimeout(step, BETWEEN_MOVES_MS);
    };
    step();
  });
}

/** Stops a walk where it is. */
export function stopWalk(): void {
  if (timer !== null) clearTimeout(timer);
  timer = null;
  const { walk } = tuningStore.getState();
  if (walk?.going) tuningStore.setState({ walk: { ...walk, going: false } });
}

/** Puts away what a walk has done, or all there is when the bench is left. */
export const closeWalk = (): void => {
  stopWalk();
  tuningStore.setState({ walk: null });
};
export function leaveTuning(): void {
  stopWalk();
  asked++;
  tuningStore.setState(NOTHING);
}
