import { seededRandom } from '@/core/maths';
import { PLAIN_SETTINGS, type FaultName, type Picture, type Settings } from '..';
import {
  bedColours,
  deepestShown,
  historyS,
  markCells,
  metresPerPixel,
  saturatedShare,
  shareBelowBed,
  speckleShare,
  targetMargin,
} from './meters';
import { drawPicture, findFaults } from '../drawing';
import { recordingOf, type Stretch } from '@/core/recording';
import { GENERIC_RIG, transducerOf, type Rig } from '@/core/rig';
import { holding, layTrack, makeScene, recipeOf, trackOver, type Scene } from '@/core/scene';
import { simulate } from '@/core/sounder';
import { fishTargetStrength } from '@/core/water';

const cone200 = transducerOf('twin-83-200').faces[0]!;
const SCREEN = { rows: 400, columns: 600 };

interface Pass {
  recording: Stretch;
  settings: Settings;
  draw: (change?: Partial<Settings>, screen?: { rows: number; columns: number }) => Picture;
}

/** A named scene as a sounder of 200 kHz records it, and a way to draw it with plain settings and gain on auto. */
function passOver(
  id: string,
  change: { scene?: Partial<Scene>; rig?: Partial<Rig>; pingRate?: number; farM?: number } = {},
): Pass {
  const recipe = recipeOf(id);
  const pingRate = change.pingRate ?? recipe.pingRate;
  const recording = simulate({
    scene: { ...makeScene(id, 3), ...change.scene },
    track: trackOver(id, 3, pingRate),
    rig: { ...GENERIC_RIG, ...change.rig },
    faces: [cone200],
    pingRate,
    farM: change.farM ?? recipe.rangeM,
    seed: 3,
  });
  const { timeS } = recording.navigation;
  const nowS = timeS[timeS.length - 1]!;
  const settings: Settings = {
    ...PLAIN_SETTINGS,
    faceId: cone200.id,
    rangeM: change.farM ?? recipe.rangeM,
    gainMode: 'auto',
    firstColourDb: 2,
    colourSpreadDb: 50,
    chartSpeed: SCREEN.columns / nowS,
    pingRate,
  };
  return {
    recording,
    settings,
    draw: (more = {}, screen = SCREEN) =>
      drawPicture(recordingOf([recording]), { ...settings, ...more }, screen, nowS),
  };
}

const names = (pass: Pass, change: Partial<Settings> = {}): FaultName[] =>
  findFaults(pass.draw(change), { ...pass.settings, ...change }).map((f) => f.name);

const basin = passOver('soft-basin');
const shelf = passOver('east-shelf');

describe('meters', () => {
  it('count more specks the higher the gain', () => {
    const share = (gainDb: number): number => speckleShare(basin.draw({ gainDb }));
    expect(share(0)).toBeLessThan(0.03);
    expect(share(8)).toBeGreaterThan(share(0));
    expect(share(20)).toBeGreaterThan(0.3);
  });
  it('say whether a mark is clear, just there or lost', () => {
    const [column, row] = [300, 160];
    const place = { column, row, halfColumns: 4, halfRows: 4 };
    const over = (level: number, around: number): Picture => {
      const picture = basin.draw();
      picture.steps.fill(0);
      for (let c = column - 3; c <= column + 3; c++)
        for (let r = row - 2; r <= row + 2; r++) picture.steps[c * SCREEN.rows + r] = level;
      if (around > 0)
        for (let c = column - 30; c < column - 8; c++)
          for (let r = row - 5; r <= row + 5; r++) picture.steps[c * SCREEN.rows + r] = around;
      return picture;
    };
    expect(targetMargin(over(100, 0), place).verdict).toBe('clear');
    // 255 steps over 50 dB: five steps to a decibel.
    expect(targetMargin(over(100, 80), place)).toMatchObject({ verdict: 'faint' });
    expect(Math.abs(targetMargin(over(100, 80), place).marginDb - 20 / 5.1)).toBeLessThan(0.3);
    expect(targetMargin(over(100, 98), place).verdict).toBe('lost');
    expect(targetMargin(over(0, 0), place).verdict).toBe('lost');
  });
  it('see the top colour fill up with gain, and bed colours merge', () => {
    const two = passOver('shell-bar');
    expect(saturatedShare(two.draw({ gainDb: 15 }))).toBeGreaterThan(
      saturatedShare(two.draw({ gainDb: -5 })),
    );
    const colours = (change: Partial<Settings>): number => bedColours(two.draw(change), 'ink');
    const low = { gainMode: 'manual', gainDb: -30, colourSpreadDb: 60 } as const;
    expect(colours(low)).toBeGreaterThanOrEqual(2);
    expect(colours({ gainMode: 'manual', gainDb: 30, colourSpreadDb: 20 })).toBe(0);
  });
  it('measure metres a pixel both ways, seconds held, and the screen spent below the bed', () => {
    const picture = shelf.draw({ chartSpeed: 10 });
    const { alongM, downM, ratio } = metresPerPixel(picture, 1.5);
    expect(alongM).toBeCloseTo(0.15, 2);
    expect(downM).toBeCloseTo(15 / 400, 9);
    expect(ratio).toBeCloseTo(alongM / downM, 9);
    expect(Math.abs(historyS(picture) - 60)).toBeLessThan(1);
    expect(markCells(picture, { inBeamS: 2, thicknessM: 0.15 }).columns).toBeCloseTo(20, 0);
    expect(markCells(picture, { inBeamS: 2, thicknessM: 0.15 }).rows).toBeCloseTo(4, 6);
    const wide = shelf.draw({ rangeM: 15 });
    expect(shareBelowBed(wide)).toBeGreaterThan(0.1);
    expect(shareBelowBed(wide)).toBeLessThan(0.5);
  });
  it('tell how deep a target shows: deeper with more gain, until all is one colour', () => {
    const channel = basin.recording.channels[0]!;
    const deepest = (gainDb: number, tsDb: number, colourSpreadDb = 50): number =>
      deepestShown(
        basin.draw({ gainMode: 'manual', gainDb, firstColourDb: 0, colourSpreadDb }),
        channel,
        { ...basin.settings, gainMode: 'manual' },
        tsDb,
      ).rangeM;
    const perch = fishTargetStrength(0.25, 200e3);
    const jig = -54;
    expect(deepest(-25, jig)).toBe(0);
    expect(deepest(-2, jig)).toBeGreaterThan(3);
    expect(deepest(-2, jig)).toBeLessThan(24);
    expect(deepest(-10, perch)).toBeGreaterThan(deepest(-2, jig));
    expect(deepest(40, jig, 10)).toBeLessThan(deepest(-2, jig) / 2);
  });
});

