import { CONTROLS, type ControlName, type Settings } from '@/core/picture';
import { holding } from '@/core/scene';
import { draftOf, type Drafting } from './draft';
import type { KindOf } from './drill';
import { fishDepth, fishSize, movingBrief, emptyWater, stretchOf, unevenBed } from './drillWater';

type Fault = KindOf<'dial'>;

/** A range so much too deep, times the right one. */
const TOO_DEEP = 4;

/** A value turned as far as its dial goes. */
const within = (control: ControlName, value: number): number => {
  const { lowest, highest } = CONTROLS[control];
  return Math.min(highest, Math.max(lowest, value));
};

const WRONG: Record<Fault, (start: Settings) => Partial<Settings>> = {
  'too-quiet': ({ gainDb }) => ({ gainDb: within('gain', gainDb - 20) }),
  'too-loud': ({ gainDb }) => ({ gainDb: within('gain', gainDb + 16) }),
  'too-deep': ({ rangeM }) => ({
    rangeM: Math.round(within('range', TOO_DEEP * rangeM)),
    lookNoDeeperM: null,
  }),
  'too-slow': ({ chartSpeed }) => ({ chartSpeed: Math.max(1, Math.round(chartSpeed / 5)) }),
  filtered: () => ({ noiseRejection: 8 }),
};
const FAULTS = Object.keys(WRONG) as Fault[];

/** The settings of a fault over a start: one dial wrong, or at the highest level two. */
export function wrongSettings(kind: Fault, level: number, start: Settings): Settings {
  const set = { ...start, ...WRONG[kind](start) };
  if (level < 3) return set;
  const other = FAULTS[(FAULTS.indexOf(kind) + 2) % FAULTS.length]!;
  return { ...set, ...WRONG[other](start) };
}

/** Fish of the day, at a setup that shows them; what is asked is drawn with the setup turned wrong. */
export const dialIn: Drafting<'dial'> = (kind, _level, random, trained) => {
  const brief = movingBrief(trained.brief);
  const stretch = stretchOf(brief, trained);
  const { wayM, halfPerM } = stretch;
  const bedM = brief.toM - 0.3;
  const fish = [0.25, 0.5, 0.75].map((share) => {
    const z = fishDepth(brief, bedM, random);
    return holding(
      fishSize(brief, 0.7),
      [share * wayM, 0.3 * z * halfPerM * random.between(-1, 1), z],
      random,
    );
  });
  return draftOf(
    stretch,
    { ...emptyWater(stretch, unevenBed(bedM, random)), fish },
    {
      asked: fish.map((_, k) => ({ fish: k })),
      options: [],
      answer: 0,
      farM: within('range', TOO_DEEP * stretch.settings.rangeM),
    },
  );
};
