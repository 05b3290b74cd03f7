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

/** How far beyond the deepest bed a range may end, as a share of it; the first is tried first. */
const BEYOND_BED = [1.15, 1.3, 1.05];

function rangesFor(settings: Settings, deepestBedM: number): number[] {
  return [
    ...BEYOND_BED.map((share) => Math.ceil(share * deepestBedM)),
    settings.rangeM + 3,
    settings.rangeM - 3,
  ];
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
const LEAD = 0.1;
/** What a step of noise rejection must bring: it also takes fish that the reader has missed. */
const FILTERED = 0.006;
const worth = ({ score, lead }: Judged, { noiseRejection }: Settings): number =>
  score + LEAD * lead - FILTERED * noiseRejection;
/** Of turns that come to this share of the best, the one that has the fish stand out most: it shows those the reader missed as well. */
const AS_GOOD = 0.98;
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
  const tried = changes.map((change) => {
    const turned = { ...settings, ...change };
    const after = judge(turned);
    return { control, change, before, after, gain: worth(after, turned) - worth(before, settings) };
  });
  const most = Math.max(0, ...tried.map((t) => t.gain));
  const slack = (1 - AS_GOOD) * Math.max(before.score + most, LEAST_SCORE);
  let best: (typeof tried)[number] | null = null;
  for (const t of tried) if (t.gain >= most - slack && (!best || t.after.lead > best.after.lead)) best = t;
  // Where nothing is seen yet, any lead is worth following.
  const least = WORTH * (before.score < UNSEEN ? LEAD : Math.max(before.score, LEAST_SCORE));
  if (!best || best.gain < least) return null;
  const { gain: _, ...move } = best;
  return move;
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
  const worthOf = ({ after, change }: Move): number => worth(after, { ...settings, ...change });
  const bestOf = (controls: Iterable<MovedControl>): Move | null => {
    let best: Move | null = null;
    for (const control of controls) {
      const move = bestTurn(control, settings, judge, now, trials(control, settings, deepestBedM, 'near'));
      if (move && worthOf(move) > (best ? worthOf(best) : 0)) best = move;
    }
    return best;
  };
  const best = (unsettled ? bestOf(SETTLING) : null) ?? bestOf(new Set(moveOrder(pass.purpose, slice)));
  return { moves: best ? [best] : [], now };
}

/** Gains, spreads and first colours that are tried together, since each hangs on the others. */
const TOGETHER = {
  gains: [-24, -20, -16, -12, -8, -4, 0, 4, 8, 14, 20],
  spreads: [20, 30, 45, 60],
  firstColours: [2, 5],
};

/** Top water kept where all is set afresh, steps. */
const SOME_TOP_WATER = 3;

/** Ways to have the filters and the window while gain and colours are set: as they stand, and afresh, in a window that fits. */
function waysAfresh(settings: Settings, deepestBedM: number): Partial<Settings>[] {
  const afresh = { noiseRejection: 0, averaging: 1, topWater: Math.min(SOME_TOP_WATER, settings.topWater) };
  const cleaned = Object.fromEntries(
    Object.entries(afresh).filter(([name, value]) => value !== settings[name as keyof Settings]),
  );
  const windows = trials('range', settings, deepestBedM, 'far').slice(0, 2);
  return [
    {},
    ...(Object.keys(cleaned).length > 0 ? [cleaned] : []),
    ...windows.map((w) => ({ ...cleaned, ...w })),
  ];
}

/** Settings in which gain and colours are set together, in the way that shows most at any gain. */
function together(
  settings: Settings,
  deepestBedM: number,
  judge: (settings: Settings) => Judged,
): Partial<Settings>[] {
  if (settings.gainMode === 'auto') return [];
  const { gains, spreads, firstColours } = TOGETHER;
  // One of each tells the ways apart.
  const [colourSpreadDb, firstColourDb] = [spreads[2]!, firstColours[0]!];
  let way: Partial<Settings> = {};
  let most = -Infinity;
  for (const tried of waysAfresh(settings, deepestBedM))
    for (const gainDb of gains) {
      const turned = { ...settings, ...tried, gainDb, colourSpreadDb, firstColourDb };
      const here = worth(judge(turned), turned);
      if (here > most) [way, most] = [tried, here];
    }
  return spreads.flatMap((spread) =>
    firstColours.flatMap((first) =>
      gains.map((gainDb) => ({ ...way, gainDb, colourSpreadDb: spread, firstColourDb: first })),
    ),
  );
}

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
    // Where no dial alone is worth a turn, some that hang together may be.
    const [control, changes] =
      still < order.length
        ? ([
            order[k % order.length]!,
            trials(order[k % order.length]!, settings, over.deepestBedM, 'far'),
          ] as const)
        : (['gain', together(settings, over.deepestBedM, judge)] as const);
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

/** A walk to its end; `tell` hears of it after every move. */
export function walk(
  pass: JudgedPass,
  start: Settings,
  over: TunedOver,
  tell: (soFar: Tuning) => void = () => undefined,
): Tuning {
  const steps = solve(pass, start, over);
  const moves: Move[] = [];
  let step = steps.next();
  for (; !step.done; step = steps.next()) {
    moves.push(step.value);
    tell({ moves, now: moves[0]!.before });
  }
  return { moves, now: moves[0]?.before ?? step.value };
}
