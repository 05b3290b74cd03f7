import { clamp, logistic, median } from '@/core/maths';
import type { Channel, Recording } from '@/core/recording';
import { fishLengthOf, lengthFactorOf, PASS_SPREAD_DB } from '@/core/water';
import { excessOf, singleExcess } from './background';
import { trackBed } from './bedLine';
import { bedShape } from './bedShape';
import { findClouds, type CloudOutline } from './clouds';
import { bedHardness } from './hardness';
import type { BedLine, CloudFinding, Finding, FishFinding, MarkShape, Reading, Reason } from './findings';
import { findLayers } from './layers';
import { notFish, towedLine, type NamedEcho } from './notFish';
import { fitted, joinPieces, type Fitted } from './pieces';
import { beamStrength } from './strength';
import { followEchoes } from './tracks';
import { topMess } from './topMess';
import { workingChannel } from './workingChannel';

/** Pings a mark needs: two may be another sounder's, three in step are not. */
const LEAST_PINGS = 3;

/** Rise of the mark from its outer ends to its nearest point, m, either side. */
function legs(f: Fitted, nearest: number, apexS: number): { before: number; after: number } {
  let before = 0;
  let after = 0;
  f.times.forEach((t, i) => {
    const rise = f.track.rangeM[i]! - nearest;
    if (t < apexS) before = Math.max(before, rise);
    else after = Math.max(after, rise);
  });
  return { before, after };
}

function shapeOf(f: Fitted, pulseM: number, speed: number, nearest: number, apexS: number): MarkShape {
  const { before, after } = legs(f, nearest, apexS);
  const pings = f.track.pings.length;
  const rises = (x: number): boolean => x > 0.8 * pulseM;
  if (pings <= 2) return 'dot';
  if (rises(before) && rises(after)) return 'arch';
  if (rises(before) || rises(after)) return 'half';
  if (speed < 0.25) return pings > 40 ? 'line' : 'clip';
  return pings <= 4 ? 'dash' : 'clip';
}

/** Standard deviation of a fish's strength from not knowing its kind of swim bladder, dB. */
const KIND_SPREAD_DB = 2;
/** The stated lengths reach so many standard deviations to either side: 86 of 100. */
const SIZE_SIGMAS = 1.48;

/** Nothing read off a screen is surer than this: catching is the proof. */
const SUREST = 0.98;

/** What is less likely than not is not claimed. */
const LEAST_CONFIDENCE = 0.5;

const confidenceOf = (evidence: number): number => Math.min(SUREST, logistic(evidence));

const gapTo = (bed: BedLine, ping: number, range: number): number | null => {
  const at = bed.rangeM[ping]!;
  return at === at ? at - range : null;
};

