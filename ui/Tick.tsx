import MaterialCommunityIcons from '@expo/vector-icons/MaterialCommunityIcons';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from './Text';
import { TOUCH_PX, useTones } from './theme';

interface Props {
  label: string;
  /** More about it, under the label. */
  hint?: string;
  on: boolean;
  onPress: () => void;
}

/** One of several that may all be on. */
export function Tick({ label, hint, on, onPress }: Props) {
  const tones = useTones();
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={hint ? `${label}, ${hint}` : label}
      onPress={onPress}
      style={styles.tick}
    >
      <MaterialCommunityIcons
        name={on ? 'checkbox-marked' : 'checkbox-blank-outline'}
        size={26}
        color={on ? tones.water : tones.ink}
        aria-hidden
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
