import { isGap, median } from '@/core/maths';
import type { Channel, Stretch } from '@/core/recording';
import type { BedLine } from '../bed/bedLine';
import type { CloudFinding, CoverFinding } from '../finding';
import type { Excess } from '../levels/background';
import { coverFinding } from './coverFinding';
import { BEAM_ADDS, footprintOf, measured, type OnBedOutline } from './onBed';

/** Least height of a tree that is told from bait by its shape, m. */
const LEAST_M = 2.5;
/** Water under its faint foot, m, and as a share of its height. */
const FOOT_M = 2.5;
const FOOT_SHARE = 0.5;
/** How far it may reach along the way, what the beam adds taken off, as a share of its height: bait by the bed is drawn longer than high. */
const SLENDER = 0.9;

/** How likely what stands like a tree is something on the bed, and no bait. */
const STANDING = 0.8;

/**
 * A cloud as what stands on the bed: a tree, waterlogged and too faint to be joined to it ping by ping. It is higher than long, its foot
 * close to the bed. Null where it is none of that, or where the bed is lost under it.
 */
export function standingTimber(
  { fromPing, toPing, top, bottom }: CloudFinding,
  channel: Channel,
  stretch: Stretch,
  bed: BedLine,
  excess: Excess,
  pingsPerM: number,
): { outline: OnBedOutline; finding: CoverFinding } | null {
  const under = bed.rangeM.subarray(fromPing, toPing + 1);
  if (under.some(isGap)) return null;
  const height = new Float32Array(channel.pingCount);
  const foot: number[] = [];
  let heightM = 0;
  top.forEach((range, k) => {
    if (isGap(range)) return;
    height[fromPing + k] = under[k]! - range;
    heightM = Math.max(heightM, under[k]! - range);
    foot.push(under[k]! - bottom[k]!);
  });
  const footprintM = footprintOf(channel, median(Array.from(under)) - heightM / 2);
  const lengthM = (toPing - fromPing + 1) / pingsPerM - BEAM_ADDS * footprintM;
  if (
    foot.length < top.length / 2 ||
    heightM < LEAST_M ||
    median(foot) > Math.min(FOOT_M, FOOT_SHARE * heightM) ||
    lengthM > SLENDER * heightM
  )
    return null;
  const outline = measured(channel, bed, bed.rangeM, excess, height, fromPing, toPing, pingsPerM);
  const { finding } = coverFinding(outline, channel, stretch, bed);
  return { outline, finding: { ...finding, confidence: STANDING * finding.probability[finding.cover] } };
}
