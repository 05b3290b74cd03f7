import { clamp, isGap, logistic, median } from '@/core/maths';
import type { Channel, Stretch } from '@/core/recording';
import type { CloudOutline } from './cloudOutline';
import { CLOUD_WEIGHTS } from './weights';
import { confidenceOf } from '../confidence';
import type { CloudFinding, FishFinding } from '../finding';
import { gapTo, type BedLine } from '../bed/bedLine';
import type { Fitted } from '../marks/fitted';
import { STILL_MPS } from '@/core/rig';

/** What begins this near under the clutter at the surface may well hang from it, m. */
const HANGS_M = 0.4;
/** What reaches this near to the bed touches it, m. */
const ON_BED_M = 0.5;
/** What begins so far up in the clutter is taken for a part of it, m. */
const WITHIN_M = 1;

/** What the edge of a beam takes, there and back, dB; an outline is drawn from so far over the background on, dB. */
const HALF_POWER_DB = 6;
const OUTLINE_DB = 5;
/** Farther off the axis nothing is seen, rad. */
const FARTHEST_RAD = 1;

/** Where an outline is less full than is usual it is drawn fish by fish, each louder than their mean, dB for all of it. */
const FISH_BY_FISH_DB = 8;
/** So large a part of what a beam adds is not known. */
const ADDED_UNSURE = 0.1;

/** How far off the axis what stands out by so much is still seen, rad: a bell falls with the square of the angle. */
const seenTo = ({ beam }: Pick<Channel, 'beam'>, standsOutDb: number): number =>
  (beam.alongRad / 2) * Math.sqrt(Math.max(0, standsOutDb) / HALF_POWER_DB);

/** What a beam adds to the length of a cloud: it shows to where the pattern has taken all it stands out by, m. */
function beamAdds(rangeM: number, { overDb, fill }: CloudOutline, channel: Channel): number {
  const standsOutDb = overDb + FISH_BY_FISH_DB * Math.max(0, CLOUD_WEIGHTS.full - fill) - OUTLINE_DB;
  return 2 * rangeM * Math.tan(Math.min(seenTo(channel, standsOutDb), FARTHEST_RAD));
}

/** How sure a cloud is was fitted to its length less this share of the beam's footprint. */
const FOOTPRINT_SHARE = 0.6;
/** No cloud counts as shorter, m. */
const LEAST_LENGTH_M = 0.3;

/** Smoother than this an edge is not told, as a share of the height. */
const LEAST_RAGGED = 0.004;

/** A round cloud of n pings, its edge at (h/2)(1 − (2k/n)²), strays by so much of its height over n² without being torn. */
const ROUND_STRAYS = 5;

/** How far an edge strays from the mean of two pings before and two after, rms, m. */
function straying(edgeM: Float32Array): number {
  const known = edgeM.filter((x) => !isGap(x));
  let sum = 0;
  for (let i = 2; i < known.length - 2; i++)
    sum += (known[i]! - (known[i - 2]! + known[i - 1]! + known[i + 1]! + known[i + 2]!) / 4) ** 2;
  return Math.sqrt(sum / Math.max(1, known.length));
}

/** No shape tells a mood more surely. */
const SUREST_MOOD = 0.97;

/** Calm or hunted: undisturbed bait keeps a compact ball with an even edge, hunted bait is drawn out and torn. `long` is for how sure it is. */
function mood(
  top: Float32Array,
  bottom: Float32Array,
  heightM: number,
  channel: Channel,
  pingsPerM: number,
  cloud: CloudOutline,
): { mood: 'calm' | 'hunted'; moodProbability: number; stretched: number; ragged: number; long: number } {
  const w = CLOUD_WEIGHTS;
  const heights = Array.from(top, (a, k) => (isGap(a) ? 0 : bottom[k]! - a + channel.sampleStepM)).sort(
    (a, b) => a - b,
  );
  const tall = Math.max(channel.resolutionM, heights[Math.floor(0.9 * (heights.length - 1))]!);
  const rangeM = top.reduce((nearest, x) => (x < nearest ? x : nearest), Infinity);
  const timesTall = (beamM: number): number =>
    Math.max(LEAST_LENGTH_M, top.length / pingsPerM - beamM) / tall;
  const addedM = beamAdds(rangeM, cloud, channel);
  const stretched = timesTall(addedM);
  const footprintM = 2 * rangeM * Math.tan(Math.min(channel.beam.alongRad / 2, FARTHEST_RAD));
  const strays = (straying(top) + straying(bottom)) / 2 / Math.max(heightM, tall);
  const ragged = Math.max(LEAST_RAGGED, strays - ROUND_STRAYS / top.length ** 2);
  const even = w.evenDrawnOut + (ADDED_UNSURE * addedM) / tall;
  const drawnOut = logistic(w.perDrawnOut * Math.log(stretched / even));
  const torn = logistic(
    w.perRagged * Math.log(ragged / w.evenRagged) - w.perEmpty * Math.max(0, w.full - cloud.fill),
  );
  const hunted = clamp(1 - (1 - drawnOut) * (1 - torn), 1 - SUREST_MOOD, SUREST_MOOD);
  return {
    mood: hunted > 0.5 ? 'hunted' : 'calm',
    moodProbability: Math.max(hunted, 1 - hunted),
    stretched,
    ragged,
    long: timesTall(FOOTPRINT_SHARE * footprintM),
  };
}

