import { StyleSheet, Text as NativeText, type TextProps } from 'react-native';
import { textScale } from './textScale';
import { FONT, useTones } from './theme';

interface Props extends TextProps {
  /** body = reading text, small = captions, figure = numbers in columns, title and heading as they say. */
  kind?: 'body' | 'small' | 'figure' | 'heading' | 'title';
  bold?: boolean;
  faint?: boolean;
}

const SIZE = { body: 17, small: 15, figure: 17, heading: 20, title: 24 } as const;

/** All words on a screen, as large as the user's browser has its text. Headings are headings to a screen reader too. */
export function Text({ kind = 'body', bold = false, faint = false, style, ...rest }: Props) {
  const tones = useTones();
  const heading = kind === 'heading' || kind === 'title';
  const own = StyleSheet.flatten(style) ?? {};
  const fontSize = own.fontSize ?? SIZE[kind];
  const lineHeight = own.lineHeight ?? fontSize * 1.4;
  return (
    <NativeText
      {...(heading ? { role: 'heading' as const, 'aria-level': kind === 'title' ? 1 : 2 } : {})}
      {...rest}
      style={[
        {
          color: faint ? tones.faint : tones.ink,
          fontFamily: kind === 'figure' ? FONT.figures : bold || heading ? FONT.bold : FONT.text,
        },
        own,
        { fontSize: fontSize * textScale(), lineHeight: lineHeight * textScale() },
      ]}
    />
  );
}
