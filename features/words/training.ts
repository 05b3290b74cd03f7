import { SYMPTOM_WORDS } from './symptoms';
import type { Symptom } from '@/core/bench/symptoms/symptom';
import type { Drill, KindOf, Option, Round } from '@/core/training/drill';
import type { DrillProgress, Share } from '@/core/training/progress';
import type { Units } from '../units';
import { CALLED_WORDS } from './called';

/** What a drill is called, what it asks, and what it is good for. */
export const DRILL_WORDS: Record<Drill, { title: string; asks: string; about: string }> = {
  name: {
    title: 'Name it',
    asks: 'What is in the box?',
    about: 'Fish, bait, weed, wood, noise, or nothing.',
  },
  cover: {
    title: 'Is anything on it?',
    asks: 'Where are fish about this cover?',
    about: 'Fish over, in or beside brush, cribs and timber.',
  },
  size: {
    title: 'Size it',
    asks: 'Which fish is the larger?',
    about: 'Strength tells size, length does not.',
  },
  place: {
    title: 'Where is it?',
    asks: 'Where is it truly?',
    about: 'Aside, ahead, astern, or deeper than drawn.',
  },
  bed: {
    title: 'Hard or soft',
    asks: 'Which half of the bed is harder?',
    about: 'The bed by its colour and tail.',
  },
  count: {
    title: 'How many?',
    asks: 'How many fish are there?',
    about: 'Two fish or one, and fish on the bed.',
  },
  dial: {
    title: 'Dial it in',
    asks: 'Make the fish show, in as few turns as you can.',
    about: 'A bad setting and a target.',
  },
  fix: { title: 'Fix it', asks: 'What mends this picture?', about: 'See the fault, find its cause.' },
  again: {
    title: 'Find it again',
    asks: 'How far off is it?',
    about: 'Marks pressed late, and schools that drift.',
  },
  yours: {
    title: 'Yours',
    asks: 'Your own pass: what is in the box?',
    about: 'Marks of your saved passes, by what you said they are.',
  },
};

const NAMES: Record<KindOf<'name'>, string> = {
  fish: 'A fish',
  'bait-calm': 'Calm bait',
  'bait-hunted': 'Hunted bait',
  weed: 'Weed',
  brush: 'Brush',
  timber: 'Standing timber',
  rock: 'A rock',
  layer: 'A layer',
  bubbles: 'Bubbles',
  'other-sounder': 'Another sounder',
  'false-bed': 'A false bed',
  'own-weight': 'Your own weight',
  'own-jig': 'Your own jig',
  'bait-with-sinker': 'Your bait and sinker',
  nothing: 'Nothing',
};

const WORDS: Record<string, string> = {
  ...NAMES,
  over: 'Over it',
  beside: 'Beside it',
  in: 'In it',
  none: 'None',
  first: 'The first',
  second: 'The second',
  alike: 'About alike',
  under: 'Under the boat',
  aside: 'Off to a side',
  ahead: 'Still ahead',
  astern: 'Already astern',
  deeper: 'The bed is deeper',
  'as-drawn': 'As it is drawn',
  left: 'The left half',
  right: 'The right half',
  same: 'Both alike',
  one: 'One',
  two: 'Two',
  three: 'Three',
  'too-quiet': 'Gain too low',
  'too-loud': 'Gain too high',
  'too-deep': 'Range too deep',
  'too-slow': 'Chart too slow',
  filtered: 'Too much filter',
  pressed: 'A mark pressed late',
  drifted: 'A school that drifts',
  'how-far': 'How far astern',
};

/** A kind of round in words. */
export const kindWords = (drill: Drill, kind: string): string =>
  drill === 'fix'
    ? SYMPTOM_WORDS[kind as Symptom].complaint
    : drill === 'yours'
      ? CALLED_WORDS[kind as KindOf<'yours'>].chip
      : (WORDS[kind] ?? kind);

