import { StyleSheet, View } from 'react-native';
import type { Correction } from '@/core/logbook';
import { takeBack } from '@/stores';
import { Button, Text, useTones } from '@/ui';
import { clock, useUnits } from '../units';
import { CALLED_WORDS } from '../words/called';

/** Marks the user has seen and the reader has not. */
export function AddedMarks({ corrections, title }: { corrections: readonly Correction[]; title: string }) {
  const tones = useTones();
  const { show } = useUnits();
  const added = corrections.filter((c) => c.change === 'added');
  if (added.length === 0) return null;
  return (
    <View role="list" aria-label="Marks you added">
      {added.map((c, i) => (
        <View key={i} role="listitem" style={[styles.row, { borderTopColor: tones.rule }]}>
          <View style={styles.words}>
            <Text bold>Yours: {CALLED_WORDS[c.is].sentence}</Text>
            <Text faint kind="small">
              {show('depth', c.rangeM, 1)} down, at {clock(c.timeS)}
            </Text>
          </View>
          <Button
            tone="quiet"
            label="Take back"
            spoken={`Take back ${CALLED_WORDS[c.is].sentence} at ${clock(c.timeS)}`}
            onPress={() => takeBack(c, title)}
          />
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', borderTopWidth: 1, padding: 8, paddingLeft: 12 },
  words: { flex: 1, minWidth: 0 },
});
