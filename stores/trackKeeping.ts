import { distanceM } from '@/core/maths';
import { placeNow, valueNow } from '@/core/feed';
import type { TrackPoint } from '@/core/logbook/day';
import { addTrack } from './days';
import { feedStore } from './feed';

/** A point of the track is kept every so many metres or seconds; they are written together, s. */
const EVERY_M = 4;
const EVERY_S = 20;
const WRITE_S = 8;

let begun = false;

/** Keeps where the boat went with the day that is going on, while a feed is on. */
export function keepTrack(): void {
  if (begun) return;
  begun = true;
  let last: TrackPoint | null = null;
  let lastS = 0;
  let waiting: TrackPoint[] = [];
  let writtenS = 0;
  feedStore.subscribe(({ feed, nowS, source }, before) => {
    if (source !== before.source) {
      waiting = [];
      last = null;
    }
    if (feed === before.feed || feed.values.latitudeDeg?.atS !== nowS) return;
    const place = placeNow(feed, nowS);
    if (!place) return;
    const far = !last || distanceM(last, place) >= EVERY_M || nowS - lastS >= EVERY_S;
    if (!far) return;
    lastS = nowS;
    last = {
      at: new Date(1000 * nowS).toISOString(),
      ...place,
      speedMps: valueNow(feed, 'speedMps', nowS),
      depthM: valueNow(feed, 'depthM', nowS),
      temperatureC: valueNow(feed, 'temperatureC', nowS),
      supplyV: valueNow(feed, 'supplyV', nowS),
    };
    waiting.push(last);
    if (nowS - writtenS < WRITE_S) return;
    writtenS = nowS;
    addTrack(waiting);
    waiting = [];
  });
}
