import { FIRST_BRIEF, sliceSetup, startSetup, USUAL_SPEED_MPS, type Brief } from '@/core/advice';
import type { Settings } from '@/core/picture';
import type { Rig } from '@/core/rig';
import type { SteeringCommand } from '@/core/scene';
import { hastyRate, rockUnder } from './falseBedWater';
import type { PassSource, PassSpec } from './passSource';

/** Traps a practised hand has fallen into once. */
export const TRAPS = [
  'auto-and-engine',
  'wide-and-narrow',
  'window-or-all',
  'filter-eats-fish',
  'contrast-eats-fish',
  'chart-speed',
  'ping-rate',
  'lure-enters',
  'towed-weight',
  'power-on-rock',
  'length-for-size',
  'tilted-mount',
  'range-and-size',
  'first-colour',
  'automatic-marks',
] as const;
export type Trap = (typeof TRAPS)[number];

/** A lesson ready for the bench: one pass seen two ways, and whether the true water beside it makes the point. */
export interface TrapLesson {
  pass: PassSpec;
  a: Settings;
  b: Settings;
  cutaway: boolean;
  /** Right edge of the picture that shows it, s into the pass; null for its end. */
  nowS: number | null;
}

const SEED = 11;
const WATER: Brief = { ...FIRST_BRIEF, bed: 'gravel', windMps: 1, thermoclineM: null };
const DOWN: Brief = { ...WATER, presentation: 'vertical', speedMps: USUAL_SPEED_MPS.vertical };
const PLANES: readonly SteeringCommand[] = [
  { atS: 42, way: 'plane', speedMps: 1.5 },
  { atS: 48, way: 'idle', speedMps: 1.5 },
];
const TILT_RAD = 0.18;
/** Rows of water over the bed a deep window shows, as a share of the range. */
const WINDOW = 0.55;

type Simulated = Exclude<PassSource, { kind: 'recording' }>;

/** A trap on the user's own boat. A beam a lesson needs and the boat has not is the nearest there is. */
export function trapLesson(trap: Trap, rig: Rig): TrapLesson {
  const cones = rig.faces.filter((f) => f.beam.shape !== 'fan');
  const byWidth = [...(cones.length > 0 ? cones : rig.faces)].sort(
    (p, q) => p.beam.alongRad - q.beam.alongRad,
  );
  const narrow = byWidth[0]!.id;
  const wide = byWidth.at(-1)!.id;
  const setFor = (brief: Brief): Settings => ({ ...startSetup(brief, rig).settings, gainMode: 'manual' });
  const water = (brief: Brief, more: Partial<Simulated> = {}): Simulated => ({
    kind: 'brief',
    brief,
    seed: SEED,
    water: 2,
    ...(more as object),
  });
  const scene = (sceneId: string): Simulated => ({ kind: 'scene', sceneId, seed: SEED });
  const lesson = (
    source: Simulated,
    a: Settings,
    b: Partial<Settings>,
    { cutaway = false, on = rig, nowS = null }: { cutaway?: boolean; on?: Rig; nowS?: number | null } = {},
  ): TrapLesson => ({ pass: { source, rig: on }, a, b: { ...a, ...b }, cutaway, nowS });

  const start = setFor(WATER);
  switch (trap) {
    case 'auto-and-engine':
      return lesson(
        water(WATER, { steering: [...PLANES] }),
        start,
        { gainMode: 'auto', gainDb: 0 },
        {
          nowS: 62,
        },
      );
    case 'wide-and-narrow':
      return lesson(water(WATER), setFor({ ...WATER, faceId: wide }), setFor({ ...WATER, faceId: narrow }), {
        cutaway: true,
      });
    case 'window-or-all':
      return lesson(water(WATER), start, { topM: Math.round(WINDOW * start.rangeM) });
    case 'filter-eats-fish':
      return lesson(water(WATER), start, { noiseRejection: 8, averaging: 6 });
    case 'contrast-eats-fish': {
      const slice = sliceSetup(WATER, rig, startSetup(WATER, rig));
      const set = slice?.settings ?? start;
      return lesson(water(WATER), set, { contrast: 2.6, brightnessDb: -8 });
    }
    case 'chart-speed':
      return lesson(water(WATER, { more: { cover: 'brush', coverAgeYears: 0 } }), start, {
        chartSpeed: 1,
        chartSync: false,
      });
    case 'ping-rate': {
      const rate = hastyRate(rig);
      const hard = rockUnder(rate, WATER);
      return lesson(water(hard), setFor(hard), { pingRate: rate });
    }
    case 'lure-enters':
      return lesson(
        scene('lure-answered'),
        { ...setFor({ ...DOWN, faceId: wide }), rangeM: 20 },
        { faceId: narrow },
        {
          cutaway: true,
        },
      );
    case 'towed-weight':
      return lesson(
        scene('towed-weight'),
        { ...setFor({ ...WATER, faceId: narrow }), rangeM: 24 },
        { chartSpeed: 30 },
        {
          cutaway: true,
        },
      );
    case 'power-on-rock': {
      const shallow: Brief = { ...WATER, bed: 'rock', fromM: 1, toM: 4 };
      return lesson(water(shallow), { ...setFor(shallow), power: 'low' }, { power: 'full' });
    }
    case 'length-for-size':
      return lesson(water(DOWN), { ...setFor(DOWN), chartSpeed: 5 }, { chartSpeed: 20 });
    case 'tilted-mount':
      return lesson(
        water(WATER),
        start,
        { faceId: narrow },
        {
          cutaway: true,
          on: { ...rig, mount: { ...rig.mount, alongRad: TILT_RAD } },
        },
      );
    case 'range-and-size':
      return lesson(water(WATER), start, { rangeM: 2 * start.rangeM, lookNoDeeperM: null });
    case 'first-colour':
      return lesson(water(WATER), start, { firstColourDb: Math.min(30, start.firstColourDb + 12) });
    case 'automatic-marks':
      return lesson(water(WATER, { more: { upwelling: true, drifting: 40 } }), start, {
        gainDb: Math.min(40, start.gainDb + 6),
      });
  }
}
