export { simulate, soundChannel, type SoundingRequest } from './simulate';
export { traceEchoes, type EchoGeometry } from './trace';
export { patternTable } from './patternTable';
export { visibleFish, type VisibleFish } from './visible';
