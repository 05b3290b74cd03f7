import { StyleSheet, View } from 'react-native';
import { Button, Text } from '@/ui';
import { togetherWords } from '../words/together';
import { stopTogether, type OtherBeam } from './useTogether';

/** What both beams have, and what only one. */
export function TogetherLine({ other }: { other: OtherBeam }) {
  const { label, marks, problem } = other;
  return (
    <View style={styles.row} role="status">
      {problem ? (
        <Text role="alert">{problem}</Text>
      ) : marks ? (
        <Text testID="together">{togetherWords(label, marks)}</Text>
      ) : (
        <>
          <Text faint>Reading {label} too…</Text>
          <Button tone="quiet" label="Stop" onPress={stopTogether} />
        </>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 12,
    paddingBottom: 8,
  },
});
