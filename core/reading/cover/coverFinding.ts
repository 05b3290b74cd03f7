import { softmax } from '@/core/maths';
import type { Channel, Stretch } from '@/core/recording';
import { confidenceOf } from '../confidence';
import { COVER_CLASSES, type CoverClass, type CoverFinding } from '../finding';
import type { BedLine } from '../bed/bedLine';
import type { OnBedOutline } from './onBed';
import { COVER_WEIGHTS, HABITS } from './weights';

const logDensity = (x: number, [mean, sd]: readonly [number, number]): number =>
  -0.5 * ((x - mean) / sd) ** 2 - Math.log(sd);

type Measures = Pick<
  OnBedOutline,
  'tallM' | 'lengthM' | 'lengthSpread' | 'underBedDb' | 'solid' | 'fill' | 'overDb' | 'faint'
>;

/** The bed line climbs onto branches or weed in so large a share of passes, however high; they stand over it still, by this, dB. */
const CLIMBS = 0.06;
const STANDS_OVER_DB = 20;
const solidDensity = ({ solid, overDb }: Measures, habit: readonly [number, number]): number => {
  const climbs = overDb > STANDS_OVER_DB ? CLIMBS : 0;
  return Math.log((1 - climbs) * Math.exp(logDensity(solid, habit)) + climbs);
};

/** The habits are wide on purpose, and so told apart less surely than they are right: held against 494 made pieces of cover. */
const SHARPER = 1.5;

/** Probability of each class of cover, by Bayes with classes equally likely beforehand and measures taken as independent. */
export function coverProbability(outline: Measures): Record<CoverClass, number> {
  const logs = COVER_CLASSES.map((c) => {
    const habit = HABITS[c];
    // Rock is as loud as the bed.
    if (c === 'boulder' && outline.faint) return -Infinity;
    return (
      logDensity(Math.log(outline.tallM), habit.tall) +
      logDensity(Math.log(outline.lengthM), [
        habit.length[0],
        Math.hypot(habit.length[1], outline.lengthSpread),
      ]) +
      logDensity(outline.underBedDb, habit.underBedDb) +
      solidDensity(outline, habit.solid) +
      logDensity(outline.fill, habit.fill)
    );
  });
  const shares = softmax(logs.map((x) => SHARPER * x));
  return Object.fromEntries(COVER_CLASSES.map((c, i) => [c, shares[i]!])) as Record<CoverClass, number>;
}

/** A thing narrower than the beam that stands out no more than this is as likely a fish close to the bed, dB. */
const FAINT_DB = 24;
const NARROW_M = 0.5;
const LOW_M = 0.6;

/** How a wholly solid thing counts as a level over the water, dB. */
const SOLID_DB = 35;
/** Beds are rough by about so much, m, and by this share of their depth as a wide beam draws them. */
const ROUGH_M = 0.2;
const ROUGH_SHARE = 0.02;

/** Puts what stands on the bed into numbers, with what speaks for it, and how sure it is that anything stands there. */
export function coverFinding(
  outline: OnBedOutline,
  channel: Channel,
  stretch: Stretch,
  bed: BedLine,
): { finding: CoverFinding; real: number } {
  const { fromPing, toPing, heightM } = outline;
  let at = 0;
  for (let k = 1; k < heightM.length; k++) if (heightM[k]! > heightM[at]!) at = k;
  const ping = fromPing + at;
  const foot = bed.rangeM[ping]!;
  const rangeM = Math.max(0, foot - outline.tallM);
  const probability = coverProbability(outline);
  const [first, second] = [...COVER_CLASSES].sort((a, b) => probability[b] - probability[a]) as [
    CoverClass,
    CoverClass,
  ];
  const w = COVER_WEIGHTS;
  const fishLike =
    outline.lengthM < NARROW_M &&
    outline.tallM < LOW_M &&
    outline.overDb < FAINT_DB &&
    outline.solid < w.fishLikeSolid;
  // What is solid has little echo over the bed line: the line itself is its echo.
  const over = Math.max(outline.overDb, SOLID_DB * outline.solid);
  const real = confidenceOf(
    w.perDb * (over - w.evenDb) +
      w.perFill * (outline.fill - w.evenFill) +
      w.perPing * (Math.min(heightM.length, w.mostPings) - w.evenPings) +
      w.perTall * Math.min(w.mostTall, Math.log(outline.tallM / (ROUGH_M + ROUGH_SHARE * foot))) -
      w.perLow * Math.max(0, Math.log(w.lowM / outline.tallM)) -
      (fishLike ? w.fishLike : 0),
  );
  const finding: CoverFinding = {
    id: 0,
    kind: 'cover',
    cover: first,
    probability,
    fromPing,
    toPing,
    timeS: stretch.navigation.timeS[ping]!,
    rangeM,
    depthM: [rangeM * Math.cos(Math.min(channel.beam.athwartRad / 2, Math.PI / 3)), rangeM],
    heightM: outline.tallM,
    lengthM: outline.lengthM,
    gapToBedM: 0,
    overBackgroundDb: outline.overDb,
    confidence: real * probability[first],
    reasons: [
      { name: 'stands-on-bed', heightM: outline.tallM, lengthM: outline.lengthM },
      { name: 'under-bed', db: outline.underBedDb },
      { name: 'stands-out', db: outline.overDb },
    ],
    rival: fishLike
      ? { reading: 'big-fish', test: 'bed-window' }
      : { reading: second, test: first === 'boulder' || second === 'boulder' ? 'drop-on-it' : 'pass-again' },
    height: heightM,
    about: { over: 0, beside: 0, inside: first === 'boulder' ? 'none' : 'unknown' },
  };
  return { finding, real };
}
