import * as v from 'valibot';
import { CONTROLS, HELD_CONTROLS, type HeldControl } from '@/core/picture';
import type { TriedColours } from './triedColours';
import { PRACTICES, type Debated, type Habits, type Practice } from './practices';

/** What a beam does, for a reason. */
export interface BeamFacts {
  coverM: number;
  deepestM: number;
  marginDb: number;
}

/** What tells on the picture that the gain is there. */
export type GainShows = 'specks' | 'fish midway' | 'fish in weaker colours';

/** Why a line of the setup is what it is: the rule's name and its numbers; words are the interface's. */
export type Because =
  | { rule: 'pinned'; insteadOf: number }
  | { rule: 'pinned-above-bed'; insteadOf: number; bedM: number }
  | ({
      rule: 'beam-widest-that-shows';
      otherCoverM: number | null;
      swingM: number;
      hiddenM: number;
    } & BeamFacts)
  | ({
      rule: 'beam-narrowest-that-shows';
      otherCoverM: number | null;
      swingM: number;
      hiddenM: number;
    } & BeamFacts)
  | ({ rule: 'beam-sees-to-the-bed'; hiddenM: number; otherHiddenM: number } & BeamFacts)
  | ({ rule: 'beam-strongest' } & BeamFacts)
  | ({ rule: 'beam-chosen' } & BeamFacts)
  | ({ rule: 'beam-one-for-all' } & BeamFacts)
  | ({
      rule: 'imaging-confirms' | 'imaging-shows-more' | 'imaging-for-cover';
      alongM: number;
      coneCoverM: number;
    } & BeamFacts)
  | { rule: 'pulse-only'; gapM: number }
  | { rule: 'pulse-swept' | 'pulse-single-shallow'; gapM: number; otherGapM: number }
  | { rule: 'range-bed-and-margin'; bedM: number; marginM: number; rowM: number }
  | { rule: 'range-least'; bedM: number; rowM: number }
  | { rule: 'range-one-for-all'; rangeM: number; rowM: number }
  | { rule: 'range-around-fish'; topM: number; rowM: number }
  | { rule: 'range-auto'; bedM: number; rowM: number }
  | { rule: 'look-no-deeper'; bedM: number; secondM: number }
  | { rule: 'zoom-none'; rowM: number }
  | { rule: 'zoom-bed-lock'; heightM: number; rowM: number; fullRowM: number }
  | { rule: 'power-near-bed'; bedM: number }
  | { rule: 'power-silt'; lostDb: number; deepestM: number }
  | { rule: 'power-full'; gainedDb: number }
  | { rule: 'power-filtered'; lostDb: number; deepestM: number }
  | {
      rule: 'gain-by-eye';
      shows: GainShows;
      tried: TriedColours | null;
      /** Whether it was tried on water with many more fish: a slice meets too few. */
      crowded: boolean;
      targetOverBottomDb: number;
    }
  | { rule: 'gain-big-only'; hiddenM: number; targetOverBottomDb: number }
  | { rule: 'gain-auto-offset' }
  | { rule: 'gain-show-lure' | 'gain-lure-lost'; massKg: number; depthM: number; targetOverBottomDb: number }
  | { rule: 'gain-under-way'; louderDb: number; targetOverBottomDb: number }
  | { rule: 'first-colour-tried' | 'first-colour-back-a-touch' | 'first-colour-leave-haze' }
  | {
      rule: 'spread-tried' | 'spread-hard-bed-at-top' | 'spread-target-not-too-pale' | 'spread-widest';
      depthM: number;
      bedOverBottomDb: number;
      part: number;
    }
  | { rule: 'other-sounders-one-step' | 'other-sounders-two-steps' }
  | { rule: 'other-sounders-few-pings'; pings: number }
  | { rule: 'noise-least' }
  | { rule: 'noise-some' }
  | { rule: 'top-water-above-fish'; reachM: number; shallowestM: number }
  | { rule: 'top-water-off' | 'top-water-calm' }
  | { rule: 'top-water-spare-fish'; messM: number; shallowestM: number }
  | { rule: 'tvg-fish-alike'; depthM: number; madeUpDb: number }
  | { rule: 'tvg-water-alike'; depthM: number; madeUpDb: number }
  | { rule: 'tvg-none' }
  | { rule: 'ping-rate-clear-of-late-bed'; limit: number; bedEchoes: number; depthM: number }
  | { rule: 'ping-rate-fastest'; limit: number; bedEchoes: number }
  | { rule: 'chart-column-a-ping'; columnM: number; rowM: number; historyS: number }
  | { rule: 'chart-one-to-one'; columnM: number; rowM: number; historyS: number }
  | { rule: 'chart-by-rule'; columnM: number; rowM: number; historyS: number }
  | { rule: 'chart-drawn-out'; columnM: number; rowM: number; historyS: number; pings: number }
  | { rule: 'speed-enough-pings'; pings: number; fastestMps: number }
  | { rule: 'speed-too-fast'; pings: number; fastestMps: number }
  | { rule: 'speed-planing' }
  | { rule: 'speed-still' }
  | { rule: 'size-by-height'; pulseM: number; bodyM: number }
  | { rule: 'size-by-strength'; lowDb: number; highDb: number; factor: number }
  | { rule: 'size-by-dot'; pings: number }
  | { rule: 'size-bait-or-game'; apartDb: number; baitM: number };

