import { absorptionOf, soundSpeedOf } from '@/core/water';
import { facePulse, placeFromFace, placeOfFace, rangeResolution, type Face, type Rig } from '@/core/rig';
import { trackOfPlace, type Scene, type Track } from '@/core/scene';
import { framesOf } from './frame';
import { patternTable } from './patternTable';
import { traceBed, type BedEchoes } from './traceBed';
import { tracePoints, type PointEchoes } from './tracePoints';
import { traceVolume, type VolumePart } from './traceVolume';

/**
 * Everything about the echoes of a pass that pulse, power and noise do not touch: who answers from which range, how
 * strongly, in what phase. Worked out once a face and kept.
 */
export interface EchoGeometry {
  face: Face;
  soundSpeedMps: number;
  absorptionDbPerM: number;
  pingCount: number;
  points: PointEchoes;
  /** Height and number of the range bins of the bed and the volume. */
  binM: number;
  binCount: number;
  bed: BedEchoes;
  volume: readonly VolumePart[];
}

/** First echoes are traced to this much beyond the deepest bed, so that its tail and its late echoes are whole. */
const BEYOND_BED = 1.35;
const FINEST_BIN_M = 0.02;
const MOST_BINS = 1500;
const FARTHEST_M = 2000;

/**
 * Traces every echo of a pass for one face.
 * @param farM end of the listening window, m, above 0
 * @throws RangeError unless farM is above 0 and at most 2,000 m
 */
export function traceEchoes(whole: Scene, boat: Track, rig: Rig, face: Face, farM: number): EchoGeometry {
  if (!(farM > 0 && farM <= FARTHEST_M))
    throw new RangeError(`sounder: range must be above 0 and at most ${FARTHEST_M} m, got ${farM}`);
  // All is seen from where this face hangs; what hangs from the boat keeps its own place on it.
  const track = trackOfPlace(boat, placeOfFace(rig, face.id));
  const scene = {
    ...whole,
    gear: whole.gear.map((g) => ({ ...g, from: placeFromFace(rig, face.id, g.from) })),
  };
  const pattern = patternTable(face.beam);
  const soundSpeedMps = soundSpeedOf(scene.water);
  const absorptionDbPerM = absorptionOf(scene.water, face.frequencyHz).dbPerM;
  let deepest = 0;
  const depths = scene.bed.depthM;
  for (let i = 0; i < depths.length; i++) if (depths[i]! > deepest) deepest = depths[i]!;
  const traceM = Math.min(FARTHEST_M, BEYOND_BED * Math.max(farM / BEYOND_BED, deepest));
  const binM = Math.max(FINEST_BIN_M, traceM / MOST_BINS);
  const binCount = Math.ceil(traceM / binM);
  const frames = framesOf(track, rig.mount);
  const bed = traceBed(scene, track, frames, face, pattern, soundSpeedMps, absorptionDbPerM, binM, binCount);
  return {
    face,
    soundSpeedMps,
    absorptionDbPerM,
    pingCount: track.timeS.length,
    points: tracePoints(
      scene,
      track,
      frames,
      face,
      pattern,
      soundSpeedMps,
      absorptionDbPerM,
      bed.mirror,
      rangeResolution(facePulse(face), soundSpeedMps),
      traceM,
    ),
    binM,
    binCount,
    bed,
    volume: traceVolume(scene, track, pattern, absorptionDbPerM, binM, binCount),
  };
}
