import {
  chartPosition,
  fromUnit,
  levelOf,
  tailOffCut,
  toUnit,
  PALETTE_NAMES,
  PLAIN_SETTINGS,
  columnPings,
  labOf,
  paletteColours,
  paletteTable,
  rgbOf,
  sampleGain,
  timeOfColumn,
  timeVariedGain,
  weakestColourDb,
  topWaterCut,
  type Picture,
  type Settings,
} from '@/core/picture';
import { autoGain, averagePings, unitBed, drawPicture, newDesk } from '@/core/picture/drawing';
import { recordingOf, type Channel, type Stretch } from '@/core/recording';
import { LOW_POWER_DB, UnitScaleSchema } from '@/core/rig';
import { isGap, seededRandom } from '@/core/maths';
import * as v from 'valibot';
import { sameNumbers } from '@/core/testing/sameNumbers';

const PINGS = 40;
const SAMPLES = 100;
const STEP = 0.1;

/** Quiet water of −150 dB re the surface with marks put in: [ping, sample, level over the quiet]. */
function recordingWith(
  marks: readonly (readonly [ping: number, sample: number, over: number])[],
  quiet = 20,
): Stretch {
  const levelDb = new Float32Array(PINGS * SAMPLES).fill(quiet);
  for (const [p, j, over] of marks) levelDb[p * SAMPLES + j] = quiet + over;
  const channel: Channel = {
    id: 'a',
    label: 'a',
    frequencyHz: 200e3,
    beam: { shape: 'cone', alongRad: 0.35, athwartRad: 0.35 },
    pulse: { kind: 'single', durationS: 2e-4, bandwidthHz: 5000 },
    resolutionM: 0.15,
    soundSpeedMps: 1500,
    firstRangeM: 0,
    sampleStepM: STEP,
    pingCount: PINGS,
    sampleCount: SAMPLES,
    levelDb,
    calibration: { sourceLevelDb: 210, absorptionDbPerM: 0.01 },
  };
  const row = (): Float32Array => new Float32Array(PINGS);
  return {
    title: '',
    pingRate: 4,
    origin: { latitudeDeg: 0, longitudeDeg: 0 },
    navigation: {
      timeS: Float64Array.from({ length: PINGS }, (_, i) => i / 4),
      eastM: new Float64Array(PINGS),
      northM: new Float64Array(PINGS),
      speedMps: row(),
      headingRad: row(),
      pitchRad: row(),
      rollRad: row(),
      heaveM: row(),
      temperatureC: row(),
      supplyV: row(),
    },
    channels: [channel],
  };
}

const settings: Settings = { ...PLAIN_SETTINGS, faceId: 'a', rangeM: 10, chartSpeed: 4, pingRate: 4 };
const SCREEN = { rows: 50, columns: 40 };
const NOW = (PINGS - 1) / 4;
const ground = paletteTable('ink').rgba[0]!;

/** Drawn cells as [row, column]. */
function drawn(
  recording: Stretch,
  change: Partial<Settings> = {},
  screen = SCREEN,
  nowS = NOW,
): [number, number][] {
  const { pixels } = drawPicture(recordingOf([recording]), { ...settings, ...change }, screen, nowS);
  const cells: [number, number][] = [];
  pixels.forEach((pixel, i) => {
    if (pixel !== ground) cells.push([Math.floor(i / screen.columns), i % screen.columns]);
  });
  return cells;
}

/** A level 90 dB over the quiet at 5 m stands at −60 + … : well inside the palette at gain 0. */
const mark = [20, 50, 110] as const;

/** The same as a recording of one stretch. */
const wholeOf = (...args: Parameters<typeof recordingWith>) => recordingOf([recordingWith(...args)]);

describe('palettes', () => {
  it.each(PALETTE_NAMES)('%s runs one way in lightness, from near the ground to far from it', (name) => {
    const { ground: paper, steps } = paletteColours(name);
    const light = steps.map((rgb) => labOf(rgb)[0]);
    const way = Math.sign(light[light.length - 1]! - light[0]!);
    for (let i = 8; i < light.length; i += 8) expect(way * (light[i]! - light[i - 8]!)).toBeGreaterThan(0);
    const start = labOf(paper)[0];
    expect(Math.abs(light[light.length - 1]! - start)).toBeGreaterThan(70);
    expect(Math.abs(light[0]! - start)).toBeGreaterThan(4);
  });
  it('turns colours there and back', () => {
    for (const rgb of [
      [0, 0, 0],
      [255, 255, 255],
      [90, 148, 144],
      [29, 51, 80],
    ] as const)
      expect(rgbOf(labOf(rgb))).toEqual([...rgb]);
    expect(labOf([255, 255, 255])[0]).toBeCloseTo(100, 2);
  });
});