/** The controls a start setup speaks of, in the practitioners' order. */
export const SETUP_CONTROLS = [
  'range',
  'lookNoDeeper',
  'beam',
  'imaging',
  'power',
  'pulse',
  'gain',
  'firstColour',
  'colourSpread',
  'otherSounders',
  'noiseRejection',
  'topWater',
  'tvg',
  'pingRate',
  'chartSpeed',
  'zoom',
  'boatSpeed',
  'size',
] as const;
export type Control = (typeof SETUP_CONTROLS)[number];

export interface SetupLine {
  control: Control;
  /** In the control's own unit: m, dB, steps, 1/s, columns/s, m/s. A beam's is its frequency, Hz. */
  value: number;
  because: Because;
  /** Whether the user holds it at this value, whatever the rules say. */
  pinned: boolean;
  /** The practice this line keeps to, and what the others would have, where practitioners disagree. */
  practice: Practice | null;
  others: readonly Alternative[];
}

/** What another practice would set. */
export interface Alternative {
  practice: Practice;
  value: number;
  because: Because;
}

/** A value and its reason. */
export interface Choice {
  value: number;
  because: Because;
}

/** Lines that can be held at a value, each in its own unit. Beams are held by choosing them. */
export type Pinnable = HeldControl;

export const isPinnable = (control: Control): control is Pinnable =>
  (HELD_CONTROLS as readonly string[]).includes(control);

/** Lines the user holds at a value of their own. */
export type Pins = { readonly [C in Pinnable]?: number | undefined };

const pin = (name: Pinnable) => {
  const { lowest, highest } = CONTROLS[name];
  return v.optional(v.pipe(v.number(), v.finite(), v.minValue(lowest), v.maxValue(highest)));
};

/** Pins from storage or a file. */
export const PinsSchema: v.GenericSchema<unknown, Pins> = v.object(
  Object.fromEntries(HELD_CONTROLS.map((name) => [name, pin(name)])) as Record<
    Pinnable,
    ReturnType<typeof pin>
  >,
);

/** What is held on one unit: on the cone's card and on the slice's. */
export interface UnitHolds {
  cone: Pins;
  slice: Pins;
}

/** What is held, unit by unit. */
export type Holds = Readonly<Record<string, UnitHolds>>;

/** Holds from storage or a file. */
export const HoldsSchema: v.GenericSchema<unknown, Holds> = v.record(
  v.pipe(v.string(), v.maxLength(40)),
  v.object({ cone: v.optional(PinsSchema, {}), slice: v.optional(PinsSchema, {}) }),
);

/** What is held on a unit; nothing where nothing is. */
export const heldOn = (holds: Holds, unitId: string): UnitHolds => holds[unitId] ?? { cone: {}, slice: {} };

/** The practice of a control a user keeps to: their habit, or this setup's own. */
export const practiceOf = <C extends Debated>(control: C, habits: Habits): Practice<C> =>
  (habits[control] as Practice<C> | undefined) ?? PRACTICES[control][0]!;

/**
 * The line of a control: the practice the user keeps to or the value they pinned, and the other practices beside it. One that has
 * no choice here does not apply: whoever keeps to it gets the first.
 */
export function debatedLine<C extends Debated>(
  control: C,
  habits: Habits,
  pins: Pins,
  choices: Readonly<Record<Practice<C>, Choice | null>>,
): SetupLine {
  const habit = practiceOf(control, habits);
  const kept = choices[habit] ? habit : practiceOf(control, {});
  return {
    ...plainLine(control, pins, choices[kept]!),
    practice: kept,
    others: (PRACTICES[control] as readonly Practice<C>[]).flatMap((practice) => {
      const choice = choices[practice];
      return practice === kept || !choice ? [] : [{ practice, value: choice.value, because: choice.because }];
    }),
  };
}

/** A line on which practitioners agree. */
export function plainLine(control: Control, pins: Pins, { value, because }: Choice): SetupLine {
  const pinned = isPinnable(control) ? pins[control] : undefined;
  return {
    control,
    value: pinned ?? value,
    because: pinned === undefined ? because : { rule: 'pinned', insteadOf: value },
    pinned: pinned !== undefined,
    practice: null,
    others: [],
  };
}
