import { beamPattern, deadZone, DETECTION_DB, echoMargin, waterPerRow, type Rig } from '@/core/rig';
import { PALETTE_BOTTOM_DB, type Settings } from '@/core/picture';
import type { MarkShape } from '@/core/reading';
import { squareOnGain, tiltLoss } from '@/core/water';
import { bedEchoMargin, type Prediction } from './prediction';
import type { Brief } from './brief';
import { STILL_MPS } from './timeLines';

/** What a fish of the brief will look like, in closed form. */
export interface Expectation {
  /** At this depth: the middle of the brief's water. */
  depthM: number;
  /** Echo over noise of one that lies still under the line, dB, and what a mark of its pings needs. */
  marginDb: number;
  needDb: number;
  /** Its echo is there, but this gain and first colour leave it out. */
  hidden: boolean;
  /** Full angle over which the fish still stands over the noise, rad; 0 when it never does. The nominal one is at −3 dB. */
  effectiveRad: number;
  /** Time in that cone, s (infinite for a boat that keeps still), and pings. */
  inConeS: number;
  pings: number;
  /** How far the mark rises from its ends to its middle, m. */
  riseM: number;
  shape: MarkShape;
  /** As drawn: columns wide, rows thick, rows of rise. */
  columns: number;
  rows: number;
  riseRows: number;
  /** Two fish over each other closer than this are one mark, m. */
  gapM: number;
  /** Fish nearer the bed than this are hidden, m, half way out in the cone. */
  hiddenM: number;
  /** Whether a hard bed's second echo is heard. */
  secondEcho: boolean;
}

/** Rise under which a mark is flat, in pulse lengths: the same as the reader's. */
const FLAT_PULSES = 0.8;
/** Fewer pings are a speck like any other, so many a dot; up to so many, and whatever a slice passes, are a dash. */
const FEWEST_PINGS = 1.6;
const DOT_PINGS = 2;
const DASH_PINGS = 4;
/** A mark goes on over so many pings without an echo. */
const BRIDGED_PINGS = 3;
/** Farther off the axis nothing is promised, rad. */
const FARTHEST_RAD = 1.05;
/** So few pings are a mark only when each stands out by itself from all the noise of a screen, dB. */
const FEW_PINGS = 4;
const FEW_NEED_DB = 20;
/** Where nothing is passed a mark must hold from ping to ping, or it is pieces, dB. */
const HELD_NEED_DB = DETECTION_DB + 3;
/** Finer than this a fish is not one echo but several: what a sweep tells apart beyond it are parts of one body, m. */
const BODY_M = 0.08;

/**
 * Level over noise a mark of so many pings must have, dB: a few alone must stand out by themselves. Of a fine pulse a body takes up
 * several cells, and the strongest noise of k cells lies H_k (1 + 1/2 + … + 1/k) over the mean of one.
 */
export function neededDb(pings: number, resolutionM: number): number {
  let strongest = 0;
  for (let k = 1; k <= Math.max(1, BODY_M / resolutionM); k++) strongest += 1 / k;
  const alone = pings < FEW_PINGS ? FEW_NEED_DB : pings === Infinity ? HELD_NEED_DB : DETECTION_DB;
  return alone + 10 * Math.log10(strongest);
}

/** Level over need from which a ping of a leg is hardly ever missed, dB. */
const LEG_SPARE_DB = 3;

/** Headings and rocking a fish's strength is taken over: nobody knows how it lies. rad */
const HEADINGS = [0.13, 0.39, 0.65, 0.92, 1.18, 1.44];
const ROCKS = [-0.05, 0.05];

/**
 * Strength of the brief's fish while it lies level, seen from off the vertical, dB: from above it is strongest, from the side of a
 * beam its own directivity takes the more the nearer it lies to end on; the mean over headings.
 */
function strengthFrom(
  brief: Brief,
  { targetStrengthDb, budget, face }: Prediction,
): (offRad: number) => number {
  const length = Math.sqrt(brief.lengthM[0] * brief.lengthM[1]);
  const wave = budget.soundSpeedMps / face.frequencyHz;
  const gain = squareOnGain(length, wave);
  return (offRad) => {
    let sum = 0;
    for (const heading of HEADINGS)
      for (const rock of ROCKS) sum += tiltLoss(length, wave, offRad * Math.cos(heading) + rock);
    return targetStrengthDb + gain - sum / (HEADINGS.length * ROCKS.length);
  };
}

/** How finely a beam is walked through, as a share of its half width, and how often the last step is then halved. */
const WALK = 0.1;
const HALVED = 6;

/**
 * How far fore and aft of the nearest point a fish keeps a level, m: where twice the pattern's loss, and the longer way, have eaten
 * the margin, side lobes and all. 0 when it is lost even at its nearest.
 * @param asideM how far to the side of the boat's line it lies @param strengthFromDb its strength from so far off the vertical, dB
 * @param firstColourDb strength under which nothing is drawn, dB @param gapM a null of the beam no longer than this is bridged
 */
