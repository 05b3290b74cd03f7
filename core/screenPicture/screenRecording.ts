import { clamp } from '@/core/maths';
import { labOf, PALETTE_BOTTOM_DB, timeVariedGain, type Lab, type Rgb } from '@/core/picture';
import { recordingOf, straightWay, type Channel, type Recording } from '@/core/recording';
import { singlePulse, type Face } from '@/core/rig';
import type { ScreenCalibration } from './calibration';
import { GROUND, OVERLAY, rampLookup, rampOf } from './colourRamp';
import { squareToQuad } from './straighten';

/** Pixels of a picture, RGBA, row by row. */
export interface PixelImage {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/** Most rows and columns of a panel that are read: a screen has no more. */
const MOST_ROWS = 1200;
const MOST_COLUMNS = 2400;
/**
 * What a legend is taken to span, dB, weak to strong, and how far nothing drawn lies under its weakest colour. The weakest lies where
 * ours does, so that it is drawn again as it was.
 */
export const RAMP_DB = 40;
const UNDER_DB = 4;
const WEAKEST_DB =
  PALETTE_BOTTOM_DB - timeVariedGain({ calibration: null, resolutionM: 1 } as Channel, 1, 'flat');
/** An overlay is filled from what is beside it within so many columns. */
const FILL_COLUMNS = 12;
/** The screen draws an echo at least so many rows thick. */
const PULSE_ROWS = 2;
const SOUND_MPS = 1470;

/** The colour that fills most of the panel's upper half: what is drawn where nothing answers. */
function groundOf(colours: readonly Rgb[]): Lab {
  const counts = new Map<number, { count: number; sum: [number, number, number] }>();
  for (const [r, g, b] of colours) {
    const key = ((r >> 4) << 8) | ((g >> 4) << 4) | (b >> 4);
    const cell = counts.get(key) ?? { count: 0, sum: [0, 0, 0] };
    cell.count++;
    cell.sum[0] += r;
    cell.sum[1] += g;
    cell.sum[2] += b;
    counts.set(key, cell);
  }
  const [most] = [...counts.values()].sort((a, b) => b.count - a.count);
  const { count, sum } = most!;
  return labOf([sum[0] / count, sum[1] / count, sum[2] / count]);
}

/**
 * A picture of a sounder's screen as pings in relative levels: each column one ping, each row one sample, colours as their place
 * on the legend. Levels mean nothing beyond weaker and stronger; what is laid over the echoes is filled from beside it.
 * @param face the beam that drew it, by whose width marks are read
 * @throws RangeError for corners on one line, a panel of no size, or a legend of one colour
 */
export function screenRecording(
  image: PixelImage,
  cal: ScreenCalibration,
  face: Pick<Face, 'id' | 'label' | 'frequencyHz' | 'beam'>,
  title: string,
): Recording {
  const { width, height, data } = image;
  const indexAt = (x: number, y: number): number =>
    4 * (clamp(Math.round(y), 0, height - 1) * width + clamp(Math.round(x), 0, width - 1));
  const pixelAt = (x: number, y: number): Rgb => {
    const i = indexAt(x, y);
    return [data[i]!, data[i + 1]!, data[i + 2]!];
  };
  const inPixels = cal.corners.map(({ x, y }) => ({ x: x * (width - 1), y: y * (height - 1) }));
  const [a, b, c, d] = inPixels as [
    (typeof inPixels)[0],
    (typeof inPixels)[0],
    (typeof inPixels)[0],
    (typeof inPixels)[0],
  ];
  const place = squareToQuad([a, b, c, d]);
  const side = (p: typeof a, q: typeof a): number => Math.hypot(p.x - q.x, p.y - q.y);
  const columns = Math.min(MOST_COLUMNS, Math.round(Math.max(side(a, b), side(d, c))) + 1);
  const allRows = Math.min(MOST_ROWS, Math.round(Math.max(side(a, d), side(b, c))) + 1);
  if (columns < 20 || allRows < 20) throw new RangeError('screen picture: the panel is too small to read');

  const [one, two] = cal.depths;
  const perShare = (two.depthM - one.depthM) / (two.down - one.down);
  const depthAt = (down: number): number => one.depthM + (down - one.down) * perShare;
  const stepM = perShare / (allRows - 1);
  // What lies over the surface is the frame of the picture.
  const firstRow = Math.max(0, Math.ceil(-depthAt(0) / stepM));
  const rows = allRows - firstRow;
  if (rows < 20) throw new RangeError('screen picture: hardly any of the panel lies under the surface');

  const ramp = rampOf((s) => {
    const { weak, strong } = cal.legend;
    return pixelAt(
      (weak.x + s * (strong.x - weak.x)) * (width - 1),
      (weak.y + s * (strong.y - weak.y)) * (height - 1),
    );
  });
  if (ramp.length < 2) throw new RangeError('screen picture: the legend shows one colour only');
  const upper: Rgb[] = [];
  for (let i = 0; i < 4000; i++) {
    const { x, y } = place(((i * 7919) % 1000) / 999, (0.5 * ((i * 104729) % 997)) / 996);
    upper.push(pixelAt(x, y));
  }
  const lookup = rampLookup(ramp, groundOf(upper));

  const levelDb = new Float32Array(columns * rows);
  const at = { x: 0, y: 0 };
  for (let p = 0; p < columns; p++) {
    // Time runs towards the side the newest echoes are on.
    const u = (cal.now === 'right' ? p : columns - 1 - p) / (columns - 1);
    for (let j = 0; j < rows; j++) {
      place(u, (firstRow + j) / (allRows - 1), at);
      const i = indexAt(at.x, at.y);
      levelDb[p * rows + j] = lookup(data[i]!, data[i + 1]!, data[i + 2]!);
    }
  }
  fillOverlays(levelDb, columns, rows);
  for (let i = 0; i < levelDb.length; i++) {
    const onRamp = levelDb[i]!;
    levelDb[i] = WEAKEST_DB + (onRamp === GROUND ? -UNDER_DB : RAMP_DB * onRamp);
  }
  const timeS = Float64Array.from({ length: columns }, (_, p) => (p / (columns - 1)) * cal.acrossS);
  const pulseM = PULSE_ROWS * stepM;
  return recordingOf([
    {
      title,
      pingRate: (columns - 1) / cal.acrossS,
      origin: { latitudeDeg: 0, longitudeDeg: 0 },
      navigation: straightWay(timeS, cal.speedMps),
      channels: [
        {
          id: face.id,
          label: face.label,
          frequencyHz: face.frequencyHz,
          beam: face.beam,
          pulse: singlePulse((2 * pulseM) / SOUND_MPS, face.frequencyHz, 20),
          resolutionM: pulseM,
          soundSpeedMps: SOUND_MPS,
          firstRangeM: Math.max(0, depthAt(firstRow / (allRows - 1))),
          sampleStepM: stepM,
          pingCount: columns,
          sampleCount: rows,
          levelDb,
          calibration: null,
        },
      ],
    },
  ]);
}

/** Puts the nearest echo along the row in place of what is laid over it; over a wide overlay the weaker of both sides. */
function fillOverlays(at: Float32Array, columns: number, rows: number): void {
  for (let j = 0; j < rows; j++)
    for (let p = 0; p < columns; p++) {
      if (at[p * rows + j] !== OVERLAY) continue;
      const from = p;
      while (p + 1 < columns && at[(p + 1) * rows + j] === OVERLAY) p++;
      const after = p + 1 < columns ? at[(p + 1) * rows + j]! : GROUND;
      const before = from > 0 ? at[(from - 1) * rows + j]! : after;
      const wide = p - from + 1 > FILL_COLUMNS;
      const middle = (from + p) / 2;
      for (let q = from; q <= p; q++)
        at[q * rows + j] = wide ? Math.min(before, after) : q < middle ? before : after;
    }
}
