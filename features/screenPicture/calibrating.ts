import type { Point, ScreenCalibration } from '@/core/screenPicture';

/** A panel that is told whole. */
export type ToldPanel = ScreenCalibration['panels'][number];

/** What is asked of the picture, one after the other. */
export const STEPS = ['corners', 'depths', 'legend', 'rest'] as const;
export type Step = (typeof STEPS)[number];

/** What has been told of a picture so far. */
export interface Calibrating {
  step: Step;
  /** A photograph is askew and has four corners; a screenshot's panel is told by two. */
  photo: boolean;
  corners: readonly Point[];
  /** Places of the two depths on the picture. */
  depthAt: readonly Point[];
  depthM: readonly [number, number];
  legend: readonly Point[];
  /** The beam it shows. */
  faceId: string;
  /** Panels told before this one. */
  others: readonly ToldPanel[];
  now: 'left' | 'right';
  acrossS: number;
  speedMps: number;
}

export const BEGIN: Calibrating = {
  step: 'corners',
  photo: false,
  corners: [],
  depthAt: [],
  depthM: [0, 10],
  legend: [],
  faceId: '',
  others: [],
  now: 'right',
  acrossS: 60,
  speedMps: 1.3,
};

/** Taps a step needs. */
export const tapsOf = ({ step, photo }: Pick<Calibrating, 'step' | 'photo'>): number =>
  step === 'corners' ? (photo ? 4 : 2) : step === 'rest' ? 0 : 2;

const FIELD = { corners: 'corners', depths: 'depthAt', legend: 'legend' } as const;

/** Points tapped in the step so far. */
export const pointsOf = (c: Calibrating): readonly Point[] => (c.step === 'rest' ? [] : c[FIELD[c.step]]);

/** A tap on the picture: one point more; a step that had all of them begins anew, one that has them now is done. */
export function tapped(c: Calibrating, at: Point): Calibrating {
  if (c.step === 'rest') return c;
  const before = pointsOf(c);
  const points = before.length >= tapsOf(c) ? [at] : [...before, at];
  const next = { ...c, [FIELD[c.step]]: points };
  return points.length === tapsOf(c) ? { ...next, step: STEPS[STEPS.indexOf(c.step) + 1]! } : next;
}

/** A step back, without what it had told. */
export function stepBack(c: Calibrating): Calibrating {
  if (pointsOf(c).length > 0 && c.step !== 'rest') return { ...c, [FIELD[c.step]]: [] };
  const at = STEPS.indexOf(c.step);
  if (at === 0) {
    const last = c.others.at(-1);
    return last ? { ...c, ...toldOf(last), others: c.others.slice(0, -1), step: 'rest' } : c;
  }
  const step = STEPS[at - 1]! as Exclude<Step, 'rest'>;
  return { ...c, step, [FIELD[step]]: [] };
}

/** All four corners: of a screenshot the two that were tapped give the rest. */
export function cornersOf({
  photo,
  corners,
}: Pick<Calibrating, 'photo' | 'corners'>): ScreenCalibration['corners'] | null {
  if (photo) {
    const [a, b, c, d] = corners;
    return a && b && c && d ? [a, b, c, d] : null;
  }
  const [p, q] = corners;
  if (!p || !q) return null;
  const [left, right] = [Math.min(p.x, q.x), Math.max(p.x, q.x)];
  const [top, foot] = [Math.min(p.y, q.y), Math.max(p.y, q.y)];
  return [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: foot },
    { x: left, y: foot },
  ];
}

/** How far down a panel a point lies, 0…1, along its sides; a scale stands beside the panel, at the same height. */
function downOf([a, b, c, d]: ScreenCalibration['corners'], at: Point): number {
  const span = b.x - a.x;
  const across = Math.abs(span) < 1e-6 ? 0 : Math.min(1, Math.max(0, (at.x - a.x) / span));
  const top = a.y + across * (b.y - a.y);
  const foot = d.y + across * (c.y - d.y);
  return Math.min(1, Math.max(0, (at.y - top) / (foot - top)));
}

/** The panel that is being told, once all of it has been; null before. */
export function panelOf(c: Calibrating): ToldPanel | null {
  const corners = cornersOf(c);
  const [upper, lower] = c.depthAt;
  const [weak, strong] = c.legend;
  if (!corners || !upper || !lower || !weak || !strong) return null;
  return {
    corners,
    depths: [
      { down: downOf(corners, upper), depthM: c.depthM[0] },
      { down: downOf(corners, lower), depthM: c.depthM[1] },
    ],
    legend: { weak, strong },
    faceId: c.faceId,
  };
}

/** Whether a panel lies straight on its picture, as on a screenshot. */
const isUpright = ([a, b, c, d]: ScreenCalibration['corners']): boolean =>
  a.y === b.y && c.y === d.y && a.x === d.x && b.x === c.x;

/** Goes on with another panel of the same picture, of another beam. */
export function anotherPanel(c: Calibrating, faceId: string): Calibrating {
  const panel = panelOf(c);
  if (!panel) return c;
  return {
    ...c,
    others: [...c.others, panel],
    photo: !isUpright(panel.corners),
    step: 'corners',
    corners: [],
    depthAt: [],
    legend: [],
    faceId,
  };
}

/** Takes the colours of the panel before for this one's too. */
export function sameLegend(c: Calibrating): Calibrating {
  const before = c.others.at(-1);
  return before ? { ...c, legend: [before.legend.weak, before.legend.strong], step: 'rest' } : c;
}

/** The calibration of all panels and the beam of the first, once all has been told; null before. */
export function calibrationOf(c: Calibrating): { calibration: ScreenCalibration; faceId: string } | null {
  const own = panelOf(c);
  if (!own) return null;
  const [main = own, ...panels] = [...c.others, own];
  const { faceId, ...first } = main;
  const { now, acrossS, speedMps } = c;
  return { calibration: { ...first, now, acrossS, speedMps, panels }, faceId };
}

/** What was told of a panel. */
function toldOf({
  corners,
  depths,
  legend,
  faceId,
}: ToldPanel): Pick<Calibrating, 'photo' | 'corners' | 'depthAt' | 'depthM' | 'legend' | 'faceId'> {
  const [a, , , d] = corners;
  const onLeft = (down: number): Point => ({ x: a.x + down * (d.x - a.x), y: a.y + down * (d.y - a.y) });
  return {
    photo: true,
    corners,
    depthAt: depths.map((depth) => onLeft(depth.down)),
    depthM: [depths[0].depthM, depths[1].depthM],
    legend: [legend.weak, legend.strong],
    faceId,
  };
}

/** A kept calibration taken up again: all told but what changes from picture to picture. */
export function takenUp(
  { now, acrossS, speedMps, panels, ...first }: ScreenCalibration,
  faceId: string,
): Calibrating {
  const all: ToldPanel[] = [{ ...first, faceId }, ...panels];
  return { step: 'rest', ...toldOf(all.at(-1)!), others: all.slice(0, -1), now, acrossS, speedMps };
}
