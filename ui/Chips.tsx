import { Pressable, StyleSheet, View } from 'react-native';
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
}

/** One of a few: a row of words, the chosen one filled. */
export function Chips<Value extends string>({
  label,
  options,
  value,
  onChange,
  nowrap = false,
}: Props<Value>) {
  const tones = useTones();
  return (
    <View role="radiogroup" aria-label={label} style={[styles.row, { flexWrap: nowrap ? 'nowrap' : 'wrap' }]}>
      {options.map((option) => {
        const chosen = option.value === value;
        return (
          <Pressable
            key={option.value}
            role="radio"
            aria-checked={chosen}
            aria-label={option.label}
            onPress={() => onChange(option.value)}
            style={[
              styles.chip,
              {
                borderColor: chosen ? tones.water : tones.rule,
                backgroundColor: chosen ? tones.water : 'transparent',
              },
            ]}
          >
            <Text style={{ color: chosen ? tones.onWater : tones.ink }}>{option.label}</Text>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 8 },
  chip: {
    minHeight: TOUCH_PX,
    paddingHorizontal: 14,
    borderRadius: 4,
    borderWidth: 1,
    justifyContent: 'center',
  },
});
