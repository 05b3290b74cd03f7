import { median } from '@/core/maths';
import { withoutGain, type Channel, type Navigation, type Stretch } from '@/core/recording';
import { findRingDown, takeOffBars } from './artefacts/artefacts';
import { isBedOfSlope } from './artefacts/isBedOfSlope';
import { findFalseBeds, isOnFalseBed } from './artefacts/falseBeds';
import { findOtherSounders, keepsTime } from './artefacts/otherSounder';
import { excessOf } from './levels/background';
import { heaveByBed } from './bed/heaveByBed';
import { trackBed } from './bed/trackBed';
import { withGapsBridged } from './bed/withGapsBridged';
import { bedShape } from './bed/bedShape';
import { cellsOf } from './levels/cells';
import { asTrusted, levelFaults } from './levels/levelFaults';
import { gatherSchools, schoolOutline } from './clouds/gatherSchools';
import { isFewBodies } from './clouds/fewBodies';
import { findClouds, giveBack } from './clouds/findClouds';
import { belongsToCloud, cloudFinding, liesIn } from './clouds/cloudFinding';
import { doubtCompanions } from './marks/companions';
import { LEAST_CONFIDENCE } from './confidence';
import { coverFinding } from './cover/coverFinding';
import type { CloudFinding, CoverFinding, Finding, FishFinding } from './finding';
import { fishAbout } from './cover/fishAbout';
import type { BedLine } from './bed/bedLine';
import type { Reading } from './reading';
import { farLegs } from './marks/farLegs';
import { fishFinding } from './marks/fishFinding';
import { bedHardness } from './bed/hardness';
import { findLayers } from './artefacts/layers';
import { isOnLine, rowNamed, rowsAtDepth } from './marks/rowAtDepth';
import { FASTEST_LURE_MPS, findLures } from './marks/lure';
import { LEAST_TRACK } from './marks/markRules';
import { longEnough, roomFor } from './marks/longEnough';
import { withWaterUnder } from './marks/withWaterUnder';
import { beamOnWay } from './beamOnWay';
import { findMissingLeg } from './marks/missingLeg';
import { notFish, risingBubbles, towedLine, type NamedEcho } from './artefacts/notFish';
import { blankOnBed, findOnBed, type OnBedOutline } from './cover/onBed';
import { isPieceOfCover, piecesOfCover } from './cover/piecesOfCover';
import { placeOnBed } from './cover/placeOnBed';
import { standingTimber } from './cover/standingTimber';
import { partedWhereCrossed } from './marks/crossedTracks';
import { fitted, type Fitted } from './marks/fitted';
import { joinTracks } from './marks/joinTracks';
import { outOfSpecks } from './marks/speckle';
import { showsNoise } from './levels/showsNoise';
import { faintTracks } from './marks/faintTracks';
import { STILL_MPS } from '@/core/rig';
import { joinSeam, blocksOf } from './across/seam';
import { findStructure } from './bed/structure';
import { surfaceClutterReach } from './artefacts/surfaceClutter';
import { followEchoes, type EchoTrack } from './marks/followEchoes';
import { cellsToOne, croppedToBed, workingChannel } from './levels/workingChannel';

/** What one block of pings gives; pings count from its first. */
interface BlockReading {
  bed: BedLine;
  clutterM: number;
  named: NamedEcho[];
  findings: Finding[];
}

