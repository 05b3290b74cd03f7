import { seededRandom } from '@/core/maths';
import { faceBudget, type Face, type PowerMode, type Rig } from '@/core/rig';
import type { Channel, Navigation, Stretch } from '@/core/recording';
import { ENGINES, trackOfPlace, type Scene, type Track } from '@/core/scene';
import { receive } from './receive';
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
  power?: PowerMode;
  seed: number;
}

/** The channel one face hears; `geometry` spares the tracing when only pulse, power or noise changed. */
export function soundChannel(request: SoundingRequest, face: Face, geometry?: EchoGeometry): Channel {
  const { scene, track, rig, pingRate, farM, power = 'full', seed } = request;
  const budget = faceBudget(rig, face, scene.water, { power });
  const traced = geometry ?? traceEchoes(scene, track, rig, face, farM);
  const heard = receive(
    traced,
    track,
    {
      budget,
      noiseDb: ENGINES.map((engine) => faceBudget(rig, face, scene.water, { engine, power }).noiseLevelDb),
      pingRate,
      farM,
      otherSounders: scene.otherSounders,
      electrical: scene.electrical,
    },
    seededRandom(seed).fork(face.id),
  );
  return {
    id: face.id,
    label: face.label,
    frequencyHz: face.frequencyHz,
    beam: face.beam,
    pulse: budget.pulse,
    resolutionM: heard.echoM,
    soundSpeedMps: budget.soundSpeedMps,
    firstRangeM: 0,
    sampleStepM: heard.sampleStepM,
    pingCount: traced.pingCount,
    sampleCount: heard.sampleCount,
    levelDb: heard.levelDb,
    calibration: { sourceLevelDb: budget.sourceLevelDb, absorptionDbPerM: budget.absorptionDbPerM },
  };
}

/** Volts a starter battery shows with the engine off and with it charging. */
const SUPPLY_V = [12.6, 13.8] as const;

/** What the boat's own instruments note with the pings; places are the antenna's. */
function navigationOf(track: Track, scene: Scene, rig: Rig): Navigation {
  const antenna = trackOfPlace(track, rig.positions.antenna);
  const count = track.timeS.length;
  return {
    timeS: track.timeS,
    eastM: antenna.xM,
    northM: antenna.yM,
    speedMps: track.speedMps,
    headingRad: track.headingRad,
    pitchRad: track.pitchRad,
    rollRad: track.rollRad,
    heaveM: track.heaveM,
    temperatureC: new Float32Array(count).fill(scene.water.temperatureC),
    supplyV: Float32Array.from(track.engine, (e) => SUPPLY_V[e > 0 ? 1 : 0]),
  };
}

/** The recording a rig makes of a scene along a track. Same request, same levels. */
export function simulate(request: SoundingRequest): Stretch {
  return {
    title: request.scene.title,
    pingRate: request.pingRate,
    origin: request.scene.origin,
    navigation: navigationOf(request.track, request.scene, request.rig),
    channels: request.faces.map((face) => soundChannel(request, face)),
  };
}
