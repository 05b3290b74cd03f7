import type { Trap } from '@/core/bench/traps';

/** What is said of a lesson: its name, what each of its two ways is, and what to take home. */
export interface TrapWords {
  title: string;
  a: string;
  b: string;
  learn: string;
}

export const TRAP_WORDS: Record<Trap, TrapWords> = {
  'auto-and-engine': {
    title: 'Auto gain follows the engine',
    a: 'By hand: the same fish keeps its strength.',
    b: 'Auto: the gain falls when the boat speeds up, and fish fade.',
    learn: 'Set the gain by hand where it stays clean under way.',
  },
  'wide-and-narrow': {
    title: 'Wide and narrow beam disagree',
    a: 'Wide: more fish, but some of them are well aside.',
    b: 'Narrow: what is drawn is under the boat.',
    learn: 'A mark of the wide beam only lies off to a side.',
  },
  'window-or-all': {
    title: 'A deep window against the full range',
    a: 'Full range: you see everything, small.',
    b: 'Window on the deep half: fish are larger, and those above are gone.',
    learn: 'A window hides what is outside it. Go back to the full range now and then.',
  },
  'filter-eats-fish': {
    title: 'The filter eats the fish',
    a: 'No filter: a few specks, and all fish.',
    b: 'Much filter: clean water, and fewer fish.',
    learn: 'Use the least filter that does the work.',
  },
  'contrast-eats-fish': {
    title: 'Contrast eats the fish on the slice',
    a: 'A little haze, and soft fish show.',
    b: 'Hard contrast: it looks sharp, and soft fish are gone.',
    learn: 'Leave a little haze. Gain, then contrast, then gain again.',
  },
  'chart-speed': {
    title: 'The wrong chart speed',
    a: 'Chart at the boat’s pace: brush looks like a heap.',
    b: 'Chart too slow: the same brush is a needle.',
    learn: 'Judge shapes only when the chart goes with the boat.',
  },
  'ping-rate': {
    title: 'A false bed from the ping rate',
    a: 'Slow enough: one bed.',
    b: 'Too many pings: an old echo draws a bed that is not there.',
    learn: 'A bed that moves with the ping rate is false.',
  },
  'lure-enters': {
    title: 'The lure enters the cone at depth',
    a: 'Wide beam: the lure shows early.',
    b: 'Narrow beam: the lure falls unseen for some metres.',
    learn: 'Drop close to the transducer, and know from which depth it shows.',
  },
  'towed-weight': {
    title: 'A towed weight looks like fish',
    a: 'One line at one depth that never bends.',
    b: 'Draw it out: it is still a line. Fish would bend.',
    learn: 'Take in a little line. Your own weight comes up with it.',
  },
  'power-on-rock': {
    title: 'Full power over shallow rock',
    a: 'Low power: one bed, clean water.',
    b: 'Full power: echoes go to and fro, and the picture fills.',
    learn: 'In shallow hard water less power shows more.',
  },
  'length-for-size': {
    title: 'Length on the chart taken for size',
    a: 'Slow chart: short lines.',
    b: 'Fast chart: the same fish, four times as long.',
    learn: 'Length is time in the beam. Look at strength and height for size.',
  },
  'tilted-mount': {
    title: 'A tilted mount',
    a: 'Wide beam: every arch lacks the same leg.',
    b: 'Narrow beam: fish under the boat are hardly seen.',
    learn: 'If the same leg is always missing, check the level.',
  },
  'range-and-size': {
    title: 'Auto range changes sizes',
    a: 'Range just under the bed.',
    b: 'Range twice as deep: every fish is half as high.',
    learn: 'Look at the scale before you judge a size.',
  },
  'first-colour': {
    title: 'A clean picture that hides fish',
    a: 'A few specks are left, and so are weak fish.',
    b: 'First colour high: clean water, weak fish gone.',
    learn: 'Leave a few specks. On your unit a new palette can hide fish too: set the colours again.',
  },
  'automatic-marks': {
    title: 'Automatic fish marks',
    a: 'A simple rule rings what it calls fish.',
    b: 'A little more gain, and the same rule rings much more.',
    learn: 'This app draws no such rings. Shape, place and time tell more than a rule.',
  },
};
