import * as v from 'valibot';
import { FIRST_BRIEF } from '@/core/advice';
import { benchPass } from '@/core/bench';
import { PLAIN_SETTINGS } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { isGap } from '@/core/maths';
import { readChannel } from '@/core/reading';
import { recordingOf } from '@/core/recording';
import { faceOf, GENERIC_RIG } from '@/core/rig';
import { simulate, visibleFish } from '@/core/sounder';
import { MADE_RAMPS, renderedScreen, type ScreenLook } from '@/core/testing/renderedScreen';
import { screenRecording } from './screenRecording';
import { ScreenCalibrationSchema } from './calibration';
import { squareToQuad } from './straighten';
import { sameNumbers } from '@/core/testing/sameNumbers';

/** Two on a dark ground, two on a light one. */
const LOOKS = MADE_RAMPS.slice(0, 4);
const PANELS: { width: number; height: number; corners: ScreenLook['corners']; noise: number }[] = [
  // A screenshot, and a photo held a little askew with a camera's grain.
  {
    width: 860,
    height: 560,
    corners: [
      [20, 30],
      [760, 30],
      [760, 530],
      [20, 530],
    ],
    noise: 0,
  },
  {
    width: 1000,
    height: 700,
    corners: [
      [70, 60],
      [880, 40],
      [890, 640],
      [60, 620],
    ],
    noise: 3,
  },
];

const RANGE_M = 17;
const COLUMNS = 560;
const face = faceOf(GENERIC_RIG, 'cone-83');
const passes = [3, 8].map((seed) => {
  const request = benchPass(
    FIRST_BRIEF,
    GENERIC_RIG,
    { faceId: face.id, pingRate: 8, rangeM: RANGE_M, power: 'full' },
    seed,
  );
  const stretch = simulate(request);
  const durationS = stretch.navigation.timeS.at(-1)!;
  const picture = drawPicture(
    recordingOf([stretch]),
    { ...PLAIN_SETTINGS, faceId: face.id, rangeM: RANGE_M, gainDb: -6, chartSpeed: COLUMNS / durationS },
    { rows: 420, columns: COLUMNS },
    durationS,
  );
  return { request, stretch, durationS, picture, own: readChannel(stretch, stretch.channels[0]!) };
});

describe('a screen of two panels', () => {
  const [upper, lower] = passes as [(typeof passes)[0], (typeof passes)[0]];
  const slice = { ...face, id: 'slice-455', label: 'Slice' };
  const screen = {
    width: 620,
    height: 620,
    ...MADE_RAMPS[1]!,
    now: 'left',
    noise: 0,
    overlays: false,
    seed: 1,
  } as const;
  const corners = (top: number, foot: number, right: number): ScreenLook['corners'] => [
    [20, top],
    [right, top],
    [right, foot],
    [20, foot],
  ];
  const speedMps = upper.stretch.navigation.speedMps[0]!;
  const first = renderedScreen(upper.picture, { ...screen, corners: corners(20, 300, 560) }, 60, speedMps);
  // Narrower than the first, and read at as many columns.
  const second = renderedScreen(
    lower.picture,
    { ...screen, corners: corners(320, 600, 420), on: first.image },
    60,
    speedMps,
  );
  const { corners: at, depths, legend } = second.calibration;
  const both = { ...first.calibration, panels: [{ corners: at, depths, legend, faceId: slice.id }] };

  it('is a channel a panel, each as it would be read alone', () => {
    const { channels } = screenRecording(second.image, both, face, 'own', [slice]).stretches[0]!;
    expect(channels.map((c) => c.id)).toEqual([face.id, slice.id]);
    expect(channels[1]!.pingCount).toBe(channels[0]!.pingCount);
    const alone = [first, second].map(
      ({ calibration }, k) =>
        screenRecording(second.image, calibration, [face, slice][k]!, 'own').stretches[0]!.channels[0]!,
    );
    expect(sameNumbers(channels[0]!.levelDb, alone[0]!.levelDb)).toBe(true);
    expect(channels[1]!.sampleCount).toBe(alone[1]!.sampleCount);
    const { levelDb, pingCount, sampleCount } = channels[1]!;
    let same = 0;
    for (let p = 0; p < pingCount; p++) {
      const other = Math.round((p / (pingCount - 1)) * (alone[1]!.pingCount - 1));
      for (let j = 0; j < sampleCount; j++)
        if (Math.abs(levelDb[p * sampleCount + j]! - alone[1]!.levelDb[other * sampleCount + j]!) < 3) same++;
    }
    // Columns that fall between two of the narrower panel may take either.
    expect(same / levelDb.length).toBeGreaterThan(0.9);
  });

  it('tells panels of one beam apart, and asks for a beam for each', () => {
    const { channels } = screenRecording(second.image, both, face, 'own', [face]).stretches[0]!;
    expect(new Set(channels.map((c) => c.id)).size).toBe(2);
    expect(() => screenRecording(second.image, both, face, 'own')).toThrow(/beam of its own/);
  });
});

