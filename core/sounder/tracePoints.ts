import { amplitudeFromDb } from '@/core/maths';
import { FISH_HIGHLIGHTS, fishTargetStrength, tiltEffect } from '@/core/water';
import type { Face } from '@/core/rig';
import { fishAt, gearAt, type Scene, type Track } from '@/core/scene';
import type { Frames } from './frame';
import { LOSS_STEP_M, pathOf } from './path';
import { reachAlong, type PatternTable } from './patternTable';
import { PointList } from './pointList';
import { crowdTracer } from './traceCrowds';

/** Every point that answers, ping after ping. */
export interface PointEchoes {
  /** Points of ping p are start[p] … start[p + 1] − 1. */
  start: Int32Array;
  /** Slant range, m. */
  rangeM: Float32Array;
  /** Complex pressure ratio to the source at 1 m, there and back: its phase is the path's. */
  re: Float32Array;
  im: Float32Array;
}

/** Two-way pressure pattern under which a point is left out, −70 dB. */
const FAINTEST = 3.2e-4;
/** Nearer than this nothing is put: it would be in the face. */
const NEAREST_M = 0.1;

/** Entries of the phase table; their step is a hundredth of what roughens a level by 0.01 dB. */
const PHASES = 4096;
const COS = Float64Array.from({ length: PHASES }, (_, i) => Math.cos((2 * Math.PI * i) / PHASES));
const SIN = Float64Array.from({ length: PHASES }, (_, i) => Math.sin((2 * Math.PI * i) / PHASES));

/**
 * Works out which points answer each ping, from what range, how strongly and in what phase: fish by their highlights and
 * their tilt against the beam, bait one by one, cover, gear, drifters and the mirror part of the bed.
 * @param mirror per ping: x and y of the bed's mirror point from the face, its depth under the face, and its pressure
 * ratio at the range r before 1/r² (0 = none); four a ping
 * @param resolutionM how far apart in range two echoes are told apart, m @param farM beyond this crowds are not followed, m
 */