/** Puts a cloud into numbers, with what speaks for it. */
export function cloudFinding(
  cloud: CloudOutline,
  id: number,
  channel: Channel,
  stretch: Stretch,
  bed: BedLine,
  clutterM: number,
  pingsPerM: number,
): CloudFinding {
  const pings = cloud.toPing - cloud.fromPing + 1;
  const range = (j: number): number => (j < 0 ? NaN : channel.firstRangeM + j * channel.sampleStepM);
  const top = Float32Array.from(cloud.top, range);
  const bottom = Float32Array.from(cloud.bottom, range);
  let at = 0;
  for (let k = 1; k < pings; k++) if (!(top[at]! <= top[k]!) && !isGap(top[k]!)) at = k;
  let deepest = 0;
  for (let k = 0; k < pings; k++) if (bottom[k]! > deepest) deepest = bottom[k]!;
  const rangeM = top[at]!;
  const heightM = deepest - rangeM;
  const state = mood(top, bottom, heightM, channel, pingsPerM, cloud);
  const w = CLOUD_WEIGHTS;
  const gapToBedM = gapTo(bed, cloud.fromPing + at, deepest);
  const thick = Array.from(top, (a, k) => bottom[k]! - a).filter((x) => !isGap(x));
  const thickM = thick.length > 0 ? median(thick) : 0;
  const filled = cloud.top.reduce((sum, j) => sum + (j >= 0 ? 1 : 0), 0) / pings;
  return {
    id,
    kind: 'cloud',
    fromPing: cloud.fromPing,
    toPing: cloud.toPing,
    timeS: stretch.navigation.timeS[cloud.fromPing + at]!,
    rangeM,
    depthM: [rangeM * Math.cos(Math.min(channel.beam.athwartRad / 2, Math.PI / 3)), deepest],
    heightM,
    gapToBedM,
    overBackgroundDb: cloud.overDb,
    confidence: confidenceOf(
      w.even +
        w.perThick * Math.log(clamp(thickM / channel.resolutionM, 1, w.mostThick)) +
        w.perStretch * Math.log(clamp(state.long, w.stretchFrom, w.stretchTo)) +
        w.perFill * (cloud.fill - w.evenFill) -
        (thickM < w.thin * channel.resolutionM
          ? w.perThread * Math.log(Math.max(1, state.long / w.long))
          : 0) -
        (gapToBedM !== null && gapToBedM < ON_BED_M ? w.onBed : 0) -
        (rangeM < clutterM + HANGS_M ? w.hangs + w.within * clamp((clutterM - rangeM) / WITHIN_M, 0, 1) : 0),
    ),
    reasons: [
      { name: 'stretched', times: state.stretched },
      { name: 'ragged', share: state.ragged, torn: state.ragged > w.evenRagged },
      { name: 'thick', heightM, pulseM: channel.resolutionM },
      { name: 'stands-out', db: cloud.overDb },
      { name: 'followed', pings, share: filled },
    ],
    rival:
      pings > w.layerPings
        ? { reading: 'layer', test: 'pass-again' }
        : { reading: 'several-fish', test: 'other-beam' },
    top,
    bottom,
    mood: state.mood,
    moodProbability: state.moodProbability,
    fill: cloud.fill,
  };
}

