import { sliceSetup, startSetup, type Brief, type Setup } from '@/core/advice';
import { benchPass } from '@/core/bench';
import {
  viewing,
  palettesFor,
  type MarkPlace,
  type PaletteName,
  type Picture,
  type PictureKind,
  type Settings,
  type SightFor,
} from '@/core/picture';
import { drawPicture, newDesk, see, sightScore } from '@/core/picture/drawing';
import { recordingOf } from '@/core/recording';
import { screenOf, type Rig } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { fishPlaces } from '@/core/testing/fishPlaces';

/** A phone in the hand: 65 mm of picture at 35 cm. */
const WIDTH_MM = 65;
const DISTANCE_MM = 350;

/** What a person makes of a picture: the share of its fish they find, and the eye's one number. */
export interface SeenAt {
  found: number;
  score: number;
  settings: Settings;
}

/** The start setup's picture of a pass, and the best of a grid over the same pings. */
export interface StartSight {
  kind: PictureKind;
  fish: number;
  start: SeenAt;
  best: SeenAt;
  mostFound: SeenAt;
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

/** Draws a pass at settings in as many windows as hold it, and looks at each. */
export function sightOver(
  brief: Brief,
  rig: Rig,
  base: Settings,
  seed: number,
): { fish: number; at: (change: Partial<Settings>) => SeenAt } {
  // A lure is not what is looked for, nor what it is mistaken for.
  const request = benchPass({ ...brief, lure: null }, rig, base, seed);
  const stretch = simulate(request);
  const recording = recordingOf([stretch]);
  const face = request.faces[0]!;
  const places = fishPlaces(request.scene, request.track, request.rig, face, stretch);
  const screen = screenOf(rig);
  const view = viewing(WIDTH_MM, screen.columns, DISTANCE_MM);
  const { timeS } = stretch.navigation;
  const endS = timeS[timeS.length - 1]!;
  const historyS = screen.columns / base.chartSpeed;
  const nows = Array.from({ length: Math.max(1, Math.ceil(endS / historyS)) }, (_, k) => endS - k * historyS);
  const purpose: SightFor = brief.presentation === 'vertical' ? 'vertical' : 'search';
  const desk = newDesk();
  const draw = (settings: Settings, nowS: number): Picture =>
    drawPicture(recording, settings, screen, nowS, desk);
  // Where the fish lie does not hang on gain and colours.
  const windows = nows
    .map((nowS) => ({ nowS, marks: places(draw(base, nowS)) }))
    .filter(({ marks }: { marks: MarkPlace[] }) => marks.length > 0);
  const fish = windows.reduce((sum, w) => sum + w.marks.length, 0);
  return {
    fish,
    at: (change) => {
      const settings = { ...base, ...change };
      let found = 0;
      let score = 0;
      for (const { nowS, marks } of windows) {
        const sight = see(draw(settings, nowS), settings.palette, settings.bedRamp, marks, view);
        found += sight.marks.reduce((sum, m) => sum + m.probability, 0);
        score += sightScore(sight, purpose) * marks.length;
      }
      return { found: found / fish, score: score / fish, settings };
    },
  };
}

/** Holds a setup's picture against the grid on the same pings; null where the pass has no fish in the beam. */
export function heldAgainstGrid(
  brief: Brief,
  rig: Rig,
  setup: Setup,
  seed: number,
  grid = WHOLE_GRID,
): StartSight | null {
  const kind: PictureKind = setup.prediction.face.beam.shape === 'fan' ? 'slice' : 'cone';
  const palettes: PaletteName[] = palettesFor('day', kind);
  const base: Settings = { ...setup.settings, palette: palettes[0]! };
  const sight = sightOver(brief, rig, base, seed);
  if (sight.fish === 0) return null;
  const start = sight.at({});
  let best = start;
  let mostFound = start;
  for (const palette of palettes)
    for (const colourSpreadDb of grid.spreads)
      for (const firstColourDb of grid.firstColours)
        for (const gainDb of grid.gains) {
          const here = sight.at({ palette, colourSpreadDb, firstColourDb, gainDb, gainMode: 'manual' });
          if (here.score > best.score) best = here;
          if (here.found > mostFound.found) mostFound = here;
        }
  return { kind, fish: sight.fish, start, best, mostFound };
}

/** The cone's and the slice's start setups of a brief, each held against the grid. */
export function startSight(brief: Brief, rig: Rig, seed: number): StartSight[] {
  const cone = startSetup(brief, rig);
  const slice = sliceSetup(brief, rig, cone);
  return [cone, ...(slice ? [slice] : [])].flatMap((setup) => heldAgainstGrid(brief, rig, setup, seed) ?? []);
}
