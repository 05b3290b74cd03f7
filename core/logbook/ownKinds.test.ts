import { FIRST_BRIEF, startSetup } from '@/core/advice';
import { benchPass } from '@/core/bench';
import { wilson } from '@/core/maths';
import { legendStep, stepOf, type ColourScale } from '@/core/picture';
import { drawPicture, newDesk } from '@/core/picture/drawing';
import { readChannel, type FishFinding } from '@/core/reading';
import { durationOf, recordingOf } from '@/core/recording';
import { GENERIC_RIG, screenOf } from '@/core/rig';
import { simulate } from '@/core/sounder';
import type { OwnFish } from './ownFish';
import { besideOwn, drawnSteps, kindOfGroup, levelsOf, ownKinds } from './ownKinds';

const SCALE: ColourScale = { bottomDb: -60, leastDb: -56, stepsPerDb: 256 / 48 };
const fish = (change: Partial<OwnFish>): OwnFish => ({
  id: 'f',
  at: '2026-11-27T15:00:00.000Z',
  kind: 'perch',
  lengthM: null,
  frequencyHz: 200e3,
  relative: false,
  levelDb: [-45, -39],
  gainDb: 0,
  thicknessM: 0.2,
  depthM: 6,
  group: null,
  ...change,
});
const BEAM = { frequencyHz: 200e3, relative: false };

describe('one’s own fish', () => {
  it('are told by kind, on the beam they were seen on, as they would be drawn now', () => {
    const list = [
      fish({}),
      fish({ kind: 'Perch', levelDb: [-47, -41], thicknessM: 0.4, depthM: 9 }),
      fish({ levelDb: [-44, -38] }),
      fish({ kind: 'pike', levelDb: [-34, -31] }),
      // Another beam, and a picture's relative levels, are not to be held against these.
      fish({ kind: 'perch', frequencyHz: 83e3, levelDb: [-20, -18] }),
      fish({ kind: 'perch', relative: true, levelDb: [-10, -8] }),
    ];
    const [perch, pike] = ownKinds(list, BEAM, SCALE);
    // 48 dB in eight steps: six to a step.
    expect(perch).toMatchObject({
      kind: 'perch',
      count: 3,
      steps: [3, 4],
      thicknessM: [0.2, 0.4],
      depthM: [6, 9],
    });
    expect(pike).toMatchObject({ count: 1, steps: [5, 5] });
    // Six decibels more gain, a step more.
    const louder = { ...SCALE, bottomDb: SCALE.bottomDb - 6, leastDb: SCALE.leastDb - 6 };
    expect(ownKinds(list, BEAM, louder)[0]!.steps).toEqual([4, 5]);
    expect(besideOwn([3, 5], perch!)).toBe('alike');
    expect(besideOwn([6, 7], perch!)).toBe('stronger');
    expect(besideOwn([1, 2], perch!)).toBe('weaker');
    expect(besideOwn([5, 5], pike!)).toBe('few');
  });

  it('tell what was caught from marks that stood so, with how sure that is, and nothing of too few', () => {
    const list = [
      fish({ group: 'stacked' }),
      fish({ group: 'stacked', kind: 'Perch', frequencyHz: 83e3 }),
      fish({ group: 'stacked', kind: 'zander' }),
      fish({ group: 'strung' }),
      fish({}),
    ];
    const [low, high] = wilson(2, 3);
    expect(kindOfGroup(list, 'stacked')).toEqual({ kind: 'Perch', count: 2, of: 3, likely: [low, high] });
    expect(kindOfGroup(list, 'strung')).toBeNull();
    expect(
      kindOfGroup(
        [...list, ...list].map((f) => ({ ...f, group: 'loose' })),
        'loose',
      ),
    ).toBeNull();
  });

  it('a mark’s steps are those its picture shows, and come back from what is kept of them', () => {
    const { settings } = startSetup(FIRST_BRIEF, GENERIC_RIG);
    const stretch = simulate(benchPass(FIRST_BRIEF, GENERIC_RIG, settings, 3));
    const recording = recordingOf([stretch]);
    const { timeS } = stretch.navigation;
    const screen = screenOf(GENERIC_RIG);
    const endS = durationOf(recording);
    const draw = (gainDb: number) =>
      drawPicture(
        recording,
        { ...settings, gainDb, gainMode: 'manual', chartSpeed: screen.columns / endS },
        screen,
        endS,
        newDesk(),
      );
    const found = readChannel(stretch, stretch.channels[0]!).findings.filter(
      (f): f is FishFinding => f.kind === 'fish',
    );
    expect(found.length).toBeGreaterThan(3);
    const picture = draw(settings.gainDb);
    const louder = draw(settings.gainDb + 10);
    for (const f of found) {
      const steps = drawnSteps(f, timeS, picture)!;
      expect(steps[0]).toBeGreaterThan(0);
      expect(steps[1]).toBeGreaterThanOrEqual(steps[0]);
      const levels = levelsOf(picture.scale, steps);
      expect(levels.map((l) => stepOf(picture.scale, l))).toEqual([...steps]);
      // At another gain what was kept says what is drawn there, within a step of the legend: the blur of columns is the same.
      const there = drawnSteps(f, timeS, louder)!;
      const said = levels.map((l) => legendStep(stepOf(louder.scale, l)));
      expect(Math.abs(said[1]! - legendStep(there[1]))).toBeLessThanOrEqual(1);
    }
  });
});