function readBlock(stretch: Stretch, measured: Channel): BlockReading {
  const { timeS, speedMps } = stretch.navigation;
  const speed = median(Array.from(speedMps));
  const rate = stretch.pingRate;
  const pingsPerM = rate / Math.max(speed, 0.1);
  const fine = workingChannel({ ...measured, beam: beamOnWay(measured.beam, stretch.navigation, speed) });
  const found = trackBed(fine);
  // Where the line is lost for a moment the bed is there all the same.
  const bed = withGapsBridged(found);
  const channel = croppedToBed(fine, bed);
  const heaveM = heaveByBed(bed, rate);
  const excess = excessOf(channel, bed, stretch.pingRate, cellsToOne(measured));
  const named = takeOffBars(channel, bed, excess);
  const clutterM = surfaceClutterReach(channel, bed);
  const cover: CoverFinding[] = [];
  const branched: OnBedOutline[] = [];
  const onBed = findOnBed(channel, bed, excess, pingsPerM);
  const openWater = onBed.length > 0 ? { excess, cells: cellsOf(channel, bed, excess) } : null;
  for (const outline of onBed) {
    // Fish that pass close over the bed reach it with their legs.
    const place = placeOnBed(outline, channel, bed);
    if (openWater && isFewBodies(place, channel, bed, openWater, timeS, heaveM, speed)) continue;
    const { finding, real } = coverFinding(outline, channel, stretch, bed);
    // What is so faint is weed, or nothing that is told.
    if (real < LEAST_CONFIDENCE || (outline.faint && finding.cover !== 'weed')) continue;
    // That something stands there can be sure while what it is is not.
    if (finding.confidence >= LEAST_CLASS_CONFIDENCE) cover.push(finding);
    // What stands on the bed is neither bait nor fish.
    blankOnBed(channel, bed, excess, outline);
    if (finding.cover !== 'boulder') branched.push(outline);
  }
  const cells = cellsOf(channel, bed, excess);
  const { slopeRad } = bedShape(channel, bed, stretch.navigation);
  const { clouds: dense, taken } = findClouds(channel, bed, excess, cells, timeS, heaveM, speed, pingsPerM);
  const bait: CloudFinding[] = [];
  // What is too weak a cloud to be told must not hide the fish in it.
  const doubtful: CloudFinding[] = [];
  giveBack(
    taken,
    dense.map((cloud) => {
      const name = risingBubbles(cloud, channel, speed, rate);
      if (name) named.push(name);
      if (name) return false;
      const finding = cloudFinding(cloud, 0, channel, stretch, bed, clutterM, pingsPerM);
      if (isPieceOfCover(finding, branched, channel, pingsPerM)) return false;
      if (isBedOfSlope(finding, channel, found, slopeRad)) return false;
      const told = finding.confidence >= LEAST_CONFIDENCE;
      // What is higher than long is hardly bait: so much the rather it is looked at for a tree.
      const tree =
        finding.confidence >= LEAST_OF_TREE && speed >= STILL_MPS
          ? standingTimber(finding, channel, stretch, bed, excess, pingsPerM)
          : null;
      if (tree) {
        branched.push(tree.outline);
        if (tree.finding.confidence >= LEAST_CLASS_CONFIDENCE) cover.push(tree.finding);
        return false;
      }
      (told ? bait : doubtful).push(finding);
      return !told;
    }),
  );
  const sounders = findOtherSounders(channel, cells, timeS, rate);
  named.push(...sounders.map((sounder) => sounder.named));
  const sought = { excess, cells, taken };
  const noFish: Fitted[] = [];
  const followed = followEchoes(channel, bed, sought, clutterM, heaveM);
  const noisy = showsNoise(cells);
  const whole = (noisy ? followed : outOfSpecks(channel, followed))
    .filter((track) => track.pings.length >= LEAST_TRACK || longEnough(track, channel, speed, rate, clutterM))
    .filter((track) => !keepsTime(track, sounders))
    .map((track) => fitted(track, timeS, speed));
  const parted =
    speed < STILL_MPS ? whole : partedWhereCrossed(whole, timeS, heaveM, speed, channel.resolutionM);
  const pieces = parted.filter((piece) => {
    const name = notFish(piece, channel, speed, rate, sounders.length > 0);
    if (name) named.push(name);
    if (name) noFish.push(piece);
    return name === null;
  });
  const followedMarks = withWaterUnder(
    joinTracks(pieces, timeS, speed, channel, heaveM).filter(({ track }) =>
      longEnough(track, channel, speed, rate, clutterM),
    ),
    channel,
    bed,
  );
  // A still boat draws no curve that would tell what is faint from noise.
  const tracks =
    speed < STILL_MPS || !noisy
      ? []
      : faintTracks(
          channel,
          bed,
          sought,
          [...followedMarks, ...noFish].map((f) => f.track),
          clutterM,
        );
  const faint = faintMarks(channel, tracks, followedMarks, timeS, heaveM, speed, rate).filter(
    (f) => !keepsTime(f.track, sounders) && notFish(f, channel, speed, rate, sounders.length > 0) === null,
  );
  const marks = [...followedMarks, ...faint];
  const branches = piecesOfCover(
    marks.map((f) => f.track),
    branched,
    channel,
    pingsPerM,
  );
  const fish: FishFinding[] = [];
  const far = farLegs(marks, followed, timeS, speed, channel.resolutionM);
  for (const [k, mark] of marks.entries()) {
    if (branches.has(mark.track)) continue;
    const finding = fishFinding(mark, 0, channel, bed, speed, far[k]);
    const crowded = doubtful.some((cloud) => liesIn(finding, cloud));
    if (finding.confidence < (crowded ? LEAST_IN_DENSE : LEAST_CONFIDENCE)) continue;
    if (bait.some((cloud) => belongsToCloud(finding, mark, cloud, timeS, speed, channel))) continue;
    fish.push(finding);
  }
  const { schools, others } = gatherSchools(fish, pingsPerM);
  const gathered = schools.map((school) =>
    cloudFinding(schoolOutline(school, channel), 0, channel, stretch, bed, clutterM, pingsPerM),
  );
  const findings: Finding[] = [...cover, ...bait, ...gathered, ...others];
  // A line through a school is its own.
  const apart = named.filter(
    (echo) => echo.kind !== 'own-gear' || !gathered.some((school) => holds(school, echo)),
  );
  return { bed: found, clutterM, named: apart, findings };
}