describe('columns', () => {
  const { navigation } = recordingWith([]);
  const columnsAt = (nowS: number, chartSpeed: number, count: number) =>
    columnPings(navigation.timeS, chartPosition(navigation, chartSpeed, null), nowS, count);
  it('shows the newest ping at the right edge and older ones to the left', () => {
    const { from, to } = columnsAt(NOW, 4, 10);
    expect([...to]).toEqual([30, 31, 32, 33, 34, 35, 36, 37, 38, 39]);
    expect([...from]).toEqual([...to]);
  });
  it('puts several pings in a slow column, repeats them in a fast one, leaves out what was before the pass', () => {
    const slow = columnsAt(NOW, 1, 5);
    expect(slow.to[4]! - slow.from[4]! + 1).toBe(4);
    const fast = columnsAt(NOW, 8, 4);
    expect([...fast.to]).toEqual([37, 38, 38, 39]);
    expect([...columnsAt(0, 4, 3).to]).toEqual([-1, -1, 0]);
  });
  it('knows when a column was', () => expect(timeOfColumn(0, 10, 4, 41)).toBe(0));
});

describe('drawing', () => {
  it('draws a mark at its range and time', () => {
    expect(drawn(recordingWith([mark]))).toEqual([[25, 20]]);
  });
  it('keeps the strongest when samples and pings share a cell', () => {
    const cells = drawn(recordingWith([mark]), { chartSpeed: 1 }, { rows: 10, columns: 10 });
    expect(cells).toEqual([[5, 5]]);
  });
  it('shows a row finer than a sample the sample it lies in', () => {
    const cells = drawn(recordingWith([mark]), { rangeM: 10 }, { rows: 400, columns: 40 });
    expect(cells.length).toBeGreaterThanOrEqual(3);
    for (const [row] of cells) expect(Math.abs(row / 40 - 5)).toBeLessThan(0.11);
  });
  it('widens and narrows the window with range', () => {
    expect(drawn(recordingWith([mark]), { rangeM: 5.5 }).map(([r]) => r)).toContain(45);
    expect(drawn(recordingWith([mark]), { rangeM: 4 })).toEqual([]);
  });
  it('draws no mark, then it, as gain goes up; and specks when too high', () => {
    const faint = recordingWith([[20, 50, 95]]);
    expect(drawn(faint, { gainDb: -10 })).toEqual([]);
    expect(drawn(faint, { gainDb: 20 })).toEqual([[25, 20]]);
    expect(drawn(recordingWith([mark], 110), { gainDb: 20 }).length).toBeGreaterThan(1000);
  });
  it('drops weak colours with the first colour and leaves strong ones as they were', () => {
    const two = recordingWith([mark, [25, 60, 101]]);
    const plain = drawPicture(recordingOf([two]), settings, SCREEN, NOW).pixels;
    const cut = drawPicture(recordingOf([two]), { ...settings, firstColourDb: 5 }, SCREEN, NOW).pixels;
    expect(drawn(two)).toHaveLength(2);
    expect(drawn(two, { firstColourDb: 5 })).toEqual([[25, 20]]);
    expect(cut[25 * 40 + 20]).toBe(plain[25 * 40 + 20]);
  });
  it('spends fewer colours on a mark when the spread grows', () => {
    const { rgba } = paletteTable('ink');
    const step = (colourSpreadDb: number): number =>
      rgba.indexOf(
        drawPicture(wholeOf([mark]), { ...settings, colourSpreadDb }, SCREEN, NOW).pixels[25 * 40 + 20]!,
      );
    expect(step(20)).toBeGreaterThan(step(60));
  });
  it('other sounders: drops what one ping has, keeps what its neighbours have too', () => {
    const dash = recordingWith([
      [10, 30, 120],
      [20, 50, 110],
      [21, 50, 108],
      [22, 50, 109],
    ]);
    expect(drawn(dash)).toHaveLength(4);
    expect(drawn(dash, { otherSounders: 1 }).map(([r]) => r)).toEqual([25, 25, 25]);
  });
  it('noise rejection: drops specks without neighbours', () => {
    const blob = recordingWith([mark, [21, 50, 110], [20, 52, 110], [21, 52, 110], [5, 80, 110]]);
    expect(drawn(blob)).toHaveLength(5);
    expect(drawn(blob, { noiseRejection: 3 })).toHaveLength(4);
  });
  it('top water: hides what is near the surface and nothing deeper', () => {
    const shallow = recordingWith([[20, 8, 140], mark]);
    expect(drawn(shallow, { gainDb: 0 })).toHaveLength(2);
    expect(drawn(shallow, { topWater: 4 })).toEqual([[25, 20]]);
    expect(topWaterCut(2.5, 4)).toBe(0);
    expect(topWaterCut(0, 10)).toBe(50);
  });
  it('shows the newest ping in the live column', () => {
    const { liveColumn } = drawPicture(wholeOf([[PINGS - 1, 50, 110]]), settings, SCREEN, NOW);
    expect(liveColumn[25]).toBeGreaterThan(0);
    expect(liveColumn.reduce((n, x) => n + (x > 0 ? 1 : 0), 0)).toBe(1);
  });
  it('refuses screens and channels that are not', () => {
    expect(() => drawPicture(wholeOf([]), settings, { rows: 0, columns: 5 }, 1)).toThrow(RangeError);
    expect(() => drawPicture(wholeOf([]), { ...settings, faceId: 'x' }, SCREEN, 1)).toThrow(/no channel/);
  });
});

