import { deepestFishOf, startSetup, targetOf, USUAL_SPEED_MPS, waterOf, type Brief } from '@/core/advice';
import { sectionsOf } from '@/core/bench';
import { clamp, type Random } from '@/core/maths';
import type { PaletteName, Settings } from '@/core/picture';
import { faceOf, type Face, type Rig } from '@/core/rig';
import { emptyScene, type Fish, type Scene, type TrackSection } from '@/core/scene';
import { groundUnder, WATERS } from '@/core/scene/library/waters';
import type { BedMaterial } from '@/core/water';
import type { Trained } from './drill';

/** Columns of a round's picture: a stretch of the unit's screen that a phone shows cell by cell. */
export const COLUMNS = 220;
/** Most pings made for a round. */
const MOST_PINGS = 900;
const SLOWEST_MPS = 0.8;
const FASTEST_MPS = 3;
const CALMEST_MPS = 2;

/** The way a round goes over its water: the day's own, at a speed at which marks have a shape. */
export function movingBrief(brief: Brief): Brief {
  const fits = brief.speedMps >= SLOWEST_MPS && brief.speedMps <= FASTEST_MPS;
  return {
    ...brief,
    presentation: 'search',
    speedMps: fits ? brief.speedMps : USUAL_SPEED_MPS.search,
    windMps: Math.min(brief.windMps, CALMEST_MPS),
    othersNear: false,
  };
}

/** The same day held still over one place. */
export const stillBrief = (brief: Brief): Brief => ({
  ...movingBrief(brief),
  presentation: 'vertical',
  speedMps: 0,
});

/** A stretch of the boat's way as a unit draws it, and how long it takes. */
export interface Stretch {
  brief: Brief;
  rig: Rig;
  face: Face;
  settings: Settings;
  sections: TrackSection[];
  durationS: number;
  wayM: number;
  /** Half the beam's reach along at 1 m of depth. */
  halfPerM: number;
}

/** The start setup's settings for a brief, its gain set by hand, in the colours of the light. */
export function settingsFor(brief: Brief, { rig, palettes }: Pick<Trained, 'rig' | 'palettes'>): Settings {
  const { settings, prediction } = startSetup(brief, rig);
  const palette: PaletteName = prediction.face.beam.shape === 'fan' ? palettes.slice : palettes.cone;
  return { ...settings, gainMode: 'manual', palette };
}

/** A stretch at a start setup; what is given in `set` is over it. @throws RangeError for a face the rig has not */
export function stretchOf(brief: Brief, trained: Trained, set: Partial<Settings> = {}): Stretch {
  const settings = { ...settingsFor(brief, trained), ...set };
  const durationS = Math.min(COLUMNS / settings.chartSpeed, MOST_PINGS / settings.pingRate);
  const face = faceOf(trained.rig, settings.faceId);
  return {
    brief,
    rig: trained.rig,
    face,
    settings,
    sections: sectionsOf(brief.presentation, brief.speedMps, durationS),
    durationS,
    wayM: brief.speedMps * durationS,
    halfPerM: Math.tan(face.beam.alongRad / 2),
  };
}

/**
 * The day's water over a bed, nothing in it.
 * @param depthAt depth of the bed, m, at m along the way and to its side @param materialAt of what it is; the brief's bed when left out
 */
export function emptyWater(
  { brief, wayM }: Pick<Stretch, 'brief' | 'wayM'>,
  depthAt: (x: number, y: number) => number,
  materialAt: (x: number, y: number) => BedMaterial = () => (brief.bed === 'unknown' ? 'sand' : brief.bed),
): Scene {
  const deepestM = Math.max(depthAt(0, 0), depthAt(wayM / 2, 0), depthAt(wayM, 0));
  return emptyScene({
    id: 'drill',
    title: '',
    teaches: '',
    water: waterOf(brief),
    origin: WATERS.Vessmere.origin,
    bed: groundUnder(wayM, deepestM, depthAt, materialAt),
  });
}

/** A bed that hardly rises and falls, at a depth. */
export function unevenBed(depthM: number, random: Random): (x: number, y: number) => number {
  const [a, b] = [random.between(0, 6), random.between(0, 6)];
  const swell = 0.006 * depthM;
  return (x, y) => depthM + swell * (Math.sin(x / 7 + a) + Math.sin(x / 17 + y / 11 + b));
}

/** A depth a fish of the day keeps to, m, off surface and bed. @param bedM depth of the bed there, m */
export function fishDepth(brief: Brief, bedM: number, random: Random): number {
  const low = Math.min(Math.max(1.5, brief.fromM), 0.7 * bedM);
  const high = Math.max(low, Math.min(deepestFishOf(brief), 0.86 * bedM - 0.3));
  return clamp(random.between(low, high), 0.15 * bedM, 0.9 * bedM);
}

/** A fish of the day, larger or smaller within its range: 0…1. */
export const fishSize = (brief: Brief, share: number): Pick<Fish, 'lengthM' | 'bladder'> => ({
  lengthM: brief.lengthM[0] + share * (brief.lengthM[1] - brief.lengthM[0]),
  bladder: targetOf(brief).bladder,
});
