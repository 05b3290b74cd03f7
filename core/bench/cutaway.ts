import { faceOf, type Rig } from '@/core/rig';
import { bedDepthAt, fishAt, gearAt, type Scene, type Track } from '@/core/scene';
import { visibleFish, type SoundingRequest, type VisibleFish } from '@/core/sounder';

/** A fish of the true water, seen from the boat: m ahead, m to port, and depth. */
export interface CutawayFish {
  id: number;
  aheadM: number;
  portM: number;
  depthM: number;
  lengthM: number;
  /** Slant range now, m, and whether it answers now so that it shows. */
  rangeM: number;
  shows: boolean;
  /** When it begins and ends to show and is nearest, s, with its ranges then, m; null for one that never shows. */
  mark: { fromS: number; nearestS: number; toS: number; fromM: number; nearestM: number; toM: number } | null;
}

/** What made an echo: the fish, the bed's nearest touch, cover, bait or own gear; null for open water. */
export type EchoMaker =
  | { kind: 'fish'; fish: CutawayFish }
  | { kind: 'bed'; nearestM: number; belowM: number }
  | { kind: 'cover' | 'bait' | 'gear' | 'layer'; depthM: number }
  | null;

/** The true water about the boat at one moment. */
export interface Cutaway {
  timeS: number;
  /** Depth of the bed along the boat's way, m ahead and m; and across it, m to port. */
  along: { atM: Float32Array; depthM: Float32Array };
  across: { atM: Float32Array; depthM: Float32Array };
  /** Bed straight below, and its nearest touch inside the beam: range and how far ahead and to port, m. */
  belowM: number;
  touch: { rangeM: number; aheadM: number; portM: number };
  /** Half widths of the beam, rad, and where it points off straight down. */
  halfAlongRad: number;
  halfAcrossRad: number;
  tiltAlongRad: number;
  fish: CutawayFish[];
  covers: { aheadM: number; portM: number; topM: number; footM: number; radiusM: number }[];
  clouds: { aheadM: number; portM: number; depthM: number; halfAlongM: number; halfHeightM: number }[];
  layersM: number[];
  gear: { aheadM: number; portM: number; depthM: number }[];
  /** What made the echo that was asked about. */
  made: EchoMaker;
}

/** A pass with what never changes from moment to moment, worked out once. */
export interface CutawayPass {
  scene: Scene;
  track: Track;
  rig: Rig;
  faceId: string;
  visible: VisibleFish[];
}

/** @throws RangeError for a face the rig has not */
export function cutawayPass({ scene, track, rig }: SoundingRequest, faceId: string): CutawayPass {
  return { scene, track, rig, faceId, visible: visibleFish(scene, track, rig, faceOf(rig, faceId)) };
}

/** Water shown to either side, as a share of the depth, and points of the bed across it. */
const REACH = 2.2;
const POINTS = 81;
/** An echo is of what lies this near its range, m, and this share of it. */
const NEAR_M = 0.25;
const NEAR_SHARE = 0.015;
/** Rings and spokes the bed's nearest touch is sought by. */
const RINGS = 12;
const SPOKES = 24;

const pingAtTime = (timeS: Float64Array, t: number): number => {
  let low = 0;
  let high = timeS.length - 1;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (timeS[middle]! < t) low = middle + 1;
    else high = middle;
  }
  return low;
};