describe('time-varied gain', () => {
  const { channels } = recordingWith([]);
  it('by the volume law rises 20 dB a tenfold range, flat not at all', () => {
    const rise = (law: 'volume' | 'flat'): number =>
      timeVariedGain(channels[0]!, 10, law) - timeVariedGain(channels[0]!, 1, law) - 2 * 0.01 * 9;
    expect(rise('volume')).toBeCloseTo(20, 6);
    expect(rise('flat')).toBeCloseTo(0, 6);
    expect(timeVariedGain(channels[0]!, 10, 'flat')).toBeCloseTo(timeVariedGain(channels[0]!, 10), 6);
  });
  it('draws noise alone as it says: stronger the deeper, by the law', () => {
    const noise = recordingWith([], 100);
    const drawnAt = (law: 'target' | 'volume', row: number): number => {
      const wide = { ...settings, tvg: law, gainDb: 40, colourSpreadDb: 60 };
      const picture = drawPicture(recordingOf([noise]), wide, { rows: 100, columns: 40 }, NOW);
      return levelOf(picture.scale, picture.steps[39 * 100 + row]!);
    };
    // Rows of 0.1 m: from 3 m to 9 m.
    const expected = (power: number): number => power * Math.log10(9 / 3) + 2 * 0.01 * 6;
    expect(Math.abs(drawnAt('target', 90) - drawnAt('target', 30) - expected(40))).toBeLessThan(0.5);
    expect(Math.abs(drawnAt('volume', 90) - drawnAt('volume', 30) - expected(20))).toBeLessThan(0.5);
  });
  it('tails off towards the surface', () => {
    expect(tailOffCut(0, { tailOffM: 5, tailOffDb: 20 })).toBe(20);
    expect(tailOffCut(2.5, { tailOffM: 5, tailOffDb: 20 })).toBe(10);
    expect(tailOffCut(6, { tailOffM: 5, tailOffDb: 20 })).toBe(0);
    const shallow = recordingWith([[20, 8, 140], mark]);
    expect(drawn(shallow, { tailOffM: 3, tailOffDb: 40 })).toEqual([[25, 20]]);
  });
});