export function heldWay(
  p: Prediction,
  depthM: number,
  {
    asideM = 0,
    strengthFromDb = (_: number): number => p.targetStrengthDb,
    needDb = DETECTION_DB,
    firstColourDb = -Infinity,
    gapM = 0,
  } = {},
): number {
  const held = (x: number): boolean => {
    const range = Math.hypot(depthM, asideM, x);
    const lossDb = 10 * Math.log10(beamPattern(p.face.beam, x / range, asideM / range) + 1e-9);
    const strengthDb = strengthFromDb(Math.acos(Math.min(1, depthM / range)));
    return (
      strengthDb + 2 * lossDb >= firstColourDb && echoMargin(p.budget, range, strengthDb, lossDb) >= needDb
    );
  };
  if (!held(0)) return 0;
  const step = WALK * depthM * Math.tan(p.face.beam.alongRad / 2);
  const farthest = depthM * Math.tan(FARTHEST_RAD);
  let way = 0;
  for (let x = step; x <= farthest && x - way < Math.max(gapM, step) + 0.5 * step; x += step)
    if (held(x)) way = x;
  let part = step;
  for (let k = 0; k < HALVED; k++) {
    part /= 2;
    if (held(way + part)) way += part;
  }
  return way;
}

/**
 * What a fish will look like. @param settings the start setup's: pings and columns a second, window
 * @param asideM how far to the side of the boat's line it lies
 */
export function expectationOf(
  brief: Brief,
  rig: Rig,
  p: Prediction,
  settings: Settings,
  asideM = 0,
): Expectation {
  const depthM = (brief.fromM + brief.toM) / 2;
  const strengthFromDb = strengthFrom(brief, p);
  const nearestM = Math.hypot(depthM, asideM);
  const loss = beamPattern(p.face.beam, 0, asideM / nearestM);
  const strengthDb = strengthFromDb(Math.atan(asideM / depthM));
  const marginDb = echoMargin(p.budget, nearestM, strengthDb, 10 * Math.log10(loss + 1e-9));
  const still = brief.speedMps < STILL_MPS;
  const through = (way: number): number => (2 * way) / brief.speedMps;
  const nominal = still ? Infinity : through(depthM * Math.tan(p.face.beam.alongRad / 2)) * settings.pingRate;
  const pulseM = p.budget.resolutionM;
  const needDb = neededDb(nominal, pulseM);
  const gapM = (BRIDGED_PINGS * brief.speedMps) / settings.pingRate;
  const way = heldWay(p, depthM, { asideM, strengthFromDb, needDb, gapM });
  // With gain by hand and depth made up for, the first colour is one strength at every depth.
  const firstColourDb =
    settings.gainMode === 'manual' && settings.tvg === 'target'
      ? PALETTE_BOTTOM_DB - settings.gainDb + settings.firstColourDb
      : -Infinity;
  const drawn = heldWay(p, depthM, { asideM, strengthFromDb, needDb, gapM, firstColourDb });
  const inConeS = still ? Infinity : through(way);
  const pings = inConeS * settings.pingRate;
  // The outermost pings are missed as often as met: the legs that are drawn reach to where the echo has something to spare.
  const leg = heldWay(p, depthM, { asideM, strengthFromDb, needDb: needDb + LEG_SPARE_DB, gapM });
  const riseM = still ? 0 : Math.hypot(nearestM, leg) - nearestM;
  const slice = p.face.beam.shape === 'fan';
  const few = Math.round(pings);
  const shape: MarkShape =
    marginDb < needDb || pings < FEWEST_PINGS
      ? 'nothing'
      : still
        ? 'line'
        : few <= DOT_PINGS
          ? 'dot'
          : riseM > FLAT_PULSES * Math.max(pulseM, BODY_M)
            ? 'arch'
            : few <= DASH_PINGS || slice
              ? 'dash'
              : 'clip';
  const rowM = settings.bedLockM
    ? waterPerRow(1.25 * settings.bedLockM, rig.screen.rows)
    : waterPerRow(settings.rangeM - settings.topM, rig.screen.rows);
  return {
    depthM,
    marginDb,
    needDb,
    shape,
    hidden: shape !== 'nothing' && strengthDb + 20 * Math.log10(loss + 1e-9) < firstColourDb,
    effectiveRad: 2 * Math.atan(way / depthM),
    inConeS,
    pings,
    riseM,
    columns: Math.min(rig.screen.columns, still ? Infinity : through(drawn) * settings.chartSpeed),
    rows: Math.max(1, pulseM / rowM),
    riseRows: riseM / rowM,
    gapM: pulseM,
    hiddenM: deadZone(brief.toM, p.face.beam.athwartRad / 4, pulseM),
    secondEcho: bedEchoMargin(p.budget, brief.toM, 'gravel', 2) > 0,
  };
}

/** An echo's way as it adds up, dB: what is sent, what each part takes, and what is left over the noise. */
export interface EchoBudget {
  depthM: number;
  sourceDb: number;
  spreadingDb: number;
  absorptionDb: number;
  targetDb: number;
  noiseDb: number;
  marginDb: number;
}

/** The sonar equation of a fish straight below, part by part. */
export function echoBudgetAt(p: Prediction, depthM: number): EchoBudget {
  const { sourceLevelDb, absorptionDbPerM, noiseLevelDb } = p.budget;
  return {
    depthM,
    sourceDb: sourceLevelDb,
    spreadingDb: 40 * Math.log10(depthM),
    absorptionDb: 2 * absorptionDbPerM * depthM,
    targetDb: p.targetStrengthDb,
    noiseDb: noiseLevelDb,
    marginDb: echoMargin(p.budget, depthM, p.targetStrengthDb),
  };
}

/** Margin over the detection level by depth, dB: evenly from 1 m to `deepestM`. */
export const marginCurve = (
  p: Prediction,
  deepestM: number,
  points = 24,
): { depthM: number; overDb: number }[] =>
  Array.from({ length: points }, (_, k) => {
    const depthM = 1 + ((deepestM - 1) * k) / (points - 1);
    return { depthM, overDb: echoMargin(p.budget, depthM, p.targetStrengthDb) - DETECTION_DB };
  });
