import { isGap } from '@/core/maths';
import type { Channel } from '@/core/recording';
import type { BedLine } from '../bed/bedLine';
import { scratchFloats } from './scratch';

/** Finer than this nothing is read: a fish is longer, and a body resolved into its parts is still one fish. m */
const STEP_M = 0.04;
/** A pulse this many groups long is met in full by one sample of each. */
const LONG_PULSE = 1.8;

/** How many samples of a channel make one to be read. */
const groupOf = ({ sampleStepM }: Channel): number => Math.max(1, Math.floor(STEP_M / sampleStepM));

const isLongPulsed = (channel: Channel): boolean =>
  channel.resolutionM >= LONG_PULSE * groupOf(channel) * channel.sampleStepM;

/** More than this change little. */
const MOST_CELLS = 16;

/** Of how many cells, each with noise of its own, a sample of the working channel is the strongest: one every half pulse. */
export function cellsToOne(channel: Channel): number {
  if (isLongPulsed(channel)) return 1;
  const spanM = (groupOf(channel) - 1) * channel.sampleStepM;
  return Math.min(MOST_CELLS, Math.round(1 + (2 * spanM) / channel.resolutionM));
}

/**
 * A channel at the fineness reading works at. Of a short pulse finely sampled each group of samples keeps its strongest, so that the
 * parts of one body and the range side lobes of a sweep come together; of a long one, any: the strongest would be that of the noise.
 * A coarse channel is returned as it is.
 */
export function workingChannel(channel: Channel): Channel {
  const group = groupOf(channel);
  if (group < 2) return channel;
  const { pingCount, sampleCount: n, levelDb } = channel;
  const sampleCount = Math.floor(n / group);
  const compared = isLongPulsed(channel) ? 1 : group;
  const out = scratchFloats('working', pingCount * sampleCount);
  for (let p = 0; p < pingCount; p++)
    for (let j = 0; j < sampleCount; j++) {
      const from = p * n + j * group;
      let most = levelDb[from]!;
      for (let k = 1; k < compared; k++) if (levelDb[from + k]! > most) most = levelDb[from + k]!;
      out[p * sampleCount + j] = most;
    }
  const sampleStepM = group * channel.sampleStepM;
  return {
    ...channel,
    firstRangeM: channel.firstRangeM,
    sampleStepM,
    sampleCount,
    levelDb: out,
    resolutionM: Math.max(channel.resolutionM, 2 * sampleStepM),
  };
}

/** Water under the deepest bed of a block that is kept, m. */
const UNDER_BED_M = 2;

/** A channel without what lies well under its deepest bed: nothing is sought there, and it may be more than half of the samples. */
export function croppedToBed(channel: Channel, bed: BedLine): Channel {
  let deepest = 0;
  for (const range of bed.rangeM) {
    if (isGap(range)) return channel;
    if (range > deepest) deepest = range;
  }
  const { pingCount, sampleCount: n, sampleStepM, firstRangeM, levelDb } = channel;
  const kept = Math.ceil((deepest + UNDER_BED_M - firstRangeM) / sampleStepM);
  if (!(kept > 0 && kept < 0.9 * n)) return channel;
  const out = scratchFloats('cropped', pingCount * kept);
  for (let p = 0; p < pingCount; p++) out.set(levelDb.subarray(p * n, p * n + kept), p * kept);
  return { ...channel, sampleCount: kept, levelDb: out };
}
