import { CONTROLS, type ControlName, type Settings, type SightFor } from '@/core/picture';
import { SETTLING } from './unsettling';
import { pictureJudge, type Judged, type JudgedPass } from './judgedPicture';

/** Dials a move turns: those that draw the same pings anew. */
export type MovedControl = Extract<
  ControlName,
  | 'range'
  | 'zoom'
  | 'gain'
  | 'firstColour'
  | 'colourSpread'
  | 'brightness'
  | 'contrast'
  | 'otherSounders'
  | 'noiseRejection'
  | 'averaging'
  | 'topWater'
>;

/** A turn of one dial, with what the eye makes of the picture before and after. */
export interface Move {
  control: MovedControl;
  change: Partial<Settings>;
  before: Judged;
  after: Judged;
}

/** A move must better the picture by this much of its score, or it is tuned. */
const WORTH = 0.02;

/** Values a dial is tried at: steps from where it stands, and, on a walk, values worth a look from anywhere. */
interface Trials {
  by?: readonly number[];
  at?: readonly number[];
  far?: readonly number[];
}

const TRIALS: Record<Exclude<MovedControl, 'range'>, Trials> = {
  zoom: { at: [1] },
  gain: { by: [-9, -4, -2, 2, 4, 9], far: [-24, -16, -8, 0, 8, 16] },
  firstColour: { by: [-3, 3], far: [0, 3, 6] },
  colourSpread: { by: [-10, 10], far: [20, 30, 40, 50, 60] },
  brightness: { by: [-4, 4], far: [0] },
  contrast: { by: [-0.2, 0.2], far: [0.8, 1, 1.3] },
  otherSounders: { by: [-1, 1], far: [0, 1, 2] },
  noiseRejection: { at: [0], by: [1], far: [1, 3] },
  averaging: { at: [1], far: [2] },
  topWater: { at: [0], by: [3], far: [3, 6] },
};

/** From here only, or from anywhere. */
type Reach = 'near' | 'far';

const valuesOf = ({ by = [], at = [], far = [] }: Trials, now: number, reach: Reach): number[] => [
  ...by.map((step) => now + step),
  ...at,
  ...(reach === 'far' ? far : []),
];

/** The dials in the order of a phase: near the bed the window before gain; on the slice gain, contrast, gain again. */
export const moveOrder = (purpose: SightFor, slice: boolean): readonly MovedControl[] => {
  const colours: readonly MovedControl[] = slice
    ? ['gain', 'contrast', 'brightness', 'gain', 'colourSpread', 'firstColour']
    : ['gain', 'firstColour', 'colourSpread', 'gain'];
  const clean: readonly MovedControl[] = ['otherSounders', 'noiseRejection', 'averaging', 'topWater'];
  return purpose === 'search'
    ? ['range', 'zoom', ...colours, ...clean]
    : ['range', 'zoom', ...colours, ...clean.slice(0, 2), 'topWater', 'averaging'];
};

/** Water under the deepest bed a range keeps, as a share. */
const UNDER_BED = 1.15;

function rangesFor(settings: Settings, deepestBedM: number): number[] {
  const fit = Math.ceil(UNDER_BED * deepestBedM);
  return [fit, Math.ceil(1.05 * deepestBedM), settings.rangeM + 3, settings.rangeM - 3];
}

/** Settings a dial is tried at, none twice and none as it is. */
export function trials(
  control: MovedControl,
  settings: Settings,
  deepestBedM: number,
  reach: Reach,
): Partial<Settings>[] {
  const { setting, lowest, highest, step } = CONTROLS[control];
  const name = setting as keyof Settings;
  const now = settings[name] as number;
  const wanted =
    control === 'range'
      ? deepestBedM > 0
        ? rangesFor(settings, deepestBedM).slice(0, reach === 'near' ? 1 : undefined)
        : []
      : valuesOf(TRIALS[control], now, reach);
  const values = wanted
    .map((x) => Number((Math.round(x / step) * step).toFixed(6)))
    .filter((x) => x >= lowest && x <= highest && x !== now);
  // A range must end below the window's top.
  const fits = control === 'range' ? values.filter((x) => x > settings.topM + 1) : values;
  return [...new Set(fits)].map((value) => ({ [name]: value }));
}

/** How much of a picture's worth lies in fish that stand off the water but cannot be seen yet. */
const LEAD = 0.05;
const worth = ({ score, lead }: Judged): number => score + LEAD * lead;
/** Under this score no fish can be made out. */
const UNSEEN = 0.05;
/** Least score a move's worth is reckoned from. */
const LEAST_SCORE = 0.2;

