import { seededRandom } from '@/core/maths';
import {
  baitCloud,
  brush,
  bedDepthAt,
  fishAt,
  gearAt,
  makeScene,
  recipeOf,
  SCENES,
  soakLoss,
  swimAt,
  swimPath,
  thinned,
  trackOver,
  turning,
  stopAndBackUp,
  drift,
  planing,
  bedSlopeAt,
  firstPass,
  idlePass,
  FISH_IN_PASS,
  layBed,
  layTrack,
  passDuration,
  truthOf,
} from '@/core/scene';

const water = { temperatureC: 17, salinity: 0, thermoclineM: 9, windMps: 3 };
const brief = {
  fromM: 6,
  toM: 14,
  lengthM: [0.2, 0.3] as const,
  bladder: 'closed' as const,
  speedMps: 1.5,
  water,
};

describe('bed field', () => {
  const bed = layBed(
    { originXM: 0, originYM: 0, widthM: 10, heightM: 10, cellM: 1 },
    (x, y) => 5 + 0.1 * x - 0.2 * y,
    () => 'sand',
  );
  it('is a plane between its cells, and knows its slope', () => {
    const out = new Float64Array(3);
    bedSlopeAt(bed, 3.3, 4.7, out);
    expect(out[0]).toBeCloseTo(5 + 0.33 - 0.94, 4);
    expect(out[1]).toBeCloseTo(0.1, 4);
    expect(out[2]).toBeCloseTo(-0.2, 4);
    expect(bedDepthAt(bed, 3.3, 4.7)).toBeCloseTo(out[0]!, 6);
  });
  it('goes on at its edge and refuses to be too large', () => {
    expect(bedDepthAt(bed, -50, 0)).toBeCloseTo(5, 3);
    expect(() =>
      layBed(
        { originXM: 0, originYM: 0, widthM: 1e5, heightM: 1e5, cellM: 0.1 },
        () => 1,
        () => 'mud',
      ),
    ).toThrow(RangeError);
  });
});

describe('first pass', () => {
  it.each([1, 2, 3])(
    'holds eight fish clear of the bed, soft and hard ground and one cloud (seed %d)',
    (seed) => {
      const scene = firstPass(brief, seed);
      expect(scene.fish).toHaveLength(FISH_IN_PASS);
      expect(scene.clouds).toHaveLength(1);
      expect(new Set(scene.bed.material).size).toBe(2);
      const track = layTrack(
        { sections: idlePass(1.5, passDuration(brief)), pingRate: 8, windMps: 0 },
        seededRandom(seed),
      );
      const truth = truthOf(scene, track, 0.17);
      for (const fish of truth.fish) {
        expect(fish.depthM).toBeGreaterThan(brief.fromM - 0.5);
        const ping = Math.round(fish.timeS * 8);
        expect(truth.firstBedRangeM[ping]! - fish.nearestRangeM).toBeGreaterThan(0.5);
        expect(fish.angleRad).toBeLessThan(0.17);
      }
    },
  );
  it('is the same for the same seed and another for another', () => {
    expect(firstPass(brief, 5).fish).toEqual(firstPass(brief, 5).fish);
    expect(firstPass(brief, 5).clouds[0]!.offsets[100]).toBe(firstPass(brief, 5).clouds[0]!.offsets[100]);
    expect(firstPass(brief, 5).fish).not.toEqual(firstPass(brief, 6).fish);
  });
  it('refuses depths it cannot lay', () => {
    expect(() => firstPass({ ...brief, toM: 5 }, 1)).toThrow(/first pass/);
    expect(() => firstPass({ ...brief, toM: NaN }, 1)).toThrow(RangeError);
  });
});

it('refuses a track without pings or with too many', () => {
  const random = seededRandom(1);
  const lay = (durationS: number, pingRate: number) =>
    layTrack({ sections: idlePass(1, durationS), pingRate, windMps: 0 }, random);
  expect(() => lay(0, 5)).toThrow(RangeError);
  expect(() => lay(1e6, 50)).toThrow(RangeError);
});

