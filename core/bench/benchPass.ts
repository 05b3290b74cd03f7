import { seededRandom } from '@/core/maths';
import type { Settings } from '@/core/picture';
import { faceOf, seenFrom, type Face, type Rig } from '@/core/rig';
import {
  briefWater,
  firstPass,
  makeScene,
  recipeOf,
  SCENE_TOPICS,
  SCENES,
  type Topic,
  trackOver,
  type Scene,
  type Track,
  holdingStill,
  idlePass,
  layTrack,
  passDuration,
  planing,
  drift,
  steered,
  wayOf,
  type Gear,
  withExtras,
  type SteeringCommand,
  type TrackSection,
  type WaterExtras,
} from '@/core/scene';
import type { SoundingRequest } from '@/core/sounder';
import type { BriefWater, PassSource } from './passSource';
import { engineOf, midFishOf, targetOf, USUAL_SPEED_MPS, waterOf, type Brief } from '@/core/advice';
import { hangingLure, lureDepth, sinkSpeed, type Tackle } from '@/core/advice/lureOnLine';
import { lureUnderBoat } from '@/core/advice/lureEcho';
import { weightTargetStrength } from '@/core/water';

/** How the boat goes for a presentation: a drift with the engine off, vertical fishing on the spot, the rest under way. */
export const sectionsOf = (
  presentation: Brief['presentation'],
  speedMps: number,
  durationS: number,
): TrackSection[] =>
  speedMps === 0
    ? holdingStill(durationS)
    : presentation === 'drift' || presentation === 'deep-drop'
      ? drift(speedMps, durationS)
      : engineOf({ presentation, speedMps }) === 'planing'
        ? planing(speedMps, durationS)
        : idlePass(speedMps, durationS);

/** What a pass is pinged with: its beams, ping rate, how deep it listens, power. */
export type Sounding = Pick<Settings, 'faceId' | 'pingRate' | 'rangeM' | 'power'> &
  Partial<Pick<Settings, 'blend'>>;

/** The beams that ping: the one that is looked at, and one laid into its picture. @throws RangeError for a face the rig has not */
export const pingingFaces = (rig: Rig, { faceId, blend }: Pick<Sounding, 'faceId' | 'blend'>): Face[] =>
  [...new Set([faceId, ...(blend ? [blend.faceId] : [])])].map((id) => faceOf(rig, id));

/** What the simulator is asked for a pass over a brief's water. @param water how that water is made: old passes keep theirs */
export function benchPass(
  brief: Brief,
  rig: Rig,
  sounding: Sounding,
  seed: number,
  water: BriefWater = 2,
  more: WaterExtras = {},
  steering: readonly SteeringCommand[] = [],
): SoundingRequest {
  const target = targetOf(brief);
  const wanted = {
    fromM: brief.fromM,
    toM: brief.toM,
    fishToM: brief.fishToM,
    lengthM: brief.lengthM,
    bladder: target.bladder,
    speedMps: brief.speedMps,
    water: waterOf(brief),
    bed: brief.bed,
    clarity: brief.clarity,
    hour: brief.hour,
    season: brief.season,
    othersNear: brief.othersNear,
    inCover: target.keeps === 'cover',
    ground: more.ground,
    crowd: more.crowd,
  };
  const seconds = passDuration(wanted);
  const made = water === 1 ? firstPass(wanted, seed) : briefWater(wanted, seed);
  const planned = sectionsOf(brief.presentation, brief.speedMps, seconds);
  const scene = withExtras(made, more, wayOf(planned), seed);
  const sections = steered(planned, steering);
  const track = layTrack(
    { sections, pingRate: sounding.pingRate, windMps: brief.windMps },
    seededRandom(seed).fork('waves'),
  );
  const lure = lureUnderBoat(brief);
  const gear = lure
    ? [...scene.gear, jigged(lure, brief, seenFrom(rig, sounding.faceId), seconds)]
    : scene.gear;
  return requestOf({ ...scene, gear }, track, rig, sounding, seed);
}

/** A lift of the lure and the wait after it: how high, m, and how long each takes, s. */
const LIFT_M = 0.3;
const LIFT_S = 0.8;
const WAIT_S = 4;

/** The lure of a brief let down to its depth and lifted now and then. @param rig as its sounding face has it */
function jigged(lure: Tackle, brief: Brief, rig: Rig, seconds: number): Gear {
  const depthM = lureDepth({ fishM: midFishOf(brief) });
  const lineOut: [number, number][] = [[0, 0]];
  for (let t = depthM / sinkSpeed(lure); t < seconds; t += WAIT_S + 2 * LIFT_S)
    lineOut.push([t, depthM], [t + WAIT_S, depthM], [t + WAIT_S + LIFT_S, depthM - LIFT_M]);
  // By its swing at a usual drift.
  const { aftM } = hangingLure(lure, depthM, USUAL_SPEED_MPS.drift);
  return {
    kind: 'lure',
    targetStrengthDb: weightTargetStrength(lure.massKg),
    from: rig.positions.rod,
    lineOut,
    swing: aftM / depthM / USUAL_SPEED_MPS.drift ** 2,
  };
}

function requestOf(scene: Scene, track: Track, rig: Rig, sounding: Sounding, seed: number): SoundingRequest {
  const { pingRate, rangeM, power } = sounding;
  return {
    scene,
    track,
    rig: seenFrom(rig, sounding.faceId),
    faces: pingingFaces(rig, sounding),
    pingRate,
    farM: rangeM,
    power,
    seed,
  };
}

/** What the simulator is asked for a pass over a named scene. @throws RangeError for a scene there is not */
export function scenePass(
  sceneId: string,
  rig: Rig,
  sounding: Sounding,
  seed: number,
  steering: readonly SteeringCommand[] = [],
): SoundingRequest {
  const sections = steered(recipeOf(sceneId).sections, steering);
  const track = trackOver(sceneId, seed, sounding.pingRate, sections);
  return requestOf(makeScene(sceneId, seed), track, rig, sounding, seed);
}

/** What the simulator is asked for a simulated source. @throws RangeError for a scene or face there is not */
export const soundingRequest = (
  source: Exclude<PassSource, { kind: 'recording' }>,
  rig: Rig,
  sounding: Sounding,
): SoundingRequest =>
  source.kind === 'brief'
    ? benchPass(source.brief, rig, sounding, source.seed, source.water, source.more, source.steering)
    : scenePass(source.sceneId, rig, sounding, source.seed, source.steering);

/** Deepest a simulated source's bed lies, m: what must be listened to at least. */
export const deepestOf = (source: Exclude<PassSource, { kind: 'recording' }>): number =>
  source.kind === 'brief' ? source.brief.toM : recipeOf(source.sceneId).rangeM;

/** The named scenes, for a list. */
export const sceneList = (): { id: string; title: string; teaches: string; topics: readonly Topic[] }[] =>
  SCENES.map(({ id, title, teaches }) => ({ id, title, teaches, topics: SCENE_TOPICS[id]! }));
