import { createStore } from 'zustand/vanilla';
import type { Judged } from '@/core/bench/judgedPicture';
import type { Move } from '@/core/bench/nextMove';
import { settles } from '@/core/bench/unsettling';
import { deepestFishOf, type Brief } from '@/core/advice';
import type { Settings } from '@/core/picture';
import { sideWorker, type Part, type TuningTask } from '@/workers';
import { follow, RESTING, type Asking } from './asking';
import { changeSettings, passKeyOf, passStore } from './pass';
import { planStore } from './plan';
import { withRecording } from './recordings';

/** The next move for the picture under the dials, and a walk that is under way. */
export interface TuningState {
  /** Null until it was worked out for what is set now. */
  next: { moves: readonly Move[]; now: Judged } | null;
  asking: Asking;
  /** Moves of a walk, those made so far, whether more are looked for, and whether it goes on. */
  walk: { moves: readonly Move[]; made: number; seeking: boolean; going: boolean } | null;
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

/** Asks about what is set now while `holds`; an answer that comes after another turn is dropped. */
async function ask(
  kind: TuningTask['kind'],
  holds: () => boolean,
  take: (answer: TuningState['next'] & object, whole: boolean) => void,
): Promise<void> {
  const mine = ++asked;
  const { nowS } = passStore.getState();
  const key = passKeyOf(passStore.getState());
  const wanted = (): boolean => {
    const now = passStore.getState();
    return mine === asked && holds() && now.nowS === nowS && passKeyOf(now) === key;
  };
  const task = taskOf(kind);
  const onPart = ({ result }: Part): void => {
    if (result.kind === kind && wanted()) take(result, false);
  };
  await follow(
    (onStage) =>
      withRecording(task.pass, () => sideWorker().run(task, { lane: LANE, onStage, onPart }), sideWorker()),
    wanted,
    (asking) => tuningStore.setState({ asking }),
    ({ result }) => take(result, true),
  );
}

/** Works out the next move for what is set now. */
export async function askNextMove(): Promise<void> {
  tuningStore.setState({ next: null, asking: { ...RESTING, stage: 'judging' } });
  const { settings } = passStore.getState();
  await ask(
    'next-move',
    () => passStore.getState().settings === settings,
    (next) => tuningStore.setState({ next }),
  );
}

/** What was worked out holds no longer. */
export function dropNextMove(): void {
  asked++;
  if (tuningStore.getState().next) tuningStore.setState({ next: null });
}

/** Turns the dial of a move; with a turn that has unsettled what it sets right it is one move, and is undone as one. */
export const makeMove = ({ change }: Move): void =>
  changeSettings(change, passStore.getState().unsettledBy !== null && settles(change));

/** Settings as a walk has left them: who turns a dial meanwhile takes over. */
let walked: Settings | null = null;

/** Makes the next move of a walk, or waits for one that is still looked for. */
function step(): void {
  timer = null;
  const { walk } = tuningStore.getState();
  if (!walk?.going) return;
  if (passStore.getState().settings !== walked) return stopWalk();
  const move = walk.moves[walk.made];
  if (!move) return;
  makeMove(move);
  walked = passStore.getState().settings;
  const made = walk.made + 1;
  tuningStore.setState({ walk: { ...walk, made, going: walk.seeking || made < walk.moves.length } });
  timer = setTimeout(step, BETWEEN_MOVES_MS);
}

/** Walks to a tuned picture, a move at a time as each is found, until it is there or is stopped. */
export async function startWalk(): Promise<void> {
  stopWalk();
  walked = passStore.getState().settings;
  tuningStore.setState({
    asking: { ...RESTING, stage: 'judging' },
    walk: { moves: [], made: 0, seeking: true, going: true },
  });
  await ask(
    'solve',
    () => tuningStore.getState().walk?.going === true && passStore.getState().settings === walked,
    ({ moves, now }, whole) => {
      const made = tuningStore.getState().walk?.made ?? 0;
      const going = !whole || made < moves.length;
      tuningStore.setState({ next: { moves: [], now }, walk: { moves, made, seeking: !whole, going } });
      // Between two moves the timer goes on by itself.
      if (timer === null) step();
    },
  );
  // Cut short, there is no more to wait for.
  const { walk } = tuningStore.getState();
  if (walk?.seeking)
    tuningStore.setState({ walk: walk.made > 0 ? { ...walk, seeking: false, going: false } : null });
}

/** Stops a walk where it is. */
export function stopWalk(): void {
  if (timer !== null) clearTimeout(timer);
  timer = null;
  const { walk } = tuningStore.getState();
  if (walk?.going) tuningStore.setState({ walk: { ...walk, seeking: false, going: false } });
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