describe('the window', () => {
  it('zooms on a part of the range, its foot unless told where', () => {
    const three = recordingWith([mark, [20, 80, 110], [20, 20, 140]]);
    expect(drawn(three, { zoom: 2, zoomAtM: null })).toContainEqual([30, 20]);
    expect(drawn(three, { zoom: 2, zoomAtM: null })).not.toContainEqual([25, 20]);
    expect(drawn(three, { zoom: 4, zoomAtM: 5 })).toContainEqual([25, 20]);
    expect(drawPicture(recordingOf([three]), { ...settings, zoom: 4 }, SCREEN, NOW).rowM).toBeCloseTo(
      10 / 4 / 50,
      9,
    );
  });
  it('starts below the surface when told to', () => {
    expect(drawn(recordingWith([mark]), { topM: 4, rangeM: 9 })).toContainEqual([10, 20]);
  });
  it('locked to the bed keeps the bed at one row and its fish at their height over it', () => {
    // A bed that falls from sample 60 to 80, and a fish a metre over it.
    const cells: [number, number, number][] = [];
    for (let p = 0; p < PINGS; p++) {
      const bed = 60 + Math.round(p / 2);
      for (let j = bed; j < bed + 8; j++) cells.push([p, j, 140]);
    }
    cells.push([10, 55, 125], [30, 65, 125]);
    const picture = drawPicture(wholeOf(cells), { ...settings, bedLockM: 2 }, SCREEN, NOW);
    expect(picture.rowM).toBeCloseTo(2.5 / 50, 9);
    const firstStrong = (c: number): number => {
      for (let r = 30; r < 50; r++) if (picture.steps[c * 50 + r]! > 0) return r;
      return -1;
    };
    for (const c of [5, 20, 35]) expect(Math.abs(firstStrong(c) - 40)).toBeLessThanOrEqual(2);
    for (const c of [10, 30]) {
      const column = [...picture.steps.subarray(c * 50, c * 50 + 36)];
      expect(Math.abs(column.findIndex((s) => s > 0) - 20)).toBeLessThanOrEqual(2);
    }
  });
});

describe('the bed a unit finds', () => {
  const bedAt = (sample: number, over = 140) =>
    Array.from({ length: PINGS }, (_, p) =>
      Array.from({ length: 8 }, (_, k) => [p, sample + k, over] as [number, number, number]),
    ).flat();
  it('is where the strong echo begins, and no deeper than it may look', () => {
    const found = unitBed(recordingWith(bedAt(60)).channels[0]!, null);
    for (const r of found) expect(Math.abs(r - 6)).toBeLessThanOrEqual(0.2);
    expect([...unitBed(recordingWith(bedAt(60)).channels[0]!, 4)].every((r) => isGap(r))).toBe(true);
  });
  it('is drawn in a ramp of its own when asked', () => {
    const { rgba } = paletteTable('ink');
    const own = new Set(rgba.subarray(258));
    const { pixels } = drawPicture(
      wholeOf([...bedAt(60), mark]),
      { ...settings, bedRamp: true },
      SCREEN,
      NOW,
    );
    expect(own.has(pixels[32 * 40 + 20]!)).toBe(true);
    expect(own.has(pixels[25 * 40 + 20]!)).toBe(false);
  });
});

describe('auto gain', () => {
  /** Noise of mean level `a` that grows to `b` half way. */
  const louder = (a: number, b: number): Stretch => {
    const recording = recordingWith([]);
    const random = seededRandom(5);
    recording.channels[0]!.levelDb.forEach((_, i, all) => {
      const mean = i < all.length / 2 ? a : b;
      all[i] = mean + 10 * Math.log10(-Math.log(1 - random.uniform()));
    });
    return recording;
  };
  const gains = (recording: Stretch): Float32Array => {
    const channel = recording.channels[0]!;
    return autoGain(
      channel,
      channel.levelDb,
      sampleGain(channel, PLAIN_SETTINGS),
      new Float32Array(PINGS).fill(NaN),
      recording.navigation.timeS,
    );
  };
  it('goes down when noise goes up, and not at once', () => {
    const gain = gains(louder(60, 72));
    expect(gain[PINGS - 1]! - gain[PINGS / 2 - 1]!).toBeLessThan(-4);
    expect(gain[PINGS / 2]! - gain[PINGS / 2 - 1]!).toBeGreaterThan(-4);
  });
  it('makes one fish look different, which a gain by hand does not; its offset adds to it', () => {
    const noisy = louder(60, 72);
    for (const p of [8, 36]) noisy.channels[0]!.levelDb[p * SAMPLES + 50] = 140;
    const at = (change: Partial<Settings>, column: number): number =>
      drawPicture(recordingOf([noisy]), { ...settings, colourSpreadDb: 60, ...change }, SCREEN, NOW).steps[
        column * 50 + 25
      ]!;
    expect(at({}, 8)).toBe(at({}, 36));
    const auto = { gainMode: 'auto', gainDb: -6 } as const;
    expect(at(auto, 36)).toBeLessThan(at(auto, 8));
    expect(at({ ...auto, gainDb: 0 }, 36)).toBeGreaterThan(at(auto, 36));
  });
});

