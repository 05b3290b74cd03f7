import type { Control, SetupLine } from '@/core/advice';

/** The lines of a card in groups, in the order they are set on the water. */
export const SETUP_GROUPS = [
  { title: 'How deep', controls: ['range', 'lookNoDeeper', 'zoom'] },
  {
    title: 'What shows',
    controls: ['beam', 'imaging', 'power', 'pulse', 'gain', 'firstColour', 'colourSpread', 'tvg', 'size'],
  },
  { title: 'What is cleaned', controls: ['otherSounders', 'noiseRejection', 'topWater'] },
  { title: 'How it moves', controls: ['pingRate', 'chartSpeed', 'boatSpeed'] },
] as const satisfies readonly { title: string; controls: readonly Control[] }[];

/** The lines of a setup by group; groups with none are left out. */
export const grouped = (lines: readonly SetupLine[]): { title: string; lines: SetupLine[] }[] =>
  SETUP_GROUPS.map(({ title, controls }) => ({
    title,
    lines: (controls as readonly Control[]).flatMap((c) => lines.filter((l) => l.control === c)),
  })).filter((group) => group.lines.length > 0);
