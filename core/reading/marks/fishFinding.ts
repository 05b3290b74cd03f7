import { clamp, lineFit, median } from '@/core/maths';
import type { Channel } from '@/core/recording';
import { fishLengthOf, fishTargetStrength, lengthFactorOf, PASS_SPREAD_DB, squareOnGain } from '@/core/water';
import { confidenceOf } from '../confidence';
import type { FishFinding, MarkShape, Reason, SizeReading } from '../finding';
import { gapTo, type BedLine } from '../bed/bedLine';
import { NO_FAR_LEGS, type FarLegs } from './farLegs';
import { LONG_PINGS, markEvidence, shapeOfLegs } from './markRules';
import type { Fitted } from './fitted';
import { beamStrength } from './beamStrength';
import { strengthAt } from './strengthAt';
import { MARK_WEIGHTS } from './weights';
import { STILL_MPS } from '@/core/rig';

/** Rise of the mark from its outer ends to its nearest point, m, either side. */
export function legs(f: Fitted, nearest: number, apexS: number): { before: number; after: number } {
  let before = 0;
  let after = 0;
  f.times.forEach((t, i) => {
    const rise = f.track.rangeM[i]! - nearest;
    if (t < apexS) before = Math.max(before, rise);
    else after = Math.max(after, rise);
  });
  return { before, after };
}

/** How many pulses a thread wanders, rms. */
const WANDERS = 0.8;

/** How far a mark's ranges lie off their own mean, m, rms. */
function wander({ track }: Fitted): number {
  const mean = track.rangeM.reduce((a, b) => a + b, 0) / track.rangeM.length;
  return Math.sqrt(track.rangeM.reduce((sum, r) => sum + (r - mean) ** 2, 0) / track.rangeM.length);
}

/** @param drawn legs and pings of the mark as the picture shows them */
function shapeOf(f: Fitted, channel: Channel, speed: number, { before, after, pings }: FarLegs): MarkShape {
  const pulseM = channel.resolutionM;
  // Under a boat that keeps still nothing is passed: what comes and goes is the fish's own way.
  if (speed < STILL_MPS && pings > LONG_PINGS) return wander(f) > WANDERS * pulseM ? 'thread' : 'line';
  return shapeOfLegs(
    pings,
    before / pulseM,
    after / pulseM,
    // Adrift abeam a fan is as wide along the way as a cone, and draws legs.
    channel.beam.alongRad < channel.beam.athwartRad && speed >= STILL_MPS,
  );
}

/** Standard deviation of a fish's strength from not knowing its kind of swim bladder, dB. */
const KIND_SPREAD_DB = 2;
/** The stated lengths reach so many standard deviations to either side; the parts are on the wide side, so this holds 85 of 100. */
const SIZE_SIGMAS = 1.15;

/** Seconds a mark must last for that. */
const LEAST_RISE_S = 4;

/** How fast a mark rises, by least squares over its ranges, m/s; null for a short one. */
function risingOf({ times, track }: Fitted): number | null {
  const n = times.length;
  if (n < 8 || times[n - 1]! - times[0]! < LEAST_RISE_S) return null;
  return -lineFit(times, track.rangeM).slope;
}

/** How far the practice that sizes by height is off, as a factor: what is drawn is pulse and level, not the body. */
const HEIGHT_PRACTICE_FACTOR = 3;
/** And by a dot's brightness on a fan, whose pings are few. */
const DOT_PRACTICE_FACTOR = 2.6;

/** Length by each practice. Height: the thickness of the mark taken for the body's, a fifth of its length. */
function sizesOf(likely: number | null, spread: number, thickM: number, channel: Channel): SizeReading[] {
  const around = (l: number, factor: number): [number, number, number] => [l / factor, l, l * factor];
  const sizes: SizeReading[] = [
    { practice: 'height', lengthM: around(thickM / BODY_HEIGHT, HEIGHT_PRACTICE_FACTOR) },
  ];
  if (likely === null) return sizes;
  if (channel.beam.shape === 'fan')
    sizes.push({ practice: 'dot', lengthM: around(likely, Math.max(spread, DOT_PRACTICE_FACTOR)) });
  else sizes.push({ practice: 'strength', lengthM: around(likely, spread) });
  return sizes;
}