/** What stands on an answer. */
export function optionWords(
  { drill }: Pick<Round, 'drill'>,
  { code, value }: Option,
  { show }: Units,
): string {
  if (value !== null) return `${show('depth', value, 0)} ${code === 'astern-by' ? 'astern' : 'off'}`;
  return drill === 'fix' ? SYMPTOM_WORDS[code as Symptom].move : kindWords(drill, code);
}

/** What is asked in a round. */
export function questionWords({ drill, kind, facts }: Round, { show }: Units): string {
  if (drill === 'place') {
    if (kind === 'under' || kind === 'aside') return 'Wide beam above, narrow below. Is it under the boat?';
    if (kind === 'ahead' || kind === 'astern') return 'The right edge is now. Where is the fish?';
    if (kind === 'how-far')
      return `You make ${show('speed', facts.speedMps!)}. How far astern is the fish now?`;
    return 'How deep is the bed right under the boat?';
  }
  if (drill === 'again')
    return kind === 'pressed'
      ? `You make ${show('speed', facts.speedMps!)} and press Mark only now.${facts.aheadM ? ` Your antenna is ${show('depth', facts.aheadM)} ahead of the transducer.` : ''} How far off is the mark?`
      : `The school goes ${show('speed', facts.speedMps!)}. You are back in ${facts.backS} seconds. How far has it gone?`;
  return DRILL_WORDS[drill].asks;
}

const NAME_WHY: Record<KindOf<'name'>, string> = {
  fish: 'It is thin, stands free of the bed, and bends as the boat goes by.',
  'bait-calm': 'Many small echoes make one soft cloud with an even edge.',
  'bait-hunted': 'The cloud is stretched and torn, and single marks hang about it.',
  weed: 'It grows up from the bed, soft and grainy, with an uneven top.',
  brush: 'It stands on the bed, full and grainy, and keeps its place.',
  timber: 'Thin curved lines stand one over the other: trunk and limbs.',
  rock: 'It is as strong as the bed and joins it with no gap.',
  layer: 'It runs through the whole picture at one depth, grainy and without bends.',
  bubbles: 'Small marks rise one after the other. Fish do not all rise at one pace.',
  'other-sounder': 'Short dashes, each of one ping, in slanting rows.',
  'false-bed': 'An old echo of hard ground. It moves when you change the ping rate.',
  'own-weight': 'One line at one depth that never bends. It goes with the boat.',
  'own-jig': 'It goes up and down as you lift the rod.',
  'bait-with-sinker': 'Two lines that keep the same gap: what hangs on your own line.',
  nothing: 'Only noise. Nothing here holds together over several pings.',
};

const OWN_WHY: Record<KindOf<'yours'>, string> = {
  fish: NAME_WHY.fish,
  bait: NAME_WHY['bait-calm'],
  weed: NAME_WHY.weed,
  brush: NAME_WHY.brush,
  timber: NAME_WHY.timber,
  boulder: NAME_WHY.rock,
  bed: 'It is the ground itself, a rise or an edge of it.',
  bubbles: NAME_WHY.bubbles,
  gear: NAME_WHY['own-jig'],
  nothing: NAME_WHY.nothing,
};

