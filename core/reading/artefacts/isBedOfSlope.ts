import { isGap } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from '../bed/bedLine';
import { beyondBeam } from '../bed/bedShape';
import type { CloudFinding } from '../finding';

/** What the outline of a cloud may reach beyond the echo, pulses, and no less than this, m. */
const ABOUT_PULSES = 2;
const ABOUT_LEAST_M = 0.25;
/** Of a cloud's pings so many must lie there. */
const SHARE = 0.8;
/** A line that jumps by so much, m, within so many pings, goes from one ledge to the next. */
const JUMP_M = 1;
const JUMP_PINGS = 6;
/** The face between two ledges begins at the one line, this thin, and ends near the other, as a share of the jump. */
const BEGINS_M = 0.6;
const NEAR_SHARE = 0.35;

type Outline = Pick<CloudFinding, 'fromPing' | 'toPing' | 'top'>;

/** Whether a cloud lies between a slope's perpendicular and the line. */
function isBeforeLine(
  { fromPing, top }: Outline,
  { rangeM }: BedLine,
  slopeRad: Float32Array,
  half: number,
  aboutM: number,
): boolean {
  let told = 0;
  let there = 0;
  top.forEach((range, k) => {
    const line = rangeM[fromPing + k]!;
    const slope = slopeRad[fromPing + k]!;
    if (isGap(range) || isGap(line) || isGap(slope)) return;
    told++;
    if (beyondBeam(slope, half) > 0 && range > line * Math.cos(slope) - aboutM) there++;
  });
  return told > 0 && there >= SHARE * told;
}

/** Values from one place to another, gaps left out. */
const between = (values: Float32Array, from: number, to: number): Float32Array =>
  values.subarray(Math.max(0, from), Math.max(0, to + 1)).filter((x) => !isGap(x));

/** Whether a cloud grows out of the line at one end and is thick at the other, where the line jumps to its top: a ledge's face. */
function isFace({ fromPing, toPing, top }: Outline, { rangeM }: BedLine, aboutM: number): boolean {
  const ends = [fromPing, toPing].map((ping) => {
    const tops = between(top, ping - fromPing - JUMP_PINGS, ping - fromPing + JUMP_PINGS);
    const lines = between(rangeM, ping - JUMP_PINGS, ping + JUMP_PINGS);
    const nearestTop = Math.min(...tops);
    return {
      /** How far the line lies under the top, and how near it comes to it, m. */
      jumpM: Math.max(...lines) - nearestTop,
      offM: Math.min(...lines.map((line) => Math.abs(line - nearestTop))),
      thinM: Math.max(...lines) - Math.max(...tops),
    };
  });
  return ends.some(
    ({ jumpM, offM }, k) =>
      jumpM > JUMP_M &&
      offM < NEAR_SHARE * jumpM &&
      ends[1 - k]!.thinM < Math.max(BEGINS_M + aboutM, NEAR_SHARE * jumpM),
  );
}

/**
 * Whether a cloud is a slope's own echo. Where the beam does not reach the foot of the perpendicular its side lobes do, and between that,
 * at the cosine of the slope, and the line, which is drawn where the beam looks, all is bed. So is the face between two ledges, the
 * stronger echoes, from the one of which the line jumps to the other.
 * @param bed as it was found, gaps and all @param slopeRad of its line along the way, by ping, rad
 */
export function isBedOfSlope(
  cloud: Outline,
  { beam, resolutionM }: Channel,
  bed: BedLine,
  slopeRad: Float32Array,
): boolean {
  const aboutM = Math.max(ABOUT_PULSES * resolutionM, ABOUT_LEAST_M);
  return isBeforeLine(cloud, bed, slopeRad, beam.alongRad / 2, aboutM) || isFace(cloud, bed, aboutM);
}
