import type { Channel } from '@/core/recording';
import { strengthAt } from '../marks/strengthAt';
import type { EchoTrack } from '../marks/followEchoes';
import type { CloudFinding } from '../finding';
import { footprintOf, type OnBedOutline } from './onBed';

/** A piece lies within this of the thing, or of another piece of it, along the way, m. */
const ASIDE_M = 0.6;
/** And none farther from the thing itself than this, m. */
const MOST_ASIDE_M = 2.5;
/** How far a piece may stand over the tallest of the thing that is joined to the bed, m. */
const OVER_M = 0.5;
/** It answers no louder than the thing's own loudest parts, by this, dB. */
const LOUDER_DB = 1;

/** A cloud that is a piece is drawn no longer than the beam makes a narrow thing, and this, m. */
const NARROW_M = 1.5;

/** Whether a cloud is a piece of what stands on the bed: a crown or limbs drawn apart from it, narrow and hardly higher. */
export function isPieceOfCover(
  { fromPing, toPing, rangeM, heightM }: CloudFinding,
  things: readonly OnBedOutline[],
  channel: Channel,
  pingsPerM: number,
): boolean {
  const aside = ASIDE_M * pingsPerM;
  return (
    (toPing - fromPing + 1) / pingsPerM < footprintOf(channel, rangeM + heightM / 2) + NARROW_M &&
    things.some(
      (thing) =>
        toPing >= thing.fromPing - aside &&
        fromPing <= thing.toPing + aside &&
        rangeM > thing.nearestM - OVER_M,
    )
  );
}

/**
 * Those of some tracks that are pieces of what stands on the bed, drawn apart from it: branches, stems at its edge, the legs of both.
 * Close to it, hardly higher, and no louder than what it is made of; a fish there is louder, or clear of it.
 * @param things none of rock, which has no branches
 */
export function piecesOfCover(
  tracks: readonly EchoTrack[],
  things: readonly OnBedOutline[],
  channel: Channel,
  pingsPerM: number,
): Set<EchoTrack> {
  const pieces = new Set<EchoTrack>();
  const loudest = tracks.map(({ pings, peakSample }) =>
    pings.reduce((most, ping, i) => Math.max(most, strengthAt(channel, ping, peakSample[i]!)), -Infinity),
  );
  for (const { fromPing, toPing, nearestM, strongDb } of things) {
    const aside = ASIDE_M * pingsPerM;
    let [from, to] = [fromPing, toPing];
    for (let more = true; more;) {
      more = false;
      tracks.forEach((track, i) => {
        const { pings, rangeM } = track;
        const [first, last] = [pings[0]!, pings[pings.length - 1]!];
        if (pieces.has(track) || last < from - aside || first > to + aside) return;
        if (Math.min(...rangeM) < nearestM - OVER_M || loudest[i]! > strongDb + LOUDER_DB) return;
        pieces.add(track);
        from = Math.max(Math.min(from, first), fromPing - MOST_ASIDE_M * pingsPerM);
        to = Math.min(Math.max(to, last), toPing + MOST_ASIDE_M * pingsPerM);
        more = true;
      });
    }
  }
  return pieces;
}