describe('columns and pings', () => {
  it('blend between two pings when asked, or repeat the last', () => {
    const two = recordingWith([
      [10, 50, 110],
      [11, 50, 130],
    ]);
    const row = (between: Settings['between']): number[] => {
      const { steps } = drawPicture(
        recordingOf([two]),
        { ...settings, chartSpeed: 16, between },
        { rows: 50, columns: 160 },
        NOW,
      );
      return Array.from({ length: 160 }, (_, c) => steps[c * 50 + 25]!).filter((s) => s > 0);
    };
    expect(new Set(row('repeat')).size).toBe(2);
    expect(new Set(row('blend')).size).toBeGreaterThan(4);
  });
  it('follow the boat’s speed when synced: one column for each row’s worth of way', () => {
    const recording = recordingWith([]);
    recording.navigation.speedMps.fill(0.8);
    const position = chartPosition(recording.navigation, 4, 0.2);
    // 0.8 m/s over 0.2 m a column is 4 columns a second, a column a ping.
    expect(position[PINGS - 1]).toBeCloseTo(PINGS - 1, 3);
    recording.navigation.speedMps.fill(0);
    expect(chartPosition(recording.navigation, 4, 0.2)[PINGS - 1]).toBeLessThan(4);
  });
});

describe('a desk', () => {
  it('that drew other pictures draws the next as an empty one does', () => {
    const random = seededRandom(5);
    const recording = recordingWith([]);
    const { levelDb } = recording.channels[0]!;
    for (let i = 0; i < levelDb.length; i++) levelDb[i] = random.between(60, 150);
    const all = recordingOf([recording]);
    const turns: [nowS: number, change: Partial<Settings>][] = [
      [6, {}],
      [6, { gainDb: 6 }],
      [6.5, { gainDb: 6 }],
      [NOW, { gainDb: 6, noiseRejection: 3 }],
      [NOW, { noiseRejection: 3, averaging: 3 }],
      [7, { averaging: 3, chartSpeed: 2 }],
      [7.1, { averaging: 3, chartSpeed: 9 }],
      [7.2, { chartSpeed: 9, between: 'blend' }],
      [7.3, { chartSpeed: 9, between: 'blend' }],
      [7.3, { chartSpeed: 9, sharpening: 2 }],
      [5, { gainMode: 'auto', otherSounders: 2 }],
      [5.5, { gainMode: 'auto', otherSounders: 2, topWater: 4 }],
      [5.5, { rangeM: 7, tvg: 'flat' }],
      [5.7, { bedLockM: 3 }],
    ];
    const desk = newDesk();
    for (const [nowS, change] of turns) {
      const set = { ...settings, colourSpreadDb: 60, ...change };
      const used = drawPicture(all, set, SCREEN, nowS, desk);
      const fresh = drawPicture(all, set, SCREEN, nowS);
      expect(used.steps.some((s) => s > 0)).toBe(true);
      expect(sameNumbers(used.steps, fresh.steps)).toBe(true);
      expect(used.liveColumn).toEqual(fresh.liveColumn);
    }
  });
});

describe('averaging', () => {
  it('takes the mean power of so many pings', () => {
    const level = Float32Array.of(0, 10, 20, 20);
    const out = new Float32Array(4);
    averagePings(level, 4, 1, 2, out);
    const means = [0, 10 * Math.log10(5.5), 10 * Math.log10(55), 20];
    means.forEach((mean, p) => expect(Math.abs(out[p]! - mean)).toBeLessThan(0.01));
  });
});

