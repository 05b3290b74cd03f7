import type { Brief } from '@/core/advice';
import type { Cutaway, PassSpec } from '@/core/bench';
import { CALLED, type Called } from '@/core/logbook';
import type { MarkPlace, PaletteName, Picture, Settings } from '@/core/picture';
import type { Rig } from '@/core/rig';

/** What is trained, and what a round of each can be about. */
export const KINDS = {
  name: [
    'fish',
    'bait-calm',
    'bait-hunted',
    'weed',
    'brush',
    'timber',
    'rock',
    'layer',
    'bubbles',
    'other-sounder',
    'false-bed',
    'own-weight',
    'own-jig',
    'bait-with-sinker',
    'nothing',
  ],
  cover: ['over', 'beside', 'in', 'none'],
  size: ['first', 'second', 'alike'],
  place: ['under', 'aside', 'ahead', 'astern', 'deeper', 'as-drawn', 'how-far'],
  bed: ['left', 'right', 'same'],
  count: ['none', 'one', 'two', 'three'],
  dial: ['too-quiet', 'too-loud', 'too-deep', 'too-slow', 'filtered'],
  fix: [
    'specks',
    'nothing-drawn',
    'dashes',
    'bars',
    'top-mess',
    'bed-one-colour',
    'second-bed',
    'fish-tiny',
    'marks-too-long',
    'half-arches',
    'gone-at-speed',
  ],
  again: ['pressed', 'drifted'],
  /** Marks of one's own saved passes, by what was said of them. */
  yours: CALLED,
} as const;
export type Drill = keyof typeof KINDS;
export const DRILLS = Object.keys(KINDS) as Drill[];
/** Drills whose water is made. */
export type MadeDrill = Exclude<Drill, 'yours'>;
export const MADE_DRILLS = DRILLS.filter((drill): drill is MadeDrill => drill !== 'yours');
export type KindOf<D extends Drill> = (typeof KINDS)[D][number];
export type Kind = KindOf<Drill>;

/** How hard: marks plain, middling, and as most are on the water: thin, broken, beside something. */
export const LEVELS = [1, 2, 3] as const;
export type Level = (typeof LEVELS)[number];

/** Rounds of a sitting: some three minutes. */
export const ROUNDS = 10;

/** A mark of one's own passes, what it was said to be, and how its pass is drawn. */
export interface OwnMark {
  kind: Called;
  timeS: number;
  rangeM: number;
  pass: PassSpec;
  settings: Settings;
}

/** A round as it is asked for: the same one gives the same water. */
export interface RoundSpec {
  drill: Drill;
  kind: Kind;
  level: Level;
  seed: number;
  /** The mark it asks about, in rounds of one's own passes. */
  own?: OwnMark;
}

/** What rounds are made for: the boat, and the day that comes. */
export interface Trained {
  brief: Brief;
  rig: Rig;
  /** Colours of the light the screen is in, for the cone and the slice. */
  palettes: { cone: PaletteName; slice: PaletteName };
}

/** One answer that can be given: what it says, and the number in it, SI; null where it has none. */
export interface Option {
  code: string;
  value: number | null;
}

/** A round ready to be asked. */
export interface Round extends RoundSpec {
  settings: Settings;
  picture: Picture;
  /** The same water on another beam, where the question is about both; or set right, to be shown with the truth. */
  beside: Picture | null;
  /** What is asked about, on the picture; and what is shown there with the truth. */
  rings: readonly MarkPlace[];
  truthRings: readonly MarkPlace[];
  options: readonly Option[];
  /** Index of the right one. */
  answer: number;
  /** Numbers the explanation speaks of, SI. */
  facts: Readonly<Record<string, number>>;
  /** The true water at the moment asked about; null where the picture alone is the question. */
  cutaway: Cutaway | null;
  /** What the eye makes of it as it is set, and at the start setup, 0…1; null where nothing is turned. */
  score: { now: number; best: number } | null;
}

/** Names to choose from in a round of one's own passes. */
export const OWN_CHOICES = 4;

/** The chance of an answer given blindly. */
export const chanceOf = (drill: Drill): number =>
  ({
    name: 1 / 5,
    cover: 1 / 4,
    size: 1 / 3,
    place: 1 / 2,
    bed: 1 / 3,
    count: 1 / 4,
    dial: 0,
    fix: 1 / 4,
    again: 1 / 4,
    yours: 1 / OWN_CHOICES,
  })[drill];