/** Why the right answer is the right one, in a sentence or two. */
export function whyWords(round: Round, { show, height }: Units): string {
  const { drill, kind, facts, beside } = round;
  const depth = (name: string): string => show('depth', facts[name]!);
  switch (drill) {
    case 'name':
      return NAME_WHY[kind as KindOf<'name'>];
    case 'cover':
      return {
        over: 'A thin mark stands clear over the top, with open water between.',
        beside: 'A mark stands near it with its own bend, and open water between.',
        in: 'A mark shines out of the branches, stronger and smoother than wood.',
        none: 'All of it hangs together. No mark bends on its own.',
      }[kind as KindOf<'cover'>];
    case 'size':
      return kind === 'alike'
        ? `Both are ${height(facts.firstM!)} long. Fish of one size still differ by some decibels.`
        : `They are ${height(facts.firstM!)} and ${height(facts.secondM!)} long. The stronger one is ${Math.abs(facts.overDb!).toFixed(0)} dB over the other.`;
    case 'place':
      switch (kind as KindOf<'place'>) {
        case 'under':
          return 'Both beams have it, so it lies in the narrow one.';
        case 'aside':
          return `Only the wide beam has it. It is ${depth('asideM')} to a side.`;
        case 'ahead':
          return 'The mark still rises toward the right edge: the path grows shorter, so it comes nearer.';
        case 'astern':
          return 'The mark falls toward the right edge: the path grows longer, so you have passed it.';
        case 'deeper':
          return 'On a slope the nearest ground answers first, off to a side. Right below it is deeper.';
        case 'as-drawn':
          return 'On flat ground the first touch is right below.';
        case 'how-far':
          return `It is ${facts.agoS!.toFixed(0)} seconds back at ${show('speed', facts.speedMps!)}: ${show('depth', facts.farM!, 0)}.`;
      }
    case 'bed':
      return kind === 'same'
        ? 'Colour and tail are the same to the left and to the right.'
        : 'Hard ground is drawn stronger, with a longer tail under it.';
    case 'count':
      return kind === 'none'
        ? 'Open water and an even bed.'
        : kind === 'one'
          ? 'One mark with one bend.'
          : 'Each fish has a bend of its own, and between them is open water.';
    case 'dial':
      return `Wrong was: ${kindWords('dial', kind).toLowerCase()}. ${beside ? 'Below is what the start setup shows.' : ''}`.trim();
    case 'fix':
      return SYMPTOM_WORDS[kind as Symptom].then;
    case 'again':
      return kind === 'pressed'
        ? `You went on for ${facts.lateS!.toFixed(0)} seconds${facts.aheadM ? ', and the antenna is ahead of the transducer' : ''}: ${show('depth', facts.farM!, 0)}.`
        : `${facts.backS} seconds at ${show('speed', facts.speedMps!)} are ${show('depth', facts.farM!, 0)}. Look down-drift first.`;
    case 'yours':
      return `You called it so when you saved the pass. ${OWN_WHY[kind as KindOf<'yours'>]}`;
  }
}

/** How an answer came out. */
export const outcomeWords = (round: Round, right: boolean, units: Units): string => {
  const { drill, kind, options, answer } = round;
  if (right) return 'Right.';
  const truth = options[answer];
  return drill === 'name'
    ? `No: ${NAMES[kind as KindOf<'name'>].replace(/^./, (c) => c.toLowerCase())}.`
    : truth
      ? `No. Right is: ${optionWords(round, truth, units)}`.replace(/\.?$/, '.')
      : 'Not yet.';
};

/** What a turned picture came to. */
export const dialledWords = ({ now, best }: { now: number; best: number }, turns: number): string =>
  `It shows ${Math.min(100, Math.round((100 * now) / best))} % of what the start setup shows, after ${turns} ${turns === 1 ? 'turn' : 'turns'}.`;

/** So many of so many, and how far that can be trusted. */
export const shareWords = ({ right, of, low, high }: Share): string =>
  `${right} of ${of} right, likely ${Math.round(100 * low)}–${Math.round(100 * high)} %`;

/** Answers of a kind before it is worth a word. */
const FEW = 3;

/** What a drill has come to, in a line. */
export function drillLine({ all, chance, byKind, drill }: DrillProgress): string {
  const weak = byKind.find(({ share }) => share.of >= FEW && share.right < share.of);
  const blind = chance > 0 ? ` Blind guesses come to ${Math.round(100 * chance)} %.` : '';
  return `${shareWords(all)}.${blind}${weak ? ` Weakest: ${kindWords(drill, weak.kind).replace(/^./, (c) => c.toLowerCase())}.` : ''}`;
}