describe('swim paths', () => {
  const path = swimPath([
    [0, 0, 0, 5],
    [10, 10, 0, 5],
    [20, 10, 10, 8],
  ]);
  const out = new Float64Array(6);
  it('go through their rows and straight on beyond them', () => {
    swimAt(path, 10, out);
    expect([...out.slice(0, 3)]).toEqual([10, 0, 5]);
    swimAt(path, -5, out);
    expect(out[0]).toBeCloseTo(-5, 6);
    swimAt(path, 30, out);
    expect(out[1]).toBeCloseTo(20, 6);
  });
  it('have the velocity of their own motion', () => {
    const later = new Float64Array(6);
    for (const t of [-3, 2, 9.5, 14, 25]) {
      swimAt(path, t, out);
      swimAt(path, t + 1e-4, later);
      for (let k = 0; k < 3; k++) expect((later[k]! - out[k]!) / 1e-4).toBeCloseTo(out[k + 3]!, 2);
    }
  });
  it('refuse time that does not rise', () => {
    expect(() => swimPath([[0, 0, 0, 0]])).toThrow(/two rows/);
    expect(() =>
      swimPath([
        [1, 0, 0, 0],
        [1, 1, 0, 0],
      ]),
    ).toThrow(/time must rise/);
  });
});

describe('bait', () => {
  const make = (mood: 'calm' | 'hunted') =>
    baitCloud(
      { mood, place: [0, 0, 10], radiusM: 3, count: 1000, lengthM: 0.1, bladder: 'open' },
      seededRandom(4),
    );
  const spread = (o: Float32Array, axis: number): number => {
    let sum = 0;
    for (let i = axis; i < o.length; i += 3) sum += o[i]! ** 2;
    return Math.sqrt((3 * sum) / o.length);
  };
  it('is compact when calm, stretched when hunted', () => {
    const [calm, hunted] = [make('calm').offsets, make('hunted').offsets];
    expect(spread(calm, 0) / spread(calm, 1)).toBeLessThan(1.3);
    expect(spread(hunted, 0) / spread(hunted, 1)).toBeGreaterThan(2.5);
  });
  it('refuses more than it can hold', () => {
    expect(() =>
      baitCloud(
        { mood: 'calm', place: [0, 0, 5], radiusM: 1, count: 5000, lengthM: 0.1, bladder: 'open' },
        seededRandom(1),
      ),
    ).toThrow(/4000/);
  });
});

it('old wood has lost most of its echo', () => {
  expect(soakLoss(0)).toBe(0);
  expect(soakLoss(10)).toBeGreaterThan(15);
  const total = (ageYears: number): number => {
    const { points } = brush([0, 0], 10, { radiusM: 1.5, heightM: 1.8, ageYears }, seededRandom(2));
    let power = 0;
    for (let i = 3; i < points.length; i += 4) power += points[i]! ** 2;
    return 10 * Math.log10(power);
  };
  expect(total(0) - total(10)).toBeCloseTo(soakLoss(10), 1);
});

describe('gear', () => {
  const out = new Float64Array(3);
  const lure = {
    kind: 'lure' as const,
    targetStrengthDb: -45,
    from: { x: 0.5, y: 0 },
    lineOut: [
      [0, 0],
      [10, 5],
      [20, 5],
    ] as const,
    swing: 0.5,
  };
  it('sinks as its line runs out and hangs straight when the boat is still', () => {
    gearAt(lure, 0, 4, out);
    expect([...out]).toEqual([0.5, 0, 2]);
    gearAt(lure, 0, 99, out);
    expect(out[2]).toBe(5);
  });
  it('swings aft under way without growing longer', () => {
    gearAt(lure, 1.5, 15, out);
    expect(out[0]).toBeLessThan(-2);
    expect(Math.hypot(out[0]! - 0.5, out[2]!)).toBeCloseTo(5, 9);
  });
});