describe('faults', () => {
  it('finds none in a clean picture at a sound setting', () => {
    expect(names(basin)).toEqual([]);
    expect(names(shelf)).toEqual([]);
    expect(names(passOver('sunk-crib'))).toEqual([]);
  });
  it('slanting dashes of another sounder', () => {
    const otherSounders = [{ pingRate: 7.15, overNoiseDb: 26, pulseS: 4e-4 }];
    const busy = passOver('soft-basin', { scene: { otherSounders } });
    expect(names(busy)).toContain('slanting-dashes');
    expect(names(busy, { otherSounders: 2 })).not.toContain('slanting-dashes');
  });
  it('bars of something electrical', () => {
    const electrical = { everyS: 9, lengthS: 0.4, overNoiseDb: 18 };
    const found = names(passOver('soft-basin', { scene: { electrical } }));
    expect(found).toContain('electrical-bars');
    expect(found).not.toContain('false-bed');
  });
  it('a false bed, at its range, when pinged too fast', () => {
    const scene = { ...makeScene('shell-bar', 3), layers: [] };
    scene.bed.depthM.fill(10);
    scene.bed.material.fill(0);
    // 18 m between pings: the second echo of 10 m comes to 2 m, and lies in the open at 6 m when pings are 14 m apart.
    const pass = passOver('shell-bar', { scene, pingRate: 1473 / (2 * 14), farM: 12.5 });
    const fault = findFaults(pass.draw(), pass.settings).find((f) => f.name === 'false-bed');
    expect(fault).toBeDefined();
    expect(Math.abs(fault!.rangeM! - 6)).toBeLessThan(0.5);
  });
  it('a bed lost because the unit may not look so deep', () => {
    expect(names(basin, { lookNoDeeperM: 20 })).toContain('lost-bed');
  });
  it('specks, a solid bed, empty water', () => {
    expect(names(basin, { gainDb: 14 })).toContain('specks');
    expect(names(shelf, { gainMode: 'manual', gainDb: 40, colourSpreadDb: 10 })).toContain('solid-bed');
    expect(names(shelf, { gainMode: 'manual', gainDb: -30 })).toContain('empty-water');
  });
  it('clutter at the top in wind, less when top water is turned up', () => {
    const water = { ...makeScene('east-shelf', 3).water, windMps: 12 };
    const rough = passOver('east-shelf', { scene: { water } });
    const shallow = { gainMode: 'manual', gainDb: 10 } as const;
    expect(names(rough, shallow)).toContain('surface-clutter');
    expect(names(rough, { ...shallow, topWater: 8 })).not.toContain('surface-clutter');
  });
  it('one-legged arches under a tilted beam', () => {
    const random = seededRandom(8);
    const scene = makeScene('soft-basin', 3);
    const fish = Array.from({ length: 9 }, (_, i) => ({
      ...holding({ lengthM: 0.5, bladder: 'closed' as const }, [8 + i * 10, 0.2, 12 + (i % 3) * 3], random),
      restHeadingRad: Math.PI / 2,
    }));
    const mount = (alongRad: number) => ({ ...GENERIC_RIG.mount, alongRad });
    const tilted = passOver('soft-basin', { scene: { ...scene, fish }, rig: { mount: mount(0.24) } });
    expect(names(tilted)).toContain('one-legged');
    expect(names(passOver('soft-basin', { scene: { ...scene, fish } }))).not.toContain('one-legged');
  });
  it('says nothing of a picture that has hardly begun', () => {
    const track = layTrack(
      { sections: [{ durationS: 2, speedMps: 1, engine: 'off' }], pingRate: 5, windMps: 0 },
      seededRandom(1),
    );
    const recording = simulate({
      scene: makeScene('soft-basin', 3),
      track,
      rig: GENERIC_RIG,
      faces: [cone200],
      pingRate: 5,
      farM: 36,
      seed: 3,
    });
    const picture = drawPicture(recordingOf([recording]), basin.settings, SCREEN, 1.8);
    expect(findFaults(picture, basin.settings)).toEqual([]);
  });
});
