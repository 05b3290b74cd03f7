import type { Brief, Setup, TriedColours } from '@/core/advice';
import { CONTROLS, palettesFor, viewing, weakestColourDb, type Settings } from '@/core/picture';
import { screenOf, unitOf, type Rig } from '@/core/rig';
import type { SeenAt } from './sightOnPass';
import { sightOnPasses } from './sightOnPasses';

/** Passes that are made, more while so few fish are met that chance decides: a slice, which draws each for a few pings, needs more. */
const PASSES = 2;
const MOST_PASSES = { cone: 6, slice: 6 };
const ENOUGH_FISH = { cone: 24, slice: 96 };
/** Of the time it takes so large a share goes by before the first picture is looked at. */
const PASSES_SHARE = 0.5;
/** Windows of each that are looked at, and where their seeds begin: far from a bench's. */
const MOST_WINDOWS = 3;
const FIRST_SEED = 20_000;
/** Gains about the one worked out, then finer ones about the best, colour spreads and first colours, dB. */
const GAINS = [-20, -16, -12, -8, -4, 4, 8, 14] as const;
const FINER = [-2, 2] as const;
const SPREADS = [20, 30, 40, 50, 60] as const;
/** Higher ones than the usual: on 59 setups of forty briefs a lower one was never taken. */
const FIRST_COLOURS = [6, 8] as const;
/** The target keeps so much over the first colour, dB: what is promised must be drawn. Of one that is lost nothing is promised. */
const LEAST_OVER_DB = 2;
/** Of what comes within this share of the best the nearest to what was worked out is taken: the rest is chance. */
const ENOUGH = 0.995;
/** A step of spread counts as a quarter of one of gain. */
const SPREAD_COUNTS = 0.25;

type Colours = Pick<Settings, 'gainDb' | 'firstColourDb' | 'colourSpreadDb'>;
interface Tried extends SeenAt {
  colours: Colours;
}

/** What stays as it is though the rest is tried. */
export interface ColoursHeld {
  firstColour: boolean;
  colourSpread: boolean;
}
const NONE_HELD: ColoursHeld = { firstColour: false, colourSpread: false };

/**
 * Gain, first colour and colour spread found by trying: passes over water like the brief's are made and drawn at several, and those are taken at
 * which the eye finds most fish among fewest specks. It meets what no rule foresees: weed about the fish, gusts of bubbles, how a fish
 * fades. Null where it meets no fish.
 * @param onShare told how much is done, 0…1
 * @returns gain, first colour and spread, dB, and fish found of those met @throws RangeError for a face the rig has not
 */
export function tryColours(
  brief: Brief,
  rig: Rig,
  { settings, prediction }: Setup,
  held = NONE_HELD,
  onShare: (share: number) => void = () => undefined,
): TriedColours | null {
  const kind = prediction.face.beam.shape === 'fan' ? 'slice' : 'cone';
  const unit = unitOf(rig);
  const [palette] = palettesFor('day', kind);
  const view = viewing(unit.pictureHeightM, screenOf(rig).rows, unit.viewedFromM);
  const spreads = held.colourSpread ? [] : SPREADS;
  const firstColours = held.firstColour ? [] : FIRST_COLOURS;
  const steps = 1 + GAINS.length + FINER.length * 2 + spreads.length + firstColours.length * 2;
  let done = 0;
  const passes = sightOnPasses(
    brief,
    rig,
    { ...settings, palette: palette! },
    {
      seedOf: (k) => FIRST_SEED + k,
      view,
      least: PASSES,
      most: MOST_PASSES[kind],
      enough: ENOUGH_FISH[kind],
      mostWindows: MOST_WINDOWS,
      onPass: (made, met) =>
        onShare(PASSES_SHARE * Math.max(made / MOST_PASSES[kind], Math.min(1, met / ENOUGH_FISH[kind]))),
    },
  );
  const { fish, made } = passes;
  if (fish === 0) return null;

  const tried: Tried[] = [];
  const tryOut = (colours: Colours): void => {
    tried.push({ colours, ...passes.at({ ...colours, gainMode: 'manual' }) });
    onShare(PASSES_SHARE + (1 - PASSES_SHARE) * (++done / steps));
  };
  const best = (): Tried => tried.reduce((a, b) => (b.score > a.score ? b : a));
  const { lowest, highest } = CONTROLS.gain;
  const mostFirstDb = prediction.verdict === 'lost' ? Infinity : prediction.targetStrengthDb - LEAST_OVER_DB;
  const shows = ({ gainDb, firstColourDb }: Colours): boolean =>
    gainDb >= lowest &&
    gainDb <= highest &&
    weakestColourDb({ gainDb, power: settings.power }) + firstColourDb <= mostFirstDb;
  const tryAll = (changes: readonly Partial<Colours>[]): void => {
    const from = best().colours;
    for (const change of changes) {
      const colours = { ...from, ...change };
      if (shows(colours)) tryOut(colours);
    }
  };
  const tryGains = (offsets: readonly number[]): void => {
    const from = best().colours;
    tryAll(offsets.map((offset) => ({ gainDb: from.gainDb + offset })));
  };

  const { gainDb, firstColourDb, colourSpreadDb } = settings;
  tryOut({ gainDb, firstColourDb, colourSpreadDb });
  const before = tried[0]!;
  tryGains(GAINS);
  tryGains(FINER);
  tryAll(spreads.map((spread) => ({ colourSpreadDb: spread })));
  const atBest = best().colours;
  // Less is drawn, or the same in stronger colours.
  tryAll(
    firstColours.flatMap((first) => [
      { firstColourDb: first },
      { firstColourDb: first, gainDb: atBest.gainDb + first - atBest.firstColourDb },
    ]),
  );
  tryGains(FINER);

  const away = ({ colours }: Tried): number =>
    Math.abs(colours.gainDb - gainDb) +
    Math.abs(colours.firstColourDb - firstColourDb) +
    SPREAD_COUNTS * Math.abs(colours.colourSpreadDb - colourSpreadDb);
  const least = ENOUGH * best().score;
  const taken = tried.filter(({ score }) => score >= least).reduce((a, b) => (away(b) < away(a) ? b : a));
  const { colours, found } = taken;
  return { ...colours, found: found * fish, foundBefore: before.found * fish, fish, passes: made };
}
