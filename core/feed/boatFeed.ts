import { distanceM, type Position } from '@/core/maths';
import { M_PER_FOOT } from '@/core/units';
import { QUANTITIES, type BoatReading, type Quantity } from './reading';

/** A value with the moment it was said at, s, and by whom. */
export interface FeedValue {
  value: number;
  atS: number;
  from: string;
}

/** Why something a boat said is not shown. */
export const FEED_DOUBTS = ['out-of-bounds', 'position-jump', 'talkers-disagree', 'feet-for-metres'] as const;
export type FeedDoubt = (typeof FEED_DOUBTS)[number];

/** All that is known of the boat now. */
export interface BoatFeed {
  values: Partial<Record<Quantity, FeedValue>>;
  /** A place that leapt, until the boat stays there. */
  leapt: { place: Position; atS: number; times: number } | null;
  /** What is doubted, with the moment it was last heard, s. */
  doubts: Partial<Record<FeedDoubt, number>>;
}

export const NO_FEED: BoatFeed = { values: {}, leapt: null, doubts: {} };

/** From this age a value is old, and from this it is not shown, s. */
export const STALE_S = 5;
export const GONE_S = 30;

/** Faster than any boat of this kind, m/s; and places after which a leap is believed. */
const LEAP_MPS = 40;
const LEAPS_BELIEVED = 4;
/** Two talkers disagree from so much, as a share, or so much of the quantity. */
const DISAGREE_SHARE = 0.15;
const DISAGREE: Partial<Record<Quantity, number>> = { depthM: 0.6, temperatureC: 2, speedMps: 0.7 };
/** Feet taken for metres differ by this share and no other. */
const FEET_SHARE = 0.04;

export type Freshness = 'live' | 'stale' | 'gone';

/** How far a value can be trusted at a moment: live, stale after 5 s, gone after 30. */
export function freshness(value: FeedValue | undefined, nowS: number): Freshness {
  if (!value || nowS - value.atS > GONE_S) return 'gone';
  return nowS - value.atS > STALE_S ? 'stale' : 'live';
}

/** A value that is not gone. */
export const valueNow = (feed: BoatFeed, quantity: Quantity, nowS: number): number | null => {
  const value = feed.values[quantity];
  return value && freshness(value, nowS) !== 'gone' ? value.value : null;
};

/** Where the antenna is, while that is known. */
export function placeNow(feed: BoatFeed, nowS: number): Position | null {
  const latitudeDeg = valueNow(feed, 'latitudeDeg', nowS);
  const longitudeDeg = valueNow(feed, 'longitudeDeg', nowS);
  return latitudeDeg === null || longitudeDeg === null ? null : { latitudeDeg, longitudeDeg };
}

/** Whether one is the other in feet. */
function inFeet(a: number, b: number): boolean {
  const ratio = Math.max(a, b) / Math.min(a, b);
  return Math.abs(ratio * M_PER_FOOT - 1) < FEET_SHARE;
}

/**
 * The feed with what was said at one moment put in. The first talker of a quantity is kept to as long as it is live; what is out of bounds, leaps, or
 * disagrees with it is left out and noted.
 */
export function withReadings(feed: BoatFeed, readings: readonly BoatReading[], nowS: number): BoatFeed {
  const values = { ...feed.values };
  const doubts = { ...feed.doubts };
  let { leapt } = feed;
  const said = new Map<Quantity, BoatReading>();
  for (const reading of readings) {
    const { quantity, value, from } = reading;
    const [low, high] = QUANTITIES[quantity];
    if (!(value >= low && value <= high)) {
      doubts['out-of-bounds'] = nowS;
      continue;
    }
    // Said twice at one moment, the first counts as known already.
    const first = said.get(quantity);
    const before = first ? { ...first, atS: nowS } : values[quantity];
    const heldByOther = before && before.from !== from && freshness(before, nowS) === 'live';
    if (heldByOther) {
      const limit = DISAGREE[quantity];
      if (
        limit !== undefined &&
        Math.abs(value - before.value) > Math.max(limit, DISAGREE_SHARE * before.value)
      )
        doubts[
          quantity === 'depthM' && inFeet(value, before.value) ? 'feet-for-metres' : 'talkers-disagree'
        ] = nowS;
      continue;
    }
    // One talker that turns to feet from one moment to the next.
    if (quantity === 'depthM' && before && before.from === from && freshness(before, nowS) === 'live')
      if (value > 3 * before.value && inFeet(value, before.value)) {
        doubts['feet-for-metres'] = nowS;
        continue;
      }
    said.set(quantity, reading);
  }
  const latitude = said.get('latitudeDeg');
  const longitude = said.get('longitudeDeg');
  if (latitude && longitude) {
    const place = { latitudeDeg: latitude.value, longitudeDeg: longitude.value };
    const before = placeNow({ ...feed, values }, nowS);
    const sinceS = nowS - (values.latitudeDeg?.atS ?? nowS);
    const leaps = before !== null && distanceM(before, place) > LEAP_MPS * Math.max(1, sinceS);
    if (leaps) {
      const stays = leapt && distanceM(leapt.place, place) <= LEAP_MPS * Math.max(1, nowS - leapt.atS);
      leapt = { place, atS: nowS, times: stays ? leapt!.times + 1 : 1 };
      doubts['position-jump'] = nowS;
    }
    if (leaps && leapt!.times < LEAPS_BELIEVED) {
      said.delete('latitudeDeg');
      said.delete('longitudeDeg');
    } else leapt = null;
  } else {
    said.delete('latitudeDeg');
    said.delete('longitudeDeg');
  }
  for (const [quantity, { value, from }] of said) values[quantity] = { value, atS: nowS, from };
  return { values, leapt, doubts };
}
