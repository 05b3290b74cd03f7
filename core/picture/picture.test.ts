import {
  chartPosition,
  PALETTE_NAMES,
  PLAIN_SETTINGS,
  columnPings,
  drawPicture,
  labOf,
  paletteColours,
  paletteTable,
  rgbOf,
  sampleGain,
  timeOfColumn,
  timeVariedGain,
  topWaterCut,
  type Settings,
} from '@/core/picture';
import type { Channel, Recording } from '@/core/recording';

const PINGS = 40;
const SAMPLES = 100;
const STEP = 0.1;

/** Quiet water of −150 dB re the surface with marks put in: [ping, sample, level over the quiet]. */
function recordingWith(
  marks: readonly (readonly [ping: number, sample: number, over: number])[],
  quiet = 20,
): Recording {
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
    version: 1,
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
  recording: Recording,
  change: Partial<Settings> = {},
  screen = SCREEN,
  nowS = NOW,
): [number, number][] {
  const { pixels } = drawPicture(recording, { ...settings, ...change }, screen, nowS);
  const cells: [number, number][] = [];
  pixels.forEach((pixel, i) => {
    if (pixel !== ground) cells.push([Math.floor(i / screen.columns), i % screen.columns]);
  });
  return cells;
}

/** A level 90 dB over the quiet at 5 m stands at −60 + … : well inside the palette at gain 0. */
const mark = [20, 50, 110] as const;

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
    const plain = drawPicture(two, settings, SCREEN, NOW).pixels;
    const cut = drawPicture(two, { ...settings, firstColourDb: 5 }, SCREEN, NOW).pixels;
    expect(drawn(two)).toHaveLength(2);
    expect(drawn(two, { firstColourDb: 5 })).toEqual([[25, 20]]);
    expect(cut[25 * 40 + 20]).toBe(plain[25 * 40 + 20]);
  });
  it('spends fewer colours on a mark when the spread grows', () => {
    const { rgba } = paletteTable('ink');
    const step = (colourSpreadDb: number): number =>
      rgba.indexOf(
        drawPicture(recordingWith([mark]), { ...settings, colourSpreadDb }, SCREEN, NOW).pixels[
          25 * 40 + 20
        ]!,
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
    const { liveColumn } = drawPicture(recordingWith([[PINGS - 1, 50, 110]]), settings, SCREEN, NOW);
    expect(liveColumn[25]).toBeGreaterThan(0);
    expect(liveColumn.reduce((n, x) => n + (x > 0 ? 1 : 0), 0)).toBe(1);
  });
  it('refuses screens and channels that are not', () => {
    expect(() => drawPicture(recordingWith([]), settings, { rows: 0, columns: 5 }, 1)).toThrow(RangeError);
    expect(() => drawPicture(recordingWith([]), { ...settings, faceId: 'x' }, SCREEN, 1)).toThrow(
      /no channel/,
    );
  });
});

it('time-varied gain makes a lone target as strong at every depth', () => {
  const channel = recordingWith([]).channels[0]!;
  const level = (r: number): number => 210 - 40 * Math.log10(r) - 2 * 0.01 * r - 40;
  for (const r of [1, 5, 9]) expect(level(r) + timeVariedGain(channel, r)).toBeCloseTo(-40, 9);
  expect(sampleGain(channel, PLAIN_SETTINGS)[50]).toBeCloseTo(timeVariedGain(channel, 5), 4);
});
