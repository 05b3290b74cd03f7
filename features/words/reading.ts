import type { LevelFault, NotFish, Reading } from '@/core/reading';
import { steepSlope } from '@/core/reading/bed/steepSlope';
import { radToDeg } from '@/core/units';
import type { Units } from '../units';
import { clock } from '../units';
import { bedWords } from './bed';

/** What the reader has seen besides marks, cloud and cover: a name, and what it is and what to do. */
export interface SeenWords {
  name: string;
  words: string;
}

const NAMED: Record<NotFish, { name: string; words: string }> = {
  bubbles: { name: 'Bubbles', words: 'They rise as gas does. They are no fish.' },
  'another-sounder': {
    name: 'Another sounder',
    words: 'Its dashes keep the time of another clock. Turn up other sounders, or change the ping rate.',
  },
  'own-gear': {
    name: 'Your own gear',
    words: 'It keeps one depth for longer than a fish stays in the beam. Take some line in: it comes up too.',
  },
  'electrical-bar': {
    name: 'Electrical noise',
    words: 'Whole pings are louder than their neighbours. Switch off pumps and chargers one by one.',
  },
  'false-bed': {
    name: 'A false bed',
    words: 'An echo of an earlier ping comes late. Lower the ping rate: a false bed moves, the bed does not.',
  },
  'ring-down': {
    name: 'The transducer’s own ringing',
    words: 'It is equally loud in every ping. Nothing nearer than that can be read.',
  },
};

/** Share of pings from which electrical noise is worth telling. */
const BARS = 0.01;

/** The steepest stretch of the bed, how deep it truly is there, and what it hides; null where none is steep. */
function slopeWords({ bed, bedShape }: Reading, { timeS, wayM }: Pings, units: Units): string | null {
  const steep = steepSlope(bedShape, wayM);
  if (!steep) return null;
  const { fromPing, toPing, slopeRad } = steep;
  const p = (fromPing + toPing) >> 1;
  const way = slopeRad > 0 ? 'falls' : 'rises';
  const degrees = Math.round(radToDeg(Math.abs(slopeRad)));
  const deep = units.band('depth', bedShape.depthLowM[p]!, bedShape.depthHighM[p]!);
  return `It ${way} by ${degrees}° at ${clock(timeS[p]!)}. Straight below it is ${deep} deep, drawn at ${units.show('depth', bed.rangeM[p]!)}. Fish in the lowest ${units.height(bedShape.deadZoneM[p]!)} are hidden.`;
}

const FAULT: Record<LevelFault['name'], { name: string; words: string }> = {
  cut: {
    name: 'Loud echoes are cut off',
    words:
      'They were saved at one and the same level. Lengths and hard or soft ground are not told from them.',
  },
  'gain-in': {
    name: 'Gain by depth is already in this recording',
    words: 'Deep echoes were made louder before it was saved. Lengths are not told from it.',
  },
  repeated: {
    name: 'Pings are missing',
    words: 'The ping before stands in their place. Shapes may be drawn too long.',
  },
};

const STRUCTURE = { hump: 'A hump', channel: 'A channel', ledge: 'A ledge' } as const;

/** Of humps, channels and ledges, so many of the highest are told one by one. */
const MOST_STRUCTURES = 6;

/** When each ping went out, s, and where along the boat's way, m. */
interface Pings {
  timeS: Float64Array;
  wayM: ArrayLike<number>;
}

/** All the reader has seen that is no mark, most useful first. */
export function seenWords(reading: Reading, pings: Pings, units: Units): SeenWords[] {
  const { timeS } = pings;
  const out: SeenWords[] = [];
  for (const { name } of reading.faults) out.push(FAULT[name]);
  const bed = bedWords(reading.hardness);
  if (bed) out.push({ name: 'The bed', words: bed });
  const slope = slopeWords(reading, pings, units);
  if (slope) out.push({ name: 'A steep slope', words: slope });
  const structure = [...reading.structure].sort((a, b) => b.heightM - a.heightM);
  for (const { kind, fromPing, toPing, topM, heightM } of structure.slice(0, MOST_STRUCTURES))
    out.push({
      name: STRUCTURE[kind],
      words: `${units.height(heightM)} high, its top at ${units.show('depth', topM)}. You passed it at ${clock(timeS[(fromPing + toPing) >> 1]!)}.`,
    });
  if (structure.length > MOST_STRUCTURES)
    out.push({
      name: 'More of the bed',
      words: `${structure.length - MOST_STRUCTURES} lower humps, channels and ledges lie along the way.`,
    });
  for (const { topM, bottomM } of reading.layers)
    out.push({
      name: 'A layer',
      words: `At ${units.band('depth', topM, bottomM, 0)} through the pass. Fish often keep just over or under it.`,
    });
  for (const { answers } of reading.lures)
    out.push({
      name: 'Your lure',
      words:
        answers.length === 0
          ? 'No fish answered it.'
          : `Fish answered it ${answers.length === 1 ? 'once' : `${answers.length} times`}.`,
    });
  if (reading.missingLeg) {
    const { leg, count, of } = reading.missingLeg;
    out.push({
      name: 'The same leg is missing',
      words: `${count} of ${of} half arches lack the ${leg === 'before' ? 'first' : 'second'} leg. Check that the transducer is level.`,
    });
  }
  for (const kind of Object.keys(NAMED) as NotFish[]) {
    const mine = reading.named.filter((echo) => echo.kind === kind);
    const pings = mine.reduce((sum, echo) => sum + echo.toPing - echo.fromPing + 1, 0);
    // A loud ping now and then is chance.
    if (pings < (kind === 'electrical-bar' ? BARS * timeS.length : 1)) continue;
    const near = Math.min(...mine.map((echo) => echo.rangeM[0]));
    const far = Math.max(...mine.map((echo) => echo.rangeM[1]));
    const where = kind === 'electrical-bar' ? '' : `At ${units.band('depth', near, far)}. `;
    out.push({ name: NAMED[kind].name, words: `${where}${NAMED[kind].words}` });
  }
  return out;
}

/** How much of the bed a pass has looked at, and what is not on it. @param wayM of the boat over the pass, m */
export function coveredWords(
  reading: Pick<Reading, 'bed'>,
  athwartRad: number,
  wayM: number,
  units: Units,
): string | null {
  const known = reading.bed.rangeM.filter((r) => r > 0).sort();
  if (known.length === 0) return null;
  const bedM = known[known.length >> 1]!;
  const acrossM = 2 * bedM * Math.tan(Math.min(athwartRad / 2, 1.2));
  const strip = `You looked at a strip of the bed about ${units.show('depth', acrossM, 0)} wide`;
  return `${wayM < 1 ? strip : `${strip} and ${units.show('depth', wayM, 0)} long`}. A fish a boat’s length aside may not be on it.`;
}
