import type { Finding, MarkShape, Reason, Rival } from '@/core/reading';
import type { Units } from '../units';

export const SHAPE_WORDS: Record<MarkShape, string> = {
  arch: 'arch, both legs',
  half: 'half an arch, one leg',
  clip: 'clip, crossed the edge or a thin cone',
  line: 'line, fish and boat both still',
  thread: 'thread, wandering',
  streak: 'streak, at speed',
  dash: 'dash, few pings',
  dot: 'dot, too few pings for a shape',
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
  'pass-again': 'pass again across it: debris and fish will have moved, bed will not',
  'other-beam': 'look with the other beam',
  'bed-window': 'lock the window to the bed and look for a gap',
  'drop-on-it': 'drop a lure on it',
  'faster-chart': 'raise the chart speed to draw it apart',
};

/** What a finding is called: a reading, never a kind of fish. */
export const findingTitle = (f: Finding): string =>
  f.kind === 'cover'
    ? `On the bed, likely ${RIVAL_WORDS[f.cover]}`
    : f.kind === 'cloud'
      ? `Cloud, likely bait, ${f.mood === 'calm' ? 'undisturbed' : 'hunted'}`
      : f.shape === 'arch' || f.shape === 'half'
        ? 'Single mark, likely a fish'
        : 'Single mark';

export const confidenceWords = (confidence: number): string =>
  `${confidence >= 0.9 ? 'sure' : confidence >= 0.7 ? 'likely' : 'maybe'}, ${Math.round(confidence * 100)}\u00a0%`;

export function reasonWords(reason: Reason, units: Units): string {
  switch (reason.name) {
    case 'stands-out':
      return `stands ${Math.round(reason.db)}\u00a0dB over the water around it`;
    case 'followed':
      return `followed through ${reason.pings} pings, ${Math.round(reason.share * 100)}\u00a0% of those it spans`;
    case 'rises':
      return `comes ${units.height(reason.riseM)} nearer and goes away again, as something passed does`;
    case 'fits-crossing':
      return `its ranges lie within ${units.show('small', reason.offM)} of a passing point's curve`;
    case 'clear-of-bed':
      return `${units.show('depth', reason.gapM)} of clear water under it`;
    case 'stands-on-bed':
      return `is joined to the bed, ${units.height(reason.heightM)} high and ${units.show('depth', reason.lengthM)} long`;
    case 'under-bed':
      return `its strongest echo is ${Math.round(reason.db)}\u00a0dB under the bed’s`;
    case 'stretched':
      return `${reason.times.toFixed(1)} times as long as high, the beam’s own width taken off: bait at rest keeps round`;
    case 'larger-near':
      return `${reason.count} larger ${reason.count === 1 ? 'mark is' : 'marks are'} close to it`;
    case 'thick':
      return `${units.height(reason.heightM)} high, where one echo would be ${units.show('small', reason.pulseM)}`;
  }
}

export const rivalWords = ({ reading, test }: Rival): string =>
  `Could also be ${RIVAL_WORDS[reading]}. To tell: ${TEST_WORDS[test]}.`;