/** A fish's height as a share of its length. */
const BODY_HEIGHT = 0.2;

/** A fish answers squarely only to a beam this near the vertical through it, as a sine (fish swim within about 8° of level, Foote 1980). */
const SQUARE_SIN = 0.14;
const FEWEST_SQUARE = 5;

/** The pings that met the fish nearly from above: farther out its own directivity, which nobody knows, takes the echo down. */
function nearlyAbove(levels: readonly number[], sinAlong: readonly number[]): [number[], number[]] {
  const order = sinAlong.map((_, i) => i).sort((a, b) => sinAlong[a]! - sinAlong[b]!);
  const kept = order.filter((i, rank) => rank < FEWEST_SQUARE || sinAlong[i]! < SQUARE_SIN);
  return [kept.map((i) => levels[i]!), kept.map((i) => sinAlong[i]!)];
}

/** Length in the middle of those a mark may have, m, and how far they spread about its strength, dB: 9 to 55 cm is a standard deviation. */
const USUAL_LENGTH_M = 0.22;
const USUAL_SPREAD_DB = 8;
/** Three fish in ten have an open bladder: so much under a closed one is the mean kind, dB. */
const MEAN_KIND_DB = -1.4;
/** Of what a fish seen square from above stands over its mean, the share seen so close to the vertical. */
const SQUARE_SHARE = 0.6;

/** Length whose mean echo, seen nearly from above, is this strong, m. */
function likelyLength(strengthDb: number, { frequencyHz, soundSpeedMps }: Channel): number {
  const raw = fishLengthOf(strengthDb - MEAN_KIND_DB, frequencyHz);
  const gain = SQUARE_SHARE * squareOnGain(raw, soundSpeedMps / frequencyHz);
  return fishLengthOf(strengthDb - MEAN_KIND_DB - gain, frequencyHz);
}

/** Pings either side of the nearest one that its thickness is taken over. */
const THICK_PINGS = 2;

/** Thickness of a mark about one of its pings, m. */
const thicknessAt = (thickM: readonly number[], at: number): number =>
  median(thickM.slice(Math.max(0, at - THICK_PINGS), at + THICK_PINGS + 1));

