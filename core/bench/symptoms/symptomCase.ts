import { FIRST_BRIEF, startSetup, USUAL_SPEED_MPS, type Brief } from '@/core/advice';
import { LEVEL_MOUNT, type Face, type Rig } from '@/core/rig';
import type { Settings } from '@/core/picture';
import { hastyRate, rockUnder } from '../falseBedWater';
import type { PassSource, PassSpec } from '../passSource';
import { REMEDIES, remedied, type Symptom } from './symptom';

/** A water and a picture of it that has a symptom, and the same once it is mended. */
export interface SymptomCase {
  before: { pass: PassSpec; settings: Settings };
  /** Null where nothing mends it. */
  after: { pass: PassSpec; settings: Settings } | null;
}

type Simulated = Exclude<PassSource, { kind: 'recording' }>;

const SEED = 5;
/** Gain over the start setup that is far too much, too much, and far too little, dB. */
const FAR_TOO_LOUD_DB = 30;
const TOO_LOUD_DB = 14;
const DASHES_DB = 6;
const MESS_DB = 4;
const MUTE: Partial<Settings> = { gainDb: -30, firstColourDb: 10, gainMode: 'manual' };
/** A tilt seen in every arch, as a share of the beam, and a rod so far aside, m. */
const TILT = 0.4;
const ROD_ASIDE_M = 2;
/** Chart speeds that draw out and squeeze, columns a second. */
const FAST_CHART = 40;
const SLOW_CHART = 1;
const WINDY_MPS = 10;
const OLD_YEARS = 12;
/** Shallower than every fish of the water, m. */
const LOOKS_TO_M = 5;
/** Antenna so far ahead of the transducer, m. */
const AHEAD_M = 4;
const SLOW_DRIFT_MPS = 0.3;
const PLANES_AT_S = 30;

const WATER: Brief = { ...FIRST_BRIEF, bed: 'gravel', thermoclineM: null, windMps: 1 };

const louder = (settings: Settings, byDb: number): Settings => ({
  ...settings,
  gainMode: 'manual',
  gainDb: Math.min(40, settings.gainDb + byDb),
});

const narrowest = (rig: Rig): Face => {
  const cones = rig.faces.filter((f) => f.beam.shape !== 'fan');
  return (cones.length > 0 ? cones : rig.faces).reduce((a, b) => (b.beam.alongRad < a.beam.alongRad ? b : a));
};

/** A case over a brief's water, its remedy the symptom's own unless another pass mends it. */
function over(
  symptom: Symptom,
  rig: Rig,
  {
    brief = WATER,
    more = {},
    steering,
    set = (s) => s,
    tilted = rig,
    mended,
  }: {
    brief?: Brief;
    more?: (Simulated & { kind: 'brief' })['more'];
    steering?: Simulated['steering'];
    set?: (start: Settings) => Settings;
    tilted?: Rig;
    mended?: Partial<{ brief: Brief; more: object; steering: undefined; rig: Rig }> | null;
  },
): SymptomCase {
  const start = { ...startSetup(brief, rig).settings, gainMode: 'manual' as const };
  const source: Simulated = { kind: 'brief', brief, seed: SEED, water: 2, more, steering };
  const settings = set(start);
  const before = { pass: { source, rig: tilted }, settings };
  const remedy = REMEDIES[symptom];
  if (remedy.kind === 'dials')
    return { before, after: { ...before, settings: remedied(settings, remedy, start) } };
  if (!mended) return { before, after: null };
  const { rig: level = tilted, ...water } = mended;
  return { before, after: { pass: { source: { ...source, ...water }, rig: level }, settings } };
}

const scene = (sceneId: string, rig: Rig, settings: Settings, rangeM: number): SymptomCase => ({
  before: {
    pass: { source: { kind: 'scene', sceneId, seed: SEED }, rig },
    settings: { ...settings, rangeM },
  },
  after: null,
});

