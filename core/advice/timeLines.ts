import { clamp } from '@/core/maths';
import { cleanPingRate, type Rig, screenOf, STILL_MPS, unitOf, waterPerColumn } from '@/core/rig';
import { engineOf, hardestBed, PLANING_MPS, type Brief } from './brief';
import { bedEchoesHeard, type Prediction } from './prediction';
import type { Habits } from './practices';
import { debatedLine, plainLine, type Because, type Choice, type Pins, type SetupLine } from './setupLine';

/** Pings on a fish below which its mark has no shape. */
const LEAST_PINGS = 5;
/** Rule of thumb: so many tenths of the fastest chart at idle, and under this speed, m/s, so many. */
const RULE = { idle: 0.4, slowMps: 0.8, slow: 0.15 };
const FASTEST_CHART = 40;

/** Way a column and water a row this near each other draw a shape true. */
const TRUE_WITHIN = 1.25;
const isTrue = ({ columnM, rowM }: { columnM: number; rowM: number }): boolean =>
  columnM < TRUE_WITHIN * rowM && rowM < TRUE_WITHIN * columnM;

const halves = (x: number): number => Math.round(2 * x) / 2;

function pingRateFor(brief: Brief, rig: Rig, p: Prediction): Choice {
  const bedEchoes = bedEchoesHeard(p.budget, brief.toM, hardestBed(brief));
  const limit = cleanPingRate(brief.toM * 1.05, p.budget.soundSpeedMps, bedEchoes);
  if (limit >= unitOf(rig).fastestPingRate)
    return { value: unitOf(rig).fastestPingRate, because: { rule: 'ping-rate-fastest', limit, bedEchoes } };
  return {
    value: Math.max(0.5, Math.floor(limit * 2) / 2),
    because: { rule: 'ping-rate-clear-of-late-bed', limit, bedEchoes, depthM: brief.toM },
  };
}

/** How fast it pings, draws and goes. */
export interface Pace {
  lines: { pingRate: SetupLine; chartSpeed: SetupLine; boatSpeed: SetupLine };
  pingRate: number;
  chartSpeed: number;
  /** Most pings on a fish at the shallow end. */
  pings: number;
}

/** Ping rate, chart speed and boat speed for a brief. @param rowM water a row shows */
export function paceFor(
  brief: Brief,
  rig: Rig,
  p: Prediction,
  rowM: number,
  habits: Habits,
  pins: Pins,
): Pace {
  const pingRate = plainLine('pingRate', pins, pingRateFor(brief, rig, p));
  const rate = pingRate.value;
  const oneToOne = brief.speedMps / rowM;
  const slice = p.face.beam.shape === 'fan';
  const still = brief.speedMps < STILL_MPS;
  const trueToShape = clamp(
    // On a slice, which a fish crosses in a few pings, those are drawn out to its true shape.
    halves(still ? rate : Math.min(oneToOne, slice ? FASTEST_CHART : rate)),
    0.5,
    FASTEST_CHART,
  );
  const byRule = halves(FASTEST_CHART * (brief.speedMps < RULE.slowMps ? RULE.slow : RULE.idle));
  const drawnOut = clamp(2 * trueToShape, 0.5, FASTEST_CHART);
  const charts = (speed: number) => ({
    columnM: waterPerColumn(brief.speedMps, speed),
    rowM,
    historyS: screenOf(rig).columns / speed,
  });
  const chart = debatedLine('chartSpeed', habits, pins, {
    'true-to-shape': {
      value: trueToShape,
      because: {
        rule: !still && isTrue(charts(trueToShape)) ? 'chart-one-to-one' : 'chart-column-a-ping',
        ...charts(trueToShape),
      },
    },
    'by-rule': { value: byRule, because: { rule: 'chart-by-rule', ...charts(byRule) } },
    'drawn-out': {
      value: drawnOut,
      because: { rule: 'chart-drawn-out', ...charts(drawnOut), pings: rate },
    },
  });
  const pings = p.timeInConeS * rate;
  // A boat that planes churns up what the face hears, however many pings it gets.
  const fastestMps = Math.min(PLANING_MPS, (pings * brief.speedMps) / LEAST_PINGS);
  const speed: Because = still
    ? { rule: 'speed-still' }
    : engineOf(brief) === 'planing'
      ? { rule: 'speed-planing' }
      : { rule: pings >= LEAST_PINGS ? 'speed-enough-pings' : 'speed-too-fast', pings, fastestMps };
  return {
    lines: {
      pingRate,
      chartSpeed: chart,
      boatSpeed: plainLine('boatSpeed', pins, { value: brief.speedMps, because: speed }),
    },
    pingRate: rate,
    chartSpeed: chart.value,
    pings,
  };
}
