import sharp from 'sharp';
import { FIRST_BRIEF, startSetup, type Brief } from '@/core/advice';
import { benchPass } from '@/core/bench';
import { isGap, seededRandom } from '@/core/maths';
import type { Picture, Rgb } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { readChannel, type Reading } from '@/core/reading';
import { recordingOf, type Stretch } from '@/core/recording';
import { faceOf, GENERIC_RIG, transducerOf, type Face, type Rig } from '@/core/rig';
import { screenRecording, type PixelImage, type ScreenCalibration } from '@/core/screenPicture';
import { simulate, visibleFish, type SoundingRequest, type VisibleFish } from '@/core/sounder';
import { MADE_RAMPS, renderedScreen, type ScreenLook } from '@/core/testing/renderedScreen';

/** A menu’s colour on each: nobody draws one in the colours of the echoes. */
const MENU: readonly Rgb[] = [
  [120, 40, 130],
  [40, 120, 60],
  [140, 90, 20],
  [40, 120, 60],
  [40, 120, 60],
  [120, 40, 130],
  [40, 120, 60],
  [40, 120, 60],
];
const SIZES: readonly (readonly [width: number, height: number])[] = [
  [640, 480],
  [1000, 640],
  [1600, 1000],
];
export const WATERS: Partial<Brief>[] = [
  {},
  { fromM: 12, toM: 26, lengthM: [0.3, 0.55], speciesId: 'zander', bed: 'mud' },
  { fromM: 3, toM: 8, thermoclineM: null, bed: 'sand' },
  { fromM: 20, toM: 42, lengthM: [0.4, 0.8], thermoclineM: 14 },
];
/** Columns over a pass as they stand on a screen, and as many as one has. */
const COLUMNS = 520;
const ROWS = 420;
/** A mark counts that is so many rows tall, on so many columns, and so many eighths of the ramp over what is about it. */
const LEAST_ROWS = 6;
const LEAST_COLUMNS = 8;
const LEAST_STEPS = 2;
const EIGHTH = 1 / 8;

/** What a panel of a screen shows: a picture of so many seconds, at a speed, on a beam. */
export interface PanelShown {
  picture: Picture;
  durationS: number;
  speedMps: number;
  face: Face;
}

interface Shown extends PanelShown {
  request: SoundingRequest;
  stretch: Stretch;
  own: Reading;
  fish: VisibleFish[];
}

export const RIG: Rig = {
  ...GENERIC_RIG,
  faces: [...GENERIC_RIG.faces, ...transducerOf('deep-narrow-200').faces],
};
const shown = new Map<string, Shown>();

/** A pass as its unit draws it, all on one screen. */
function passShown(water: number, seed: number): Shown {
  const key = `${water} ${seed}`;
  let made = shown.get(key);
  if (!made) {
    const brief = { ...FIRST_BRIEF, othersNear: false, ...WATERS[water]! };
    const { settings } = startSetup({ ...brief, faceId: seed % 2 === 0 ? 'cone-83' : 'cone-200' }, RIG);
    const request = benchPass(brief, RIG, settings, seed);
    const stretch = simulate(request);
    const durationS = stretch.navigation.timeS.at(-1)!;
    const picture = drawPicture(
      recordingOf([stretch]),
      { ...settings, gainMode: 'manual', topM: 0, bedLockM: null, zoom: 1, chartSpeed: COLUMNS / durationS },
      { rows: ROWS, columns: COLUMNS },
      durationS,
    );
    const face = faceOf(RIG, settings.faceId);
    made = {
      request,
      stretch,
      durationS,
      speedMps: stretch.navigation.speedMps[0]!,
      picture,
      face,
      own: readChannel(
        stretch,
        stretch.channels.find((c) => c.id === face.id)!,
      ),
      fish: visibleFish(request.scene, request.track, request.rig, face),
    };
    shown.set(key, made);
    if (shown.size > 8) shown.delete(shown.keys().next().value!);
  }
  return made;
}

/** What reading pictures of screens came to. */
export interface ScreenScore {
  bedNear: number;
  bedAll: number;
  found: number;
  missed: number;
  extra: number;
  /** Found ones farther from their depth than two rows and the pulse's start. */
  deep: number;
}

/** The n-th screen: ramp, side of now, size, panels, and what a camera and its file do to it. */
export async function scoreScreen(n: number, seed: number): Promise<ScreenScore> {
  const { kept, drawn } = await shownScreen(n, seed, (k) =>
    passShown((n + k) % WATERS.length, seed + 11 * n + k),
  );
  const score: ScreenScore = { bedNear: 0, bedAll: 0, found: 0, missed: 0, extra: 0, deep: 0 };
  for (const { pass, calibration } of drawn)
    judge(pass, screenRecording(kept, calibration, pass.face, 'own'), score);
  return score;
}

