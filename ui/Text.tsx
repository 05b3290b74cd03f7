import { Text as NativeText, type TextProps } from 'react-native';
import { FONT, useTones } from './theme';

interface Props extends TextProps {
  /** body = reading text, small = captions, figure = numbers in columns, title and heading as they say. */
  kind?: 'body' | 'small' | 'figure' | 'heading' | 'title';
  bold?: boolean;
  faint?: boolean;
}

const SIZE = { body: 17, small: 15, figure: 17, heading: 20, title: 24 } as const;

/** All words on a screen. Headings are headings to a screen reader too. */
export function Text({ kind = 'body', bold = false, faint = false, style, ...rest }: Props) {
  const tones = useTones();
  const heading = kind === 'heading' || kind === 'title';
  return (
    <NativeText
      {...(heading ? { role: 'heading' as const, 'aria-level': kind === 'title' ? 1 : 2 } : {})}
      {...rest}
      style={[
        {
          color: faint ? tones.faint : tones.ink,
          fontSize: SIZE[kind],
          lineHeight: SIZE[kind] * 1.4,
          fontFamily: kind === 'figure' ? FONT.figures : bold || heading ? FONT.bold : FONT.text,
        },
        style,
      ]}
    />
  );
}
