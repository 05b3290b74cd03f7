import type { Channel } from '@/core/recording';
import type { BedLine } from '../bed/bedLine';
import type { Place } from '../clouds/fewBodies';
import type { OnBedOutline } from './onBed';

/** What stands on the bed lies so many pulses over the bed's own first echo. */
const OVER_BED_PULSES = 1.5;

/** The samples between the top of what stands on the bed and the bed; gaps where nothing of it is clear of the bed. */
export function placeOnBed(
  { fromPing, toPing, heightM }: OnBedOutline,
  channel: Channel,
  bed: BedLine,
): Place {
  const sampleAt = (rangeM: number): number =>
    Math.floor((rangeM - channel.firstRangeM) / channel.sampleStepM);
  const top = new Int32Array(heightM.length).fill(-1);
  const bottom = new Int32Array(heightM.length).fill(-1);
  heightM.forEach((height, k) => {
    const range = bed.rangeM[fromPing + k]!;
    const [a, b] = [sampleAt(range - height), sampleAt(range - OVER_BED_PULSES * channel.resolutionM)];
    if (b > a && a >= 0) [top[k], bottom[k]] = [a, b];
  });
  return { fromPing, toPing, top, bottom };
}
