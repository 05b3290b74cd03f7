import type { BedLine } from './bedLine';

/** Longer gaps are left: over so many pings the bed may go anywhere. */
const MOST_PINGS = 24;

/** A bed line with its short gaps bridged straight: where the bed is lost for a moment it is still there, and what it echoes is no bait. */
export function withGapsBridged({ rangeM, contrastDb }: BedLine): BedLine {
  const bridged = rangeM.slice();
  let last = -1;
  for (let p = 0; p < rangeM.length; p++) {
    if (!(rangeM[p]! > 0)) continue;
    if (last >= 0 && p - last <= MOST_PINGS + 1)
      for (let q = last + 1; q < p; q++)
        bridged[q] = rangeM[last]! + ((rangeM[p]! - rangeM[last]!) * (q - last)) / (p - last);
    last = p;
  }
  return { rangeM: bridged, contrastDb };
}
