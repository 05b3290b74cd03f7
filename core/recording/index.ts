export {
  channelOf,
  durationOf,
  navigationOf,
  pingCountOf,
  recordingOf,
  wayOf,
  withoutGain,
  type Calibration,
  type Channel,
  type Navigation,
  type Recording,
  type Stretch,
} from './recording';
export { straightWay } from './straightWay';
