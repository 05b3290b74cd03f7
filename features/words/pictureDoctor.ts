import type { Symptom } from '@/core/bench/symptoms/symptom';

/** What is said of a picture of one's own screen: the one setting to turn, which way, and what should then be seen. */
export interface DoctorWords {
  /** What shows. */
  shows: string;
  turn: string;
  then: string;
  /** What else it could be. */
  rival: string;
}

export const DOCTOR_WORDS: Partial<Record<Symptom, DoctorWords>> = {
  'fish-tiny': {
    shows: 'Much of the screen lies under the bed.',
    turn: 'Range: up to a little under the bed.',
    then: 'Every fish gets more rows.',
    rival: 'You may be looking for the second bed echo.',
  },
  'marks-too-long': {
    shows: 'Marks are drawn out.',
    turn: 'Chart speed: down.',
    then: 'Marks get shorter and rise as arches.',
    rival: 'The speed or the seconds you gave may be off.',
  },
  'brush-needle': {
    shows: 'Much way is squeezed into few columns.',
    turn: 'Chart speed: up.',
    then: 'Fish become arches, and cover gets its width.',
    rival: 'The speed or the seconds you gave may be off.',
  },
  bars: {
    shows: 'Whole columns are filled.',
    turn: 'No dial mends this. Switch pump, charger and motor off, one by one.',
    then: 'The bars stop with the one that makes them.',
    rival: 'Another sounder very near.',
  },
  specks: {
    shows: 'Open water is full of specks.',
    turn: 'Gain: down, until a few specks are left.',
    then: 'Open water clears, and the fish stay.',
    rival: 'Silt or plankton, which thins out elsewhere.',
  },
  'bed-one-colour': {
    shows: 'The bed is all the strongest colour.',
    turn: 'Colour spread: wider.',
    then: 'Hard and soft bed get colours of their own.',
    rival: 'A gain too high. Then fish have the strongest colour too.',
  },
  'top-mess': {
    shows: 'The top is full of clutter.',
    turn: 'Top water: up, as little as clears it.',
    then: 'The top clears. Shallow bait may go with it.',
    rival: 'A real layer of bait near the surface.',
  },
  dashes: {
    shows: 'Short upright dashes stand in open water.',
    turn: 'Other sounders: up, as little as does it.',
    then: 'The dashes go, and fish stay.',
    rival: 'A gain a little high: then they are specks.',
  },
  'nothing-drawn': {
    shows: 'Open water is empty, without a speck.',
    turn: 'Gain: up, until a few specks show.',
    then: 'Weak fish come out between the specks.',
    rival: 'Empty water, where a few specks would still show.',
  },
};
