import {
  fitCrossing,
  markEvidence,
  type MarkLook,
  readChannel,
  shapeOfLegs,
  trackBed,
  type FishFinding,
  type Reading,
} from './';
import { fan } from '@/core/rig';
import { isGap, seededRandom } from '@/core/maths';
import { degToRad } from '@/core/units';
import { syntheticRecording, passed, type HandMade } from '@/core/testing/syntheticRecording';
import { medianOfFive } from './levels/medianOfFive';

const readingOf = (made: HandMade): Reading => {
  const { recording, channel } = syntheticRecording(made);
  return readChannel(recording, channel);
};
const fishOf = (made: HandMade): FishFinding[] =>
  readingOf(made).findings.filter((f): f is FishFinding => f.kind === 'fish');

describe('the bed line of pings made by hand', () => {
  /** Pings whose bed is off by more than a sample and a half. */
  const off = (made: HandMade & { bedAt: (p: number) => number }): number => {
    const { channel } = syntheticRecording(made);
    const { rangeM } = trackBed(channel);
    return Array.from(rangeM).filter(
      (r, p) => made.bedAt(p) === made.bedAt(p) && !(Math.abs(r - made.bedAt(p)) < 1.5 * channel.sampleStepM),
    ).length;
  };
  it('lies on an even bed, a slope, a swell and a ledge', () => {
    expect(off({ bedAt: () => 8.3 })).toBeLessThanOrEqual(3);
    expect(off({ bedAt: (p) => 5 + 0.01 * p })).toBeLessThanOrEqual(3);
    expect(off({ bedAt: (p) => 7 + 0.8 * Math.sin(p / 12) })).toBeLessThanOrEqual(9);
    // A median of five pings moves the lip by two pings at the most.
    expect(off({ bedAt: (p) => (p < 150 ? 6 : 9.5) })).toBeLessThanOrEqual(5);
  });
  it('does at other steps of range', () => {
    for (const stepM of [0.02, 0.06, 0.1])
      expect(
        off({
          stepM,
          pulseM: 2 * stepM,
          samples: Math.ceil(11 / stepM),
          bedAt: (p) => 6 + 0.008 * p,
        }),
      ).toBeLessThanOrEqual(4);
  });
  it('goes on through pings without an echo, and says where there is none', () => {
    const bedAt = (p: number): number => (p >= 100 && p < 108 ? NaN : 8);
    expect(off({ bedAt })).toBeLessThanOrEqual(4);
    const { rangeM } = trackBed(syntheticRecording({ bedAt: () => NaN }).channel);
    expect(Array.from(rangeM).filter((r) => !isGap(r)).length).toBeLessThan(30);
  });
  it('passes under a row of fish, a cloud and a line at one depth, and over a second echo', () => {
    const random = seededRandom(4);
    const paint: HandMade['paint'] = (put) => {
      for (let k = 0; k < 6; k++) passed(put, 30 + 40 * k, 5, { overDb: 40 });
      for (let p = 200; p < 260; p++) for (let r = 3; r < 5; r += 0.08) put(p, r, 20 + 4 * random.normal());
      for (let p = 0; p < 300; p++) {
        put(p, 2.5, 30);
        // The bed's own second echo, weaker than the first.
        for (let r = 15; r < 16; r += 0.08) put(p, r, 32 - 10 * (r - 15));
      }
    };
    expect(off({ samples: 450, bedAt: () => 7.5, paint })).toBeLessThanOrEqual(4);
  });
  it('stays on hard ground that rises until its fourth echo comes in', () => {
    const bedAt = (p: number): number => 12 - p / 33;
    const paint: HandMade['paint'] = (put) => {
      for (let p = 0; p < 300; p++)
        // Later echoes are drawn out, and on the mean outshine the first.
        for (const m of [2, 3, 4])
          for (let r = m * bedAt(p); r < m * bedAt(p) + 0.4 * m; r += 0.02) put(p, r, 42 - 4 * m);
    };
    expect(off({ samples: 450, bedAt, paint })).toBeLessThanOrEqual(4);
  });
});

