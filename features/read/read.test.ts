import type { BedPatch, FishFinding } from '@/core/reading';
import { PLAIN_SETTINGS } from '@/core/picture';
import { bedRuns } from './bedRuns';
import { crossingSeen } from './crossing';
import { findingNear, markCorners, markOutline, scaledTo } from './markOutline';
import { drawnAs, placeOn, windowOn } from './passWindow';
import { choose, closer, layRuler, lookAnew, readStore, switchSeen, takeTool } from './readStore';

const timeS = Float64Array.from({ length: 101 }, (_, p) => p);
const bedM = new Float32Array(101).fill(10);
const path = Float32Array.from({ length: 21 }, (_, k) => Math.hypot(5, 0.4 * (k - 10)));
const fish = {
  id: 3,
  kind: 'fish',
  fromPing: 40,
  toPing: 60,
  timeS: 50,
  rangeM: 5,
  heightM: 0.2,
  path,
} as unknown as FishFinding;
const window = { fromS: 0, toS: 100, topM: 0, footM: 20 };
const scale = scaledTo(window, { width: 400, height: 200 });

/** All points of a path, as numbers. */
const numbers = (d: string): number[] => [...d.matchAll(/-?\d+(\.\d+)?/g)].map(([n]) => Number(n));

describe('a mark on the picture', () => {
  it('has a line round it that leaves room on all sides', () => {
    const d = markOutline(fish, timeS, bedM, scale);
    const points = d
      .slice(1, -1)
      .split('L')
      .map((p) => p.split(' ').map(Number) as [number, number]);
    const apex = points.filter(([x]) => Math.abs(x - 200) < 1).map(([, y]) => y);
    expect(Math.min(...apex)).toBeLessThan(scale.y(5) - 2);
    expect(Math.max(...apex)).toBeGreaterThan(scale.y(5.2) + 2);
  });
  it('has corners that hold all of it and cross none of it', () => {
    const all = numbers(markCorners(fish, timeS, bedM, scale));
    expect(all.every(Number.isFinite)).toBe(true);
    const [left, top] = markCorners(fish, timeS, bedM, scale).slice(1).split('v')[0]!.split(' ').map(Number);
    expect(left).toBeLessThan(scale.x(40));
    expect(top).toBeLessThan(scale.y(5) + 5);
  });
  it('is drawn as a box where it is too narrow to follow', () => {
    const far = scaledTo({ ...window, toS: 10_000 }, { width: 400, height: 200 });
    expect(markOutline(fish, timeS, bedM, far)).toMatch(/^M-?[\d.]+ [\d.]+H[\d.]+V[\d.]+H-?[\d.]+Z$/);
  });
  it('is found under a thumb, and not far from it', () => {
    const near = (x: number, y: number) => findingNear([fish], { x, y }, timeS, bedM, scale, 28)?.id ?? null;
    expect(near(200, 51)).toBe(3);
    // On a leg, which is as much of the mark as its top.
    expect(near(scale.x(42), scale.y(path[2]!) + 3)).toBe(3);
    expect(near(200, 120)).toBeNull();
    expect(near(20, 51)).toBeNull();
  });
});