/** The n-th screen as a phone keeps it, and what its panels show. @param shows what the k-th of them does */
export async function shownScreen<T extends PanelShown>(
  n: number,
  seed: number,
  shows: (panel: number) => T,
): Promise<{ kept: PixelImage; drawn: { pass: T; calibration: ScreenCalibration }[] }> {
  const random = seededRandom(seed + n).fork('screens');
  const [width, height] = SIZES[n % SIZES.length]!;
  const panels = 1 + (n % 3);
  const photo = n % 2 === 1;
  const now = n % 4 < 2 ? ('right' as const) : ('left' as const);
  const tilt = photo ? 0.02 : 0;
  const off = (): number => (random.uniform() - 0.5) * 2 * tilt;
  const frame = { left: 0.03 * width, right: 0.9 * width, top: 0.05 * height, foot: 0.96 * height };
  const high = (frame.foot - frame.top) / panels;
  let image: PixelImage | undefined;
  const drawn = Array.from({ length: panels }, (_, k) => {
    const pass = shows(k);
    const top = frame.top + k * high;
    const foot = top + high - 0.02 * height;
    const corner = (x: number, y: number): [number, number] => [x + off() * width, y + off() * high];
    const look: ScreenLook = {
      ...MADE_RAMPS[n % MADE_RAMPS.length]!,
      width,
      height,
      now,
      corners: [
        corner(frame.left, top),
        corner(frame.right, top),
        corner(frame.right, foot),
        corner(frame.left, foot),
      ],
      noise: photo ? 2.5 : 0,
      overlays: n % 3 === 1,
      // Nobody draws a grid in the colours of the echoes.
      ...(n % MADE_RAMPS.length >= 6 ? { overlayColour: [60, 255, 255] as const } : {}),
      menu: n % 5 === 2,
      menuColour: MENU[n % MADE_RAMPS.length]!,
      ...(photo && k === panels - 1 && n % 4 === 3 ? { glare: 90 } : {}),
      ...(image ? { on: image } : {}),
      seed: seed + n,
    };
    const screen = renderedScreen(pass.picture, look, pass.durationS, pass.speedMps);
    image = screen.image;
    return { pass, calibration: screen.calibration };
  });
  // As a phone keeps it.
  const { data } = await sharp(Buffer.from(image!.data.buffer), { raw: { width, height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality: 60 })
    .toBuffer()
    .then((jpeg) => sharp(jpeg).ensureAlpha().raw().toBuffer({ resolveWithObject: true }));
  const kept: PixelImage = { width, height, data: new Uint8ClampedArray(data) };
  return { kept, drawn };
}

function judge(
  { request, stretch, durationS, picture, own, fish: truth }: Shown,
  { stretches: [made] }: ReturnType<typeof screenRecording>,
  score: ScreenScore,
): void {
  const channel = made!.channels[0]!;
  const reading = readChannel(made!, channel);
  const { rows, columns, rowM, steps } = picture;
  const rowNear = Math.max(channel.sampleStepM, rowM);
  // The bed against the one read from the pings themselves.
  stretch.navigation.timeS.forEach((t, ping) => {
    const ownBed = own.bed.rangeM[ping]!;
    if (isGap(ownBed) || !(ownBed > 0)) return;
    const column = Math.round((t / durationS) * (channel.pingCount - 1));
    score.bedAll++;
    if (Math.abs(reading.bed.rangeM[column]! - ownBed) <= 1.5 * rowNear + 0.06) score.bedNear++;
  });
  const fish = reading.findings.filter((f) => f.kind === 'fish');
  const clouds = reading.findings.filter((f) => f.kind === 'cloud');
  const used = new Set<number>();
  const stepAt = (column: number, row: number): number =>
    column < 0 || column >= columns || row < 0 || row >= rows ? 0 : steps[column * rows + row]!;
  const strongest = steps.reduce((a, b) => Math.max(a, b), 1);
  // As many rows as the panel has on the picture.
  const perPicture = Math.min(1, channel.sampleCount / rows);
  for (const there of truth) {
    const cells = there.pings.map((ping, i) => ({
      column: Math.round((request.track.timeS[ping]! / durationS) * (columns - 1)),
      row: Math.round(there.rangeM[i]! / rowM) + 1,
    }));
    const plain = cells.filter(
      ({ column, row }) =>
        stepAt(column, row) - Math.max(stepAt(column, row - 6), stepAt(column, row + 9)) >=
        LEAST_STEPS * EIGHTH * strongest,
    );
    const tall = Math.max(...plain.map((c) => c.row)) - Math.min(...plain.map((c) => c.row));
    if (new Set(plain.map((c) => c.column)).size < LEAST_COLUMNS || tall * perPicture < LEAST_ROWS) continue;
    const mine = fish.find(
      (f) =>
        !used.has(f.id) &&
        Math.abs(f.timeS - there.nearestTimeS) < Math.max(2, 6 / made!.pingRate) &&
        Math.abs(f.rangeM - there.nearestRangeM) < Math.max(0.3, 4 * rowNear),
    );
    if (!mine) {
      score.missed++;
      continue;
    }
    used.add(mine.id);
    score.found++;
    // Two rows, and the length of the pulse whose start is not drawn.
    if (Math.abs(mine.rangeM - there.nearestRangeM) > 2 * rowNear + 0.15) score.deep++;
  }
  score.extra += fish.filter(
    (f) =>
      !used.has(f.id) &&
      !clouds.some((c) => f.timeS > c.timeS - 10 && f.timeS < c.timeS + 10) &&
      !truth.some((there) =>
        there.pings.some(
          (ping, i) =>
            Math.abs(request.track.timeS[ping]! - f.timeS) < 2 &&
            Math.abs(there.rangeM[i]! - f.rangeM) < Math.max(0.5, 4 * rowNear),
        ),
      ),
  ).length;
}

/** Harmonic mean of recall and precision of fish. */
export const f1Of = ({ found, missed, extra }: ScreenScore): number =>
  (2 * found) / (2 * found + missed + extra);