describe('marks made by hand', () => {
  it('are an arch with both legs, where it was nearest', () => {
    const [fish, ...more] = fishOf({ paint: (put) => passed(put, 150, 5) });
    expect(more).toEqual([]);
    expect(fish!.shape).toBe('arch');
    expect(Math.abs(fish!.rangeM - 5)).toBeLessThan(0.06);
    expect(Math.abs(fish!.timeS - 15)).toBeLessThan(0.3);
    expect(fish!.legsM.before).toBeGreaterThan(0.25);
  });
  it('are a half where one leg is cut off', () => {
    const before = fishOf({ paint: (put) => passed(put, 150, 5, { reach: 18, to: 151 }) });
    expect(before.map((f) => f.shape)).toEqual(['half']);
    expect(before[0]!.legsM.before).toBeGreaterThan(before[0]!.legsM.after);
    const after = fishOf({ paint: (put) => passed(put, 150, 5, { reach: 18, from: 149 }) });
    expect(after.map((f) => f.shape)).toEqual(['half']);
    expect(after[0]!.legsM.after).toBeGreaterThan(after[0]!.legsM.before);
  });
  it('are one arch in a swell that throws the boat up faster than an echo bends', () => {
    const heave = (p: number): number => 0.2 * Math.sin((2 * Math.PI * p) / 16);
    const paint: HandMade['paint'] = (put) =>
      passed((p, range, db) => put(p, range + heave(p), db), 150, 6, { reach: 22, metresAPing: 0.12 });
    expect(fishOf({ paint, bedAt: (p) => 10 + heave(p) }).map((f) => f.shape)).toEqual(['arch']);
  });
  it('are a clip where they are short and flat, and a dash in a slice', () => {
    const paint: HandMade['paint'] = (put) => passed(put, 150, 7, { reach: 5, metresAPing: 0.1 });
    expect(fishOf({ paint }).map((f) => f.shape)).toEqual(['clip']);
    const beam = fan(degToRad(2), degToRad(50));
    expect(fishOf({ paint, beam }).map((f) => f.shape)).toEqual(['dash']);
  });
  it('are a line under a boat that keeps still, and a thread where it wanders', () => {
    const still = { speedMps: 0, pings: 300 };
    const line = fishOf({
      ...still,
      paint: (put) => Array.from({ length: 120 }, (_, k) => put(90 + k, 6, 22)),
    });
    expect(line.map((f) => f.shape)).toEqual(['line']);
    const thread = fishOf({
      ...still,
      paint: (put) => Array.from({ length: 120 }, (_, k) => put(90 + k, 6 + 0.4 * Math.sin(k / 15), 22)),
    });
    expect(thread.map((f) => f.shape)).toEqual(['thread']);
  });
  // A pulse and a half where both are as loud, two where one is weaker: under its −6 dB the louder one's edge lies.
  it.each([
    [0.12, 0],
    [0.16, 0],
    [0.16, 6],
    [0.2, 6],
    [0.3, 10],
  ])('are two where two lie %f m apart, one weaker by %i dB', (apartM, weakerDb) => {
    const fish = fishOf({
      paint: (put) => {
        passed(put, 150, 5);
        passed(put, 150, 5 + apartM, { overDb: 25 - weakerDb });
      },
    });
    expect(fish).toHaveLength(2);
    const [a, b] = fish.map((f) => f.rangeM).sort((x, y) => x - y) as [number, number];
    expect(Math.abs(a - 5)).toBeLessThan(0.1);
    expect(Math.abs(b - a - apartM)).toBeLessThan(0.06);
  });
  it('are less sure close beside a far louder one, which may have parts, and as sure as ever a little farther off', () => {
    const beside = (apartM: number): FishFinding =>
      fishOf({
        paint: (put) => {
          passed(put, 150, 5, { overDb: 35 });
          passed(put, 150, 5 + apartM, { overDb: 24 });
        },
      }).find((f) => f.rangeM > 5.1)!;
    expect(beside(0.3).rival.reading).toBe('big-fish');
    expect(1 - beside(0.3).confidence).toBeGreaterThan(1.5 * (1 - beside(1.5).confidence));
    expect(beside(1.5).rival.reading).not.toBe('big-fish');
  });
  it('are one where its middle fades', () => {
    const fish = fishOf({
      paint: (put) => {
        passed(put, 150, 5, { reach: 18, to: 143 });
        passed(put, 150, 5, { reach: 18, from: 157 });
      },
    });
    expect(fish).toHaveLength(1);
    expect(fish[0]!.shape).toBe('arch');
  });
  it('are the same however loud the set calls nothing', () => {
    const paint: HandMade['paint'] = (put) => [70, 150, 230].forEach((p, k) => passed(put, p, 3 + 1.5 * k));
    const shown = (offsetDb: number) =>
      fishOf({ paint, offsetDb }).map((f) => [
        f.shape,
        Math.round(100 * f.rangeM),
        Math.round(f.overBackgroundDb),
      ]);
    expect(shown(60)).toHaveLength(3);
    expect(shown(-40)).toEqual(shown(60));
  });
  it('are none in noise, at any length', () => {
    for (const seed of [2, 3, 4]) expect(fishOf({ seed, pings: 600 })).toEqual([]);
  });
});

