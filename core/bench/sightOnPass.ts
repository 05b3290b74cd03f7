import type { Brief } from '@/core/advice';
import { spreadEvenly } from '@/core/maths';
import type { Desk, MarkPlace, Picture, Settings, SightFor, Viewing } from '@/core/picture';
import { drawPicture, newDesk, see, sightScore } from '@/core/picture/drawing';
import { recordingOf } from '@/core/recording';
import { screenOf, type Rig } from '@/core/rig';
import { simulate } from '@/core/sounder';
import { benchPass } from './benchPass';
import { fishPlaces } from './fishPlaces';

/** What a person makes of a picture: the fish they find, and the eye's one number, both as shares of the fish there. */
export interface SeenAt {
  found: number;
  score: number;
}

/** A made pass to be drawn and looked at in many ways. */
export interface SightOnPass {
  /** Fish that show in the pass. */
  fish: number;
  /** @param change of the settings the pass was made for: of gain, colours and palette, none of pings or window */
  at: (change: Partial<Settings>) => SeenAt;
}

/** Which pass is made and how it is looked at. */
export interface SightFrom {
  seed: number;
  view: Viewing;
  /** Of the windows with fish so many are looked at, evenly spread. */
  mostWindows?: number;
  /** So many times as many fish as usual: the more, the less is chance. */
  crowd?: number;
}

/**
 * Makes a pass over a brief's water and looks at it in as many windows of time as hold it. Where the fish lie is the scene's word.
 * @param settings the pings are made for
 * @throws RangeError for a face the rig has not
 */
export function sightOnPass(
  brief: Brief,
  rig: Rig,
  settings: Settings,
  { seed, view, mostWindows = Infinity, crowd }: SightFrom,
): SightOnPass {
  // A lure is not what is looked for, nor what it is mistaken for.
  const request = benchPass({ ...brief, lure: null }, rig, settings, seed, undefined, { crowd });
  const stretch = simulate(request);
  const recording = recordingOf([stretch]);
  const places = fishPlaces(request.scene, request.track, request.rig, request.faces[0]!, stretch);
  const screen = screenOf(rig);
  const { timeS } = stretch.navigation;
  const endS = timeS[timeS.length - 1]!;
  const historyS = screen.columns / settings.chartSpeed;
  const nows = Array.from({ length: Math.max(1, Math.ceil(endS / historyS)) }, (_, k) => endS - k * historyS);
  const purpose: SightFor = brief.presentation === 'vertical' ? 'vertical' : 'search';
  const desk = newDesk();
  const draw = (now: Settings, nowS: number, cells: Desk['cells']): Picture =>
    drawPicture(recording, now, screen, nowS, { ...desk, cells });
  // Where the fish lie does not hang on gain and colours.
  const all = nows
    .map((nowS) => ({ nowS, marks: places(draw(settings, nowS, desk.cells)) }))
    .filter(({ marks }: { marks: MarkPlace[] }) => marks.length > 0);
  // Each window keeps its own cells: no way of colouring them makes them anew.
  const windows = spreadEvenly(all, mostWindows).map((w) => ({ ...w, cells: new Map() as Desk['cells'] }));
  const fish = windows.reduce((sum, w) => sum + w.marks.length, 0);
  return {
    fish,
    at: (change) => {
      const now = { ...settings, ...change };
      let found = 0;
      let score = 0;
      for (const { nowS, marks, cells } of windows) {
        const sight = see(draw(now, nowS, cells), now.palette, now.bedRamp, marks, view);
        found += sight.marks.reduce((sum, m) => sum + m.probability, 0);
        score += sightScore(sight, purpose) * marks.length;
      }
      return { found: found / Math.max(1, fish), score: score / Math.max(1, fish) };
    },
  };
}