/** How far outside a cloud's outline one of its own may come to lie, m. */
const CLOUD_EDGE_M = 0.6;
/** Share of a mark's points that must lie where a cloud's legs can for it to be one. */
const LEG_SHARE = 0.8;
/** The farthest out anything is seen, as a share of the range. */
const FARTHEST = 1.5;
/** A mark beside a cloud is told apart from it by its echo in so many pings. */
const APART_PINGS = 8;
/** How far its median then stands over the cloud's level, dB, and how far off the cloud's outline it is at least, m. */
const LOUDER_DB = 5;
const CLEAR_M = 0.2;
/** A mark whose nearest point is seen, so far over the top of a whole cloud or under its foot, is none of its own, m. */
const CLEAR_OF_ALL_M = 0.25;

/** Whether a range lies in a cloud's outline at the ping nearest to a mark's middle. */
function isInside(mark: FishFinding, rangeM: number, { fromPing, top, bottom }: CloudFinding): boolean {
  const middle = Math.round((mark.fromPing + mark.toPing) / 2) - fromPing;
  const k = clamp(middle, 0, top.length - 1);
  // A gap is open water.
  return rangeM > top[k]! - CLEAR_M && rangeM < bottom[k]! + CLEAR_M;
}

/** Whether a mark's nearest point lies in the place of a cloud. */
export const liesIn = (mark: FishFinding, cloud: CloudFinding): boolean =>
  mark.toPing >= cloud.fromPing &&
  mark.fromPing <= cloud.toPing &&
  mark.rangeM > cloud.rangeM - CLOUD_EDGE_M &&
  mark.rangeM < cloud.rangeM + cloud.heightM + CLOUD_EDGE_M;

/** A whole arch this far over a cloud's level is a fish of its own beside it, dB. */
const STRONGER_DB = 6;

/**
 * Whether a mark is one of a cloud's own: its nearest point lies in the cloud, or its points lie where the legs of the
 * cloud's members must (ranges √(r² + v²Δt²) for r from the cloud's top to its foot).
 */
export function belongsToCloud(
  mark: FishFinding,
  f: Fitted,
  cloud: CloudFinding,
  timeS: Float64Array,
  speed: number,
  channel: Pick<Channel, 'beam'>,
): boolean {
  const from = timeS[cloud.fromPing]!;
  const to = timeS[cloud.toPing]!;
  const top = cloud.rangeM - CLOUD_EDGE_M;
  const foot = cloud.rangeM + cloud.heightM + CLOUD_EDGE_M;
  const slackS = CLOUD_EDGE_M / Math.max(speed, 0.2);
  const apexS = f.curve?.nearestTimeS ?? mark.timeS;
  const apexM = f.curve?.nearestRangeM ?? mark.rangeM;
  const louder = mark.overBackgroundDb > cloud.overBackgroundDb + STRONGER_DB;
  // A louder mark is beside the cloud where its outline there says so; of the rest the whole height counts.
  if (
    f.times.length >= APART_PINGS &&
    median(f.track.overDb) > cloud.overBackgroundDb + LOUDER_DB &&
    !isInside(mark, apexM, cloud)
  )
    return false;
  const clearOfAll = Math.max(cloud.rangeM - apexM, apexM - cloud.rangeM - cloud.heightM) > CLEAR_OF_ALL_M;
  if (f.times.length >= APART_PINGS && clearOfAll && mark.shape !== 'half') return false;
  if (apexS > from - slackS && apexS < to + slackS && apexM > top && apexM < foot) return true;
  if (louder && mark.shape === 'arch') return false;
  // Under a boat that keeps still nothing has legs.
  // A member is seen out to where the beam has taken off what it stands out by.
  const memberRad = seenTo(channel, cloud.overBackgroundDb + STRONGER_DB);
  const reachM = foot * Math.min(FARTHEST, Math.tan(Math.min(1.2, memberRad)));
  const reachS = speed < STILL_MPS ? slackS : reachM / speed;
  let inside = 0;
  f.times.forEach((t, i) => {
    if (t < from - reachS || t > to + reachS) return;
    const away = speed * Math.max(0, from - t, t - to);
    const range = f.track.rangeM[i]!;
    if (away < reachM && range > Math.hypot(top, away) && range < Math.hypot(foot, away)) inside++;
  });
  return inside >= LEG_SHARE * f.times.length;
}
