import { sliceSetup, startSetup, type Brief, type Setup, type TriedColours } from '@/core/advice';
import { sightOnPasses, tryColours, type SeenAt } from '@/core/bench';
import { viewing, palettesFor, type PaletteName, type PictureKind, type Settings } from '@/core/picture';
import { screenOf, type Rig } from '@/core/rig';

/** A phone in the hand: 65 mm of picture at 35 cm. */
const WIDTH_MM = 65;
const DISTANCE_MM = 350;

/** What a person makes of a picture, and how it was set. */
export interface SeenWith extends SeenAt {
  settings: Settings;
}

/** The start setup's picture of a pass, and the best of a grid over the same pings. */
export interface StartSight {
  kind: PictureKind;
  fish: number;
  start: SeenWith;
  /** With gain and colours tried on other passes; as at the start where none were. */
  tried: SeenWith;
  best: SeenWith;
  mostFound: SeenWith;
}

/** Gains, first colours and spreads, dB, of a grid; each in every palette of the light. */
export interface SightGrid {
  gains: readonly number[];
  firstColours: readonly number[];
  spreads: readonly number[];
}

/** 300 ways in all, with a light's two palettes. */
export const WHOLE_GRID: SightGrid = {
  gains: [-24, -18, -12, -8, -4, 0, 4, 8, 14, 20],
  firstColours: [0, 3, 6],
  spreads: [20, 30, 40, 50, 60],
};

/** Which passes a setup is held against the grid on. */
export interface HeldOn {
  seed: number;
  grid?: SightGrid;
  /** As many passes as hold so many fish: of one fish or two it is chance which of two pictures shows more. */
  fish?: number;
  triedAs?: Pick<TriedColours, 'gainDb' | 'firstColourDb' | 'colourSpreadDb'> | null;
}

/** Passes at most, of seeds so far apart. */
const MOST_PASSES = 15;
const SEEDS_APART = 1000;

/** Holds a setup's picture against the grid on the same pings; null where the passes have no fish in the beam. */
export function heldAgainstGrid(
  brief: Brief,
  rig: Rig,
  setup: Setup,
  { seed, grid = WHOLE_GRID, fish: enough = 1, triedAs = null }: HeldOn,
): StartSight | null {
  const kind: PictureKind = setup.prediction.face.beam.shape === 'fan' ? 'slice' : 'cone';
  const palettes: PaletteName[] = palettesFor('day', kind);
  const base: Settings = { ...setup.settings, palette: palettes[0]! };
  const view = viewing(WIDTH_MM, screenOf(rig).columns, DISTANCE_MM);
  const { fish, at } = sightOnPasses(brief, rig, base, {
    seedOf: (k) => seed + SEEDS_APART * k,
    view,
    least: 1,
    most: enough > 1 ? MOST_PASSES : 1,
    enough,
  });
  if (fish === 0) return null;
  const seenAt = (change: Partial<Settings>): SeenWith => ({
    ...at(change),
    settings: { ...base, ...change },
  });
  const start = seenAt({});
  const tried = triedAs
    ? seenAt({
        gainMode: 'manual',
        gainDb: triedAs.gainDb,
        firstColourDb: triedAs.firstColourDb,
        colourSpreadDb: triedAs.colourSpreadDb,
      })
    : start;
  let best = tried.score > start.score ? tried : start;
  let mostFound = tried.found > start.found ? tried : start;
  for (const palette of palettes)
    for (const colourSpreadDb of grid.spreads)
      for (const firstColourDb of grid.firstColours)
        for (const gainDb of grid.gains) {
          const here = seenAt({ palette, colourSpreadDb, firstColourDb, gainDb, gainMode: 'manual' });
          if (here.score > best.score) best = here;
          if (here.found > mostFound.found) mostFound = here;
        }
  return { kind, fish, start, tried, best, mostFound };
}

/** Fish that are judged by, of a cone and of a fan. */
const FISH = { cone: 10, fan: 40 } as const;

/** The cone's and the slice's start setups of a brief, worked out and tried, each held against the grid. */
export function startSight(brief: Brief, rig: Rig, seed: number): StartSight[] {
  const cone = startSetup(brief, rig);
  const slice = sliceSetup(brief, rig, cone);
  return [cone, ...(slice ? [slice] : [])].flatMap(
    (setup) =>
      heldAgainstGrid(brief, rig, setup, {
        seed,
        fish: FISH[setup.prediction.face.beam.shape],
        triedAs: tryColours(brief, rig, setup),
      }) ?? [],
  );
}
