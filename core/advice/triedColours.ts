import * as v from 'valibot';
import { CONTROLS } from '@/core/picture';

/** Gain, first colour and colour spread found by trying on made passes, and how many of the fish met there a person would pick out. */
export interface TriedColours {
  gainDb: number;
  firstColourDb: number;
  colourSpreadDb: number;
  found: number;
  /** With what is worked out without trying. */
  foundBefore: number;
  fish: number;
  passes: number;
}

/** "Back a touch": how far the first colour goes up over the weakest, dB. */
export const USUAL_FIRST_COLOUR_DB = 4;

const dial = ({ lowest, highest }: { lowest: number; highest: number }) =>
  v.pipe(v.number(), v.minValue(lowest), v.maxValue(highest));
const MOST_FISH = 10_000;
const fish = v.pipe(v.number(), v.minValue(0), v.maxValue(MOST_FISH));

/** Tried colours from storage or a file. */
export const TriedColoursSchema: v.GenericSchema<unknown, TriedColours> = v.object({
  gainDb: dial(CONTROLS.gain),
  // Before the first colour was tried it was the usual one.
  firstColourDb: v.optional(dial(CONTROLS.firstColour), USUAL_FIRST_COLOUR_DB),
  colourSpreadDb: dial(CONTROLS.colourSpread),
  found: fish,
  foundBefore: fish,
  fish,
  passes: v.pipe(v.number(), v.minValue(1), v.maxValue(100)),
});
