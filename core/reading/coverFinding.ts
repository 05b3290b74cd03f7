import type { Channel, Recording } from '@/core/recording';
import { confidenceOf } from './confidence';
import { COVER_CLASSES, type BedLine, type CoverClass, type CoverFinding } from './findings';
import type { OnBedOutline } from './onBed';

/** Mean and standard deviation of what is measured of each class. */
interface Habit {
  /** Of ln height and ln length, m. */
  tall: readonly [number, number];
  length: readonly [number, number];
  /** Strongest echo under the bed's own, dB. */
  underBedDb: readonly [number, number];
  /** Share of its height the bed line itself rises by. */
  solid: readonly [number, number];
}

/**
 * Wide on purpose: a heap of branches is a metre or two high and drawn some metres long, a standing tree high and narrow,
 * a weed bed long and even, a rock low, strong and part of the bed line. Nominal.
 */
const HABITS: Record<CoverClass, Habit> = {
  weed: { tall: [0, 0.5], length: [2.6, 0.5], underBedDb: [35, 7], solid: [0, 0.08] },
  brush: { tall: [0.25, 0.4], length: [1.65, 0.45], underBedDb: [39, 8], solid: [0, 0.08] },
  timber: { tall: [1.35, 0.4], length: [1, 0.8], underBedDb: [43, 9], solid: [0, 0.08] },
  boulder: { tall: [-0.3, 0.45], length: [1.3, 0.8], underBedDb: [20, 8], solid: [0.35, 0.25] },
};

const logDensity = (x: number, [mean, sd]: readonly [number, number]): number =>
  -0.5 * ((x - mean) / sd) ** 2 - Math.log(sd);

/** Probability of each class of cover, by Bayes with classes equally likely beforehand and measures taken as independent. */
export function coverProbability(
  outline: Pick<OnBedOutline, 'tallM' | 'lengthM' | 'underBedDb' | 'solid'>,
): Record<CoverClass, number> {
  const logs = COVER_CLASSES.map((c) => {
    const habit = HABITS[c];
    return (
      logDensity(Math.log(outline.tallM), habit.tall) +
      logDensity(Math.log(outline.lengthM), habit.length) +
      logDensity(outline.underBedDb, habit.underBedDb) +
      logDensity(outline.solid, habit.solid)
    );
  });
  const best = Math.max(...logs);
  const weights = logs.map((l) => Math.exp(l - best));
  const sum = weights.reduce((a, b) => a + b, 0);
  return Object.fromEntries(COVER_CLASSES.map((c, i) => [c, weights[i]! / sum])) as Record<
    CoverClass,
    number
  >;
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

/** Puts what stands on the bed into numbers, with what speaks for it. */
export function coverFinding(
  outline: OnBedOutline,
  channel: Channel,
  recording: Recording,
  bed: BedLine,
): CoverFinding {
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
  const fishLike =
    outline.lengthM < NARROW_M && outline.tallM < LOW_M && outline.overDb < FAINT_DB && outline.solid < 0.15;
  // What is solid has little echo over the bed line: the line itself is its echo.
  const over = Math.max(outline.overDb, SOLID_DB * outline.solid);
  const real = confidenceOf(
    0.12 * (over - 20) +
      6 * (outline.fill - 0.5) +
      0.3 * (Math.min(heightM.length, 12) - 4) +
      6 * Math.min(0.3, Math.log(outline.tallM / (ROUGH_M + ROUGH_SHARE * foot))) -
      (fishLike ? 5 : 0),
  );
  return {
    id: 0,
    kind: 'cover',
    cover: first,
    probability,
    fromPing,
    toPing,
    timeS: recording.navigation.timeS[ping]!,
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
  };
}
