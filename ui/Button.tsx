import { Pressable, StyleSheet, View } from 'react-native';
import { Icon, type IconName } from './Icon';
import { Text } from './Text';
import { TOUCH_PX, useTones } from './theme';

interface Props {
  label: string;
  onPress: () => void;
  icon?: IconName;
  /** main = the next thing to do; plain = outlined; quiet = words only. */
  tone?: 'main' | 'plain' | 'quiet';
  disabled?: boolean;
  /** Said by a screen reader when the label alone would not do. */
  spoken?: string;
  testID?: string;
}

/** A button of at least a thumb's size. */
export function Button({ label, onPress, icon, tone = 'plain', disabled = false, spoken, testID }: Props) {
  const tones = useTones();
  const colour = tone === 'main' ? tones.onBuoy : tone === 'quiet' ? tones.water : tones.ink;
  return (
    <Pressable
      role="button"
      aria-label={spoken ?? label}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      style={({ pressed }) => [
        styles.button,
        tone === 'main' && { backgroundColor: tones.buoy },
        tone === 'plain' && { borderColor: tones.faint, borderWidth: 1 },
        { opacity: disabled ? 0.5 : pressed ? 0.75 : 1 },
      ]}
    >
      {icon && <Icon name={icon} size={22} colour={colour} />}
      <Text bold={tone === 'main'} style={{ color: colour }}>
        {label}
      </Text>
    </Pressable>
  );
}

interface IconButtonProps {
  icon: IconName;
  /** What it does, for a screen reader. */
  label: string;
  onPress: () => void;
  chosen?: boolean;
}

/** A button that is only an icon. */
export function IconButton({ icon, label, onPress, chosen }: IconButtonProps) {
  const tones = useTones();
  return (
    <Pressable
      role="button"
      aria-label={label}
      {...(chosen === undefined ? {} : { 'aria-pressed': chosen })}
      onPress={onPress}
      style={({ pressed }) => [styles.icon, { opacity: pressed ? 0.6 : 1 }]}
    >
      <View>
        <Icon name={icon} size={26} colour={tones.ink} />
      </View>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  button: {
    minHeight: TOUCH_PX,
    paddingHorizontal: 18,
    paddingVertical: 10,
    borderRadius: 4,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 8,
  },
  icon: { width: TOUCH_PX, height: TOUCH_PX, alignItems: 'center', justifyContent: 'center' },
});
