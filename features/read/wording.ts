import type { Finding, FishAbout, MarkShape, Reason, Rival } from '@/core/reading';
import type { Units } from '../units';
import { decimal } from '@/ui/decimal';

export const SHAPE_WORDS: Record<MarkShape, string> = {
  arch: 'arch with both legs',
  half: 'half an arch, one leg only',
  clip: 'clip: it crossed the edge of the cone, or a thin cone',
  line: 'line: you and the fish both kept still',
  thread: 'thread: it wandered in the cone',
  streak: 'streak: the boat was fast',
  dash: 'dash: only a few pings met it',
  dot: 'dot: too few pings for a shape',
  nothing: 'nothing',
};

const RIVAL_WORDS: Record<Rival['reading'], string> = {
  debris: 'drifting debris or bubbles',
  'another-sounder': 'another sounder',
  bait: 'a clump of bait',
  'bump-on-bed': 'a bump or weed on the bed',
  'several-fish': 'several fish close together',
  layer: 'a layer in the water',
  'big-fish': 'one large fish',
  weed: 'weed',
  brush: 'a heap of brush',
  timber: 'a standing tree',
  boulder: 'a rock',
};

const TEST_WORDS: Record<Rival['test'], string> = {
  'pass-again': 'drive over it again. Fish and debris will have moved, the bed will not',
  'other-beam': 'look with the other beam',
  'bed-window': 'lock the window to the bed and look for a gap under it',
  'drop-on-it': 'drop a lure on it',
  'faster-chart': 'raise the chart speed. Several fish come apart',
};

/** A mood less likely than this is said with a perhaps. */
const SURE_MOOD = 0.75;

/** What a mark of each shape is called at the head of its row. */
const HEAD_WORDS: Record<MarkShape, string> = {
  arch: 'Arch: likely a fish',
  half: 'Half arch: likely a fish',
  clip: 'Short mark: maybe a fish',
  line: 'Line: likely a fish that keeps still',
  thread: 'Thread: likely a fish that wanders',
  streak: 'Streak: maybe a fish',
  dash: 'Dash: maybe a fish',
  dot: 'Dot: maybe a fish',
  nothing: 'Single mark',
};

/** What a finding is called: a reading, never a kind of fish. */
export const findingTitle = (f: Finding): string =>
  f.kind === 'cover'
    ? `On the bed: likely ${RIVAL_WORDS[f.cover]}`
    : f.kind === 'cloud'
      ? `Cloud: likely bait, ${f.moodProbability >= SURE_MOOD ? '' : 'perhaps '}${f.mood}`
      : HEAD_WORDS[f.shape];

/** What tells one finding from the next, in a line: depth, height over the bed, size if it is a fish. */
export const findingLine = (f: Finding, { show, height, band }: Units): string =>
  [
    `${show('depth', f.rangeM)} down`,
    f.kind === 'fish'
      ? f.gapToBedM === null
        ? null
        : `${show('depth', f.gapToBedM)} off the bed`
      : `${height(f.heightM)} high`,
    f.kind === 'fish' && f.lengthM ? band('small', f.lengthM[0], f.lengthM[2], 0) : null,
    f.kind === 'cover' && f.about.over + f.about.beside > 0
      ? `${f.about.over + f.about.beside} fish about it`
      : null,
  ]
    .filter((words) => words !== null)
    .join(' · ');

/** What truly made an echo. */
export const TRUTH_WORDS = {
  fish: 'a fish',
  bed: 'the bed',
  cover: 'cover on the bed',
  bait: 'bait',
  gear: 'your own line',
  layer: 'a layer',
} as const;

/** How far a mark stands over the water around it, in words; the number is behind “numbers”. */
const overWords = (db: number): string =>
  db >= 18 ? 'much stronger' : db >= 10 ? 'clearly stronger' : 'a little stronger';

export function reasonWords(reason: Reason, units: Units): string {
  switch (reason.name) {
    case 'stands-out':
      return `${overWords(reason.db)} than the water around it`;
    case 'faint':
      return `too faint to see in one ping, but ${reason.pings} pings along one line have it`;
    case 'followed':
      return `seen in ${reason.pings} pings, with ${reason.share >= 0.9 ? 'few gaps' : reason.share >= 0.7 ? 'some gaps' : 'many gaps'}`;
    case 'rises':
      return `bends by ${units.height(reason.riseM)}, like something you drove over`;
    case 'fits-crossing':
      return `keeps to the curve of something you pass, within ${units.show('small', reason.offM)}`;
    case 'clear-of-bed':
      return `has ${units.show('depth', reason.gapM)} of clear water under it`;
    case 'stands-on-bed':
      return `joined to the bed, ${units.height(reason.heightM)} high and ${units.show('depth', reason.lengthM)} long`;
    case 'under-bed':
      return 'weaker than the bed under it';
    case 'stretched':
      return `${decimal(reason.times, 1)} times as long as high. Bait at rest keeps rounder`;
    case 'ragged':
      return reason.torn ? 'its edge is torn' : 'its edge is even';
    case 'larger-near':
      return `${reason.count} larger ${reason.count === 1 ? 'mark' : 'marks'} close to it`;
    case 'thick':
      return `${units.height(reason.heightM)} thick. One echo would be ${units.show('small', reason.pulseM)}`;
  }
}

export const rivalWords = ({ reading, test }: Rival): string =>
  `It could also be ${RIVAL_WORDS[reading]}. To find out, ${TEST_WORDS[test]}.`;

/** Decibels of a finding, for who asks for numbers. */
export const findingNumbers = (f: Finding): string =>
  [
    `Over the water around it: ${Math.round(f.overBackgroundDb)}\u00a0dB.`,
    f.kind === 'fish' ? `Strength: ${f.strengthDb.toFixed(0).replace('-', '−')}\u00a0dB.` : null,
    ...f.reasons.map((r) =>
      r.name === 'under-bed' ? `Under the bed’s strongest echo: ${Math.round(r.db)}\u00a0dB.` : null,
    ),
  ]
    .filter((words) => words !== null)
    .join(' ');

const fishCount = (n: number): string => (n === 0 ? 'No fish' : `${n} fish`);

/** Whether fish stand over, beside or inside a thing on the bed, and what would tell. */
export const aboutWords = ({ over, beside, inside }: FishAbout): string[] => [
  over + beside === 0
    ? 'No fish stands clear over it or beside it.'
    : `${fishCount(over)} over it, ${beside === 0 ? 'none' : beside} beside it.`,
  inside === 'none'
    ? 'No fish can be inside it.'
    : 'Fish inside it cannot be told from it. Drop a lure on it, or look with the slice.',
];
