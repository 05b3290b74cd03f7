import type { Control, Setup } from '@/core/advice';
import type { UsedLine } from '@/core/logbook/day';
import type { Units } from '../units';
import { controlName } from '../words/controls';
import { lineValue, type OwnUnit } from '../words/setupValues';

/** Lines that are set on the unit, in the order they are set, and what of them stands on the deck card. */
const ON_DECK = {
  cone: [
    'range',
    'lookNoDeeper',
    'beam',
    'power',
    'gain',
    'firstColour',
    'colourSpread',
    'tvg',
    'otherSounders',
    'noiseRejection',
    'topWater',
    'pingRate',
    'chartSpeed',
    'zoom',
    'boatSpeed',
  ],
  slice: ['imaging', 'gain', 'firstColour', 'colourSpread', 'chartSpeed'],
} as const satisfies Record<string, readonly Control[]>;

export const LINES_A_PAGE = 5;

/** A line of the deck card. */
export interface DeckLine {
  /** What a tick is kept by: phase, line and value. */
  key: string;
  name: string;
  value: string;
  /** Which line of which picture it is, and its value in the control's own unit. */
  of: Pick<UsedLine, 'picture' | 'control'> & { si: number };
}

interface Worked {
  setup: Setup;
  slice: Setup | null;
}

/**
 * The deck card of a phase in pages of five lines. @param before the phase before it, of which only what changes is shown; null
 * shows all
 */
export function deckPages(
  phase: string,
  now: Worked,
  before: Worked | null,
  units: Units,
  own: OwnUnit & Parameters<typeof controlName>[1],
): DeckLine[][] {
  const linesOf = (of: Setup, last: Setup | null, card: keyof typeof ON_DECK): DeckLine[] =>
    (ON_DECK[card] as readonly Control[]).flatMap((control) => {
      const line = of.lines.find((l) => l.control === control);
      if (!line || (control === 'zoom' && line.because.rule === 'zoom-none' && !before)) return [];
      const value = lineValue(line, units, of.prediction.face, own);
      const other = last?.lines.find((l) => l.control === control);
      if (last && other && lineValue(other, units, last.prediction.face, own) === value) return [];
      const name = `${card === 'slice' ? 'Slice: ' : ''}${controlName(control, own)}`;
      return {
        key: `${phase}|${name}|${value}`,
        name,
        value,
        of: { picture: card, control, si: line.value },
      };
    });
  const all = [
    ...linesOf(now.setup, before?.setup ?? null, 'cone'),
    ...(now.slice ? linesOf(now.slice, before?.slice ?? null, 'slice') : []),
  ];
  const pages: DeckLine[][] = [];
  for (let i = 0; i < all.length; i += LINES_A_PAGE) pages.push(all.slice(i, i + LINES_A_PAGE));
  return pages;
}
