import { lineFit, median } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { CloudOutline } from '../clouds/cloudOutline';
import type { Layer } from './layers';
import type { Fitted } from '../marks/fitted';
import { STILL_MPS } from '@/core/rig';

/** What is drawn and is no fish: single marks by what betrays them, and what the set itself or the boat draws. */
export type NotFish =
  'bubbles' | 'another-sounder' | 'own-gear' | 'electrical-bar' | 'false-bed' | 'ring-down';

/** What has been named and kept out of the fish. */
export interface NamedEcho {
  kind: NotFish;
  fromPing: number;
  toPing: number;
  /** Nearest and farthest range, m. */
  rangeM: readonly [number, number];
  /** How steady its level is from ping to ping, dB (robust standard deviation). */
  steadyDb: number;
  /** Slant, metres a ping; 0 for gear. */
  slantM: number;
}

/** Another sounder's pulse arrives as strong each time: its level varies no more than noise on it makes it, dB. */
const STEADY_DB = 1.7;
/** Its ranges lie on a straight line within this share of a pulse. */
const STRAIGHT = 0.5;
/** It slants by more than this many pulses over its length; less is a level line. */
const SLANTS = 2;
/** Two clocks draw a line that goes on by so much water; a fish's own way under a still boat is as straight for less, m. */
const GOES_ON_M = 0.6;
/** A level line is one's own gear when the boat has gone so many times farther than any fish stays in the beam. */
const LONGER = 1.5;
/** How far out a strong fish is still seen, in half widths of the beam. */
const EDGE = 2;
const LEAST_PINGS = 4;
/** Nearest in the middle and farther at both ends by so many pulses, it has been passed: nothing towed is. */
const PASSED = 1.5;
/** Share of its pings that must lie at one range when the line was let out or taken in on the way. */
const LEVEL_SHARE = 0.55;
/** Small bubbles rise this fast (Clift et al. 1978), m/s; told apart only while the boat keeps still. */
const BUBBLES_MPS = [0.09, 0.36] as const;

/** How much farther both ends of a mark are than its middle, m: the medians of its first, middle and last fifth. */
function legsOf(rangeM: readonly number[]): number {
  const fifth = Math.max(1, Math.floor(rangeM.length / 5));
  const middle = (rangeM.length - fifth) >> 1;
  const ends = Math.min(median(rangeM.slice(0, fifth)), median(rangeM.slice(-fifth)));
  return ends - median(rangeM.slice(middle, middle + fifth));
}

/**
 * Names a mark that cannot be a fish, or null. Another sounder: equally strong each time and on a straight slant, as two
 * clocks make it, and steeper than a leg unless one is known to be heard. Own gear: at one range, and without legs, for longer than a fish could stay in the beam at this speed.
 */
export function notFish(
  { track }: Fitted,
  channel: Channel,
  speedMps: number,
  pingRate: number,
  sounderHeard = false,
): NamedEcho | null {
  const { pings, rangeM, peakSample } = track;
  if (pings.length < LEAST_PINGS) return null;
  const levels = pings.map((p, i) => channel.levelDb[p * channel.sampleCount + peakSample[i]!]!);
  const middle = median(levels);
  const steadyDb = 1.48 * median(levels.map((l) => Math.abs(l - middle)));
  const { slope, off: offM } = lineFit(pings, rangeM);
  const from = pings[0]!;
  const to = pings[pings.length - 1]!;
  const near = Math.min(...rangeM);
  const far = Math.max(...rangeM);
  const named = { fromPing: from, toPing: to, rangeM: [near, far] as const, steadyDb };
  const pulse = channel.resolutionM;
  const risesMps = -slope * pingRate;
  if (
    speedMps < STILL_MPS &&
    risesMps > BUBBLES_MPS[0] &&
    risesMps < BUBBLES_MPS[1] &&
    offM < pulse &&
    near < far - SLANTS * pulse
  )
    return { kind: 'bubbles', ...named, slantM: slope };
  const slants = Math.abs(slope) * (to - from);
  // A leg comes and goes no faster than the boat does along the beam's edge.
  const legMps = speedMps * Math.sin(Math.min(Math.PI / 2, (EDGE * channel.beam.alongRad) / 2));
  const noLeg = Math.abs(slope) * pingRate > legMps && slants > GOES_ON_M;
  if (steadyDb < STEADY_DB && offM < STRAIGHT * pulse && slants > SLANTS * pulse && (sounderHeard || noLeg))
    return { kind: 'another-sounder', ...named, slantM: slope };
  const way = ((to - from) / pingRate) * speedMps;
  const inBeam = 2 * median(rangeM) * Math.tan(Math.min(1.3, (EDGE * channel.beam.alongRad) / 2));
  const share = pings.length / (to - from + 1);
  const depth = median(rangeM);
  const level = rangeM.filter((r) => Math.abs(r - depth) < pulse).length / rangeM.length;
  if (
    way > LONGER * inBeam &&
    way > 5 &&
    share > 0.6 &&
    (offM < 2 * pulse || level > LEVEL_SHARE) &&
    legsOf(rangeM) < PASSED * pulse
  )
    return { kind: 'own-gear', ...named, slantM: 0 };
  return null;
}

/** A cloud that rises as bubbles do while the boat keeps still. Null when it does not. */
export function risingBubbles(
  { fromPing, toPing, top, bottom }: CloudOutline,
  channel: Channel,
  speedMps: number,
  pingRate: number,
): NamedEcho | null {
  if (speedMps >= STILL_MPS) return null;
  const pings: number[] = [];
  const middle: number[] = [];
  let low = Infinity;
  let high = 0;
  top.forEach((a, k) => {
    if (a < 0) return;
    pings.push(fromPing + k);
    middle.push(channel.firstRangeM + ((a + bottom[k]!) / 2) * channel.sampleStepM);
    low = Math.min(low, a);
    high = Math.max(high, bottom[k]!);
  });
  if (pings.length < 2 * LEAST_PINGS) return null;
  const { slope, off: offM } = lineFit(pings, middle);
  const rises = -slope * pingRate;
  if (!(rises > BUBBLES_MPS[0] && rises < BUBBLES_MPS[1] && offM < 0.3 * (high - low) * channel.sampleStepM))
    return null;
  const range = (j: number): number => channel.firstRangeM + j * channel.sampleStepM;
  return { kind: 'bubbles', fromPing, toPing, rangeM: [range(low), range(high)], steadyDb: 0, slantM: slope };
}

/** A layer this thin, m, and so far over the water about it, dB, is no layer: it is something towed at one depth. */
const TOWED_HEIGHT_M = 1.5;
const TOWED_OVER_DB = 14;

/**
 * A level line that goes on through the pass under a moving boat: so steady that it passes for a layer, but far too thin and
 * strong for one.
 */
export function towedLine(layer: Layer, pingCount: number, speedMps: number): NamedEcho | null {
  const height = layer.bottomM - layer.topM;
  if (!(speedMps > 0.3 && height <= TOWED_HEIGHT_M && layer.overDb >= TOWED_OVER_DB)) return null;
  return {
    kind: 'own-gear',
    fromPing: 0,
    toPing: pingCount - 1,
    rangeM: [layer.topM, layer.bottomM],
    steadyDb: 0,
    slantM: 0,
  };
}
