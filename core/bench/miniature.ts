import { recordingOf } from '@/core/recording';
import type { MountFault } from './mountFaults';
import { seededRandom } from '@/core/maths';
import { PLAIN_SETTINGS, type PaletteName, type Picture, type Settings } from '@/core/picture';
import { drawPicture } from '@/core/picture/drawing';
import { type Mount, type Rig, screenOf, seenFrom } from '@/core/rig';
import { emptyScene, holding, layBed, layTrack, recipeOf, timeOf, type Scene } from '@/core/scene';
import { simulate } from '@/core/sounder';
import { pingingFaces, scenePass, sectionsOf } from './benchPass';
import { midFishOf, targetOf, waterOf, type Brief } from '@/core/advice';

/** Columns of a miniature, and most pings that are made for one. */
const COLUMNS = 160;
const MOST_PINGS = 700;
/** Fish of a miniature: one over the middle of the boat's way. */
const SEED = 7;

/** A flat bed and fish that lie still under the line, at the middle of the brief's water. */
function stillWater(brief: Brief, wayM: number, fishAt: readonly number[]): Scene {
  const random = seededRandom(SEED);
  const depthM = midFishOf(brief);
  const length = Math.sqrt(brief.lengthM[0] * brief.lengthM[1]);
  const room = wayM + 4 * brief.toM + 20;
  return {
    ...emptyScene({
      id: 'miniature',
      title: '',
      teaches: '',
      water: waterOf(brief),
      origin: { latitudeDeg: -47.3, longitudeDeg: -124.9 },
      bed: layBed(
        { originXM: -room / 2, originYM: -room / 2, widthM: 1.5 * room, heightM: room, cellM: room / 60 },
        () => brief.toM,
        () => (brief.bed === 'unknown' ? 'sand' : brief.bed),
      ),
    }),
    fish: fishAt.map((share) =>
      holding({ lengthM: length, bladder: targetOf(brief).bladder }, [share * wayM, 0, depthM], random),
    ),
  };
}

/** Draws a pass over still fish at a setup. @param fishAt where they lie, as shares of the way */
function drawn(
  brief: Brief,
  rig: Rig,
  settings: Settings,
  fishAt: readonly number[],
  columns: number,
): Picture {
  const durationS = Math.min(columns / settings.chartSpeed, MOST_PINGS / settings.pingRate);
  const scene = stillWater(brief, brief.speedMps * durationS, fishAt);
  const sections = sectionsOf(brief.presentation, brief.speedMps, durationS);
  const track = layTrack(
    { sections, pingRate: settings.pingRate, windMps: brief.windMps },
    seededRandom(SEED).fork('waves'),
  );
  const recording = simulate({
    scene,
    track,
    rig: seenFrom(rig, settings.faceId),
    faces: pingingFaces(rig, settings),
    pingRate: settings.pingRate,
    farM: settings.rangeM,
    power: settings.power,
    seed: SEED,
  });
  return drawPicture(recordingOf([recording]), settings, { rows: screenOf(rig).rows, columns }, durationS);
}

/** What one fish of a brief will look like at a setup: some seconds of the unit's own screen, made by the simulator. */
export const miniature = (brief: Brief, rig: Rig, settings: Settings): Picture =>
  drawn(brief, rig, settings, [0.5], COLUMNS);

const MOUNTS: Record<MountFault, Partial<Mount>> = {
  none: {},
  loose: { looseRad: 0.15 },
  tilted: { alongRad: 0.2 },
  churned: { churn: 0.75 },
  // Half of the face behind something: half the sound out and half of the echo in.
  obstructed: { athwartRad: 0.35 },
  'wrong-kind': {},
};
/** A face driven far from the frequency it was made for sends and hears this much less, as a share of power. */
const OFF_TUNE = 0.002;
const OBSTRUCTED = 0.05;

/** What a fault of the mount draws of the same fish: the same water, the same setup. */
export function faultMiniature(brief: Brief, rig: Rig, settings: Settings, fault: MountFault): Picture {
  const share = fault === 'wrong-kind' ? OFF_TUNE : fault === 'obstructed' ? OBSTRUCTED : 1;
  const faulty: Rig = {
    ...rig,
    mount: { ...rig.mount, ...MOUNTS[fault] },
    faces: rig.faces.map((f) => ({ ...f, efficiency: Math.max(1e-4, f.efficiency * share) })),
  };
  return drawn(brief, faulty, settings, [0.3, 0.7], COLUMNS);
}

/** Cells of a scene at a glance, and pings for it: enough to know it by. */
const GLANCE = { rows: 72, columns: 150 };
/** So few pings a pass show their noise large: what is drawn at a glance stands well over it, dB and neighbours. */
const GLANCE_FIRST_COLOUR_DB = 6;
const GLANCE_REJECTION = 1;

/** All of a named scene in one small picture, by the boat's widest cone. @throws RangeError for a scene there is not */
export function sceneMiniature(sceneId: string, rig: Rig, palette: PaletteName): Picture {
  const { sections, rangeM } = recipeOf(sceneId);
  const cones = rig.faces.filter((f) => f.beam.shape !== 'fan');
  const face = [...(cones.length > 0 ? cones : rig.faces)].sort((a, b) => a.frequencyHz - b.frequencyHz)[0]!;
  const durationS = timeOf(sections);
  const pingRate = GLANCE.columns / durationS;
  const recording = simulate(
    scenePass(sceneId, rig, { faceId: face.id, pingRate, rangeM, power: 'full' }, SEED),
  );
  const settings: Settings = {
    ...PLAIN_SETTINGS,
    faceId: face.id,
    rangeM,
    gainMode: 'auto',
    firstColourDb: GLANCE_FIRST_COLOUR_DB,
    noiseRejection: GLANCE_REJECTION,
    chartSpeed: pingRate,
    palette,
  };
  return drawPicture(recordingOf([recording]), settings, GLANCE, durationS);
}