export function tracePoints(
  scene: Scene,
  track: Track,
  frames: Frames,
  face: Face,
  pattern: PatternTable,
  soundSpeedMps: number,
  absorptionDbPerM: number,
  mirror: Float32Array,
  resolutionM: number,
  farM: number,
): PointEchoes {
  const pings = track.timeS.length;
  const list = new PointList();
  const start = new Int32Array(pings + 1);
  const wavelength = soundSpeedMps / face.frequencyHz;
  const path = pathOf(wavelength, absorptionDbPerM);
  const { loss, turnsPerM } = path;
  const reach = reachAlong(face.beam);
  const { sqrt, floor, cos, sin } = Math;
  // Looked up once: in here a lookup through the module would cost more than the work.
  const [cosOf, sinOf, nearest, faintest, perLoss, phases] = [
    COS,
    SIN,
    NEAREST_M,
    FAINTEST,
    1 / LOSS_STEP_M,
    PHASES,
  ];
  const pressure = pattern.pressure;
  let ax = 1,
    ay = 0,
    az = 0,
    bx = 0,
    by = 1,
    bz = 0;

  const put = (amplitude: number, dx: number, dy: number, dz: number, turns: number): void => {
    const range = sqrt(dx * dx + dy * dy + dz * dz);
    if (range < nearest) return;
    const u = (dx * ax + dy * ay + dz * az) / range;
    const w = (dx * bx + dy * by + dz * bz) / range;
    const two = pressure(u * u, w * w);
    if (two < faintest) return;
    const at = range * perLoss;
    const i = at | 0;
    const l0 = loss[i]!;
    const absorbed = l0 + (loss[i + 1]! - l0) * (at - i);
    const a = (amplitude * two * absorbed) / (range * range);
    const cycles = turnsPerM * range + turns;
    const k = ((cycles - floor(cycles)) * phases) | 0;
    const n = list.count;
    list.range[n] = range;
    list.re[n] = a * cosOf[k]!;
    list.im[n] = a * sinOf[k]!;
    list.count = n + 1;
  };

  const fishAmplitude = scene.fish.map((f) =>
    amplitudeFromDb(fishTargetStrength(f.lengthM, face.frequencyHz, f.bladder)),
  );
  // What tilt does to a fish's echo, by degree.
  const fishTilt = scene.fish.map((f) =>
    Float64Array.from({ length: 92 }, (_, deg) =>
      amplitudeFromDb(tiltEffect(f.lengthM, wavelength, (deg * Math.PI) / 180)),
    ),
  );
  const targetAmplitude = scene.targets.map((t) => amplitudeFromDb(t.targetStrengthDb));
  const gearAmplitude = scene.gear.map((g) => amplitudeFromDb(g.targetStrengthDb));
  const drifterAmplitude = scene.drifters.map((d) => amplitudeFromDb(d.targetStrengthDb));
  const place = new Float64Array(6);
  const crowds = crowdTracer(scene, track, frames, face, pattern, path, resolutionM, farM);

  for (let p = 0; p < pings; p++) {
    start[p] = list.count;
    const f = 6 * p;
    ax = frames[f]!;
    ay = frames[f + 1]!;
    az = frames[f + 2]!;
    bx = frames[f + 3]!;
    by = frames[f + 4]!;
    bz = frames[f + 5]!;
    const t = track.timeS[p]!;
    const x0 = track.xM[p]!;
    const y0 = track.yM[p]!;
    const heave = track.heaveM[p]!;
    const heading = track.headingRad[p]!;
    const ch = cos(heading);
    const sh = sin(heading);

    list.reserve(
      3 * scene.fish.length + scene.targets.length + scene.gear.length + scene.drifters.length + 1,
    );
    if (mirror[4 * p + 3]! > 0)
      put(mirror[4 * p + 3]!, mirror[4 * p]!, mirror[4 * p + 1]!, mirror[4 * p + 2]!, 0);
    for (let k = 0; k < scene.fish.length; k++) {
      const fish = scene.fish[k]!;
      fishAt(fish, t, place);
      const dx = place[0]! - x0;
      const dy = place[1]! - y0;
      const dz = place[2]! - heave;
      if (dz < nearest || Math.abs(dx * ch + dy * sh) > reach * dz + fish.lengthM) continue;
      const flat = cos(place[4]!);
      const [hx, hy, hz] = [cos(place[3]!) * flat, sin(place[3]!) * flat, -sin(place[4]!)];
      const range = sqrt(dx * dx + dy * dy + dz * dz);
      // How far the beam meets the body off square.
      const off = Math.abs(Math.asin((dx * hx + dy * hy + dz * hz) / range)) * (180 / Math.PI);
      const tilt = fishTilt[k]!;
      const i = off | 0;
      const amplitude = fishAmplitude[k]! * (tilt[i]! + (tilt[i + 1]! - tilt[i]!) * (off - i));
      for (let h = 0; h < FISH_HIGHLIGHTS.length; h++) {
        const { along, share, turns } = FISH_HIGHLIGHTS[h]!;
        const l = along * fish.lengthM;
        put(amplitude * sqrt(share), dx + l * hx, dy + l * hy, dz + l * hz, turns);
      }
    }
    for (let k = 0; k < scene.targets.length; k++) {
      const target = scene.targets[k]!;
      put(targetAmplitude[k]!, target.x - x0, target.y - y0, target.z - heave, 0);
    }
    for (let k = 0; k < scene.gear.length; k++) {
      gearAt(scene.gear[k]!, track.speedMps[p]!, t, place);
      put(
        gearAmplitude[k]!,
        place[0]! * ch - place[1]! * sh,
        place[0]! * sh + place[1]! * ch,
        place[2]! - heave,
        0,
      );
    }
    for (let k = 0; k < scene.drifters.length; k++) {
      const d = scene.drifters[k]!;
      if (t < d.fromS || t > d.toS) continue;
      const age = d.fromS === -Infinity ? t : t - d.fromS;
      const z = d.z + d.vz * age - heave;
      if (z > nearest) put(drifterAmplitude[k]!, d.x + d.vx * age - x0, d.y + d.vy * age - y0, z, 0);
    }
    crowds(p, list);
  }
  start[pings] = list.count;
  return {
    start,
    rangeM: list.range.subarray(0, list.count),
    re: list.re.subarray(0, list.count),
    im: list.im.subarray(0, list.count),
  };
}