/** A mark too faint to be followed must lie on a crossing's curve within so many pulses, rms. */
const FAINT_OFF_PULSES = 0.8;
/** And it must last for so large a share of the pings a fish stays in the beam for: what flickers up under a slow boat is none. */
const FAINT_ROOM = 0.3;

/** Of tracks too faint to be followed those that are marks of their own: on a crossing's curve, and no part of another. */
function faintMarks(
  channel: Channel,
  tracks: readonly EchoTrack[],
  marks: readonly Fitted[],
  timeS: Float64Array,
  heaveM: Float32Array,
  speed: number,
  pingRate: number,
): Fitted[] {
  const faint = tracks
    .filter((track) => track.pings.length >= FAINT_ROOM * roomFor(track, channel.beam, speed, pingRate))
    .map((track) => fitted(track, timeS, speed))
    .filter(({ curve }) => curve !== null && curve.offM < FAINT_OFF_PULSES * channel.resolutionM);
  const own = new Set(faint.map((piece) => piece.track));
  return joinTracks([...marks, ...faint], timeS, speed, channel, heaveM).filter((mark) =>
    own.has(mark.track),
  );
}

const partOf = (nav: Navigation, from: number, to: number): Navigation => ({
  timeS: nav.timeS.subarray(from, to),
  eastM: nav.eastM.subarray(from, to),
  northM: nav.northM.subarray(from, to),
  speedMps: nav.speedMps.subarray(from, to),
  headingRad: nav.headingRad.subarray(from, to),
  pitchRad: nav.pitchRad.subarray(from, to),
  rollRad: nav.rollRad.subarray(from, to),
  heaveM: nav.heaveM.subarray(from, to),
  temperatureC: nav.temperatureC.subarray(from, to),
  supplyV: nav.supplyV.subarray(from, to),
});

/**
 * Reads one channel: the bed, what stands on it, single marks and clouds, nearest in time first, and what is drawn but is no
 * fish. Uses pings, the channel and the boat's own instruments, and nothing else; works on uncalibrated levels too, where
 * strengths stay relative. A long one is read in blocks that overlap, so its size does not grow with the hours.
 * @param onPart told after each block but the last what was read so far, and of which share of the pings: the bed and the findings
 */
