import { isGap, median } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from '../bed/bedLine';
import type { CloudFinding } from '../finding';
import type { Excess } from '../levels/background';
import { BEAM_ADDS, footprintOf, measured, type OnBedOutline } from './onBed';

/** Least height of a tree that is told from bait by its shape, m. */
const LEAST_M = 2.5;
/** Water under its faint foot, m, and as a share of its height. */
const FOOT_M = 2.5;
const FOOT_SHARE = 0.5;
/** How far it may reach along the way, what the beam adds taken off, as a share of its height: bait by the bed is drawn longer than high. */
const SLENDER = 0.9;

/**
 * What a cloud measures as a tree that stands on the bed, waterlogged and too faint to be joined to it ping by ping: higher than it
 * is long, its foot close to the bed. Null where it is none of that.
 */
export function standingTimber(
  { fromPing, toPing, top, bottom }: CloudFinding,
  channel: Channel,
  bed: BedLine,
  excess: Excess,
  pingsPerM: number,
): OnBedOutline | null {
  const height = new Float32Array(channel.pingCount).fill(NaN);
  const tall: number[] = [];
  const foot: number[] = [];
  top.forEach((range, k) => {
    const bedM = bed.rangeM[fromPing + k]!;
    if (isGap(bedM)) return;
    height[fromPing + k] = isGap(range) ? 0 : bedM - range;
    if (isGap(range)) return;
    tall.push(bedM - range);
    foot.push(bedM - bottom[k]!);
  });
  if (tall.length < top.length / 2) return null;
  const heightM = tall.reduce((a, b) => Math.max(a, b));
  const footprintM = footprintOf(
    channel,
    median(Array.from(bed.rangeM.subarray(fromPing, toPing + 1))) - heightM / 2,
  );
  const wayM = (toPing - fromPing + 1) / pingsPerM;
  if (
    heightM < LEAST_M ||
    median(foot) > Math.min(FOOT_M, FOOT_SHARE * heightM) ||
    wayM - BEAM_ADDS * footprintM > SLENDER * heightM
  )
    return null;
  return measured(channel, bed, bed.rangeM, excess, height, fromPing, toPing, pingsPerM);
}
