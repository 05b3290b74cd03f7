import { amplitudeToDb, toDb } from '@/core/maths';
import {
  beamPattern,
  DETECTION_DB,
  echoMargin,
  type Rig,
  screenOf,
  STILL_MPS,
  unitOf,
  strongestNoise,
  waterPerRow,
} from '@/core/rig';
import { viewing, weakestColourDb, windowSpan, type Settings } from '@/core/picture';
import type { MarkShape } from '@/core/reading';
import { squareOnGain, tiltLoss } from '@/core/water';
import { heldWay } from './heldWay';
import { lureEcho, type LureEcho } from './lureEcho';
import { likelyShapes, STILL_S } from './likelyShapes';
import { bedEchoMargin, hiddenOverBed, type Prediction } from './prediction';
import { engineOf, midFishOf, targetOf, type Brief } from './brief';

/** What a fish of the brief will look like: how likely which shape, and its measures in closed form. */
export interface Expectation {
  /** At this depth: the middle of the brief's water. */
  depthM: number;
  /** Echo over noise of one that lies still under the line, dB, and what a mark of its pings needs. */
  marginDb: number;
  needDb: number;
  /** The boat planes: single fish are missed, shoals are streaks. */
  planing: boolean;
  /** A small kind of open water, which swims in shoals. */
  shoals: boolean;
  /** Its echo is there, but this gain and first colour leave it out. */
  hidden: boolean;
  /** Full angle over which the fish still stands over the noise, rad; 0 when it never does. The nominal one is at −3 dB. */
  effectiveRad: number;
  /** Time in that cone, s (infinite for a boat that keeps still), and pings. */
  inConeS: number;
  pings: number;
  /** How far the mark rises from its ends to its middle, as far as it is drawn, m. */
  riseM: number;
  /** What it is most likely drawn as, how likely, and what comes next: over the ways a fish may lie and fade. */
  shape: MarkShape;
  likely: number;
  rival: { shape: MarkShape; likely: number } | null;
  /** What is promised: the likeliest shape, and where that is not sure the next with it. */
  promised: readonly MarkShape[];
  /** As drawn: columns wide, rows thick, rows of rise. */
  columns: number;
  rows: number;
  riseRows: number;
  /** Its area at the eye, arcmin², from where the user stands. */
  areaArcmin2: number;
  /** Two fish over each other closer than this are one mark, m. */
  gapM: number;
  /** Fish nearer the bed than this are hidden, m, half way out in the cone. */
  hiddenM: number;
  /** Whether a hard bed's second echo is heard. */
  secondEcho: boolean;
  /** The lure under the boat; null where there is none. */
  lure: LureEcho | null;
}

/** A mark goes on over so many pings without an echo. */
const BRIDGED_PINGS = 3;
/**
 * Level over noise at which half of all fish are found that cross a beam in so many pings: each comes and goes, and the more pings
 * there are the more of them are loud. 5 + 25/√n dB and never under 6, from simulated passes (docs/decisions.md).
 */
const FOUND_DB = 5;
const FOUND_BY_PINGS_DB = 25;
const FOUND_LEAST_DB = 6;
/** At its ends a mark is met a little under the detection level, dB. */
const ENDS_UNDER_DB = 2;

/** Level over noise a mark of so many pings must have where it is nearest, dB. Pings and resolution above 0. */
export const neededDb = (pings: number, resolutionM: number): number =>
  Math.max(FOUND_LEAST_DB, FOUND_DB + FOUND_BY_PINGS_DB / Math.sqrt(Math.max(pings, 0.5))) +
  strongestNoise(resolutionM);

/** Kinds of open water up to this length swim in shoals, m. */
const SHOAL_M = 0.3;

/** Less sure of the likeliest shape than this, the next is promised with it. */
const SURE = 0.7;

/** Shapes from the likeliest down; a dot and a dash are one promise: too few pings for a shape, or a slice. */
function ranked(shares: ReturnType<typeof likelyShapes>): { shape: MarkShape; likely: number }[] {
  const { dot = 0, dash = 0, ...rest } = shares;
  const few: MarkShape = dot > dash ? 'dot' : 'dash';
  return Object.entries({ ...rest, [few]: dot + dash })
    .map(([shape, likely]) => ({ shape: shape as MarkShape, likely }))
    .filter(({ likely }) => likely > 0)
    .sort((x, y) => y.likely - x.likely);
}