export function readChannel(
  stretch: Stretch,
  asMeasured: Channel,
  onPart?: (part: Reading, share: number) => void,
): Reading {
  const faults = levelFaults(asMeasured);
  const measured = asTrusted(withoutGain(asMeasured), faults);
  const { navigation } = stretch;
  const blank = (): Float32Array => new Float32Array(measured.pingCount).fill(NaN);
  const bed: BedLine = { rangeM: blank(), contrastDb: blank() };
  const named: NamedEcho[] = [];
  let findings: Finding[] = [];
  let clutterM = 0;
  for (const { from, to, first, end } of blocksOf(measured.pingCount)) {
    const n = measured.sampleCount;
    const part = readBlock(
      { ...stretch, navigation: partOf(navigation, first, end) },
      { ...measured, pingCount: end - first, levelDb: measured.levelDb.subarray(first * n, end * n) },
    );
    bed.rangeM.set(part.bed.rangeM.subarray(from - first, to - first), from);
    bed.contrastDb.set(part.bed.contrastDb.subarray(from - first, to - first), from);
    clutterM = Math.max(clutterM, part.clutterM);
    for (const f of part.findings) {
      f.fromPing += first;
      f.toPing += first;
    }
    for (const echo of part.named) {
      const middle = first + (echo.fromPing + echo.toPing) / 2;
      if (middle >= from && middle < to)
        named.push({ ...echo, fromPing: echo.fromPing + first, toPing: echo.toPing + first });
    }
    findings = joinSeam(findings, part.findings, from, to);
    if (onPart && to < measured.pingCount)
      onPart(
        {
          channelId: measured.id,
          faults,
          bed,
          bedShape: { slopeRad: blank(), depthLowM: blank(), depthHighM: blank(), deadZoneM: blank() },
          hardness: [],
          structure: [],
          layers: [],
          named,
          surfaceClutterM: clutterM,
          findings: numbered(findings.map((f) => ({ ...f }))),
          lures: [],
          missingLeg: null,
        },
        to / measured.pingCount,
      );
  }
  const speed = median(Array.from(navigation.speedMps));
  const falseBeds = findFalseBeds(measured, bed, stretch.pingRate);
  named.push(...falseBeds.map((late) => late.named));
  const { lures, rest: besideLures } = findLures(
    findings.filter((f) => !isOnFalseBed(f, falseBeds, measured)),
    navigation.timeS,
    speed,
    clutterM,
  );
  // Under a faster boat no lure hangs, and what is towed is one line.
  const rows =
    speed < STILL_MPS || speed > FASTEST_LURE_MPS ? [] : rowsAtDepth(besideLures, measured.pingCount);
  named.push(...rows.map(rowNamed));
  const inRow = new Set<Finding>(rows.flat());
  const rest = besideLures.filter(
    (f) => !inRow.has(f) && !(f.kind === 'fish' && isOnLine(f, named, measured.pingCount)),
  );
  const ring = findRingDown(measured, clutterM);
  if (ring) named.push(ring);
  const layers = findLayers(measured, bed).filter((layer) => {
    if (
      falseBeds.some(
        ({ named: { rangeM } }) => layer.topM < rangeM[1] + 0.5 && layer.bottomM > rangeM[0] - 0.5,
      )
    )
      return false;
    const line = towedLine(layer, measured.pingCount, speed);
    if (line) named.push(line);
    return line === null;
  });
  for (const cloud of rest)
    if (cloud.kind === 'cloud') {
      const count = rest.filter(
        (f) =>
          f.kind === 'fish' &&
          f.toPing >= cloud.fromPing &&
          f.fromPing <= cloud.toPing &&
          f.rangeM > cloud.rangeM - BY_CLOUD_M &&
          f.rangeM < cloud.rangeM + cloud.heightM + BY_CLOUD_M,
      ).length;
      if (count > 0) cloud.reasons = [...cloud.reasons, { name: 'larger-near', count }];
    }
  const fish = rest.filter((f): f is FishFinding => f.kind === 'fish');
  for (const thing of rest)
    if (thing.kind === 'cover') thing.about = fishAbout(thing, fish, stretch.pingRate / Math.max(speed, 0.1));
  doubtCompanions(rest);
  numbered(rest);
  const shape = bedShape(measured, bed, navigation);
  return {
    channelId: measured.id,
    faults,
    bed,
    bedShape: shape,
    // Of levels cut off at the loudest, the bed's are the first to be.
    hardness: faults.some((fault) => fault.name === 'cut')
      ? []
      : bedHardness(
          measured,
          bed,
          shape.slopeRad,
          rest.filter((f): f is CoverFinding => f.kind === 'cover'),
        ),
    structure: findStructure(bed, navigation),
    layers,
    named,
    surfaceClutterM: clutterM,
    findings: rest,
    lures,
    missingLeg: findMissingLeg(rest),
  };
}

/** Findings in the order they were met, numbered by it. */
function numbered(findings: Finding[]): Finding[] {
  findings.sort((a, b) => a.timeS - b.timeS);
  findings.forEach((f, i) => (f.id = i + 1));
  return findings;
}

/** In a place so dense that it was nearly a cloud, a mark must be this sure: parts of one body close by leave many. */
const LEAST_IN_DENSE = 0.85;
/** Whether a school holds a named line. */
const holds = (school: CloudFinding, { fromPing, toPing, rangeM }: NamedEcho): boolean =>
  fromPing <= school.toPing &&
  toPing >= school.fromPing &&
  rangeM[0] > school.rangeM - 0.5 &&
  rangeM[1] < school.rangeM + school.heightM + 0.5;

/** A dense place less likely bait than this is nothing that stands there, either. */
const LEAST_OF_TREE = 0.012;
/** A class of cover less likely than this is not told. */
const LEAST_CLASS_CONFIDENCE = 0.35;
/** A larger mark this near above or below a cloud is by it, m. */
const BY_CLOUD_M = 2.5;