describe('tracks', () => {
  const lay = (sections: Parameters<typeof layTrack>[0]['sections']) =>
    layTrack({ sections, pingRate: 5, windMps: 0 }, seededRandom(1));
  it('run on after the throttle, then come back', () => {
    const { xM, speedMps } = lay(stopAndBackUp(1.4, 20, 20));
    const farthest = Math.max(...xM);
    expect(farthest).toBeGreaterThan(1.4 * 20 + 3);
    expect(farthest - xM[xM.length - 1]!).toBeGreaterThan(4);
    expect(Math.min(...speedMps)).toBeCloseTo(-0.6, 5);
  });
  it('lie across when drifting, squat when planing, wander when holding', () => {
    expect(lay(drift(0.5, 10)).headingRad[20]).toBeCloseTo(Math.PI / 2, 6);
    const fast = lay(planing(9, 10));
    expect(fast.pitchRad[10]).toBeCloseTo(0.07, 6);
    expect(fast.engine[10]).toBe(2);
  });
  it('can be thinned for a first look', () => {
    const track = lay(idlePass(1, 10));
    const coarse = thinned(track, 4);
    expect(coarse.timeS).toHaveLength(13);
    expect(coarse.xM[3]).toBe(track.xM[12]);
  });
});

it('a fish that turns away is far off soon after', () => {
  const fish = turning({ lengthM: 0.5, bladder: 'closed' }, 10, [0, 0, 9], 1.3, 1, seededRandom(1));
  const out = new Float64Array(6);
  fishAt(fish, 10, out);
  expect(Math.hypot(out[0]!, out[1]!)).toBeLessThan(0.6);
  fishAt(fish, 11.5, out);
  expect(out[1]).toBeGreaterThan(3);
  expect(out[4]).toBeLessThan(0);
});

const same = (x: Float32Array, y: Float32Array): boolean =>
  x.length === y.length && x.every((v, i) => v === y[i]);

describe('the library', () => {
  it('holds sixteen scenes or more over three waters, each with its lesson', () => {
    expect(SCENES.length).toBeGreaterThanOrEqual(16);
    expect(new Set(SCENES.map((s) => s.id)).size).toBe(SCENES.length);
    expect(new Set(SCENES.map((s) => s.waterName)).size).toBe(3);
    for (const s of SCENES) expect(s.teaches).toMatch(/^[A-Z].{20,}\.$/);
  });
  it.each(SCENES.map((s) => s.id))('%s varies with its seed and keeps its fish in the water', (id) => {
    const [a, b] = [makeScene(id, 1), makeScene(id, 2)];
    const again = makeScene(id, 1);
    expect(same(again.bed.depthM, a.bed.depthM)).toBe(true);
    expect(again.fish).toEqual(a.fish);
    expect(again.covers.every((c, k) => same(c.points, a.covers[k]!.points))).toBe(true);
    expect(same(b.bed.depthM, a.bed.depthM)).toBe(false);
    const out = new Float64Array(6);
    const track = trackOver(id, 1);
    const middle = track.timeS[track.timeS.length >> 1]!;
    for (const fish of a.fish) {
      fishAt(fish, middle, out);
      expect(out[2]).toBeGreaterThan(0);
      if (fish.doing === 'holding' || fish.doing === 'milling')
        expect(out[2]).toBeLessThan(bedDepthAt(a.bed, out[0]!, out[1]!) + 0.1);
    }
    for (const cover of a.covers) {
      expect(cover.topM).toBeLessThan(cover.footM);
      expect(cover.topM).toBeGreaterThan(0);
    }
  });
  it.each(SCENES.map((s) => s.id))('%s is pinged slowly enough for all bed echoes', (id) => {
    const { bed } = makeScene(id, 1);
    const track = trackOver(id, 1);
    let deepest = 0;
    for (let p = 0; p < track.xM.length; p += 5)
      deepest = Math.max(deepest, bedDepthAt(bed, track.xM[p]!, track.yM[p]!));
    expect(1440 / (2 * recipeOf(id).pingRate)).toBeGreaterThan(3 * deepest);
  });
  it('names what there is when asked for what there is not', () =>
    expect(() => makeScene('nowhere', 1)).toThrow(/sunk-crib/));
});
