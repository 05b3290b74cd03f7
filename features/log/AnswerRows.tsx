import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Text, useTones } from '@/ui';

/** Rows of a name and what is said of it. */
export function AnswerRows({
  label,
  rows,
}: {
  label: string;
  rows: readonly (readonly [key: string, name: string, words: string])[];
}) {
  const tones = useTones();
  return (
    <View role="table" aria-label={label}>
      {rows.map(([key, name, words]) => (
        <View key={key} role="row" style={[styles.row, { borderTopColor: tones.rule }]}>
          <Text role="cell" bold style={styles.name}>
            {name}
          </Text>
          <Text role="cell" style={styles.said}>
            {words}
          </Text>
        </View>
      ))}
    </View>
  );
}

/** A part of what the days say, under its name. */
export function AnswerPart({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View style={styles.part}>
      <Text kind="heading">{title}</Text>
      {children}
    </View>
  );
}

/** Said where an answer did not come, with a way to ask again. */
export function NoAnswer({ problem, again }: { problem: string; again: () => void }) {
  return (
    <View style={styles.part} role="alert">
      <Text>{problem}</Text>
      <Button tone="quiet" label="Try again" onPress={again} testID="answers-again" />
    </View>
  );
}

const styles = StyleSheet.create({
  part: { gap: 10 },
  row: { flexDirection: 'row', flexWrap: 'wrap', columnGap: 16, borderTopWidth: 1, paddingVertical: 8 },
  name: { flexGrow: 1, flexBasis: 130 },
  said: { flexGrow: 3, flexBasis: 240 },
});