function fishFinding(
  f: Fitted,
  id: number,
  channel: Channel,
  recording: Recording,
  bed: BedLine,
  speed: number,
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
  const rangeM = inside && f.curve ? Math.min(f.curve.nearestRangeM, lowest + pulseM) : lowest;
  const timeS =
    inside && f.curve ? clamp(f.curve.nearestTimeS, t0, t1) : f.times[track.rangeM.indexOf(lowest)]!;
  const shape = shapeOf(f, pulseM, speed, rangeM, timeS);
  const { before, after } = legs(f, rangeM, timeS);

  const strengths = track.peakSample.map((j, i) => {
    const range = Math.max(pulseM, channel.firstRangeM + j * channel.sampleStepM);
    const level = channel.levelDb[track.pings[i]! * channel.sampleCount + j]!;
    return channel.calibration
      ? level +
          40 * Math.log10(range) +
          2 * channel.calibration.absorptionDbPerM * range -
          channel.calibration.sourceLevelDb
      : level + 40 * Math.log10(range);
  });
  const sinAlong = f.times.map((t, i) =>
    Math.min(0.95, (Math.abs(t - timeS) * (f.curve?.speedMps ?? speed)) / Math.max(pulseM, track.rangeM[i]!)),
  );
  const { db: strengthDb, spreadDb } = beamStrength(strengths, sinAlong, channel.beam);
  const likely = channel.calibration ? fishLengthOf(strengthDb, channel.frequencyHz) : null;
  // Where it passed, how it lay, and what kind of bladder it has all stay unsure.
  const unsureDb = Math.hypot(spreadDb, PASS_SPREAD_DB, KIND_SPREAD_DB);
  const spread = lengthFactorOf(SIZE_SIGMAS * unsureDb);

  const share = track.pings.length / (last - first + 1);
  const over = median(track.overDb);
  const peakOver = Math.max(...track.overDb);
  const offM = f.curve?.offM ?? pulseM;
  const gapToBedM = gapTo(bed, track.pings[Math.floor(track.pings.length / 2)]!, rangeM);
  const halfWidth = channel.beam.athwartRad / 2;
  const thick = median(track.thickM);
  const evidence =
    0.35 * (peakOver - 15) +
    0.25 * (Math.min(track.pings.length, 16) - 5) +
    3 * (share - 0.7) -
    1.2 * Math.max(0, offM / pulseM - 0.6) -
    (gapToBedM !== null && gapToBedM < 0.4 ? 1.5 : 0);
  const reasons: Reason[] = [
    { name: 'stands-out', db: over },
    { name: 'followed', pings: track.pings.length, share },
  ];
  if (shape === 'arch') reasons.push({ name: 'rises', riseM: Math.min(before, after) });
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
    heightM: Math.max(...track.rangeM) - rangeM + thick,
    gapToBedM,
    overBackgroundDb: peakOver,
    strengthDb,
    lengthM: likely === null ? null : [likely / spread, likely, likely * spread],
    confidence: confidenceOf(evidence),
    reasons,
    rival:
      gapToBedM !== null && gapToBedM < 0.4
        ? { reading: 'bump-on-bed', test: 'bed-window' }
        : thick > 2 * pulseM
          ? { reading: 'several-fish', test: 'faster-chart' }
          : track.pings.length < 6
            ? { reading: 'another-sounder', test: 'pass-again' }
            : { reading: 'debris', test: 'pass-again' },
    path,
  };
}

function cloudFinding(
  cloud: CloudOutline,
  id: number,
  channel: Channel,
  recording: Recording,
  bed: BedLine,
  messM: number,
): CloudFinding {
  const pings = cloud.toPing - cloud.fromPing + 1;
  const range = (j: number): number => (j < 0 ? NaN : channel.firstRangeM + j * channel.sampleStepM);
  const top = Float32Array.from(cloud.top, range);
  const bottom = Float32Array.from(cloud.bottom, range);
  let at = 0;
  for (let k = 1; k < pings; k++) if (!(top[at]! <= top[k]!) && top[k]! === top[k]!) at = k;
  let deepest = 0;
  for (let k = 0; k < pings; k++) if (bottom[k]! > deepest) deepest = bottom[k]!;
  const rangeM = top[at]!;
  const heightM = deepest - rangeM;
  const filled = cloud.top.reduce((sum, j) => sum + (j >= 0 ? 1 : 0), 0) / pings;
  return {
    id,
    kind: 'cloud',
    fromPing: cloud.fromPing,
    toPing: cloud.toPing,
    timeS: recording.navigation.timeS[cloud.fromPing + at]!,
    rangeM,
    depthM: [rangeM * Math.cos(Math.min(channel.beam.athwartRad / 2, Math.PI / 3)), deepest],
    heightM,
    gapToBedM: gapTo(bed, cloud.fromPing + at, deepest),
    overBackgroundDb: cloud.overDb,
    confidence: confidenceOf(
      0.5 * (cloud.overDb - 9) +
        0.15 * (Math.min(pings, 20) - 10) +
        2 * (filled - 0.6) -
        (rangeM < messM + HANGS_M ? 3 : 0),
    ),
    reasons: [
      { name: 'thick', heightM, pulseM: channel.resolutionM },
      { name: 'stands-out', db: cloud.overDb },
      { name: 'followed', pings, share: filled },
    ],
    rival:
      pings > 400
        ? { reading: 'layer', test: 'pass-again' }
        : { reading: 'several-fish', test: 'other-beam' },
    top,
    bottom,
  };
}

/** What begins this near under the mess at the surface may well hang from it, m. */
const HANGS_M = 0.4;

