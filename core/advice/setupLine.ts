import * as v from 'valibot';
import { SCHOOLS, type Debated, type Habits, type School } from './schools';

/** What a beam does, for a reason. */
export interface BeamFacts {
  coverM: number;
  deepestM: number;
  marginDb: number;
}

/** Why a line of the setup is what it is: the rule's name and its numbers; words are the interface's. */
export type Because =
  | { rule: 'pinned'; insteadOf: number }
  | ({ rule: 'beam-widest-that-shows'; otherCoverM: number | null } & BeamFacts)
  | ({ rule: 'beam-narrowest-that-shows'; otherCoverM: number | null } & BeamFacts)
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
  | { rule: 'gain-few-specks'; share: number; targetOverBottomDb: number }
  | { rule: 'gain-auto-offset' }
  | { rule: 'gain-under-way'; louderDb: number; targetOverBottomDb: number }
  | { rule: 'first-colour-back-a-touch' | 'first-colour-leave-haze'; share: number }
  | {
      rule: 'spread-hard-bed-at-top' | 'spread-target-not-too-pale';
      depthM: number;
      bedOverBottomDb: number;
      part: number;
    }
  | { rule: 'other-sounders-one-step' | 'other-sounders-two-steps'; pings: number }
  | { rule: 'noise-least' }
  | { rule: 'noise-some' }
  | { rule: 'top-water-above-fish'; reachM: number; shallowestM: number }
  | { rule: 'top-water-off' }
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
  | { rule: 'speed-still' }
  | { rule: 'size-by-height'; pulseM: number; bodyM: number }
  | { rule: 'size-by-strength'; lowDb: number; highDb: number; factor: number }
  | { rule: 'size-by-dot'; pings: number }
  | { rule: 'size-bait-or-game'; apartDb: number; baitM: number };

/** The controls a start setup speaks of, in the practitioners' order. */
export const CONTROLS = [
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
export type Control = (typeof CONTROLS)[number];

export interface SetupLine {
  control: Control;
  /** In the control's own unit: m, dB, steps, 1/s, columns/s, m/s. A beam's is its frequency, Hz. */
  value: number;
  because: Because;
  /** Whether the user holds it at this value, whatever the rules say. */
  pinned: boolean;
  /** The school this line keeps to, and what the others would have, where practitioners disagree. */
  school: School | null;
  others: readonly Alternative[];
}

/** What another school would set. */
export interface Alternative {
  school: School;
  value: number;
  because: Because;
}

/** A value and its reason. */
export interface Choice {
  value: number;
  because: Because;
}

/** What a line can be pinned to, least and most and a step, each in its own unit. Beams are pinned by choosing them. */
export const PIN_RANGE = {
  range: [2, 400, 1],
  lookNoDeeper: [2, 400, 1],
  gain: [-30, 40, 1],
  firstColour: [0, 30, 1],
  colourSpread: [10, 60, 1],
  otherSounders: [0, 3, 1],
  noiseRejection: [0, 8, 1],
  topWater: [0, 10, 1],
  pingRate: [0.5, 60, 0.5],
  chartSpeed: [0.5, 40, 0.5],
} as const satisfies Partial<Record<Control, readonly [number, number, number]>>;
export type Pinnable = keyof typeof PIN_RANGE;

export const isPinnable = (control: Control): control is Pinnable => control in PIN_RANGE;

/** Lines the user holds at a value of their own. */
export type Pins = { readonly [C in Pinnable]?: number | undefined };

const pin = (control: Pinnable) =>
  v.optional(
    v.pipe(v.number(), v.finite(), v.minValue(PIN_RANGE[control][0]), v.maxValue(PIN_RANGE[control][1])),
  );

/** Pins from storage or a file. */
export const PinsSchema: v.GenericSchema<unknown, Pins> = v.object({
  range: pin('range'),
  lookNoDeeper: pin('lookNoDeeper'),
  gain: pin('gain'),
  firstColour: pin('firstColour'),
  colourSpread: pin('colourSpread'),
  otherSounders: pin('otherSounders'),
  noiseRejection: pin('noiseRejection'),
  topWater: pin('topWater'),
  pingRate: pin('pingRate'),
  chartSpeed: pin('chartSpeed'),
});

/** The school of a control a user keeps to: their habit, or this setup's own. */
export const schoolOf = <C extends Debated>(control: C, habits: Habits): School<C> =>
  (habits[control] as School<C> | undefined) ?? SCHOOLS[control][0]!;

/** The line of a control: the school the user keeps to or the value they pinned, and the other schools beside it. */
export function debatedLine<C extends Debated>(
  control: C,
  habits: Habits,
  pins: Pins,
  choices: Record<School<C>, Choice>,
): SetupLine {
  const kept = schoolOf(control, habits);
  return {
    ...plainLine(control, pins, choices[kept]),
    school: kept,
    others: (SCHOOLS[control] as readonly School<C>[])
      .filter((school) => school !== kept)
      .map((school) => ({ school, value: choices[school].value, because: choices[school].because })),
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
    school: null,
    others: [],
  };
}
