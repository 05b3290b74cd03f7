import { amplitudeToDb, toDb } from '@/core/maths';
import { CONTROLS, weakestColourDb, type Settings } from '@/core/picture';
import {
  beamPattern,
  DETECTION_DB,
  echoMargin,
  lureInView,
  placeFromFace,
  type Face,
  type FaceBudget,
  type Rig,
} from '@/core/rig';
import { weightTargetStrength } from '@/core/water';
import { midFishOf, type Brief, type Presentation } from './brief';
import { hangingLure, lureDepth, rodReach, USUAL_LINE_M, type Tackle } from './lureOnLine';

/** Where the lure hangs under the boat; elsewhere it is cast or pulled far behind. */
const UNDER_THE_BOAT: ReadonlySet<Presentation> = new Set(['vertical', 'drift', 'deep-drop']);

/** Whether a lure hangs under the boat as it is fished. */
export const hangsUnderBoat = ({ presentation }: Pick<Brief, 'presentation'>): boolean =>
  UNDER_THE_BOAT.has(presentation);

/** The lure a brief hangs under the boat; null where it names none or fishes it elsewhere. */
export const lureUnderBoat = (brief: Pick<Brief, 'lure' | 'presentation'>): Tackle | null =>
  brief.lure && hangsUnderBoat(brief) ? { ...brief.lure, lineM: USUAL_LINE_M } : null;

/** How a lure answers where it hangs over the fish. */
export interface LureEcho {
  massKg: number;
  /** Where it hangs, m, and from where on down the beam has it; null where it never has. */
  depthM: number;
  inViewFromM: number | null;
  /** Whether the beam has it where it hangs, and how near the rod tip must be for that, m. */
  inView: boolean;
  reachM: number;
  /** Its echo there as a strength, dB, and over the noise. */
  strengthDb: number;
  marginDb: number;
}

/** Echo of the brief's lure at the rod's place, a little over the fish; null where none hangs under the boat. */
export function lureEcho(
  brief: Brief,
  rig: Rig,
  { face, budget }: { face: Face; budget: FaceBudget },
): LureEcho | null {
  const tackle = lureUnderBoat(brief);
  if (!tackle) return null;
  const depthM = lureDepth({ fishM: midFishOf(brief) });
  const rod = placeFromFace(rig, face.id, rig.positions.rod);
  const place = { x: rod.x - hangingLure(tackle, depthM, brief.speedMps).aftM, y: rod.y };
  const view = lureInView(face, rig.mount, place);
  const along = Math.atan2(place.x, depthM) - rig.mount.alongRad;
  const athwart = Math.atan2(place.y, depthM) - rig.mount.athwartRad;
  const pattern = beamPattern(face.beam, Math.sin(along), Math.sin(athwart)) + 1e-9;
  const targetDb = weightTargetStrength(tackle.massKg);
  return {
    massKg: tackle.massKg,
    depthM,
    inViewFromM: view?.fromM ?? null,
    inView: view !== null && depthM >= view.fromM && (view.toM === null || depthM <= view.toM),
    reachM: rodReach(depthM, Math.min(face.beam.alongRad, face.beam.athwartRad)),
    strengthDb: targetDb + amplitudeToDb(pattern),
    marginDb: echoMargin(budget, Math.hypot(depthM, place.x, place.y), targetDb, toDb(pattern)),
  };
}

/** What a person sees of the lure: it shows, the gain hides it, noise does, or the beam has it not. */
export type LureSight = 'shows' | 'hidden' | 'lost' | 'outside';

/** A lure is told from the specks this far over the first colour, dB. */
const LURE_OVER_DB = 3;

/** Gain from which a lure is told, dB; over CONTROLS.gain.highest where none does. @param firstColourDb over the weakest colour */
export const gainForLure = (
  { strengthDb }: Pick<LureEcho, 'strengthDb'>,
  power: Settings['power'],
  firstColourDb: number,
): number =>
  Math.max(
    CONTROLS.gain.lowest,
    Math.ceil(weakestColourDb({ gainDb: 0, power }) + firstColourDb + LURE_OVER_DB - strengthDb),
  );

/** Whether the lure shows at these settings. With auto gain nobody knows what is hidden. */
export function lureSight(
  echo: LureEcho,
  {
    gainMode,
    gainDb,
    power,
    firstColourDb,
  }: Pick<Settings, 'gainMode' | 'gainDb' | 'power' | 'firstColourDb'>,
): LureSight {
  if (!echo.inView) return 'outside';
  if (echo.marginDb < DETECTION_DB) return 'lost';
  return gainMode === 'manual' && gainDb < gainForLure(echo, power, firstColourDb) ? 'hidden' : 'shows';
}