/** How far outside a cloud's outline one of its own may come to lie, m. */
const CLOUD_EDGE_M = 0.6;
/** Share of a mark's points that must lie where a cloud's legs can for it to be one. */
const LEG_SHARE = 0.8;
/** A whole arch this far over a cloud's level is a fish of its own beside it, dB. */
const STRONGER_DB = 6;

/**
 * Whether a mark is one of a cloud's own: its nearest point lies in the cloud, or its points lie where the legs of the
 * cloud's members must (ranges √(r² + v²Δt²) for r from the cloud's top to its foot).
 */
function belongsToCloud(
  mark: FishFinding,
  f: Fitted,
  cloud: CloudFinding,
  timeS: Float64Array,
  speed: number,
): boolean {
  const from = timeS[cloud.fromPing]!;
  const to = timeS[cloud.toPing]!;
  const top = cloud.rangeM - CLOUD_EDGE_M;
  const foot = cloud.rangeM + cloud.heightM + CLOUD_EDGE_M;
  const slackS = CLOUD_EDGE_M / Math.max(speed, 0.2);
  const apexS = f.curve?.nearestTimeS ?? mark.timeS;
  const apexM = f.curve?.nearestRangeM ?? mark.rangeM;
  if (apexS > from - slackS && apexS < to + slackS && apexM > top && apexM < foot) return true;
  if (mark.shape === 'arch' && mark.overBackgroundDb > cloud.overBackgroundDb + STRONGER_DB) return false;
  let inside = 0;
  f.times.forEach((t, i) => {
    const away = speed * Math.max(0, from - t, t - to);
    const range = f.track.rangeM[i]!;
    // Out there a leg has left every beam.
    if (away < 1.5 * foot && range > Math.hypot(top, away) && range < Math.hypot(foot, away)) inside++;
  });
  return inside >= LEG_SHARE * f.times.length;
}

/**
 * Reads one channel: the bed, single marks and clouds, nearest in time first. Uses pings, the channel and the boat's
 * own instruments, and nothing else; works on uncalibrated levels too, where strengths stay relative.
 */
export function readChannel(recording: Recording, measured: Channel): Reading {
  const channel = workingChannel(measured);
  const { timeS, speedMps } = recording.navigation;
  const speed = median(Array.from(speedMps));
  const bed = trackBed(channel);
  const excess = excessOf(channel, bed, recording.pingRate);
  const { clouds, taken } = findClouds(channel, bed, excess, recording.pingRate / Math.max(speed, 0.1));
  const messM = topMess(channel, bed);
  const named: NamedEcho[] = [];
  const pieces = followEchoes(channel, bed, singleExcess(channel, bed, excess), taken, messM)
    .filter((track) => track.pings.length >= LEAST_PINGS)
    .map((track) => fitted(track, timeS, speed))
    .filter((piece) => {
      const name = notFish(piece, channel, speed, recording.pingRate);
      if (name) named.push(name);
      return name === null;
    });
  const marks = joinPieces(pieces, timeS, speed, channel).filter((f) => f.track.pings.length > LEAST_PINGS);
  const bait = clouds
    .map((cloud) => cloudFinding(cloud, 0, channel, recording, bed, messM))
    .filter((cloud) => cloud.confidence >= LEAST_CONFIDENCE);
  const findings: Finding[] = [...bait];
  for (const mark of marks) {
    const finding = fishFinding(mark, 0, channel, recording, bed, speed);
    if (finding.confidence < LEAST_CONFIDENCE) continue;
    if (bait.some((cloud) => belongsToCloud(finding, mark, cloud, timeS, speed))) continue;
    findings.push(finding);
  }
  const layers = findLayers(channel, bed).filter((layer) => {
    const line = towedLine(layer, channel.pingCount, speed);
    if (line) named.push(line);
    return line === null;
  });
  findings.sort((a, b) => a.timeS - b.timeS);
  findings.forEach((f, i) => (f.id = i + 1));
  return {
    channelId: channel.id,
    bed,
    bedShape: bedShape(channel, bed, recording.navigation),
    hardness: bedHardness(measured, bed),
    layers,
    named,
    findings,
  };
}
