import { placeFrom } from '@/core/maths';
import { freshness, NO_FEED, placeNow, valueNow, withReadings, type BoatFeed } from './boatFeed';
import type { BoatReading, Quantity } from './reading';

const HERE = { latitudeDeg: -47.3, longitudeDeg: -124.9 };
const said = (quantity: Quantity, value: number, from = 'SD'): BoatReading => ({ quantity, value, from });
const at = (eastM: number, northM: number, from = 'GP'): BoatReading[] => {
  const place = placeFrom(HERE, eastM, northM);
  return [said('latitudeDeg', place.latitudeDeg, from), said('longitudeDeg', place.longitudeDeg, from)];
};
const heard = (...steps: [atS: number, readings: BoatReading[]][]): BoatFeed =>
  steps.reduce((feed, [atS, readings]) => withReadings(feed, readings, atS), NO_FEED);

describe('what a boat says', () => {
  it('is live, stale after 5 s, gone after 30', () => {
    const feed = heard([100, [said('depthM', 8)]]);
    const { depthM } = feed.values;
    expect([104, 106, 131].map((s) => freshness(depthM, s))).toEqual(['live', 'stale', 'gone']);
    expect(valueNow(feed, 'depthM', 129)).toBe(8);
    expect(valueNow(feed, 'depthM', 131)).toBeNull();
    expect(freshness(undefined, 0)).toBe('gone');
  });
  it('is left out where no boat can have it', () => {
    const feed = heard([1, [said('depthM', -3), said('speedMps', 300), said('supplyV', NaN)]]);
    expect(feed.values).toEqual({});
    expect(feed.doubts['out-of-bounds']).toBe(1);
  });
  it('keeps to the first of two talkers while it lives, and names a disagreement', () => {
    const feed = heard([1, [said('depthM', 8, 'SD')]], [2, [said('depthM', 11, 'II')]]);
    expect(feed.values.depthM!.value).toBe(8);
    expect(feed.doubts['talkers-disagree']).toBe(2);
    // Once the first is silent the second is heard.
    expect(withReadings(feed, [said('depthM', 11, 'II')], 8).values.depthM!.value).toBe(11);
  });
  it('knows feet that are said as metres, from one talker or two', () => {
    const two = heard([1, [said('depthM', 8, 'SD')]], [2, [said('depthM', 26.3, 'II')]]);
    expect(two.doubts['feet-for-metres']).toBe(2);
    const one = heard([1, [said('depthM', 8)]], [2, [said('depthM', 26.3)]]);
    expect(one.values.depthM!.value).toBe(8);
    expect(one.doubts['feet-for-metres']).toBe(2);
    // A ledge is no feet.
    expect(heard([1, [said('depthM', 8)]], [2, [said('depthM', 12)]]).values.depthM!.value).toBe(12);
  });
  it('does not follow a position that jumps, until the boat stays there', () => {
    let feed = heard([1, at(0, 0)], [2, at(2, 0)]);
    feed = withReadings(feed, at(5000, 0), 3);
    expect(placeNow(feed, 3)!.longitudeDeg).toBeCloseTo(placeFrom(HERE, 2, 0).longitudeDeg, 9);
    expect(feed.doubts['position-jump']).toBe(3);
    // Back again: nothing was lost.
    expect(placeNow(withReadings(feed, at(6, 0), 4), 4)!.longitudeDeg).toBeCloseTo(
      placeFrom(HERE, 6, 0).longitudeDeg,
      9,
    );
    // Four times there: it was the old place that was wrong.
    for (let s = 4; s <= 6; s++) feed = withReadings(feed, at(5000 + s, 0), s);
    expect(placeNow(feed, 6)!.longitudeDeg).toBeCloseTo(placeFrom(HERE, 5006, 0).longitudeDeg, 9);
  });
  it('takes half a place for none', () => {
    expect(placeNow(heard([1, [said('latitudeDeg', 1)]]), 1)).toBeNull();
  });
});
