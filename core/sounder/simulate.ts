import { seededRandom } from '@/core/maths';
import { faceBudget, singlePulse, type Face, type Rig } from '@/core/rig';
import type { Channel, Navigation, Recording } from '@/core/recording';
import type { Scene, Track } from '@/core/scene';
import { listen } from './listen';
import { traceEchoes, type EchoGeometry } from './trace';

/** What is asked of one simulated pass. */
export interface SoundingRequest {
  scene: Scene;
  track: Track;
  rig: Rig;
  faces: readonly Face[];
  pingRate: number;
  /** Far end of the listening window, m. */
  farM: number;
  seed: number;
}

/** First echoes are traced this much beyond the window, so that the bed's tail and late echoes are whole. */
const TRACE_BEYOND = 1.6;

/** The channel one face hears; `geometry` spares the tracing when only pulse, power or noise changed. */
export function soundChannel(request: SoundingRequest, face: Face, geometry?: EchoGeometry): Channel {
  const { scene, track, rig, pingRate, farM, seed } = request;
  const budget = faceBudget(rig, face, scene.water);
  const traced = geometry ?? traceEchoes(scene, track, rig, face, farM * TRACE_BEYOND);
  const heard = listen(
    traced,
    track,
    { budget, pingRate, farM, otherSounder: scene.otherSounder },
    seededRandom(seed).fork(face.id),
  );
  return {
    id: face.id,
    label: face.label,
    frequencyHz: face.frequencyHz,
    beam: face.beam,
    pulse: singlePulse(face.pulseS, face.frequencyHz, face.quality),
    resolutionM: budget.resolutionM,
    soundSpeedMps: budget.soundSpeedMps,
    firstRangeM: 0,
    sampleStepM: heard.sampleStepM,
    pingCount: traced.pingCount,
    sampleCount: heard.sampleCount,
    levelDb: heard.levelDb,
    calibration: { sourceLevelDb: budget.sourceLevelDb, absorptionDbPerM: budget.absorptionDbPerM },
  };
}

/** What the boat's own instruments note with the pings. */
function navigationOf(track: Track, scene: Scene): Navigation {
  const count = track.timeS.length;
  return {
    timeS: track.timeS,
    eastM: track.xM,
    northM: track.yM,
    speedMps: track.speedMps,
    headingRad: track.headingRad,
    pitchRad: track.pitchRad,
    rollRad: track.rollRad,
    heaveM: track.heaveM,
    temperatureC: new Float32Array(count).fill(scene.water.temperatureC),
    supplyV: new Float32Array(count).fill(12.6),
  };
}

/** The recording a rig makes of a scene along a track. Same request, same levels. */
export function simulate(request: SoundingRequest): Recording {
  return {
    version: 1,
    title: request.scene.title,
    pingRate: request.pingRate,
    origin: request.scene.origin,
    navigation: navigationOf(request.track, request.scene),
    channels: request.faces.map((face) => soundChannel(request, face)),
  };
}
