import type { Settings } from '@/core/picture';
import { falseBeds, footprintWidth, type Face, type Mount } from '@/core/rig';
import type { Presentation } from './brief';

/** What the coach can say, most pressing first. */
export const COACH_NAMES = [
  'shallow',
  'off-spot',
  'voltage-low',
  'bed-at-foot',
  'range-too-deep',
  'reference',
  'false-bed',
  'too-fast',
  'chart-speed',
  'level',
] as const;
export type CoachName = (typeof COACH_NAMES)[number];

/** One thing said, with the numbers it was found by: measured, and the limit. */
export interface CoachSaying {
  name: CoachName;
  measured: number;
  limit: number;
  /** What to set instead, where it is a number. */
  better: number | null;
}

/** What the coach looks at; null for what is not known now. */
export interface CoachSigns {
  settings: Settings;
  face: Face;
  mount: Mount;
  phase: Presentation;
  /** Speed the setup was made for, m/s. */
  setupSpeedMps: number;
  soundSpeedMps: number;
  depthM: number | null;
  speedMps: number | null;
  pitchRad: number | null;
  supplyV: number | null;
  /** A reference ahead, m; null for none. */
  referenceM: number | null;
  /** Distance from the spot that is held, m. */
  offSpotM: number | null;
  shallowM: number;
}

/** The bed within this share of the window's foot, and a window this many times the water. */
const FOOT_SHARE = 0.96;
const DEEP_TIMES = 2.2;
/** Pings a fish in the middle of the beam must have for an arch. */
const ARCH_PINGS = 10;
/** A chart off by half. */
const CHART_OFF = 1.5;
/** Pitch moves the beam by this share of its half width before it is said. */
const PITCH_SHARE = 0.5;
/** A lead battery at this is all but empty under load, V. */
const LOW_V = 11.6;
const OFF_SPOT_M = 8;
/** A reference is told of from here on, m. */
const REFERENCE_M = 60;
/** Slower than this a chart has no way to be matched to, m/s. */
const CHART_MPS = 0.5;

/** All that holds now, most pressing first. */
export function coachSayings(signs: CoachSigns): CoachSaying[] {
  const { settings, face, mount, phase, depthM, speedMps, pitchRad, supplyV, offSpotM } = signs;
  const foot = settings.topM + settings.rangeM;
  const out: CoachSaying[] = [];
  const say = (name: CoachName, measured: number, limit: number, better: number | null = null): void => {
    out.push({ name, measured, limit, better });
  };
  if (depthM !== null && depthM < signs.shallowM) say('shallow', depthM, signs.shallowM);
  if (offSpotM !== null && offSpotM > OFF_SPOT_M) say('off-spot', offSpotM, OFF_SPOT_M);
  if (supplyV !== null && supplyV < LOW_V) say('voltage-low', supplyV, LOW_V);
  if (depthM !== null && settings.zoom === 1 && settings.bedLockM === null) {
    if (depthM > FOOT_SHARE * foot) say('bed-at-foot', depthM, foot, Math.ceil(1.2 * depthM));
    else if (settings.topM === 0 && foot > DEEP_TIMES * depthM && depthM > 2)
      say('range-too-deep', foot, depthM, Math.ceil(1.25 * depthM));
  }
  if (signs.referenceM !== null && signs.referenceM < REFERENCE_M)
    say('reference', signs.referenceM, REFERENCE_M);
  if (depthM !== null) {
    // The bed's first two echoes are loud anywhere; the limit is for both to be back before the next ping.
    const late = falseBeds(depthM, settings.pingRate, signs.soundSpeedMps, 2).find(
      (bed) => bed.rangeM > 1 && bed.rangeM < 0.95 * depthM,
    );
    if (late) say('false-bed', settings.pingRate, late.rangeM, signs.soundSpeedMps / (4 * depthM));
  }
  if (speedMps !== null && phase !== 'run') {
    if (depthM !== null && speedMps > 1.25 * signs.setupSpeedMps && speedMps > CHART_MPS) {
      const across = footprintWidth(0.6 * depthM, face.beam.alongRad);
      const limit = (across * settings.pingRate) / ARCH_PINGS;
      if (speedMps > limit) say('too-fast', speedMps, limit);
    }
    const matched = signs.setupSpeedMps > CHART_MPS && speedMps > CHART_MPS && !settings.chartSync;
    const ratio = speedMps / Math.max(0.1, signs.setupSpeedMps);
    if (matched && (ratio > CHART_OFF || ratio < 1 / CHART_OFF))
      say('chart-speed', speedMps, signs.setupSpeedMps, settings.chartSpeed * ratio);
  }
  const half = face.beam.alongRad / 2;
  if (pitchRad !== null && phase !== 'run' && Math.abs(pitchRad + mount.alongRad) > PITCH_SHARE * half)
    say('level', pitchRad + mount.alongRad, PITCH_SHARE * half);
  return out;
}

/** Something must hold so long before it is said, and stands so long once it is, s. */
const HOLD_S = 5;
const STAND_S = 8;

export interface Coach {
  /** When each thing that holds began to, s. */
  since: Partial<Record<CoachName, number>>;
  /** What is said now, and since when. */
  said: { saying: CoachSaying; sinceS: number } | null;
}

export const SILENT_COACH: Coach = { since: {}, said: null };

/** One sentence at a time: what holds for some seconds, most pressing first, never a stream. @param muted things not to be said */
export function coachNow(
  coach: Coach,
  sayings: readonly CoachSaying[],
  muted: readonly CoachName[],
  nowS: number,
): Coach {
  const since: Coach['since'] = {};
  for (const { name } of sayings) since[name] = coach.since[name] ?? nowS;
  const due = sayings.filter((s) => !muted.includes(s.name) && nowS - since[s.name]! >= HOLD_S);
  const { said } = coach;
  const still = said && due.find((s) => s.name === said.saying.name);
  const [first] = due;
  if (said && still) {
    const pressing = first && COACH_NAMES.indexOf(first.name) < COACH_NAMES.indexOf(still.name);
    if (!pressing || nowS - said.sinceS < STAND_S)
      return { since, said: { saying: still, sinceS: said.sinceS } };
  }
  return { since, said: first ? { saying: first, sinceS: nowS } : null };
}
