import { beamPattern, deadZone, DETECTION_DB, echoMargin, waterPerRow, type Rig } from '@/core/rig';
import { PALETTE_BOTTOM_DB, type Settings } from '@/core/picture';
import type { MarkShape } from '@/core/reading';
import { bedEchoMargin, type Prediction } from './prediction';
import type { Brief } from './brief';
import { STILL_MPS } from './setup';

/** What a fish of the brief will look like, in closed form. */
export interface Expectation {
  /** At this depth: the middle of the brief's water. */
  depthM: number;
  marginDb: number;
  /** Full angle over which the fish still stands over the noise and is drawn, rad; 0 when it never does. The nominal one is at −3 dB. */
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
/** Fewer pings have no shape; up to so many are a dash. */
const DOT_PINGS = 2;
const DASH_PINGS = 4;
/** Farther off the axis nothing is promised, rad: beyond lie side lobes nobody knows. */
const FARTHEST_RAD = 1.05;

/**
 * Half the angle fore and aft out to which a fish keeps the detection level, rad: where twice the pattern's loss, and the longer way,
 * have eaten the margin. The main lobe only.
 * @param mostLossDb what the beam may take before the echo falls under the first colour, dB
 */
export function effectiveHalfAngle(p: Prediction, depthM: number, mostLossDb = Infinity): number {
  let last = 2;
  let angle = 0;
  for (let a = 0; a <= FARTHEST_RAD; a += 0.002) {
    const one = beamPattern(p.face.beam, Math.sin(a), 0);
    // Past its first null the pattern rises again.
    if (one > last) break;
    last = one;
    const margin = echoMargin(
      p.budget,
      depthM / Math.cos(a),
      p.targetStrengthDb,
      10 * Math.log10(one + 1e-9),
    );
    if (margin < DETECTION_DB || -20 * Math.log10(one + 1e-9) > mostLossDb) break;
    angle = a;
  }
  return angle;
}

/** What a fish straight under the line will look like. @param settings the start setup's: pings and columns a second, window */
export function expectationOf(brief: Brief, rig: Rig, p: Prediction, settings: Settings): Expectation {
  const depthM = (brief.fromM + brief.toM) / 2;
  const marginDb = echoMargin(p.budget, depthM, p.targetStrengthDb);
  // With gain by hand and depth made up for, the first colour is one strength at every depth.
  const overColourDb =
    settings.gainMode === 'manual' && settings.tvg === 'target'
      ? p.targetStrengthDb - (PALETTE_BOTTOM_DB - settings.gainDb) - settings.firstColourDb
      : Infinity;
  const half = marginDb >= DETECTION_DB && overColourDb > 0 ? effectiveHalfAngle(p, depthM, overColourDb) : 0;
  const still = brief.speedMps < STILL_MPS;
  const inConeS = still ? Infinity : (2 * depthM * Math.tan(half)) / brief.speedMps;
  const pings = inConeS * settings.pingRate;
  const riseM = still ? 0 : depthM / Math.cos(half) - depthM;
  const pulseM = p.budget.resolutionM;
  const shape: MarkShape =
    marginDb < DETECTION_DB || overColourDb <= 0 || pings < 1
      ? 'nothing'
      : still
        ? 'line'
        : pings <= DOT_PINGS
          ? 'dot'
          : riseM > FLAT_PULSES * pulseM
            ? 'arch'
            : pings <= DASH_PINGS
              ? 'dash'
              : 'clip';
  const rowM = waterPerRow(settings.rangeM - settings.topM, rig.screen.rows);
  return {
    depthM,
    marginDb,
    effectiveRad: 2 * half,
    inConeS,
    pings,
    riseM,
    shape,
    columns: Math.min(rig.screen.columns, inConeS * settings.chartSpeed),
    rows: Math.max(1, pulseM / rowM),
    riseRows: riseM / rowM,
    gapM: pulseM,
    hiddenM: deadZone(brief.toM, p.face.beam.athwartRad / 4, pulseM),
    secondEcho: bedEchoMargin(p.budget, brief.toM, 'gravel', 2) > 0,
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
