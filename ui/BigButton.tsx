import { Pressable, StyleSheet } from 'react-native';
import { Icon, type IconName } from './Icon';
import { Text } from './Text';
import { useTones } from './theme';

/** Least size of what is pressed in a hurry, px: a wet thumb on a moving boat. */
export const BIG_PX = 56;

interface Props {
  label: string;
  onPress: () => void;
  icon?: IconName;
  tone?: 'main' | 'plain' | 'chosen';
  disabled?: boolean;
  spoken?: string;
  testID?: string;
}

/** A button for one wet hand. */
export function BigButton({ label, onPress, icon, tone = 'plain', disabled = false, spoken, testID }: Props) {
  const tones = useTones();
  const colour = tone === 'main' ? tones.onBuoy : tone === 'chosen' ? tones.onWater : tones.ink;
  return (
    <Pressable
      role="button"
      aria-label={spoken ?? label}
      {...(tone === 'chosen' ? { 'aria-pressed': true } : {})}
      disabled={disabled}
      onPress={onPress}
      testID={testID}
      style={({ pressed }) => [
        styles.button,
        tone === 'main' && { backgroundColor: tones.buoy, borderColor: tones.buoy },
        tone === 'chosen' && { backgroundColor: tones.water, borderColor: tones.water },
        tone === 'plain' && { borderColor: tones.faint },
        { opacity: disabled ? 0.5 : pressed ? 0.75 : 1 },
      ]}
    >
      {icon && <Icon name={icon} size={26} colour={colour} />}
      <Text bold style={[styles.label, { color: colour }]}>
        {label}
      </Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  button: {
    minHeight: BIG_PX,
    flexGrow: 1,
    paddingHorizontal: 12,
    borderRadius: 4,
    borderWidth: 1,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 8,
  },
  label: { fontSize: 20, lineHeight: 26 },
});