describe('the part of a pass that is looked at', () => {
  it('is whole, or a part about a place, never beyond its ends', () => {
    const settings = { ...PLAIN_SETTINGS, topM: 3, bedLockM: 4 };
    expect(drawnAs(settings, null, 100, 300)).toMatchObject({
      nowS: 100,
      settings: { topM: 0, bedLockM: null, zoom: 1, zoomAtM: null, chartSpeed: 3 },
    });
    const at = (timeS: number) => drawnAs(settings, { times: 4, timeS, rangeM: 6 }, 100, 300);
    expect(at(50)).toMatchObject({ nowS: 62.5, settings: { zoom: 4, zoomAtM: 6, chartSpeed: 12 } });
    expect(at(2).nowS).toBe(25);
    expect(at(99).nowS).toBe(100);
  });
  it('tells places of a picture that is not full as it does of a full one', () => {
    const columns = 200;
    const picture = (filled: number) =>
      ({
        columns,
        columnsFilled: filled,
        rows: 100,
        rowM: 0.2,
        topM: new Float32Array(columns).fill(2),
        nowS: 50,
        timeS: Float64Array.from({ length: columns }, (_, c) => 50 - (columns - 1 - c) * 0.5),
      }) as never;
    for (const filled of [columns, 60]) {
      const shown = windowOn(picture(filled));
      expect(shown.toS).toBe(50);
      expect(shown.fromS).toBeCloseTo(-50, 6);
      expect(shown.footM).toBeCloseTo(22, 4);
      expect(placeOn(shown, { x: 0.75, y: 0.5 })).toEqual({
        timeS: expect.closeTo(25, 6) as number,
        rangeM: expect.closeTo(12, 4) as number,
      });
    }
  });
});

describe('how a pass is looked at', () => {
  beforeEach(() => readStore.setState(readStore.getInitialState(), true));
  it('goes closer by steps and comes back to the whole', () => {
    const at = { timeS: 5, rangeM: 3 };
    for (let k = 0; k < 5; k++) closer(1, at);
    expect(readStore.getState().closeUp).toEqual({ times: 8, ...at });
    for (let k = 0; k < 3; k++) closer(-1, at);
    expect(readStore.getState().closeUp).toBeNull();
  });
  it('lays two ends of the ruler and then begins anew', () => {
    takeTool('ruler');
    const ends = [1, 2, 3].map((timeS) => ({ timeS, rangeM: 1 }));
    for (const end of ends) layRuler(end);
    expect(readStore.getState().ruler).toEqual([ends[2]]);
    takeTool('ruler');
    expect(readStore.getState()).toMatchObject({ tool: 'point', ruler: [] });
  });
  it('forgets all but the switched off kinds with another pass', () => {
    switchSeen('cloud');
    choose(4);
    lookAnew();
    expect(readStore.getState()).toMatchObject({ chosen: null, hidden: ['cloud'] });
    switchSeen('cloud');
    expect(readStore.getState().hidden).toEqual([]);
  });
});

it('a bed is gathered into runs of one ground', () => {
  const patch = (fromPing: number, hard: number, likely: BedPatch['likely'], second: number | null = null) =>
    ({ fromPing, toPing: fromPing + 47, hard, likely, skin: 0, secondUnderFirstDb: second }) as BedPatch;
  const runs = bedRuns([
    patch(0, 0.97, 'gravel', -12),
    patch(48, 0.92, 'gravel'),
    patch(96, 0.8, 'sand'),
    patch(144, 0.05, 'mud'),
    patch(240, 0.05, 'mud'),
  ]);
  expect(runs.map((r) => [r.ground, r.likely, r.fromPing, r.toPing, r.second])).toEqual([
    ['hard', 'gravel', 0, 95, true],
    ['unclear', 'sand', 96, 143, false],
    ['soft', 'mud', 144, 191, false],
    // Pings between them that told nothing part them.
    ['soft', 'mud', 240, 287, false],
  ]);
});

describe('how a mark was passed', () => {
  const wayM = timeS.map((t) => 0.4 * t);
  it('has the boat before, over and behind it', () => {
    const seen = crossingSeen(fish, { timeS, wayM })!;
    const [first, nearest, last] = seen.moments;
    expect(first.alongM).toBeCloseTo(-4, 6);
    expect(nearest).toEqual({ alongM: 0, rangeM: 5 });
    expect(last.alongM).toBeCloseTo(4, 6);
    for (const m of seen.all) expect(m.rangeM).toBeCloseTo(Math.hypot(5, m.alongM), 4);
  });
  it('is nothing for a boat that kept its place', () =>
    expect(crossingSeen(fish, { timeS, wayM: new Float64Array(101) })).toBeNull());
});
