import { createElement, type ChangeEvent } from 'react';
import { StyleSheet, View } from 'react-native';
import { IconButton } from './Button';
import { Text } from './Text';
import { TOUCH_PX, useTones } from './theme';

interface Props {
  /** What it sets, in the user's words. */
  label: string;
  value: number;
  low: number;
  high: number;
  step: number;
  /** Step of a thumb on minus or plus; the finest when left out. */
  stride?: number;
  onChange: (value: number) => void;
  /** The value in words and units: `18 m`. */
  show: (value: number) => string;
  /** Name part for tests. */
  name?: string;
}

const fit = (x: number, { low, high, step }: Pick<Props, 'low' | 'high' | 'step'>): number => {
  const stepped = low + Math.round((x - low) / step) * step;
  return Number(Math.min(high, Math.max(low, stepped)).toFixed(6));
};

/** One control: drag, step by thumb, or arrow keys. The slider is the browser's own, so keys and screen readers know it. */
export function Dial({ label, value, low, high, step, stride = step, onChange, show, name }: Props) {
  const tones = useTones();
  const range = { low, high, step };
  const shown = show(value);
  return (
    <View style={styles.dial}>
      <View style={styles.words}>
        <Text faint kind="small">
          {label}
        </Text>
        <Text kind="figure" testID={name ? `${name}-value` : undefined}>
          {shown}
        </Text>
      </View>
      <View style={styles.row}>
        <IconButton
          icon="minus"
          label={`${label}: less`}
          onPress={() => onChange(fit(value - stride, range))}
        />
        {createElement('input', {
          type: 'range',
          min: low,
          max: high,
          step,
          value,
          'aria-label': label,
          'aria-valuetext': shown,
          'data-testid': name,
          onChange: (event: ChangeEvent<HTMLInputElement>) =>
            onChange(fit(Number(event.target.value), range)),
          style: {
            flex: 1,
            minWidth: 80,
            height: TOUCH_PX,
            accentColor: tones.buoy,
            margin: 0,
            cursor: 'pointer',
          },
        })}
        <IconButton
          icon="plus"
          label={`${label}: more`}
          onPress={() => onChange(fit(value + stride, range))}
        />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  dial: { width: '100%' },
  words: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    paddingHorizontal: 12,
  },
  row: { flexDirection: 'row', alignItems: 'center' },
});
