import { pictureJudge, soundingRequest, walk, deepestOfBed, nextMove, type PassSource } from '@/core/bench';
import { viewing, palettesFor, type Settings, type SightFor } from '@/core/picture';
import { drawPicture, newDesk, see } from '@/core/picture/drawing';
import { readRecording } from '@/core/reading';
import { durationOf, recordingOf } from '@/core/recording';
import { faceOf, screenOf, type Rig } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { fishPlaces } from '@/core/bench/fishPlaces';
import { WHOLE_GRID, type SightGrid } from './startSight';

/** A phone in the hand: 65 mm of picture at 35 cm. */
const WIDTH_MM = 65;
const DISTANCE_MM = 350;
/** Share of a pass after which it is looked at. */
const LOOKED_AT = 0.7;

/** A water to tune on, and what is set there before anything is turned wrong. */
export interface TunedWater {
  source: Exclude<PassSource, { kind: 'recording' }>;
  rig: Rig;
  base: Settings;
  purpose: SightFor;
  bandM: readonly [number, number];
}

/** Three ways to have set it badly: far too loud, far too quiet and filtered, too deep and too few colours. */
export const badlySet = (base: Settings): Settings[] => [
  { ...base, gainDb: 14, noiseRejection: 0 },
  { ...base, gainDb: -24, firstColourDb: 10, noiseRejection: 6 },
  {
    ...base,
    gainDb: Math.min(40, base.gainDb + 6),
    colourSpreadDb: 15,
    topWater: 8,
    rangeM: Math.min(300, Math.round(1.8 * base.rangeM)),
  },
];

export interface SolvedSight {
  /** Fish the reader has found on the screen. */
  fish: number;
  /** Eye's score of the best of the grid. */
  best: number;
  solved: { from: number; score: number; moves: number; found: number }[];
  /** Fish that are truly there and could be picked out in the grid's best. */
  bestFound: number;
  nextMoveMs: number;
}

/** Tunes a water from bad settings, held against the best of a grid over the same pings and against the water's truth. */
export function solvedAgainstGrid(
  { source, rig, base: set, purpose, bandM }: TunedWater,
  grid: SightGrid = WHOLE_GRID,
  now: () => number = () => 0,
  starts = 3,
): SolvedSight {
  const face = faceOf(rig, set.faceId);
  const slice = face.beam.shape === 'fan';
  const base: Settings = { ...set, palette: palettesFor('day', slice ? 'slice' : 'cone')[0]! };
  const request = soundingRequest(source, rig, { ...base, rangeM: Math.round(1.4 * base.rangeM) });
  const stretch = simulate(request);
  const recording = recordingOf([stretch]);
  const reading = readRecording(recording, base.faceId);
  const screen = screenOf(rig);
  const view = viewing(WIDTH_MM, screen.columns, DISTANCE_MM);
  const nowS = LOOKED_AT * durationOf(recording);
  const pass = { recording, findings: reading.findings, screen, nowS, purpose, view, bandM };
  const over = { slice, deepestBedM: deepestOfBed(reading.bed.rangeM) };
  const desk = newDesk();
  const judge = pictureJudge({ ...pass, desk });
  let best = 0;
  let bestSettings = base;
  for (const colourSpreadDb of grid.spreads)
    for (const firstColourDb of grid.firstColours)
      for (const gainDb of grid.gains) {
        const settings: Settings = { ...base, colourSpreadDb, firstColourDb, gainDb, gainMode: 'manual' };
        const { score } = judge(settings);
        if (score > best) [best, bestSettings] = [score, settings];
      }
  const places = fishPlaces(request.scene, request.track, request.rig, face, stretch);
  const trulyFound = (settings: Settings): number => {
    const picture = drawPicture(recording, settings, screen, nowS, desk);
    const { marks } = see(picture, settings.palette, settings.bedRamp, places(picture), view);
    return marks.reduce((sum, m) => sum + m.probability, 0);
  };
  const solved = badlySet(base)
    .slice(0, starts)
    .map((bad) => {
      const { moves, now: from } = walk(pass, bad, over);
      const settings = moves.reduce<Settings>((s, move) => ({ ...s, ...move.change }), bad);
      return {
        from: from.score,
        score: moves.at(-1)?.after.score ?? from.score,
        moves: moves.length,
        found: trulyFound(settings),
      };
    });
  // The app's worker keeps the bed the unit finds, and nothing else, from one question about a pass to the next.
  const asked = { ...pass, desk: { ...newDesk(), beds: desk.beds } };
  const begun = now();
  nextMove(asked, base, over);
  return {
    fish: judge(base).fish,
    best,
    solved,
    bestFound: trulyFound(bestSettings),
    nextMoveMs: now() - begun,
  };
}