/** Headings and rocking a fish's strength is taken over: nobody knows how it lies. rad */
const HEADINGS = [0.13, 0.39, 0.65, 0.92, 1.18, 1.44];
const ROCKS = [-0.05, 0.05];

/**
 * Strength of the brief's fish while it lies level, seen from off the vertical, dB: from above it is strongest, from the side of a
 * beam its own directivity takes the more the nearer it lies to end on; the mean over headings.
 */
function strengthFrom(
  length: number,
  { targetStrengthDb, budget, face }: Prediction,
): (offRad: number) => number {
  const wave = budget.soundSpeedMps / face.frequencyHz;
  const gain = squareOnGain(length, wave);
  return (offRad) => {
    let sum = 0;
    for (const heading of HEADINGS)
      for (const rock of ROCKS) sum += tiltLoss(length, wave, offRad * Math.cos(heading) + rock);
    return targetStrengthDb + gain - sum / (HEADINGS.length * ROCKS.length);
  };
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
  const depthM = midFishOf(brief);
  const lengthM = Math.sqrt(brief.lengthM[0] * brief.lengthM[1]);
  const strengthFromDb = strengthFrom(lengthM, p);
  const nearestM = Math.hypot(depthM, asideM);
  const loss = beamPattern(p.face.beam, 0, asideM / nearestM);
  const strengthDb = strengthFromDb(Math.atan(asideM / depthM));
  const marginDb = echoMargin(p.budget, nearestM, strengthDb, toDb(loss + 1e-9));
  const still = brief.speedMps < STILL_MPS;
  const through = (way: number): number => (2 * way) / brief.speedMps;
  const nominalS = still ? STILL_S : through(depthM * Math.tan(p.face.beam.alongRad / 2));
  const pulseM = p.budget.resolutionM;
  const needDb = neededDb(nominalS * settings.pingRate, pulseM);
  const gapM = (BRIDGED_PINGS * brief.speedMps) / settings.pingRate;
  const endDb = DETECTION_DB - ENDS_UNDER_DB + strongestNoise(pulseM);
  const way = heldWay(p, depthM, { asideM, strengthFromDb, needDb: endDb, gapM });
  // With gain by hand and depth made up for, the first colour is one strength at every depth.
  const firstColourDb =
    settings.gainMode === 'manual' && settings.tvg === 'target'
      ? weakestColourDb(settings) + settings.firstColourDb
      : -Infinity;
  const drawn = heldWay(p, depthM, { asideM, strengthFromDb, needDb: endDb, gapM, firstColourDb });
  const inConeS = still ? Infinity : through(way);
  const pings = inConeS * settings.pingRate;
  // Legs that reach the bed end in it.
  const riseM = still
    ? 0
    : Math.min(Math.hypot(nearestM, drawn) - nearestM, Math.max(0, brief.toM - nearestM));
  const [likeliest, rival = null] = ranked(
    likelyShapes(p, {
      lengthM,
      depthM,
      asideM,
      speedMps: still ? 0 : brief.speedMps,
      pingRate: settings.pingRate,
    }),
  );
  const rowM = waterPerRow(windowSpan(settings), screenOf(rig).rows);
  const { pictureHeightM, viewedFromM } = unitOf(rig);
  const { cellArcmin } = viewing(pictureHeightM, screenOf(rig).rows, viewedFromM);
  const columns = Math.min(screenOf(rig).columns, still ? Infinity : through(drawn) * settings.chartSpeed);
  const rows = Math.max(1, pulseM / rowM);
  return {
    depthM,
    marginDb,
    needDb,
    planing: engineOf(brief) === 'planing',
    shoals: brief.lengthM[1] <= SHOAL_M && ['midwater', 'top'].includes(targetOf(brief).keeps),
    ...likeliest!,
    rival,
    promised: rival && likeliest!.likely < SURE ? [likeliest!.shape, rival.shape] : [likeliest!.shape],
    hidden: likeliest!.shape !== 'nothing' && strengthDb + amplitudeToDb(loss + 1e-9) < firstColourDb,
    effectiveRad: 2 * Math.atan(way / depthM),
    inConeS,
    pings,
    riseM,
    columns,
    rows,
    areaArcmin2: Math.max(1, columns) * rows * cellArcmin ** 2,
    riseRows: riseM / rowM,
    gapM: pulseM,
    hiddenM: hiddenOverBed(brief, p),
    secondEcho: bedEchoMargin(p.budget, brief.toM, 'gravel', 2) > 0,
    lure: lureEcho(brief, rig, p),
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