/** The true water at a time, and what made an echo at a range, m. @param rangeM null when no echo is asked about */
export function cutawayAt(pass: CutawayPass, timeS: number, rangeM: number | null): Cutaway {
  const { scene, track, rig, faceId, visible } = pass;
  const face = faceOf(rig, faceId);
  const p = pingAtTime(track.timeS, timeS);
  const t = track.timeS[p]!;
  const [x, y] = [track.xM[p]!, track.yM[p]!];
  const [cos, sin] = [Math.cos(track.headingRad[p]!), Math.sin(track.headingRad[p]!)];
  const ahead = (px: number, py: number): number => (px - x) * cos + (py - y) * sin;
  const port = (px: number, py: number): number => -(px - x) * sin + (py - y) * cos;
  const bedAt = (aheadM: number, portM: number): number =>
    bedDepthAt(scene.bed, x + aheadM * cos - portM * sin, y + aheadM * sin + portM * cos);
  const belowM = bedAt(0, 0) - track.heaveM[p]!;
  const reachM = Math.max(3, REACH * belowM);
  const profile = (at: (s: number) => number): { atM: Float32Array; depthM: Float32Array } => {
    const atM = Float32Array.from({ length: POINTS }, (_, i) => reachM * ((2 * i) / (POINTS - 1) - 1));
    return { atM, depthM: atM.map(at) };
  };
  const halfAlongRad = face.beam.alongRad / 2;
  const halfAcrossRad = face.beam.athwartRad / 2;
  const tiltAlongRad = rig.mount.alongRad;
  let touch = { rangeM: belowM, aheadM: 0, portM: 0 };
  for (let ring = 1; ring <= RINGS; ring++)
    for (let k = 0; k < SPOKES; k++) {
      const angle = (2 * Math.PI * k) / SPOKES;
      const aheadM = belowM * Math.tan(tiltAlongRad + (ring / RINGS) * halfAlongRad * Math.cos(angle));
      const portM = belowM * Math.tan((ring / RINGS) * halfAcrossRad * Math.sin(angle));
      const range = Math.hypot(aheadM, portM, bedAt(aheadM, portM) - track.heaveM[p]!);
      if (range < touch.rangeM) touch = { rangeM: range, aheadM, portM };
    }
  const at = new Float64Array(6);
  const fish = visible.map((v, id): CutawayFish => {
    fishAt(v.fish, t, at);
    const [aheadM, portM, depthM] = [ahead(at[0]!, at[1]!), port(at[0]!, at[1]!), at[2]!];
    const last = v.pings.length - 1;
    return {
      id,
      aheadM,
      portM,
      depthM,
      lengthM: v.fish.lengthM,
      rangeM: Math.hypot(aheadM, portM, depthM - track.heaveM[p]!),
      shows: v.pings.includes(p),
      mark:
        last < 0
          ? null
          : {
              fromS: track.timeS[v.pings[0]!]!,
              nearestS: v.nearestTimeS,
              toS: track.timeS[v.pings[last]!]!,
              fromM: v.rangeM[0]!,
              nearestM: v.nearestRangeM,
              toM: v.rangeM[last]!,
            },
    };
  });
  const covers = scene.covers.map((c) => ({
    aheadM: ahead(c.x, c.y),
    portM: port(c.x, c.y),
    topM: c.topM,
    footM: c.footM,
    radiusM: c.radiusM,
  }));
  const clouds = scene.clouds.map((c) => {
    const [cx, cy] = [c.x + c.vx * t, c.y + c.vy * t];
    return {
      aheadM: ahead(cx, cy),
      portM: port(cx, cy),
      depthM: c.z,
      halfAlongM: c.radiusXM,
      halfHeightM: c.radiusZM,
    };
  });
  const gear = scene.gear.map((g) => {
    gearAt(g, track.speedMps[p]!, t, at);
    return { aheadM: at[0]!, portM: at[1]!, depthM: at[2]! };
  });
  const cutaway: Cutaway = {
    timeS: t,
    along: profile((s) => bedAt(s, 0)),
    across: profile((s) => bedAt(0, s)),
    belowM,
    touch,
    halfAlongRad,
    halfAcrossRad,
    tiltAlongRad,
    fish: fish.filter((f) => Math.hypot(f.aheadM, f.portM) <= 1.5 * reachM),
    covers: covers.filter((c) => Math.abs(c.aheadM) - c.radiusM <= reachM),
    clouds: clouds.filter((c) => Math.abs(c.aheadM) - c.halfAlongM <= reachM),
    layersM: scene.layers.map((l) => l.depthM),
    gear,
    made: null,
  };
  return { ...cutaway, made: rangeM === null ? null : makerOf(cutaway, rangeM) };
}

/** What in the water lies at a range of this moment. */
function makerOf(cutaway: Cutaway, rangeM: number): EchoMaker {
  const near = NEAR_M + NEAR_SHARE * rangeM;
  const { fish, touch, belowM, covers, clouds, layersM, gear, halfAlongRad } = cutaway;
  const best = fish
    .filter((f) => f.shows && Math.abs(f.rangeM - rangeM) <= 2 * near)
    .sort((a, b) => Math.abs(a.rangeM - rangeM) - Math.abs(b.rangeM - rangeM))[0];
  if (best) return { kind: 'fish', fish: best };
  const within = (aheadM: number, portM: number, depthM: number, wide: number): boolean =>
    Math.hypot(aheadM, portM) - wide <= depthM * Math.tan(halfAlongRad) &&
    Math.abs(Math.hypot(Math.max(0, Math.abs(aheadM) - wide), portM, depthM) - rangeM) <= 2 * near;
  const weight = gear.find((g) => within(g.aheadM, g.portM, g.depthM, 0));
  if (weight) return { kind: 'gear', depthM: weight.depthM };
  const cover = covers.find(
    (c) =>
      rangeM >= c.topM - near &&
      rangeM <= touch.rangeM + near &&
      within(c.aheadM, c.portM, c.topM, c.radiusM + 1),
  );
  if (cover && rangeM < touch.rangeM - near) return { kind: 'cover', depthM: cover.topM };
  const cloud = clouds.find(
    (c) =>
      Math.abs(rangeM - c.depthM) <= c.halfHeightM + near &&
      Math.hypot(c.aheadM, c.portM) <= c.halfAlongM + c.depthM * Math.tan(halfAlongRad),
  );
  if (cloud) return { kind: 'bait', depthM: cloud.depthM };
  if (rangeM >= touch.rangeM - near) return { kind: 'bed', nearestM: touch.rangeM, belowM };
  const layer = layersM.find((depthM) => Math.abs(depthM - rangeM) <= 2 * near);
  return layer === undefined ? null : { kind: 'layer', depthM: layer };
}