/** The best of some turns of one dial; null where none is worth it. */
export function bestTurn(
  control: MovedControl,
  settings: Settings,
  judge: (settings: Settings) => Judged,
  before: Judged,
  changes: readonly Partial<Settings>[],
): Move | null {
  let best: Move | null = null;
  for (const change of changes) {
    const after = judge({ ...settings, ...change });
    if (worth(after) > worth(best?.after ?? before)) best = { control, change, before, after };
  }
  // Where nothing is seen yet, any lead is worth following.
  const least = WORTH * (before.score < UNSEEN ? LEAD : Math.max(before.score, LEAST_SCORE));
  return best && worth(best.after) - worth(before) >= least ? best : null;
}

/** Deepest bed the reader has found, m; 0 where it has found none. */
export const deepestOfBed = (bedRangeM: Float32Array): number =>
  bedRangeM.reduce((deepest, r) => (r > deepest ? r : deepest), 0);

/** What the dials of a picture hang on besides its pings. */
export interface TunedOver {
  slice: boolean;
  deepestBedM: number;
}

/** Moves in their order, none where the picture is tuned or shows no fish to tune on; and what the eye makes of it now. */
export interface Tuning {
  moves: readonly Move[];
  now: Judged;
}

/**
 * The one turn that helps most, of every dial that needs no new pings. Neither this nor the walk sees the water's truth: where fish
 * are is the reader's word.
 * @param unsettled whether a turn just made has unsettled gain and colours, which then come first
 */
export function nextMove(
  pass: JudgedPass,
  settings: Settings,
  { slice, deepestBedM }: TunedOver,
  unsettled = false,
): Tuning {
  const judge = pictureJudge(pass);
  const now = judge(settings);
  if (now.fish === 0) return { moves: [], now };
  const bestOf = (controls: Iterable<MovedControl>): Move | null => {
    let best: Move | null = null;
    for (const control of controls) {
      const move = bestTurn(control, settings, judge, now, trials(control, settings, deepestBedM, 'near'));
      if (move && worth(move.after) > (best ? worth(best.after) : 0)) best = move;
    }
    return best;
  };
  const best = (unsettled ? bestOf(SETTLING) : null) ?? bestOf(new Set(moveOrder(pass.purpose, slice)));
  return { moves: best ? [best] : [], now };
}

/** Gains, and for each what hangs together with it: first colour, spread, noise rejection. */
const PAIRED_GAINS = [-24, -20, -16, -12, -8, -4, 0, 6, 12];
const PAIRED: readonly Partial<Settings>[] = [
  { colourSpreadDb: 20 },
  { colourSpreadDb: 30 },
  { colourSpreadDb: 45 },
  { colourSpreadDb: 60 },
  { firstColourDb: 0 },
  { firstColourDb: 6 },
  { noiseRejection: 0, firstColourDb: 3 },
];

const pairs = (settings: Settings): Partial<Settings>[] =>
  settings.gainMode === 'auto'
    ? []
    : PAIRED_GAINS.flatMap((gainDb) => PAIRED.map((more) => ({ gainDb, ...more })));

/** Most moves of a walk. */
export const MOST_MOVES = 12;

/**
 * Walks from a setting to a tuned one, a dial at a time in the phase's order, round and round until no dial is worth a turn.
 * Yields each move; who iterates may stop at any of them.
 */
export function* solve(pass: JudgedPass, start: Settings, over: TunedOver): Generator<Move, Judged> {
  const judge = pictureJudge(pass);
  const order = moveOrder(pass.purpose, over.slice);
  let settings = start;
  let now = judge(settings);
  if (now.fish === 0) return now;
  for (let moves = 0, still = 0, k = 0; moves < MOST_MOVES && still <= order.length; k++) {
    // Where no dial alone is worth a turn, two that hang together may be.
    const [control, changes] =
      still < order.length
        ? ([
            order[k % order.length]!,
            trials(order[k % order.length]!, settings, over.deepestBedM, 'far'),
          ] as const)
        : (['gain', pairs(settings)] as const);
    const move = bestTurn(control, settings, judge, now, changes);
    still = move ? 0 : still + 1;
    if (!move) continue;
    moves++;
    settings = { ...settings, ...move.change };
    now = move.after;
    yield move;
  }
  return now;
}

/** A walk to its end. */
export function walk(pass: JudgedPass, start: Settings, over: TunedOver): Tuning {
  const steps = solve(pass, start, over);
  const moves: Move[] = [];
  let step = steps.next();
  for (; !step.done; step = steps.next()) moves.push(step.value);
  return { moves, now: moves[0]?.before ?? step.value };
}