describe('pictures of screens nobody has made', () => {
  let [found, missed, extra] = [0, 0, 0];
  let [bedNear, bedAll] = [0, 0];
  passes.forEach(({ request, stretch, durationS, picture, own }, p) =>
    LOOKS.forEach((colours, k) => {
      const panel = PANELS[(p + k) % 2]!;
      const now = k % 2 === 0 ? 'right' : 'left';
      const speedMps = stretch.navigation.speedMps[0]!;
      const look = { ...colours, ...panel, now, overlays: k > 1, seed: 10 * p + k } as const;
      const { image, calibration } = renderedScreen(picture, look, durationS, speedMps);
      const recording = screenRecording(image, calibration, face, 'own');
      const [made] = recording.stretches;
      const channel = made!.channels[0]!;
      const reading = readChannel(made!, channel);
      // The bed against the one read from the pings themselves.
      stretch.navigation.timeS.forEach((t, ping) => {
        const ownBed = own.bed.rangeM[ping]!;
        const column = Math.round((t / durationS) * (channel.pingCount - 1));
        if (isGap(ownBed)) return;
        bedAll++;
        if (Math.abs(reading.bed.rangeM[column]! - ownBed) <= 1.5 * channel.sampleStepM + 0.06) bedNear++;
      });
      // Fish that stand on the picture at least six rows tall.
      const fish = reading.findings.filter((f) => f.kind === 'fish');
      const used = new Set<number>();
      const truth = visibleFish(request.scene, request.track, GENERIC_RIG, face);
      for (const there of truth) {
        const rows = there.pings.flatMap((ping, i) => {
          const column = Math.round((request.track.timeS[ping]! / durationS) * (COLUMNS - 1));
          const row = Math.round(there.rangeM[i]! / picture.rowM);
          const step = picture.steps[column * picture.rows + row + 1] ?? 0;
          return step > 0 ? [row] : [];
        });
        if (rows.length < 8 || Math.max(...rows) - Math.min(...rows) < 6) continue;
        const mine = fish.find(
          (f) =>
            !used.has(f.id) &&
            Math.abs(f.timeS - there.nearestTimeS) < 2 &&
            Math.abs(f.rangeM - there.nearestRangeM) < 0.3,
        );
        if (mine) {
          used.add(mine.id);
          found++;
          // Two rows, and the length of the pulse whose start is not drawn.
          expect(Math.abs(mine.rangeM - there.nearestRangeM)).toBeLessThan(2 * channel.sampleStepM + 0.15);
        } else missed++;
      }
      const cloud = reading.findings.filter((f) => f.kind === 'cloud');
      extra += fish.filter(
        (f) =>
          !used.has(f.id) &&
          !cloud.some((c) => f.timeS > c.timeS - 10 && f.timeS < c.timeS + 10) &&
          !truth.some((there) =>
            there.pings.some(
              (ping, i) =>
                Math.abs(request.track.timeS[ping]! - f.timeS) < 2 &&
                Math.abs(there.rangeM[i]! - f.rangeM) < 0.5,
            ),
          ),
      ).length;
    }),
  );

  it('show their fish: F1 of at least 0.85', () => {
    expect(found + missed).toBeGreaterThan(20);
    expect((2 * found) / (2 * found + missed + extra)).toBeGreaterThanOrEqual(0.85);
  });
  it('show their bed within 1.5 rows in 95 of 100 columns', () => {
    expect(bedNear / bedAll).toBeGreaterThanOrEqual(0.95);
  });
});

describe('a panel held askew', () => {
  it('is mapped corner on corner, and straight lines stay straight', () => {
    const corners = [
      { x: 70, y: 60 },
      { x: 880, y: 40 },
      { x: 890, y: 640 },
      { x: 60, y: 620 },
    ] as const;
    const place = squareToQuad(corners);
    [
      [0, 0],
      [1, 0],
      [1, 1],
      [0, 1],
    ].forEach(([u, v], i) => {
      expect(place(u!, v!).x).toBeCloseTo(corners[i]!.x, 9);
      expect(place(u!, v!).y).toBeCloseTo(corners[i]!.y, 9);
    });
    const [p, q, r] = [place(0.1, 0.2), place(0.4, 0.5), place(0.8, 0.9)];
    expect((q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x)).toBeCloseTo(0, 6);
  });
});

describe('what cannot be read is refused', () => {
  const { picture, durationS } = passes[0]!;
  const look = { ...LOOKS[0]!, ...PANELS[0]!, now: 'right', overlays: false, seed: 1 } as const;
  const { image, calibration } = renderedScreen(picture, look, durationS, 1);
  const read = (change: Partial<typeof calibration>) => () =>
    screenRecording(image, { ...calibration, ...change }, face, 'own');
  it('with the place of the fault', () => {
    const p = { x: 0.3, y: 0.3 };
    expect(read({ corners: [p, p, p, p] })).toThrow(/too small|one line/);
    expect(read({ legend: { weak: p, strong: p } })).toThrow(/one colour/);
    const [a, b] = calibration.depths;
    expect(v.safeParse(ScreenCalibrationSchema, calibration).success).toBe(true);
    expect(
      v.safeParse(ScreenCalibrationSchema, { ...calibration, depths: [b, { ...a, down: 1 }] }).success,
    ).toBe(false);
  });
});
