import { createElement } from 'react';
import { ICON_PATHS } from './iconPaths';

export type IconName = keyof typeof ICON_PATHS;

interface Props {
  name: IconName;
  colour: string;
  size?: number;
}

/** An icon beside words that say the same; a screen reader passes over it. */
export const Icon = ({ name, colour, size = 24 }: Props) =>
  createElement(
    'svg',
    { viewBox: '0 0 24 24', width: size, height: size, 'aria-hidden': true, style: { flexShrink: 0 } },
    createElement('path', { d: ICON_PATHS[name], fill: colour }),
  );
