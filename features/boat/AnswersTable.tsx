import { StyleSheet, View } from 'react-native';
import { Text, useTones } from '@/ui';
import type { Answer } from './answers';

interface Props {
  columns: readonly { id: string; title: string; answers: readonly Answer[] }[];
}

/** Answers side by side: a question a row, a column a beam. */
export function AnswersTable({ columns }: Props) {
  const tones = useTones();
  const questions = [...new Set(columns.flatMap((c) => c.answers.map((a) => a.question)))];
  const titled = columns.some((c) => c.title !== '');
  return (
    <View
      role="table"
      aria-label={titled ? 'What each beam does' : 'What holds for the boat'}
      testID="answers"
    >
      {titled && (
        <View role="row" style={styles.row}>
          {columns.map(({ id, title }) => (
            <View key={id} role="columnheader" style={styles.cell} testID={`column-${id}`}>
              <Text bold kind="small">
                {title}
              </Text>
            </View>
          ))}
        </View>
      )}
      {questions.map((question) => (
        <View key={question} role="rowgroup" style={[styles.group, { borderTopColor: tones.rule }]}>
          <View role="row">
            <View role="rowheader">
              <Text faint kind="small">
                {question}
              </Text>
            </View>
          </View>
          <View role="row" style={styles.row}>
            {columns.map(({ id, answers }) => (
              <View key={id} role="cell" style={styles.cell} testID={`answer-${id}`}>
                <Text>{answers.find((a) => a.question === question)?.answer ?? '–'}</Text>
              </View>
            ))}
          </View>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: 10 },
  cell: { flex: 1, minWidth: 0 },
  group: { borderTopWidth: 1, paddingVertical: 6 },
});
