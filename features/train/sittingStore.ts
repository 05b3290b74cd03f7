import { createStore } from 'zustand/vanilla';
import { seededRandom } from '@/core/maths';
import type { Picture, Settings } from '@/core/picture';
import type { Answer, Sitting } from '@/core/training/answer';
import type { DrillSet } from '@/core/training/drillSet';
import { DIALLED_IN } from '@/core/training/dialledIn';
import {
  KINDS,
  ROUNDS,
  type Drill,
  type Kind,
  type Round,
  type RoundSpec,
  type Trained,
} from '@/core/training/drill';
import { ownMarks, planOwn } from '@/core/training/ownMarks';
import { levelOf, planSitting } from '@/core/training/schedule';
import { keepSitting, logStore, newId, trainingStore, withRecording } from '@/stores';
import { sideWorker, TaskFailed } from '@/workers';

/** What was answered in the round that is open, once it is. */
interface Given {
  /** Index of the answer given; null where dials were turned. */
  index: number | null;
  right: boolean;
}

interface Running {
  drill: Drill;
  trained: Trained;
  /** Rounds still to come, this one first. */
  ahead: readonly RoundSpec[];
  /** Kinds this boat on this day cannot have. */
  missing: readonly Kind[];
  sitting: Sitting;
  /** Rounds there are in all. */
  of: number;
  /** The drill as another gave it; null for one's own. */
  set: DrillSet | null;
}

interface SittingState {
  running: Running | null;
  /** The round that is asked; null while it is made. */
  round: Round | null;
  given: Given | null;
  /** The picture and what the eye makes of it as dials stand; null where none was turned. */
  turned: { settings: Settings; picture: Picture | null; score: number | null; turns: number } | null;
  problem: string | null;
}

const NOTHING: SittingState = { running: null, round: null, given: null, turned: null, problem: null };

export const sittingStore = createStore<SittingState>(() => NOTHING);

const LANE = 'drill';
const LANE_NEXT = 'drill-next';
const LANE_TURN = 'drill-turn';

/** The round made while the player thinks. */
let made: { spec: RoundSpec; round: Promise<Round | null> } | null = null;

function make(spec: RoundSpec, trained: Trained, lane: string): Promise<Round | null> {
  const { own } = spec;
  if (own)
    return withRecording(
      own.pass,
      () =>
        sideWorker().run({ kind: 'own-round', spec: { ...spec, own }, palettes: trained.palettes }, { lane }),
      sideWorker(),
    ).then(({ result }) => result.round);
  return sideWorker()
    .run({ kind: 'drill-round', spec, trained }, { lane })
    .then(({ result }) => result.round);
}

/** Another kind in place of one that cannot be had; null where none is left, and for a mark of one's own pass. */
function instead({ drill, missing, ahead, sitting }: Running, spec: RoundSpec): RoundSpec | null {
  if (spec.own) return null;
  const gone = [...missing, spec.kind];
  const kinds = (KINDS[drill] as readonly Kind[]).filter((kind) => !gone.includes(kind));
  if (kinds.length === 0) return null;
  const asked = [...sitting.answers.map((a) => a.kind), ...ahead.map((a) => a.kind as string)];
  const times = (kind: Kind): number => asked.filter((k) => k === kind).length;
  const kind = [...kinds].sort((a, b) => times(a) - times(b))[0]!;
  return { ...spec, kind, level: levelOf(trainingStore.getState().sittings, drill, kind) };
}

/** Shows the next round, made already or made now. */
async function show(): Promise<void> {
  const { running } = sittingStore.getState();
  if (!running) return;
  const [spec, next] = running.ahead;
  if (!spec) {
    sittingStore.setState({ round: null, given: null, turned: null });
    return;
  }
  sittingStore.setState({ round: null, given: null, turned: null, problem: null });
  const { trained } = running;
  try {
    const round = await (made?.spec === spec ? made.round : make(spec, trained, LANE));
    const now = sittingStore.getState().running;
    // A sitting left meanwhile asks nothing more.
    if (!now || now.sitting.id !== running.sitting.id || now.ahead[0] !== spec) return;
    if (round === null) {
      const other = instead(now, spec);
      sittingStore.setState({
        running: {
          ...now,
          missing: spec.own ? now.missing : [...now.missing, spec.kind],
          // A mark that is not on its picture is passed over; a kind that cannot be had leaves nothing to ask.
          ahead: other ? [other, ...now.ahead.slice(1)] : spec.own ? now.ahead.slice(1) : [],
          of: spec.own ? now.of - 1 : now.of,
        },
        problem:
          other || (spec.own && now.ahead.length > 1)
            ? null
            : spec.own
              ? 'None of your marks left is on its picture. Save passes with marks you told right or wrong.'
              : 'Your boat and tomorrow’s water show none of these. Try another drill.',
      });
      return await show();
    }
    sittingStore.setState({
      round,
      turned: round.score
        ? { settings: round.settings, picture: round.picture, score: round.score.now, turns: 0 }
        : null,
    });
    if (next) {
      const coming = make(next, trained, LANE_NEXT);
      made = { spec: next, round: coming };
      // It is heard of when it is asked for.
      coming.catch(() => {
        if (made?.spec === next) made = null;
      });
    }
  } catch (error) {
    if (error instanceof TaskFailed && (error.code === 'superseded' || error.code === 'cancelled')) return;
    sittingStore.setState({ problem: 'This round could not be made. Go on to the next.' });
  }
}

