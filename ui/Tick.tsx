import { Pressable, StyleSheet, View } from 'react-native';
import { Icon } from './Icon';
import { Text } from './Text';
import { TOUCH_PX, useTones } from './theme';

interface Props {
  label: string;
  /** More about it, under the label. */
  hint?: string;
  on: boolean;
  onPress: () => void;
  testID?: string;
}

/** One of several that may all be on. */
export function Tick({ label, hint, on, onPress, testID }: Props) {
  const tones = useTones();
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={hint ? `${label}, ${hint}` : label}
      onPress={onPress}
      testID={testID}
      style={styles.tick}
    >
      <Icon
        name={on ? 'checkbox-marked' : 'checkbox-blank-outline'}
        size={26}
        colour={on ? tones.water : tones.ink}
      />
      <View style={styles.words}>
        <Text>{label}</Text>
        {hint && (
          <Text faint kind="small">
            {hint}
          </Text>
        )}
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  tick: { minHeight: TOUCH_PX, flexDirection: 'row', alignItems: 'center', gap: 12, paddingVertical: 4 },
  words: { flex: 1, minWidth: 0 },
});