/** The symptom as this boat's own sounder would draw it. @param louderDb gain over that, for what shows on a loud picture only */
export function symptomCase(symptom: Symptom, rig: Rig, louderDb = 0): SymptomCase {
  const straightDown: Brief = { ...WATER, presentation: 'vertical', speedMps: USUAL_SPEED_MPS.vertical };
  const narrow = narrowest(rig);
  const plane = [{ atS: PLANES_AT_S, way: 'plane' as const, speedMps: WATER.speedMps }];
  switch (symptom) {
    case 'specks':
      return over(symptom, rig, { set: (s) => ({ ...louder(s, FAR_TOO_LOUD_DB), noiseRejection: 0 }) });
    case 'nothing-drawn':
      return over(symptom, rig, { set: (s) => ({ ...s, ...MUTE }) });
    case 'dashes':
      return over(symptom, rig, {
        brief: { ...WATER, othersNear: true, faceId: narrowest(rig).id },
        set: (s) => ({ ...louder(s, DASHES_DB + louderDb), otherSounders: 0, noiseRejection: 0 }),
      });
    case 'bars':
      return over(symptom, rig, {
        brief: { ...WATER, faceId: narrowest(rig).id },
        more: { electrical: true },
        set: (s) => louder(s, louderDb),
        mended: { more: {} },
      });
    case 'top-mess':
      return over(symptom, rig, {
        brief: { ...WATER, windMps: WINDY_MPS },
        set: (s) => ({ ...louder(s, MESS_DB), topWater: 0, tvg: 'flat' }),
      });
    case 'bed-one-colour':
      return over(symptom, rig, { set: (s) => ({ ...louder(s, TOO_LOUD_DB), colourSpreadDb: 20 }) });
    case 'second-bed':
      return over(symptom, rig, {
        brief: rockUnder(hastyRate(rig), WATER),
        set: (s) => ({ ...louder(s, 4), pingRate: hastyRate(rig) }),
      });
    case 'bed-lost':
      return over(symptom, rig, { set: (s) => ({ ...s, lookNoDeeperM: LOOKS_TO_M }) });
    case 'fish-tiny':
      return over(symptom, rig, { set: (s) => ({ ...s, rangeM: 3 * s.rangeM, lookNoDeeperM: null }) });
    case 'marks-too-long':
      return over(symptom, rig, {
        brief: { ...WATER, presentation: 'drift', speedMps: SLOW_DRIFT_MPS },
        set: (s) => ({ ...s, chartSpeed: FAST_CHART, chartSync: false }),
      });
    case 'brush-needle':
      return over(symptom, rig, {
        more: { cover: 'brush', coverAgeYears: 0 },
        set: (s) => ({ ...s, chartSpeed: SLOW_CHART, chartSync: false }),
      });
    case 'only-lines':
      return over(symptom, rig, { brief: straightDown, mended: { brief: WATER } });
    case 'half-arches':
      return over(symptom, rig, {
        brief: { ...WATER, faceId: narrow.id },
        tilted: { ...rig, mount: { ...rig.mount, alongRad: TILT * narrow.beam.alongRad } },
        mended: { rig: { ...rig, mount: LEVEL_MOUNT } },
      });
    case 'gone-at-speed':
      return over(symptom, rig, { steering: plane, mended: { steering: undefined } });
    case 'size-changes':
      return over(symptom, rig, { steering: plane, set: (s) => ({ ...s, gainMode: 'auto', gainDb: 0 }) });
    case 'straight-row':
      return scene('towed-weight', rig, startSetup(straightDown, rig).settings, 20);
    case 'spikes-at-lure':
      return scene('lure-answered', rig, startSetup(straightDown, rig).settings, 20);
    case 'lure-late': {
      const { rod } = rig.positions;
      const aside = { ...rig, positions: { ...rig.positions, rod: { ...rod, y: rod.y + ROD_ASIDE_M } } };
      return scene('lure-answered', aside, startSetup(straightDown, rig).settings, 20);
    }
    case 'old-wood':
      return over(symptom, rig, {
        brief: { ...WATER, faceId: narrow.id },
        more: { cover: 'brush', coverAgeYears: OLD_YEARS },
        mended: { more: { cover: 'brush', coverAgeYears: 0 } },
      });
    case 'marks-late':
      return over(symptom, rig, {
        tilted: { ...rig, positions: { ...rig.positions, antenna: { x: AHEAD_M, y: 0 } } },
      });
  }
}
