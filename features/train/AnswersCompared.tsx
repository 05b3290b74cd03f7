import { StyleSheet, View } from 'react-native';
import type { Answer } from '@/core/training/answer';
import { compareAnswers, type DrillSet } from '@/core/training/drillSet';
import { Text, useTones } from '@/ui';
import { kindWords } from '../words/training';

const tick = (answer: Answer | null): string => (answer === null ? '–' : answer.right ? '✓' : '✗');
const spoken = (answer: Answer | null): string =>
  answer === null ? 'no answer' : answer.right ? 'right' : 'wrong';

/** Two people's answers to the same rounds, a row a round. */
export function AnswersCompared({ set, mine }: { set: DrillSet; mine: readonly Answer[] }) {
  const tones = useTones();
  if (set.answers.length === 0) return null;
  const rounds = compareAnswers(set, mine);
  const name = set.by || 'The other';
  const right = (whose: 'mine' | 'theirs'): number => rounds.filter((r) => r[whose]?.right).length;
  return (
    <View style={styles.table} testID="answers-compared">
      <Text bold>
        You {right('mine')} of {rounds.length}, {name} {right('theirs')} of {rounds.length}
      </Text>
      <View role="table" aria-label={`Your answers beside those of ${name}`}>
        <View role="row" style={styles.row}>
          <Text role="columnheader" faint style={styles.kind}>
            Round
          </Text>
          <Text role="columnheader" faint style={styles.who}>
            You
          </Text>
          <Text role="columnheader" faint style={styles.who} numberOfLines={1}>
            {name}
          </Text>
        </View>
        {rounds.map(({ kind, mine: own, theirs }, k) => (
          <View key={k} role="row" style={[styles.row, { borderTopWidth: 1, borderTopColor: tones.rule }]}>
            <Text role="cell" style={styles.kind}>
              {kindWords(set.drill, kind)}
            </Text>
            <Text role="cell" bold style={styles.who} aria-label={spoken(own)}>
              {tick(own)}
            </Text>
            <Text role="cell" bold style={styles.who} aria-label={spoken(theirs)}>
              {tick(theirs)}
            </Text>
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  table: { gap: 8, maxWidth: 520 },
  row: { flexDirection: 'row', gap: 12, paddingVertical: 8 },
  kind: { flex: 1 },
  who: { width: 84 },
});