/** Rounds of marks of one's own passes. */
function ownRounds(nowMs: number, seed: number): RoundSpec[] {
  const marks = ownMarks(logStore.getState().entries);
  const planned = planOwn(trainingStore.getState().sittings, marks, nowMs, seededRandom(seed));
  return planned.map((own, k) => ({
    drill: 'yours',
    kind: own.kind,
    level: levelOf(trainingStore.getState().sittings, 'yours', own.kind),
    seed: (seed + 7919 * k) % 4294967296,
    own,
  }));
}

/** Begins a sitting. @param set rounds another has given; null for one's own */
export function startSitting(drill: Drill, trained: Trained, set: DrillSet | null = null): void {
  const nowMs = Date.now();
  const seed = nowMs % 4294967296;
  if (drill === 'yours') return begin(drill, trained, ownRounds(nowMs, seed), null, nowMs);
  const planned = planSitting(
    trainingStore.getState().sittings,
    drill,
    KINDS[drill],
    ROUNDS,
    nowMs,
    seededRandom(seed),
  );
  const ahead: readonly RoundSpec[] = set
    ? set.rounds.map((round) => ({ ...round, drill, kind: round.kind as Kind }))
    : planned.map(({ kind, level }, k) => ({ drill, kind, level, seed: (seed + 7919 * k) % 4294967296 }));
  begin(drill, trained, ahead, set, nowMs);
}

function begin(
  drill: Drill,
  trained: Trained,
  ahead: readonly RoundSpec[],
  set: DrillSet | null,
  nowMs: number,
): void {
  made = null;
  sittingStore.setState({
    ...NOTHING,
    running: {
      drill,
      trained,
      ahead,
      missing: [],
      of: ahead.length,
      set,
      sitting: {
        id: newId(),
        startedAt: new Date(nowMs).toISOString(),
        drill,
        answers: [],
        setBy: set?.by ?? null,
      },
    },
  });
  void show();
}

function take(answer: Answer, given: Given): void {
  const { running } = sittingStore.getState();
  if (!running) return;
  const sitting = { ...running.sitting, answers: [...running.sitting.answers, answer] };
  sittingStore.setState({ running: { ...running, sitting }, given });
  keepSitting(sitting);
}

/** Takes the answer to the round that is asked. */
export function answerRound(index: number, sure: number): void {
  const { round, given } = sittingStore.getState();
  if (!round || given) return;
  const right = index === round.answer;
  const { code, value } = round.options[index]!;
  take(
    {
      kind: round.kind,
      level: round.level,
      seed: round.seed,
      given: value === null ? code : String(index),
      right,
      sure,
      turns: 0,
    },
    { index, right },
  );
}

/** A drag sends many values on its way: a dial turned again within this is one turn, ms. */
const ONE_TURN_MS = 900;
let lastTurn = { dial: '', atMs: 0 };

/** Turns a dial of the round that is asked. */
export function turnRound(change: Partial<Settings>): void {
  const { round, turned, running, given } = sittingStore.getState();
  if (!round || !turned || !running || given) return;
  const settings = { ...turned.settings, ...change };
  const turn = { dial: Object.keys(change).join(), atMs: Date.now() };
  const again = turn.dial === lastTurn.dial && turn.atMs - lastTurn.atMs < ONE_TURN_MS;
  lastTurn = turn;
  const turns = turned.turns + (again ? 0 : 1);
  sittingStore.setState({ turned: { ...turned, settings, score: null, turns } });
  const { drill, kind, level, seed } = round;
  sideWorker()
    .run(
      { kind: 'drill-turn', spec: { drill, kind, level, seed }, trained: running.trained, settings },
      { lane: LANE_TURN },
    )
    .then(
      ({ result: { picture, score } }) => {
        const now = sittingStore.getState();
        if (now.round === round && now.turned?.settings === settings)
          sittingStore.setState({ turned: { ...now.turned, picture, score } });
      },
      (error: unknown) => {
        if (error instanceof TaskFailed && error.code !== 'superseded')
          sittingStore.setState({
            problem: 'The picture could not be drawn again. Turn the dial once more.',
          });
      },
    );
}

/** Says that the picture is as good as it gets. */
export function dialled(): void {
  const { round, turned, given } = sittingStore.getState();
  if (!round?.score || !turned || turned.score === null || given) return;
  const right = turned.score >= DIALLED_IN * round.score.best;
  take(
    {
      kind: round.kind,
      level: round.level,
      seed: round.seed,
      given: '',
      right,
      sure: null,
      turns: Math.min(1000, turned.turns),
    },
    { index: null, right },
  );
}

/** Goes on to the next round, or to the end. */
export function nextRound(): void {
  const { running } = sittingStore.getState();
  if (!running) return;
  sittingStore.setState({ running: { ...running, ahead: running.ahead.slice(1) } });
  void show();
}

/** Leaves the sitting; what was answered is kept. */
export function stopSitting(): void {
  for (const lane of [LANE, LANE_NEXT, LANE_TURN]) sideWorker().cancel(lane);
  made = null;
  sittingStore.setState(NOTHING);
}
