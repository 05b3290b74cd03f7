import { StyleSheet, View } from 'react-native';
import type { Asking } from '@/stores';
import { Button, Text, useTones } from '@/ui';

interface Props {
  asking: Pick<Asking, 'problem' | 'silent'>;
  /** Stops what does not answer; tries again what failed. */
  onStop: () => void;
  onRetry: { label: string; press: () => void };
}

/** Says that something failed, or does not answer, with the way on. Nothing while all is well. */
export function AskingNote({ asking: { problem, silent }, onStop, onRetry }: Props) {
  const tones = useTones();
  if (!problem && !silent) return null;
  return (
    <View role="alert" style={[styles.note, { borderColor: problem ? tones.danger : tones.rule }]}>
      <Text>{problem ?? 'No answer for 2 seconds. This device may be busy.'}</Text>
      {problem ? (
        <Button label={onRetry.label} onPress={onRetry.press} />
      ) : (
        <Button label="Stop" onPress={onStop} />
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  note: { borderWidth: 1, padding: 10, gap: 8, margin: 8, borderRadius: 4 },
});