describe('imaging', () => {
  const imaged = (change: Partial<Settings>): Picture => {
    const recording = recordingWith(
      [
        [20, 50, 60],
        [21, 60, 68],
      ],
      70,
    );
    recording.channels = [
      { ...recording.channels[0]!, beam: { shape: 'fan', alongRad: 0.02, athwartRad: 0.9 } },
    ];
    return drawPicture(
      recordingOf([recording]),
      { ...settings, gainDb: 20, colourSpreadDb: 60, ...change },
      SCREEN,
      NOW,
    );
  };
  it('brightness shifts every level, contrast spreads them', () => {
    const at = (p: Picture, c: number, r: number): number => p.steps[c * 50 + r]!;
    expect(at(imaged({ brightnessDb: 10 }), 20, 25)).toBeGreaterThan(at(imaged({}), 20, 25));
    const apart = (change: Partial<Settings>): number =>
      at(imaged(change), 21, 30) - at(imaged(change), 20, 25);
    expect(apart({ contrast: 2, brightnessDb: -10 })).toBeGreaterThan(1.5 * apart({ brightnessDb: -10 }));
  });
  it('auto contrast puts haze under the first colour', () => {
    const hazy = imaged({ contrastMode: 'auto', tvg: 'flat' });
    expect(hazy.steps.reduce((n, s) => n + (s > 0 ? 1 : 0), 0)).toBeLessThan(100);
    expect(hazy.steps[20 * 50 + 25]).toBeGreaterThan(0);
  });
  it('a cone takes no notice of them', () => {
    const recording = recordingWith([mark]);
    const plain = drawPicture(recordingOf([recording]), settings, SCREEN, NOW).steps;
    const same = drawPicture(
      recordingOf([recording]),
      { ...settings, brightnessDb: 15, contrast: 2.5 },
      SCREEN,
      NOW,
    ).steps;
    expect([...same]).toEqual([...plain]);
  });
  it('sharpening raises an edge over its surroundings and draws nothing in even water', () => {
    const soft = recordingWith([
      [20, 49, 104],
      [20, 50, 110],
      [20, 51, 104],
    ]);
    const peak = (sharpening: number): number =>
      drawPicture(recordingOf([soft]), { ...settings, sharpening }, { rows: 100, columns: 40 }, NOW).steps[
        20 * 100 + 50
      ]!;
    expect(peak(3)).toBeGreaterThan(peak(0));
    expect(drawn(recordingWith([]), { sharpening: 3 })).toEqual([]);
  });
});

it('two beams blend into one picture by share', () => {
  const recording = recordingWith([mark]);
  const empty = recordingWith([]).channels[0]!;
  recording.channels = [recording.channels[0]!, { ...empty, id: 'b' }];
  const at = (share: number): number =>
    drawPicture(recordingOf([recording]), { ...settings, blend: { faceId: 'b', share } }, SCREEN, NOW).steps[
      20 * 50 + 25
    ]!;
  expect(at(1)).toBe(0);
  expect(Math.abs(at(0.5) - at(0) / 2)).toBeLessThanOrEqual(1);
});

describe('the user’s unit', () => {
  const gain = { word: 'Gain', lowest: 0, highest: 100, step: 1, direction: 'more' as const };
  const surface = { word: 'Clutter', lowest: 0, highest: 10, step: 1, direction: 'less' as const };
  it('counts a control over its own scale, step and direction', () => {
    expect(toUnit('gain', gain, -30)).toBe(0);
    expect(toUnit('gain', gain, 40)).toBe(100);
    expect(toUnit('gain', gain, 5)).toBe(50);
    expect(toUnit('topWater', surface, 0)).toBe(10);
    expect(toUnit('topWater', surface, 10)).toBe(0);
  });
  it('turns back within a step', () => {
    for (let db = -30; db <= 40; db += 3.3)
      expect(Math.abs(fromUnit('gain', gain, toUnit('gain', gain, db)) - db)).toBeLessThanOrEqual(
        0.35 + 1e-9,
      );
    expect(() => fromUnit('gain', gain, 120)).toThrow(/0 to 100/);
  });
  it('refuses a scale that is none', () => {
    expect(v.safeParse(UnitScaleSchema, { ...gain, highest: 0 }).success).toBe(false);
    expect(v.safeParse(UnitScaleSchema, { ...gain, step: 0 }).success).toBe(false);
    expect(v.safeParse(UnitScaleSchema, gain).success).toBe(true);
  });
});

it('time-varied gain makes a lone target as strong at every depth', () => {
  const channel = recordingWith([]).channels[0]!;
  const level = (r: number): number => 210 - 40 * Math.log10(r) - 2 * 0.01 * r - 40;
  for (const r of [1, 5, 9]) expect(level(r) + timeVariedGain(channel, r)).toBeCloseTo(-40, 9);
  expect(sampleGain(channel, PLAIN_SETTINGS)[50]).toBeCloseTo(timeVariedGain(channel, 5), 4);
  // What low power sends less a display does not make up for.
  const low = sampleGain(channel, { ...PLAIN_SETTINGS, power: 'low' });
  expect(low[50]).toBeCloseTo(timeVariedGain(channel, 5) + LOW_POWER_DB, 4);
  expect(weakestColourDb({ gainDb: 4, power: 'low' })).toBe(-54);
});
