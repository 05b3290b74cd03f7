import { createElement, type KeyboardEvent } from 'react';
import { FONT, useTones } from './theme';

interface Props {
  words: string;
  /** What pressing it does, for a screen reader. */
  spoken: string;
  onPress: () => void;
  testID?: string;
}

/** Words within a sentence that can be pressed; they break across lines as the sentence does, which a button cannot. */
export function InlineButton({ words, spoken, onPress, testID }: Props) {
  const tones = useTones();
  return createElement(
    'span',
    {
      role: 'button',
      tabIndex: 0,
      'aria-label': spoken,
      'data-testid': testID,
      onClick: onPress,
      onKeyDown: (event: KeyboardEvent) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onPress();
      },
      style: {
        fontFamily: FONT.text,
        fontStyle: 'italic',
        cursor: 'pointer',
        color: tones.water,
        textDecoration: 'underline',
        textDecorationColor: tones.buoy,
        textDecorationThickness: 2,
        textUnderlineOffset: 5,
        // Room for a thumb above and below without moving the lines apart.
        padding: '10px 0',
      },
    },
    words,
  );
}
