import { createElement, useId, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from './Text';
import { TOUCH_PX, useTones } from './theme';

interface Props<Value extends string> {
  /** What is chosen between, for a screen reader. */
  label: string;
  options: readonly { value: Value; label: string }[];
  value: Value;
  onChange: (value: Value) => void;
  /** Keep to one row, for a list that scrolls sideways. */
  nowrap?: boolean;
  /** Narrower, where several lists share a row. */
  compact?: boolean;
  /** Larger, for a wet thumb. */
  large?: boolean;
}

/** The browser's own radio button, over all of the chip and unseen: arrows and space are its own. */
const COVER = {
  position: 'absolute',
  inset: 0,
  width: '100%',
  height: '100%',
  margin: 0,
  opacity: 0,
  zIndex: 1,
  cursor: 'pointer',
};

/** One of a few: a row of words, the chosen one filled. */
export function Chips<Value extends string>({
  label,
  options,
  value,
  onChange,
  nowrap = false,
  compact = false,
  large = false,
}: Props<Value>) {
  const tones = useTones();
  const name = useId();
  const [focused, setFocused] = useState<Value | null>(null);
  return (
    <View
      role="radiogroup"
      aria-label={label}
      style={[styles.row, { flexWrap: nowrap ? 'nowrap' : 'wrap', gap: compact ? 4 : 8 }]}
    >
      {options.map((option) => {
        const chosen = option.value === value;
        return (
          <View
            key={option.value}
            style={[
              styles.chip,
              compact && styles.compact,
              large && styles.large,
              {
                borderColor: chosen ? tones.water : tones.faint,
                backgroundColor: chosen ? tones.water : 'transparent',
              },
              focused === option.value && { boxShadow: `0 0 0 3px ${tones.buoy}` },
            ]}
          >
            {createElement('input', {
              type: 'radio',
              name,
              checked: chosen,
              'aria-label': option.label,
              onChange: () => onChange(option.value),
              onFocus: (event: React.FocusEvent<HTMLInputElement>) =>
                setFocused(event.target.matches(':focus-visible') ? option.value : null),
              onBlur: () => setFocused(null),
              style: COVER,
            })}
            <Text
              aria-hidden
              style={[
                { color: chosen ? tones.onWater : tones.ink },
                compact && styles.small,
                large && styles.largeWords,
              ]}
            >
              {option.label}
            </Text>
          </View>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row' },
  compact: { paddingHorizontal: 7 },
  small: { fontSize: 16 },
  large: { minHeight: 58, minWidth: 58 },
  largeWords: { fontSize: 20 },
  chip: {
    minHeight: TOUCH_PX,
    minWidth: TOUCH_PX,
    alignItems: 'center',
    paddingHorizontal: 12,
    borderRadius: 4,
    borderWidth: 1,
    justifyContent: 'center',
  },
});
