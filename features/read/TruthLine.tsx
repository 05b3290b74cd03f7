import { StyleSheet } from 'react-native';
import type { PassReading } from '@/stores';
import { Text } from '@/ui';
import type { Truth } from './useTruth';

/** How much of made water was read right. */
export function TruthLine({ reading, truth }: { reading: PassReading; truth: Truth }) {
  const all = reading.reading.findings.length;
  const right = truth.marks.filter((m) => m.right).length;
  const missed = truth.fish.filter((f) => !f.found).length;
  return (
    <Text style={styles.line} role="status" testID="truth-score">
      {right} of {all} {all === 1 ? 'mark is' : 'marks are'} right. Of {truth.fish.length} fish in the beam{' '}
      {missed === 0 ? 'none is missed' : `${missed} ${missed === 1 ? 'is' : 'are'} missed`}. Triangles show
      them.
    </Text>
  );
}

const styles = StyleSheet.create({ line: { paddingHorizontal: 12, paddingBottom: 8 } });
