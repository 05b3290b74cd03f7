import { StyleSheet, View } from 'react-native';
import type { Symptom } from '@/core/bench/symptoms/symptom';
import { Button, Text, useTones } from '@/ui';
import { SYMPTOM_WORDS } from '../words/symptoms';

/** A complaint in words alone, large enough for a hand on a boat: the move first, then why. */
export function ComplaintWords({ symptom, onBack }: { symptom: Symptom; onBack: () => void }) {
  const tones = useTones();
  const { complaint, causes, move, then } = SYMPTOM_WORDS[symptom];
  return (
    <View style={styles.page} testID="complaint-words">
      <Text kind="heading">{complaint}</Text>
      <View style={[styles.move, { borderLeftColor: tones.buoy }]}>
        <Text bold style={styles.large}>
          {move}
        </Text>
        <Text style={styles.large}>{then}</Text>
      </View>
      {causes.map((cause, k) => (
        <Text key={cause} style={styles.large}>
          {k + 1}. {cause}
        </Text>
      ))}
      <Button label="All complaints" onPress={onBack} />
    </View>
  );
}

const styles = StyleSheet.create({
  page: { gap: 14 },
  move: { borderLeftWidth: 4, paddingLeft: 12, gap: 6 },
  large: { fontSize: 24, lineHeight: 31 },
});
