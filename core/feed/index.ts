export {
  FEED_DOUBTS,
  freshness,
  GONE_S,
  NO_FEED,
  placeNow,
  STALE_S,
  valueNow,
  withReadings,
  type BoatFeed,
  type FeedDoubt,
  type FeedValue,
  type Freshness,
} from './boatFeed';
export { QUANTITIES, type BoatReading, type Quantity } from './reading';
