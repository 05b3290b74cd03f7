export { toDb, fromDb, sumDb } from './decibel';
export { seededRandom, type Random } from './random';
export { besselJ1 } from './bessel';
export { bisectFalling } from './bisect';
export { clamp, logistic, median, medianInPlace, selectInPlace } from './statistics';
export { distanceM, offsetFrom, placeFrom, type Position } from './position';
export { strongestLogMean, strongestMean, strongestQuantile } from './strongestOf';
export { powersToDb } from './powersToDb';
export { powerOf } from './powerOf';
