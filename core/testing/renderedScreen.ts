import { seededRandom } from '@/core/maths';
import { PALETTE_STEPS, rgbOf, type Picture, type Rgb } from '@/core/picture';
import { squareToQuad, type PixelImage, type ScreenCalibration } from '@/core/screenPicture';

/** How a made-up unit's screen is rendered and photographed. */
export interface ScreenLook {
  width: number;
  height: number;
  /** Colours weak to strong as CIELAB stops, and the ground. */
  ramp: readonly (readonly [number, number, number])[];
  ground: readonly [number, number, number];
  now: 'left' | 'right';
  /** Corners of the panel, px. */
  corners: readonly [x: number, y: number][];
  /** What a camera and its file do to each pixel, 8-bit. */
  noise: number;
  /** Grid lines and a line of digits over the echoes, and their colour; magenta when left out. */
  overlays: boolean;
  overlayColour?: Rgb;
  /** A box of a menu over the panel's upper corner. */
  menu?: boolean;
  menuColour?: Rgb;
  /** Light of a lamp on the glass: how bright at its middle, 8-bit; none when left out. */
  glare?: number;
  /** A screen that has another panel already, which this one is put on. */
  on?: PixelImage;
  seed: number;
}

/** Ramps of units nobody has made, weak to strong, in CIELAB; on dark grounds and on light ones. */
export const MADE_RAMPS: Pick<ScreenLook, 'ramp' | 'ground'>[] = [
  {
    ramp: [
      [30, 10, -40],
      [55, -40, 20],
      [80, 0, 70],
      [55, 70, 50],
    ],
    ground: [4, 0, 0],
  },
  {
    ramp: [
      [25, 5, 5],
      [60, 25, 45],
      [95, -5, 40],
    ],
    ground: [3, 0, 0],
  },
  {
    ramp: [
      [80, -10, -15],
      [55, -15, -25],
      [20, 15, -40],
    ],
    ground: [98, 0, 0],
  },
  {
    ramp: [
      [75, 20, 30],
      [50, 45, 10],
      [15, 20, -20],
    ],
    ground: [97, 0, 3],
  },
  {
    ramp: [
      [35, 0, 0],
      [65, 0, 0],
      [96, 0, 0],
    ],
    ground: [2, 0, 0],
  },
  {
    ramp: [
      [40, -30, 25],
      [70, -45, 50],
      [92, 5, 75],
      [60, 60, 40],
    ],
    ground: [8, 5, -15],
  },
  {
    ramp: [
      [70, 35, -20],
      [45, 60, -40],
      [25, 45, -60],
      [10, 10, -15],
    ],
    ground: [93, 2, -4],
  },
  {
    ramp: [
      [45, 25, -50],
      [65, 55, -20],
      [80, 30, 40],
      [97, -8, 30],
    ],
    ground: [12, 8, -22],
  },
];

/** A colour along stops of a ramp. */
function rampColour(ramp: ScreenLook['ramp'], share: number): Rgb {
  const at = share * (ramp.length - 1);
  const k = Math.min(ramp.length - 2, Math.floor(at));
  const u = at - k;
  const [p, q] = [ramp[k]!, ramp[k + 1]!];
  return rgbOf([p[0] + u * (q[0] - p[0]), p[1] + u * (q[1] - p[1]), p[2] + u * (q[2] - p[2])]);
}

const LEGEND_PX = 14;

/** A drawn picture as the screen of a unit nobody has made shows it, with the calibration a careful hand would give it. */
export function renderedScreen(
  picture: Picture,
  look: ScreenLook,
  acrossS: number,
  speedMps: number,
): { image: PixelImage; calibration: ScreenCalibration } {
  const { width, height, ramp, now, corners, seed } = look;
  const data = look.on?.data ?? new Uint8ClampedArray(4 * width * height).fill(255);
  const random = seededRandom(seed).fork('screen');
  const put = (x: number, y: number, [r, g, b]: Rgb): void => {
    const i = 4 * (y * width + x);
    const grain = (): number => look.noise * random.normal();
    data[i] = r + grain();
    data[i + 1] = g + grain();
    data[i + 2] = b + grain();
  };
  const ground = rgbOf(look.ground);
  const overlay: Rgb = look.overlayColour ?? [255, 60, 255];
  const steps = Array.from({ length: PALETTE_STEPS }, (_, k) => rampColour(ramp, k / (PALETTE_STEPS - 1)));
  if (!look.on) for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) put(x, y, [64, 66, 70]);
  const legendX = width - 2 * LEGEND_PX;
  const [legendTop, legendFoot] = [Math.round(0.2 * height), Math.round(0.8 * height)];
  for (let y = legendTop; y <= legendFoot; y++) {
    const colour = rampColour(ramp, (legendFoot - y) / (legendFoot - legendTop));
    for (let x = legendX; x < legendX + LEGEND_PX; x++) put(x, y, colour);
  }
  const [a, b, c, d] = corners.map(([x, y]) => ({ x, y })) as [
    { x: number; y: number },
    { x: number; y: number },
    { x: number; y: number },
    { x: number; y: number },
  ];
  const place = squareToQuad([a, b, c, d]);
  const { rows, columns } = picture;
  // Drawn finer than the pixels, so that no pixel of the panel is left out.
  const [across, down] = [2 * (b.x - a.x), 2 * (d.y - a.y)];
  for (let j = 0; j <= down; j++)
    for (let i = 0; i <= across; i++) {
      const { x, y } = place(i / across, j / down);
      const share = now === 'right' ? i / across : 1 - i / across;
      const column = Math.min(columns - 1, Math.floor(share * columns));
      const row = Math.min(rows - 1, Math.floor((j / down) * rows));
      const step = picture.steps[column * rows + row]!;
      const grid = look.overlays && j > 0 && j % Math.round(down / 5) < 2;
      const digits =
        look.overlays && i > 0.05 * across && i < 0.2 * across && j > 0.06 * down && j < 0.13 * down;
      const menu = look.menu && i > 0.06 * across && i < 0.3 * across && j > 0.08 * down && j < 0.3 * down;
      const [px, py] = [Math.round(x), Math.round(y)];
      if (px < 0 || py < 0 || px >= width || py >= height) continue;
      put(
        px,
        py,
        menu
          ? (j >> 3) % 4 === 1 && (i >> 2) % 3 > 0
            ? [250, 250, 250]
            : (look.menuColour ?? [40, 120, 60])
          : digits && (i + j) % 17 < 6
            ? overlay
            : grid
              ? overlay
              : step > 0
                ? steps[step - 1]!
                : ground,
      );
    }
  if (look.glare)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const [u, v] = [(x - 0.62 * width) / (0.16 * width), (y - 0.3 * height) / (0.2 * height)];
        const light = look.glare * Math.exp(-u * u - v * v);
        for (let k = 0; k < 3; k++) data[4 * (y * width + x) + k]! += light;
      }
  const share = (x: number, y: number): { x: number; y: number } => ({
    x: x / (width - 1),
    y: y / (height - 1),
  });
  return {
    image: { width, height, data },
    calibration: {
      panels: [],
      corners: [share(a.x, a.y), share(b.x, b.y), share(c.x, c.y), share(d.x, d.y)],
      depths: [
        { down: 0, depthM: picture.topM[0]! },
        { down: 1, depthM: picture.topM[0]! + rows * picture.rowM },
      ],
      now,
      acrossS,
      speedMps,
      legend: {
        weak: share(legendX + LEGEND_PX / 2, legendFoot - 1),
        strong: share(legendX + LEGEND_PX / 2, legendTop + 1),
      },
    },
  };
}