/** Puts a mark into numbers, with what speaks for it. @param far how far its legs are drawn beyond its own pings */
export function fishFinding(
  f: Fitted,
  id: number,
  channel: Channel,
  bed: BedLine,
  speed: number,
  far: FarLegs = NO_FAR_LEGS,
): FishFinding {
  const { track } = f;
  const pulseM = channel.resolutionM;
  const first = track.pings[0]!;
  const last = track.pings[track.pings.length - 1]!;
  const t0 = f.times[0]!;
  const t1 = f.times[f.times.length - 1]!;
  const inside =
    f.curve !== null &&
    f.curve.nearestTimeS > t0 - 0.1 * (t1 - t0) &&
    f.curve.nearestTimeS < t1 + 0.1 * (t1 - t0);
  const lowest = Math.min(...track.rangeM);
  // A curve may smooth the nearest range, not move it: of a mark that hardly rises it knows little.
  const rangeM =
    inside && f.curve ? clamp(f.curve.nearestRangeM, lowest - 0.5 * pulseM, lowest + pulseM) : lowest;
  const timeS =
    inside && f.curve ? clamp(f.curve.nearestTimeS, t0, t1) : f.times[track.rangeM.indexOf(lowest)]!;
  const { before, after } = legs(f, rangeM, timeS);
  const drawn: FarLegs = {
    before: Math.max(before, far.before),
    after: Math.max(after, far.after),
    pings: track.pings.length + far.pings,
  };
  const shape = shapeOf(f, channel, speed, drawn);

  const strengths = track.peakSample.map((j, i) => strengthAt(channel, track.pings[i]!, j));
  const sinAlong = f.times.map((t, i) =>
    Math.min(0.95, (Math.abs(t - timeS) * (f.curve?.speedMps ?? speed)) / Math.max(pulseM, track.rangeM[i]!)),
  );
  const [levels, sines] = nearlyAbove(strengths, sinAlong);
  // Uncalibrated levels cannot be held against what fish are expected to give.
  const expected = channel.calibration && {
    meanDb: fishTargetStrength(USUAL_LENGTH_M, channel.frequencyHz) + MEAN_KIND_DB,
    spreadDb: USUAL_SPREAD_DB,
    passDb: Math.hypot(PASS_SPREAD_DB, KIND_SPREAD_DB),
  };
  const { db: strengthDb, spreadDb } = beamStrength(levels, sines, channel.beam, expected);
  const likely = channel.calibration ? likelyLength(strengthDb, channel) : null;
  // Where it passed, how it lay, and what kind of bladder it has all stay unsure.
  const spread = lengthFactorOf(SIZE_SIGMAS * spreadDb);

  const share = track.pings.length / (last - first + 1);
  const over = median(track.overDb);
  const peakOver = Math.max(...track.overDb);
  const offM = f.curve?.offM ?? pulseM;
  const gapToBedM = gapTo(bed, track.pings[Math.floor(track.pings.length / 2)]!, rangeM);
  const halfWidth = channel.beam.athwartRad / 2;
  const thick = median(track.thickM);
  const w = MARK_WEIGHTS;
  const nearBed = gapToBedM !== null && gapToBedM < w.nearBedM;
  const heightM = thicknessAt(track.thickM, track.rangeM.indexOf(lowest));
  const evidence =
    markEvidence({
      peakOverDb: peakOver,
      pings: track.pings.length,
      shape,
      speedMps: speed,
      fan: channel.beam.shape === 'fan',
    }) -
    // A still boat draws no curve, so none is fitted.
    (speed < STILL_MPS ? 0 : w.perPulseOff * Math.max(0, offM / pulseM - w.freePulsesOff)) -
    (channel.calibration ? w.perWeakDb * clamp(w.weakDb - strengthDb, 0, w.mostWeakDb) : 0) -
    w.perThick * clamp(heightM / pulseM - w.onePulse, 0, w.mostThick) -
    w.perGap * Math.max(0, w.usualShare - share) -
    (nearBed ? w.nearBed : 0);
  const reasons: Reason[] = [
    track.nats === undefined
      ? { name: 'stands-out', db: over }
      : { name: 'faint', pings: track.pings.length },
    { name: 'followed', pings: track.pings.length, share },
  ];
  if (shape === 'arch') reasons.push({ name: 'rises', riseM: Math.min(drawn.before, drawn.after) });
  else if (gapToBedM !== null) reasons.push({ name: 'clear-of-bed', gapM: gapToBedM });
  else reasons.push({ name: 'fits-crossing', offM });
  const path = new Float32Array(last - first + 1).fill(NaN);
  track.pings.forEach((p, i) => (path[p - first] = track.rangeM[i]!));
  return {
    id,
    kind: 'fish',
    shape,
    fromPing: first,
    toPing: last,
    timeS,
    rangeM,
    depthM: [rangeM * Math.cos(Math.min(halfWidth, Math.PI / 3)), rangeM],
    heightM,
    gapToBedM,
    overBackgroundDb: peakOver,
    strengthDb,
    lengthM: likely === null ? null : [likely / spread, likely, likely * spread],
    sizes: sizesOf(likely, spread, thick, channel),
    legsM: { before, after },
    risingMps: speed < STILL_MPS ? risingOf(f) : null,
    confidence: confidenceOf(evidence),
    reasons,
    rival: nearBed
      ? { reading: 'bump-on-bed', test: 'bed-window' }
      : thick > 2 * pulseM
        ? { reading: 'several-fish', test: 'faster-chart' }
        : track.pings.length < 6
          ? { reading: 'another-sounder', test: 'pass-again' }
          : { reading: 'debris', test: 'pass-again' },
    path,
  };
}
