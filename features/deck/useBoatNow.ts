import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { freshness, valueNow, type BoatFeed, type Quantity } from '@/core/feed';
import type { Fix } from '@/core/marks';
import { feedStore, type FeedSource } from '@/stores';

/** The boat now, as far as it is known. */
export interface BoatNow {
  source: FeedSource;
  nowS: number;
  /** Where the antenna is; null once that is gone. */
  fix: Fix | null;
  accuracyM: number;
  speedMps: number | null;
  depthM: number | null;
  temperatureC: number | null;
  /** Whether the bow's direction comes from a compass. */
  compass: boolean;
}

/** Radius a place is good to where nobody says, m. */
const USUAL_ACCURACY_M = 5;

export function boatOf(source: FeedSource, feed: BoatFeed, fixes: readonly Fix[], nowS: number): BoatNow {
  const value = (quantity: Quantity): number | null => valueNow(feed, quantity, nowS);
  const fix = fixes[fixes.length - 1] ?? null;
  return {
    source,
    nowS,
    fix: fix && freshness(feed.values.latitudeDeg, nowS) !== 'gone' ? fix : null,
    accuracyM: value('accuracyM') ?? USUAL_ACCURACY_M,
    speedMps: value('speedMps'),
    depthM: value('depthM'),
    temperatureC: value('temperatureC'),
    compass: freshness(feed.values.headingRad, nowS) === 'live',
  };
}

export function useBoatNow(): BoatNow {
  const { source, feed, fixes, nowS } = useStore(
    feedStore,
    useShallow((s) => ({ source: s.source, feed: s.feed, fixes: s.fixes, nowS: s.nowS })),
  );
  return boatOf(source, feed, fixes, nowS);
}
