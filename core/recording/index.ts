export {
  channelOf,
  rangeOfSample,
  sampleOfRange,
  type Calibration,
  type Channel,
  type Navigation,
  type Recording,
} from './recording';
