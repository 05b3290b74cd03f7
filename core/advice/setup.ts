import { PLAIN_SETTINGS, type Settings } from '@/core/picture';
import type { Rig } from '@/core/rig';
import { fishTargetStrength, lengthFactorOf, PASS_SPREAD_DB } from '@/core/water';
import { beamFor } from './beamLines';
import { targetOf, type Brief } from './brief';
import { coloursFor } from './colourLines';
import type { Prediction } from './prediction';
import { windowFor } from './rangeLines';
import type { Habits } from './practices';
import { debatedLine, type Pins, type SetupLine } from './setupLine';
import type { TriedColours } from './triedColours';
import { paceFor } from './timeLines';

/** A start setup: settings, a reason for each, and what to expect of them. */
export interface Setup {
  settings: Settings;
  lines: readonly SetupLine[];
  prediction: Prediction;
  /** The other faces, for comparison. */
  others: readonly Prediction[];
}

/** A fish's height as a share of its length, and a bait fish to tell game fish from, m. */
const BODY_HEIGHT = 0.2;
const BAIT_M = 0.1;
/** A fish at the edge of the nominal cone loses this much out and back, dB. */
const EDGE_DB = 6;

/** How to judge size from a mark, by each practice. */
function sizeLine(brief: Brief, p: Prediction, pings: number, habits: Habits, pins: Pins): SetupLine {
  const [low, high] = brief.lengthM;
  const strength = (m: number): number => fishTargetStrength(m, p.face.frequencyHz, targetOf(brief).bladder);
  const pulseM = p.budget.resolutionM;
  return debatedLine('size', habits, pins, {
    strength: {
      value: p.targetStrengthDb,
      because: {
        rule: 'size-by-strength',
        lowDb: strength(low),
        highDb: strength(high),
        factor: lengthFactorOf(Math.hypot(EDGE_DB, PASS_SPREAD_DB)),
      },
    },
    height: { value: pulseM, because: { rule: 'size-by-height', pulseM, bodyM: BODY_HEIGHT * high } },
    dot: { value: pings, because: { rule: 'size-by-dot', pings } },
    'bait-or-game': {
      value: BAIT_M,
      because: {
        rule: 'size-bait-or-game',
        apartDb: p.targetStrengthDb - fishTargetStrength(BAIT_M, p.face.frequencyHz, 'open'),
        baitM: BAIT_M,
      },
    },
  });
}

/**
 * The start setup for a brief on a rig, each line with its reason and what other practices would set. Lines the user has pinned
 * keep their value, and the rest is worked out around them.
 * @param habits the practices the user keeps to @param tried gain and colours tried on made passes @throws RangeError when the rig has no faces
 */
export function startSetup(
  brief: Brief,
  rig: Rig,
  habits: Habits = {},
  pins: Pins = {},
  tried: TriedColours | null = null,
): Setup {
  if (rig.faces.length === 0) throw new RangeError('setup: the rig has no transducer');
  const beam = beamFor(brief, rig, habits, pins);
  const { prediction, power } = beam;
  const window = windowFor(brief, rig, habits, pins);
  const pace = paceFor(brief, rig, prediction, window.rowM, habits, pins);
  const { lines: colours } = coloursFor(brief, rig, prediction, power, window, pace, habits, pins, tried);
  const auto = colours.gain.because.rule === 'gain-auto-offset';
  const settings: Settings = {
    ...PLAIN_SETTINGS,
    faceId: prediction.face.id,
    topM: window.topM,
    rangeM: window.rangeM,
    lookNoDeeperM: window.lookNoDeeperM,
    bedLockM: window.bedLockM,
    power,
    tvg: colours.tvg.value === 40 ? 'target' : colours.tvg.value === 20 ? 'volume' : 'flat',
    gainMode: auto ? 'auto' : 'manual',
    gainDb: auto ? 0 : colours.gain.value,
    firstColourDb: colours.firstColour.value,
    colourSpreadDb: colours.colourSpread.value,
    otherSounders: colours.otherSounders.value,
    noiseRejection: colours.noiseRejection.value,
    topWater: colours.topWater.value,
    chartSpeed: pace.chartSpeed,
    pingRate: pace.pingRate,
  };
  const { imaging } = beam.lines;
  return {
    settings,
    lines: [
      window.lines.range,
      window.lines.lookNoDeeper,
      beam.lines.beam,
      ...(imaging ? [imaging] : []),
      beam.lines.power,
      beam.lines.pulse,
      colours.gain,
      colours.firstColour,
      colours.colourSpread,
      colours.otherSounders,
      colours.noiseRejection,
      colours.topWater,
      colours.tvg,
      pace.lines.pingRate,
      pace.lines.chartSpeed,
      window.lines.zoom,
      pace.lines.boatSpeed,
      sizeLine(brief, prediction, pace.pings, habits, pins),
    ],
    prediction,
    others: beam.others,
  };
}