describe('what is made by hand and is no fish', () => {
  it('is a cloud, and none of its many echoes a fish', () => {
    const random = seededRandom(9);
    const { findings } = readingOf({
      paint: (put) => {
        for (let p = 120; p < 170; p++)
          for (let r = 3; r < 4.6; r += 0.04)
            put(p, r, 18 + 10 * Math.log10(-Math.log(1 - random.uniform())));
      },
    });
    expect(findings.map((f) => f.kind)).toEqual(['cloud']);
    const [cloud] = findings;
    expect(Math.abs(cloud!.rangeM - 3)).toBeLessThan(0.3);
    expect(Math.abs(cloud!.heightM - 1.6)).toBeLessThan(0.5);
    expect(cloud!.fromPing).toBeGreaterThan(110);
    expect(cloud!.toPing).toBeLessThan(180);
  });
  it('is another sounder’s slant, equally strong in every ping', () => {
    for (const slantM of [0.06, 0.1, 0.16, 0.5]) {
      const { findings, named } = readingOf({
        paint: (put) => Array.from({ length: 14 }, (_, k) => put(140 + k, 2.5 + slantM * k, 26)),
      });
      expect(findings.filter((f) => f.kind === 'fish')).toEqual([]);
      // A steep one is no mark at all.
      if (slantM <= 0.1) expect(named.map((n) => n.kind)).toContain('another-sounder');
    }
  });
  it('is one’s own gear at one depth for longer than a beam takes', () => {
    const random = seededRandom(6);
    const { findings, named } = readingOf({
      paint: (put) => Array.from({ length: 150 }, (_, k) => put(60 + k, 4, 24 + 3 * random.normal())),
    });
    expect(findings.filter((f) => f.kind === 'fish')).toEqual([]);
    expect(named.map((n) => n.kind)).toContain('own-gear');
  });
});

describe('the rules of a mark', () => {
  it.each([
    [2, 3, 3, false, 'dot'],
    [9, 1.5, 1.4, false, 'arch'],
    [9, 0.7, 1.0, false, 'arch'],
    [9, 0.2, 1.9, false, 'half'],
    [9, 0.5, 1.0, false, 'clip'],
    [4, 0.1, 0.2, false, 'dash'],
    [9, 0.1, 0.2, true, 'dash'],
  ] as const)(
    '%i pings with legs of %f and %f pulses (slice %s) are a %s',
    (pings, before, after, slice, shape) => {
      expect(shapeOfLegs(pings, before, after, slice)).toBe(shape);
      expect(shapeOfLegs(pings, after, before, slice)).toBe(shape);
    },
  );
  it('believe a mark the more the louder, the longer and the more of an arch it is, up to where more says nothing', () => {
    const odds = (look: Partial<MarkLook>): number =>
      markEvidence({ peakOverDb: 20, pings: 10, shape: 'clip', speedMps: 1, fan: false, ...look });
    expect(odds({ peakOverDb: 30 })).toBeGreaterThan(odds({}));
    expect(odds({ pings: 20 })).toBeGreaterThan(odds({}));
    expect(odds({ shape: 'half' })).toBeLessThan(odds({ shape: 'arch' }));
    expect(odds({ speedMps: 0 })).toBeLessThan(odds({ speedMps: 0.5 }));
    expect(odds({ speedMps: 0.5 })).toBeLessThan(odds({}));
    expect(odds({ fan: true })).toBeLessThan(odds({}));
    expect(odds({ peakOverDb: 60, pings: 90 })).toBe(odds({ peakOverDb: 40, pings: 40 }));
  });
});

it('a median of five takes out what stands in one or two pings, and keeps its own where it knows no better', () => {
  const out = medianOfFive(Float32Array.from([3, 3, 9, 3, 3, NaN, NaN, NaN, NaN, 7]));
  expect(out[2]).toBe(3);
  expect(out[9]).toBe(7);
  expect(out[7]).toBeNaN();
});

it('a crossing curve is no faster than a fish can make it', () => {
  const times = Array.from({ length: 20 }, (_, k) => k / 10);
  // Passed at 4 m/s: a boat of 1.5 m/s and a fish of 0.5 m/s make 2.
  const ranges = times.map((t) => Math.hypot(5, 4 * (t - 1)));
  expect(fitCrossing(times, ranges, 1.5)!.speedMps).toBeLessThanOrEqual(2);
});
